export { LiveReading } from './LiveReading.tsx';
export { WorkshopPage } from './WorkshopPage.tsx';
