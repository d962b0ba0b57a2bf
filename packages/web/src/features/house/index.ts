export { HousePage } from './HousePage.tsx';
