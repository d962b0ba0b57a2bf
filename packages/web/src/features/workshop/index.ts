export { LiveReading } from './LiveReading.tsx';
export { FirstEveningPage } from './FirstEveningPage.tsx';
export { WorkshopPage } from './WorkshopPage.tsx';
