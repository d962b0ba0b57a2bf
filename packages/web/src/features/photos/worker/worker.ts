import {
  findCard,
  findRegion,
  fitCamera,
  invertHomography,
  lightnessOfPhoto,
  preparePlane,
  rectifyPicture,
  refineEdge,
  sampleColour,
  snapTrace,
  solveHomography,
  type PhotoControl,
  type Picture,
} from '@sardonyx/core';
import type { PhotoAnswer, PhotoRequest } from './protocol.ts';

let kept: { readonly url: string; readonly picture: Picture } | null = null;

self.onmessage = ({ data }: MessageEvent<PhotoRequest>) => {
  void answer(data).catch((error: unknown) =>
    post({ id: data.id, kind: 'problem', message: error instanceof Error ? error.message : String(error) }),
  );
};

async function answer(request: PhotoRequest): Promise<void> {
  const picture = await readPicture(request.url);
  if (request.kind === 'find card')
    return post({ id: request.id, kind: 'card', points: findCard(picture, request.corners ?? undefined) });
  if (request.kind === 'fit card') {
    const control = findCard(picture, request.corners ?? undefined);
    const dots = control.map(({ pixel }) => pixel);
    return post({ id: request.id, kind: 'fitted', fit: fitCamera(picture, control, request.card ?? undefined), dots });
  }
  if (request.kind === 'sample') {
    const { fit, point, radiusPx } = request;
    return post({ id: request.id, kind: 'sampled', sample: sampleColour(picture, fit, point, radiusPx) });
  }
  if (request.kind === 'snap')
    return post({ id: request.id, kind: 'snapped', point: refineEdge(picture, request.point) });
  if (request.kind === 'snap shape') {
    const lightness = lightnessOfPhoto(picture, request.control, request.fit);
    return post({ id: request.id, kind: 'shape snapped', ...snapTrace(lightness, request.shape) });
  }
  const { flat, region } = straighten(picture, request.control, request.mostPixels, (share) =>
    post({ id: request.id, kind: 'progress', share }),
  );
  const canvas = new OffscreenCanvas(flat.width, flat.height);
  canvas.getContext('2d')!.putImageData(new ImageData(flat.data as ImageDataArray, flat.width, flat.height), 0, 0);
  post({ id: request.id, kind: 'flat', picture: await canvas.convertToBlob(), region });
}

function straighten(picture: Picture, control: PhotoControl, mostPixels: number, report: (share: number) => void) {
  const size = { widthPx: picture.width, heightPx: picture.height };
  const { lens, points } = preparePlane(control, size);
  const toPlane = solveHomography(points);
  const part = findRegion(toPlane, lens, size);
  // As fine as the picture itself, where that is not too much.
  const own = Math.sqrt((picture.width * picture.height) / (part.widthMm * part.heightMm));
  const most = Math.sqrt(mostPixels / (part.widthMm * part.heightMm));
  const region = { ...part, pixelsPerMm: Math.min(own, most) };
  const flat = rectifyPicture(picture, invertHomography(toPlane), lens, region, (share) => {
    report(share);
    return true;
  });
  return { flat: flat!, region };
}

async function readPicture(url: string): Promise<Picture> {
  if (kept?.url === url) return kept.picture;
  const answer = await fetch(url);
  if (!answer.ok) throw new Error('The picture could not be fetched.');
  const bitmap = await createImageBitmap(await answer.blob());
  const canvas = new OffscreenCanvas(bitmap.width, bitmap.height);
  const context = canvas.getContext('2d', { willReadFrequently: true })!;
  context.drawImage(bitmap, 0, 0);
  const { data, width, height } = context.getImageData(0, 0, bitmap.width, bitmap.height);
  kept = { url, picture: { data, width, height } };
  return kept.picture;
}

const post = (message: PhotoAnswer) => self.postMessage(message);
