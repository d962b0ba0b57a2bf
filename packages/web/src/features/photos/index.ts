export { PhotoPage } from './PhotoPage.tsx';
export { PhotoDrop, PhotoStrip } from './PhotoStrip.tsx';
export { PhotoCanvas } from './PhotoCanvas.tsx';
export { usePhotoWorker } from './worker/usePhotoWorker.ts';
