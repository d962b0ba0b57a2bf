export { OrdersPage } from './OrdersPage.tsx';
