/** Runs in a worker: straightens a picture of so many megapixels a few times and says how long each took. */
import { parentPort, workerData } from 'node:worker_threads';
import { createLens, invertHomography, rectifyPicture, solveHomography } from '@sardonyx/core';

const ROUNDS = 5;

const { megapixels } = workerData as { megapixels: number };
const width = Math.round(Math.sqrt((megapixels * 1e6 * 4) / 3));
const height = Math.round((width * 3) / 4);
const picture = { width, height, data: new Uint8ClampedArray(width * height * 4).fill(128) };
const corner = (x: number, y: number, mmX: number, mmY: number) => ({
  pixel: { x: x * width, y: y * height },
  mm: { x: mmX, y: mmY },
});
const toPlane = solveHomography([
  corner(0.1, 0.08, 0, 0),
  corner(0.93, 0.11, 120, 0),
  corner(0.9, 0.94, 120, 90),
  corner(0.06, 0.9, 0, 90),
]);
const lens = createLens(-0.08, { widthPx: width, heightPx: height });
// As many pixels out as in.
const region = { left: 0, top: 0, widthMm: 120, heightMm: 90, pixelsPerMm: width / 120 };
const times: number[] = [];
for (let round = 0; round < ROUNDS; round++) {
  const began = performance.now();
  rectifyPicture(picture, invertHomography(toPlane), lens, region);
  times.push(performance.now() - began);
}
parentPort!.postMessage(times);
