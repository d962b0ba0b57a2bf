import { createHash, randomUUID } from 'node:crypto';
import { gzipSync } from 'node:zlib';
import { measureMesh, readStl } from '@sardonyx/core';
import type { EntityManager } from 'typeorm';
import type { Hands } from '../../aside/asideTask.ts';
import { MeshRow, PrintPartRow } from '../../entities/print.ts';
import { sayAtField } from '../../http/errors.ts';

export interface BroughtMesh {
  readonly fileName: string;
  readonly bytes: Uint8Array;
}

/** An STL file becomes a part that can be printed: read and measured before anything is kept. */
export async function bringMesh({ fileName, bytes }: BroughtMesh, hands: Hands): Promise<PrintPartRow> {
  const size = sayAtField(() => measureMesh(readStl(bytes)));
  const hash = createHash('sha256').update(bytes).digest('hex');
  const packed = gzipSync(bytes);
  hands.goOn();
  return hands.change(async (manager) => {
    if (!(await manager.existsBy(MeshRow, { hash }))) await manager.insert(MeshRow, { hash, packed });
    return insertPrint(manager, { fileName, meshHash: hash, size });
  });
}

async function insertPrint(
  manager: EntityManager,
  known: Pick<PrintPartRow, 'fileName' | 'meshHash' | 'size'>,
): Promise<PrintPartRow> {
  const print = manager.create(PrintPartRow, {
    ...{ id: randomUUID(), version: 1, wanted: [null, null, null], resin: '', note: '' },
    ...known,
    name: known.fileName.replace(/\.stl$/i, '') || 'Printed part',
  });
  await manager.insert(PrintPartRow, print);
  return print;
}
