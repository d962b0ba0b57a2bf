import { mkdir, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import {
  computePaint,
  convertHexToLab,
  convertLabToHex,
  createSeededRandom,
  type Lab,
  type Point,
} from '@sardonyx/core';
import type { EntityManager } from 'typeorm';
import { CastingRow } from '../entities/catalogue.ts';
import { PhotoRow } from '../entities/photo.ts';
import { AreaRow, CoatingLayerRow, FindingRow, SpecimenPartRow } from '../entities/workpiece.ts';
import { fadeColour } from '../modules/instruments/simulatedSubject.ts';
import { storePhoto } from '../modules/photos/photoStore.ts';
import type { JobNote } from './jobNotes.ts';
import { aimCamera, createScene, describeTruth, type Sitter } from './photoScene.ts';
import { createSensor, projectPoint, renderPhoto } from './renderPhoto.ts';
import { TRUTH_FOLDER } from './truth.ts';

const SIZE = { widthPx: 1080, heightPx: 810 };
const PIXELS_PER_MM = 8;
const SEED = 11;

/** What is true of a photograph with the colour card. */
export interface ColourTruth {
  /** Pixels of the card's dots, in the order of CARD_DOTS. */
  readonly dots: readonly Point[];
  readonly sheltered: { readonly at: Point; readonly lab: Lab };
  readonly exposed: { readonly at: Point; readonly lab: Lab };
}

/** The model beside the colour card, one part let down: behind it the paint never saw the light. */
export async function seedColourPhoto(
  manager: EntityManager,
  folder: string,
  jobId: string,
  { specimens: [specimen], colourPhoto }: JobNote,
  takenAt: Date,
): Promise<void> {
  const { part: partKey, behind } = colourPhoto!;
  const casting = await manager.findOneByOrFail(CastingRow, { id: specimen!.castingId });
  const parts = await manager.findBy(SpecimenPartRow, { specimenId: specimen!.id });
  const areas = (await manager.find(AreaRow)).filter((area) => parts.some((part) => part.id === area.specimenPartId));
  const layers = (await manager.findBy(CoatingLayerRow, { stage: 'found' })).filter((layer) =>
    areas.some((area) => area.id === layer.areaId),
  );
  const paint = computePaint(parts, areas, layers);
  const shelteredHex = paint[partKey]!.outside!;
  const isFaded = await manager.existsBy(FindingRow, { specimenPartId: `${specimen!.id}.${partKey}`, kind: 'fade' });
  const exposedHex = isFaded ? convertLabToHex(fadeColour(convertHexToLab(shelteredHex))) : shelteredHex;
  const view = casting.drawing.views.find((one) => one.view === 'side')!;
  const sitter: Sitter = {
    ...{ view, parts, isMirrored: false, chipCount: 18, hasColourCard: true },
    paint: {
      ...paint,
      [partKey]: { ...paint[partKey], outside: exposedHex },
      [behind]: { outside: shelteredHex },
    },
  };
  const camera = aimCamera(sitter, SIZE, SEED);
  const sensor = createSensor(createSeededRandom(SEED));
  const jpeg = await renderPhoto(createScene(sitter, SEED), camera, SEED, PIXELS_PER_MM, sensor);
  const stored = await storePhoto(folder, jpeg);
  const anchor = view.anchors.find((one) => one.featureKey === 'body-colour')!;
  const [left, top, right, bottom] = view.shapes.find((shape) => shape.partKey === behind)!.box;
  const truth: ColourTruth = {
    dots: describeTruth(sitter, camera).dots,
    sheltered: {
      at: projectPoint(camera, left + 0.3 * (right - left), top + 0.6 * (bottom - top)),
      lab: convertHexToLab(shelteredHex),
    },
    exposed: { at: projectPoint(camera, anchor.x, anchor.y), lab: convertHexToLab(exposedHex) },
  };
  const behindName = parts.find((part) => part.key === behind)!.name.toLowerCase();
  const id = `${jobId}.colour`;
  await mkdir(join(folder, TRUTH_FOLDER), { recursive: true });
  await writeFile(join(folder, TRUTH_FOLDER, `${id}.json`), JSON.stringify(truth));
  await manager.insert(PhotoRow, {
    ...{ id, version: 1, jobId, specimenId: specimen!.id, stage: 'before', side: 'detail', control: null },
    ...{
      caption: `With the colour card; behind the ${behindName} the paint is sheltered. Drawn for the demo.`,
      takenAt: takenAt.toISOString(),
    },
    ...stored,
  });
}
