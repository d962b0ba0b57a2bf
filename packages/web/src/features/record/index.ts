export { RecordPage } from './RecordPage.tsx';
export { TakePapers } from './TakePapers.tsx';
