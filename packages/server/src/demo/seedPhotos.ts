import {
  CARD_DOTS,
  computePaint,
  computePhotoMeasure,
  type PhotoControl,
  type Point,
  type SpecimenPart,
} from '@sardonyx/core';
import { mkdir, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import type { EntityManager } from 'typeorm';
import { CastingRow } from '../entities/catalogue.ts';
import { PhotoMeasureRow, PhotoRow } from '../entities/photo.ts';
import { AreaRow, CoatingLayerRow, SpecimenPartRow } from '../entities/workpiece.ts';
import { storePhoto } from '../modules/photos/photoStore.ts';
import type { JobNote } from './jobNotes.ts';
import { aimCamera, createScene, describeTruth, type Sitter } from './photoScene.ts';
import { renderPhoto } from './renderPhoto.ts';
import { TRUTH_FOLDER } from './truth.ts';

const SHOTS = [
  { side: 'left', view: 'side', mirrored: false },
  { side: 'right', view: 'side', mirrored: true },
  { side: 'base', view: 'base', mirrored: false },
  { side: 'front', view: 'end', mirrored: false },
] as const;

/** Pictures that are measured on are finer; drawing them is most of the demo's start. */
const FINE = { size: { widthPx: 1024, heightPx: 768 }, pixelsPerMm: 8 };
const COARSE = { size: { widthPx: 720, heightPx: 540 }, pixelsPerMm: 5.5 };

/** The pictures of a job before or after, drawn, with what is true of each beside it; the one that is measured on has its measure. */
export async function seedPhotos(
  manager: EntityManager,
  folder: string,
  jobId: string,
  note: JobNote,
  stage: 'before' | 'after',
  takenAt: Date,
): Promise<void> {
  const [first] = note.specimens;
  if (!first) return;
  const casting = await manager.findOneByOrFail(CastingRow, { id: first.castingId });
  const parts: SpecimenPart[] = await manager.findBy(SpecimenPartRow, { specimenId: first.id });
  const areas = (await manager.find(AreaRow)).filter((area) => parts.some((part) => part.id === area.specimenPartId));
  const layers = (await manager.findBy(CoatingLayerRow, { stage: stage === 'before' ? 'found' : 'applied' })).filter(
    (layer) => areas.some((area) => area.id === layer.areaId),
  );
  for (const [i, { side, view, mirrored }] of SHOTS.entries()) {
    const drawing = casting.drawing.views.find((candidate) => candidate.view === view)!;
    const sitter: Sitter = {
      view: drawing,
      paint: computePaint(parts, areas, layers),
      parts,
      isMirrored: mirrored,
      chipCount: stage === 'before' ? 26 : 0,
      ...(view === 'end'
        ? {
            rearAxle: {
              behindMm: casting.wheelbaseMm,
              twistDegrees: stage === 'before' ? (first.twistDegrees ?? 0) : 0,
            },
          }
        : {}),
    };
    const seed = i + 1;
    const { size, pixelsPerMm } = note.hasFinePhotos ? FINE : COARSE;
    const camera = aimCamera(sitter, size, seed);
    const stored = await storePhoto(folder, await renderPhoto(createScene(sitter, seed), camera, seed, pixelsPerMm));
    const id = `${jobId}.${stage}-${side}`;
    await mkdir(join(folder, TRUTH_FOLDER), { recursive: true });
    const truth = describeTruth(sitter, camera);
    await writeFile(join(folder, TRUTH_FOLDER, `${id}.json`), JSON.stringify(truth));
    const isMeasured = note.measured === side && stage === 'before';
    const control = isMeasured
      ? { name: 'bench card', points: CARD_DOTS.map((mm, dot) => ({ mm, pixel: truth.dots[dot]! })) }
      : null;
    await manager.insert(PhotoRow, {
      id,
      version: 1,
      jobId,
      specimenId: first.id,
      stage,
      side,
      caption: 'Drawn for the demo',
      ...stored,
      control,
      takenAt: takenAt.toISOString(),
    });
    if (control) await seedMeasure(manager, id, control, truth.hubs);
  }
}

/** The wheelbase, measured between the hubs. */
async function seedMeasure(
  manager: EntityManager,
  photoId: string,
  control: PhotoControl,
  hubs: readonly Point[],
): Promise<void> {
  const measure = { kind: 'length', points: hubs.slice(0, 2), nearerMm: 0, distanceMm: null } as const;
  const { value, sd } = computePhotoMeasure(control, FINE.size, measure);
  const row = { ...measure, points: [...measure.points], photoId, label: 'wheelbase', value, sd };
  await manager.insert(PhotoMeasureRow, { id: `${photoId}.wheelbase`, version: 1, ...row });
}
