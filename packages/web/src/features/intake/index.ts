export { PutOnBenchPage } from './PutOnBenchPage.tsx';
