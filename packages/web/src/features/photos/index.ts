export { PhotoDrop, PhotoStrip } from './PhotoStrip.tsx';
