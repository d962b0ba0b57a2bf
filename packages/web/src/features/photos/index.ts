export { PhotoPage } from './PhotoPage.tsx';
export { PhotoDrop } from './PhotoDrop.tsx';
export { PhotoStrip } from './PhotoStrip.tsx';
export { PhotoCanvas } from './PhotoCanvas.tsx';
export { usePhotoWorker, type PhotoWorker } from './worker/usePhotoWorker.ts';
export { useFlat } from './useFlat.ts';
export { useStraightened } from './useStraightened.ts';
export { useSendPictures, type SendPictures } from './useSendPictures.ts';
