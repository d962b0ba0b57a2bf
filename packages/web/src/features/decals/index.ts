export { DecalsPage } from './DecalsPage.tsx';
export { TraceDecalPage } from './trace/TraceDecalPage.tsx';
