import type { Lab } from '../../src/colour/colorimetry.ts';
import { learnDryingShift } from '../../src/colour/wetToDry.ts';
import type { MixStep, MixStepBody } from '../../src/model/colour.ts';

/** The log of a mixing, line by line. */
export const steps = (...bodies: MixStepBody[]): MixStep[] =>
  bodies.map((body, seq) => ({ id: `s${seq}`, mixId: 'm', seq, at: '', who: '', body }));

export const pour = (productId: string, ml: number): MixStepBody => ({
  ...{ kind: 'pour', productId, ml, source: 'scales' },
});

export const patch = (lab: Lab): MixStepBody => ({
  ...{ kind: 'patch', lab, sd: [0.2, 0.2, 0.2], how: 'spectrophotometer', words: null },
});

/** A house that never saw a patch dry nor compared an eye. */
export const NEW_HOUSE = { drying: learnDryingShift([], 'gloss'), eyes: {} };
