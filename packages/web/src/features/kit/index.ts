export { KitPage } from './KitPage.tsx';
