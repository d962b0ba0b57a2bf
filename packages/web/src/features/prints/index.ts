export { PrintsPage } from './PrintsPage.tsx';
