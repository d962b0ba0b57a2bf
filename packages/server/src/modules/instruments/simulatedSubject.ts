import type { MeasureColour } from '@sardonyx/contract';
import {
  convertHexToLab,
  createSeededRandom,
  drawNormal,
  predictMix,
  reconstructFromLab,
  replayMix,
  selectOptics,
  surfaceOf,
  type Lab,
} from '@sardonyx/core';
import { In, type EntityManager } from 'typeorm';
import { MixRow, MixStepRow } from '../../entities/colour.ts';
import { PaintProductRow } from '../../entities/paint.ts';
import { AreaRow, CoatingLayerRow, FindingRow, SpecimenPartRow } from '../../entities/workpiece.ts';
import { refused } from '../../http/errors.ts';
import { findRow } from '../rows/versionedRows.ts';

/** Pots differ from their label by so much (log-normal), which only a patch can tell. */
const STRENGTH_SD = 0.12;
/** What years of light do to a colour (invented): paler and greyer. */
const FADE = { dl: 5, chroma: 0.82 };
/** A film that is still wet is a little lighter. */
const WET = 1.07;

/** What really lies under a simulated instrument's head: reflectance with the gloss left out. */
export async function findTrueSpectrum(manager: EntityManager, subject: MeasureColour): Promise<Float64Array> {
  if (subject.what === 'part') return readPart(manager, subject);
  if (subject.what === 'pot') {
    const optics = selectOptics(await findRow(manager, PaintProductRow, subject.id, 'This pot'));
    if (!optics) throw refused('outside', 'Metal flakes and pearl look different from every side: no reading is true.');
    return predictMix([optics], [1], surfaceOf('gloss left out'));
  }
  const dry = await readPatch(manager, subject.id);
  return subject.what === 'wet patch' ? dry.map((one) => one * WET) : dry;
}

/** The outermost paint that was found on the part; faded where it stood open to the light and a finding says so. */
async function readPart(manager: EntityManager, { id, place }: MeasureColour): Promise<Float64Array> {
  const part = await findRow(manager, SpecimenPartRow, id, 'This part');
  const areas = await manager.findBy(AreaRow, { specimenPartId: part.id });
  const layers = await manager.find(CoatingLayerRow, {
    where: { areaId: In(areas.map((area) => area.id)), stage: 'found', kind: 'colour' },
    order: { seq: 'ASC' },
  });
  const outside = areas.find((area) => area.kind === 'outside');
  const own = layers.filter((layer) => layer.areaId === outside?.id);
  // Sheltered places never saw the overpaint.
  const layer = place === 'sheltered' ? (own.find((one) => one.whose === 'factory') ?? own[0]) : own.at(-1);
  if (!layer) throw refused('no-paint', `Nothing is painted on the ${part.name}, by the survey: no colour to read.`);
  const lab = convertHexToLab(layer.colourHex);
  const isFaded =
    place === 'exposed' && (await manager.existsBy(FindingRow, { specimenPartId: part.id, kind: 'fade' }));
  return reconstructFromLab(isFaded ? fadeColour(lab) : lab);
}

export const fadeColour = ([l, a, b]: Lab): Lab => [l + FADE.dl, a * FADE.chroma, b * FADE.chroma];

/** A mix as it truly is: by volume, with each pot's own strength. */
async function readPatch(manager: EntityManager, mixId: string): Promise<Float64Array> {
  const mix = await findRow(manager, MixRow, mixId, 'This mix');
  const steps = await manager.find(MixStepRow, { where: { mixId: mix.id }, order: { seq: 'ASC' } });
  const { productIds, volumes } = replayMix(steps);
  if (productIds.length === 0) throw refused('empty', 'Nothing is in the cup yet: pour first.');
  const products = await manager.findBy(PaintProductRow, { id: In([...productIds]) });
  const optics = productIds.map((id) => selectOptics(products.find((one) => one.id === id)!)!);
  return predictMix(
    optics,
    volumes.map((ml, i) => ml * trueStrength(productIds[i]!)),
    surfaceOf('gloss left out'),
  );
}

function trueStrength(productId: string): number {
  const random = createSeededRandom(seedOf(productId));
  return Math.exp(STRENGTH_SD * drawNormal(random));
}

/** FNV-1a: the same text gives the same numbers. */
export function seedOf(text: string): number {
  let hash = 0x811c9dc5;
  for (const letter of text) hash = Math.imul(hash ^ letter.charCodeAt(0), 0x01000193);
  return hash >>> 0;
}
