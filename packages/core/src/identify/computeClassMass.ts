import type { EncodedLook } from './encodeCatalogue.ts';
import type { MassSample } from './selectMass.ts';

/** Posterior mass of each class of variants under each history, [class * historyCount + history]. */
export function computeClassMass({ index, weight, history }: MassSample, look: EncodedLook): Float64Array {
  const size = look.altered.length;
  const mass = new Float64Array(look.classCount * size);
  for (let s = 0, at = 0; s < index.length; s++) {
    const row = look.classOf[index[s]!]! * size;
    const w = weight[s]!;
    for (let h = 0; h < size; h++, at++) mass[row + h]! += w * history[at]!;
  }
  return mass;
}
