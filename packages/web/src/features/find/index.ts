export { FindAnything } from './FindAnything.tsx';
