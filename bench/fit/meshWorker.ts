import { parentPort } from 'node:worker_threads';
import { measureMesh } from '../../packages/core/src/mesh/measureMesh.ts';
import { readStl } from '../../packages/core/src/mesh/readStl.ts';

parentPort!.on('message', (bytes: Uint8Array) => {
  const { volumeCm3, thinnest } = measureMesh(readStl(bytes));
  parentPort!.postMessage(`${volumeCm3!.toFixed(2)} cm3, thinnest ${thinnest!.mm.toFixed(2)} mm`);
});
