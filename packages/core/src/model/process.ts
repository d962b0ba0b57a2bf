import { MATERIALS, type Material } from './material.ts';

/** What may be done to a part or to what is on it. */
export const PROCESSES = [
  'caustic bath',
  'gel stripper',
  'glycol-ether fluid',
  'blasting',
  'ultrasonic',
  'soap and water',
  'solvent wipe',
  'wire wheel',
  'abrasive',
  'heat gun',
  'oven',
  'powder bake',
  'torch anneal',
  'soldering',
  'cyanoacrylate',
  'acid rust remover',
  'drilling',
] as const;
export type Process = (typeof PROCESSES)[number];

/** What is on or in a part besides what it is made of; it meets every process that the part meets. */
export const ADDED_MATERIALS = ['two-part filler', 'cyanoacrylate bond', 'soft solder', 'water-slide decal'] as const;
export type AddedMaterial = (typeof ADDED_MATERIALS)[number];

export type TreatedMaterial = Material | AddedMaterial;
export const TREATED_MATERIALS: readonly TreatedMaterial[] = [...MATERIALS, ...ADDED_MATERIALS];

/** From the mildest to the strictest: an assembly takes the strictest of its parts. */
export const VERDICTS = ['fine', 'with care', 'test first', 'never'] as const;
export type Verdict = (typeof VERDICTS)[number];

/** What an answer rests on. */
export const CELL_SOURCES = ['chemistry', 'softening range', 'hardness', 'bench practice', 'careful guess'] as const;
export type CellSource = (typeof CELL_SOURCES)[number];

/** May this material meet this process, why, and how far. */
export interface ProcessCell {
  readonly verdict: Verdict;
  readonly reason: string;
  /** How far it may go, in words; empty where it may not, or needs none. */
  readonly limit: string;
  /** Hottest that the material may become, °C; only for processes with heat. */
  readonly mostC?: number;
  readonly source: CellSource;
}

/** What a part can be made of, not something that is only on it. */
export const isMaterial = (one: TreatedMaterial | undefined): one is Material =>
  (MATERIALS as readonly (TreatedMaterial | undefined)[]).includes(one);

/** Lets go, comes off or is made anew when old paint is taken off; what the part is, and its solder, stays. */
export const comesOffWithPaint = (one: TreatedMaterial): boolean =>
  one === 'water-slide decal' || one === 'two-part filler' || one === 'cyanoacrylate bond';

/** Lets go where it becomes hot: nothing that holds it is heated or baked. */
export const letsGoInHeat = (one: TreatedMaterial): boolean =>
  one === 'soft solder' || one === 'cyanoacrylate bond' || one === 'two-part filler';
