export { DrawersPage } from './DrawersPage.tsx';
