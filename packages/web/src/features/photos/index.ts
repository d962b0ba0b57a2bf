export { PhotoPage } from './PhotoPage.tsx';
export { PhotoDrop, PhotoStrip } from './PhotoStrip.tsx';
