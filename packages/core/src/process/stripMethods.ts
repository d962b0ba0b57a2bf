import type { Material } from '../model/material.ts';
import type { Process } from '../model/process.ts';
import { uses, type Use } from '../model/supply.ts';
import { STRIP_METHODS, type BathKind, type StripMethod } from '../model/workshop.ts';

/** A way to take old paint off: declared once for the plan, the passes, the baths and the page. */
export interface StripMethodFacts {
  readonly process: Process;
  /** The whole part goes under: never with a closed seam. */
  readonly isImmersed: boolean;
  /** The bath it is done in; null where it is put on by hand. */
  readonly bath: BathKind | null;
  readonly isFor: 'metal' | 'plastic';
  /** Only these materials, and why; left out where the table of materials says all. */
  readonly only?: { readonly materials: readonly Material[]; readonly why: string };
  /** Minutes (planning estimates). */
  readonly handsOnMin: number;
  readonly watchedMin: number;
  /** Keys of hazard cards: what the process itself is dangerous with, without the paint that comes off. */
  readonly hazards: readonly string[];
  /** What one pass takes, and what it is done with. */
  readonly uses: readonly Use[];
}

export const STRIP_METHOD_FACTS: Readonly<Record<StripMethod, StripMethodFacts>> = {
  gel: {
    process: 'gel stripper',
    isImmersed: false,
    bath: null,
    isFor: 'metal',
    handsOnMin: 10,
    watchedMin: 25,
    hazards: ['gel-stripper'],
    uses: uses(['gel stripper', 15], ['gloves']),
  },
  dip: {
    process: 'gel stripper',
    isImmersed: true,
    bath: 'dip stripper',
    isFor: 'metal',
    handsOnMin: 8,
    watchedMin: 30,
    hazards: ['gel-stripper'],
    uses: uses(['dip stripper', 40], ['gloves']),
  },
  caustic: {
    process: 'caustic bath',
    isImmersed: true,
    bath: 'caustic',
    isFor: 'metal',
    handsOnMin: 10,
    watchedMin: 20,
    hazards: ['caustic-bath'],
    uses: uses(['pure sodium hydroxide', 40], ['citric acid', 5], ['caustic vessel with a resting lid'], ['gloves']),
  },
  blast: {
    process: 'blasting',
    isImmersed: false,
    bath: null,
    isFor: 'metal',
    handsOnMin: 15,
    watchedMin: 0,
    hazards: ['blasting'],
    uses: uses(['mild blasting grit', 200], ['gloves']),
  },
  'mild slow': {
    process: 'glycol-ether fluid',
    isImmersed: true,
    bath: 'glycol-ether fluid',
    isFor: 'metal',
    handsOnMin: 10,
    watchedMin: 60,
    hazards: ['glycol-ether'],
    uses: uses(['glycol-ether fluid', 60], ['gloves']),
  },
  'glycol-ether': {
    process: 'glycol-ether fluid',
    isImmersed: true,
    bath: 'glycol-ether fluid',
    isFor: 'plastic',
    handsOnMin: 12,
    watchedMin: 40,
    hazards: ['glycol-ether'],
    uses: uses(['glycol-ether fluid', 20], ['gloves']),
  },
  'thinner wipe': {
    process: 'solvent wipe',
    isImmersed: false,
    bath: null,
    isFor: 'plastic',
    only: { materials: ['hard plastic', 'ABS'], why: 'thinner is for hard plastics only' },
    handsOnMin: 20,
    watchedMin: 0,
    hazards: ['degreaser'],
    uses: uses(['thinner', 10], ['gloves']),
  },
};

/** May this bath be used for that method? A bath takes its own methods only. */
export const isBathFor = (bath: BathKind, method: StripMethod): boolean => STRIP_METHOD_FACTS[method].bath === bath;

/** The method's name as it stands in fields; null where the field holds something else. */
export const asStripMethod = (method: string | null): StripMethod | null =>
  STRIP_METHODS.find((one) => one === method) ?? null;
