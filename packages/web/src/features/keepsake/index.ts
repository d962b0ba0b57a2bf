export { SafePage } from './SafePage.tsx';
