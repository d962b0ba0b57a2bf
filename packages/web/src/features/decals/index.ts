export { DecalsPage } from './DecalsPage.tsx';
