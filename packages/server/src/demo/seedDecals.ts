import { createDecalArtwork } from '@sardonyx/core';
import type { EntityManager } from 'typeorm';
import { DecalArtworkRow, DecalPlanRow } from '../entities/decal.ts';
import { CoatingLayerRow } from '../entities/workpiece.ts';
import { recompilePlan } from '../modules/tasks/recompilePlan.ts';

const INK = '#101010';
const CREAM = '#e8dfc4';
const MAROON = '#6a2330';

/** Letters as strokes on a ground of 4 by 6, drawn for this bench. */
const STROKES: Readonly<Record<string, string>> = {
  A: 'M0 6L2 0L4 6M0.8 4H3.2',
  B: 'M0 0V6H2.6L4 5V3.8L2.8 3H0M2.8 3L3.8 2.2V0.8L2.6 0H0',
  D: 'M0 0V6H2.4L4 4.4V1.6L2.4 0Z',
  E: 'M4 0H0V6H4M0 3H3',
  G: 'M4 1L3 0H1L0 1.4V4.6L1 6H3L4 5V3.4H2.4',
  H: 'M0 0V6M4 0V6M0 3H4',
  I: 'M2 0V6',
  L: 'M0 0V6H4',
  O: 'M1 0H3L4 1.4V4.6L3 6H1L0 4.6V1.4Z',
  R: 'M0 6V0H2.8L4 1V2.4L2.8 3.2H0M2.4 3.2L4 6',
  S: 'M4 0.8L3 0H1L0 1V2.2L1 3H3L4 3.8V5L3 6H1L0 5.2',
  T: 'M0 0H4M2 0V6',
  U: 'M0 0V4.6L1 6H3L4 4.6V0',
  Y: 'M0 0L2 3L4 0M2 3V6',
  3: 'M0 0.8L1 0H3L4 1V2.2L3 3H1.6M3 3L4 3.8V5L3 6H1L0 5.2',
  1: 'M1 1.2L2.4 0V6',
};

function write(text: string, x: number, y: number, heightMm: number, ink: string): string {
  const scale = heightMm / 6;
  const letters = [...text].map((letter, i) =>
    letter === ' ' ? '' : `<path transform="translate(${i * 5.6} 0)" d="${STROKES[letter]}"/>`,
  );
  return `<g transform="translate(${x} ${y}) scale(${scale})" fill="none" stroke="${ink}" stroke-width="0.9">${letters.join('')}</g>`;
}

const svg = (widthMm: number, heightMm: number, inner: string) =>
  `<svg width="${widthMm}mm" height="${heightMm}mm" viewBox="0 0 ${widthMm} ${heightMm}">${inner}</svg>`;

interface ArtworkNote {
  readonly id: string;
  readonly name: string;
  readonly featureStateId: string | null;
  readonly note: string;
  readonly svg: string;
}

const ARTWORKS: readonly ArtworkNote[] = [
  {
    ...{ id: 'artwork-waistband', name: 'Waistband, BOROUGH LIBRARY', featureStateId: 'hand-span.decal.large' },
    note: 'Drawn after the old one, which was cut at the flap.',
    svg: svg(
      69.6,
      2.4,
      `<rect width="69.6" height="2.4" fill="${CREAM}"/>${write('BOROUGH LIBRARY', 18, 0.5, 1.4, INK)}`,
    ),
  },
  {
    ...{
      id: 'artwork-fleet-number',
      name: 'Fleet number 31',
      featureStateId: null,
      note: 'Black on a plate of cream.',
    },
    svg: svg(6, 4, `<rect width="6" height="4" fill="${CREAM}"/>${write('31', 0.75, 0.6, 2.8, INK)}`),
  },
  {
    ...{
      id: 'artwork-stables',
      name: 'STABLES panel',
      featureStateId: null,
      note: 'A cream board with maroon letters.',
    },
    svg: svg(30, 6, `<rect width="30" height="6" fill="${CREAM}"/>${write('STABLES', 3.8, 1.2, 3.6, MAROON)}`),
  },
];

/** Artwork for what is planned, and for what is not planned yet. */
export async function seedDecals(manager: EntityManager, now: Date): Promise<void> {
  for (const { svg: text, ...known } of ARTWORKS)
    await manager.insert(DecalArtworkRow, {
      ...{ version: 1, drawn: null, ...known, ...createDecalArtwork(text) },
    });
  for (const { layer: name, artworkId, copies } of PLANS) {
    const layer = await manager.findOneByOrFail(CoatingLayerRow, { kind: 'decal', stage: 'planned', name });
    await manager.insert(DecalPlanRow, {
      ...{ id: artworkId.replace('artwork', 'decal'), version: 1, layerId: layer.id, artworkId, copies },
      ...{ panel: null, place: null },
    });
  }
  for (const jobId of new Set(PLANS.map((plan) => plan.jobId))) await recompilePlan(manager, jobId, now);
}

/** Both sides have one each. */
const PLANS = [
  { jobId: 'sg-03', layer: 'Waistband decal', artworkId: 'artwork-waistband', copies: 2 },
  { jobId: 'sg-05', layer: 'STABLES decal', artworkId: 'artwork-stables', copies: 2 },
  { jobId: 'sg-07', layer: 'Fleet number 31', artworkId: 'artwork-fleet-number', copies: 2 },
] as const;
