export { JobPage } from './JobPage.tsx';
