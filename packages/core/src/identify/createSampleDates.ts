import type { Posterior } from './createIdentifier.ts';
import type { MassSample } from './selectMass.ts';

/** The date density of each hypothesis of a sample under each history. */
export interface SampleDates {
  /** Mass of quarters first (included) to end (excluded), 0 to 1. */
  massBetween(s: number, h: number, first: number, end: number): number;
  /** Adds weight times the density to `target`, from `begin` on, one entry a quarter. */
  addInPlace(s: number, h: number, weight: number, target: Float64Array, begin: number): void;
}

export function createSampleDates({ encoded, dateWeights, dateShares }: Posterior, { index }: MassSample): SampleDates {
  const { axis, spans, histories } = encoded;
  const { first, offset, values } = spans;
  const size = histories.length;
  // Without dates all histories share one density: one layer is enough.
  const layers = dateWeights ? size : 1;
  const begins = new Int32Array(index.length * layers + 1);
  for (let at = 0; at < index.length * layers; at++) {
    const i = index[Math.floor(at / layers)]!;
    begins[at + 1] = begins[at]! + offset[i + 1]! - offset[i]!;
  }
  const density = new Float64Array(begins[index.length * layers]!);
  for (let s = 0; s < index.length; s++) {
    const i = index[s]!;
    for (let layer = 0; layer < layers; layer++) {
      const to = begins[s * layers + layer]!;
      const share = dateShares ? dateShares[i * size + layer]! : 1;
      for (let k = offset[i]!, d = to, w = layer * axis.count + first[i]!; k < offset[i + 1]!; k++, d++, w++)
        density[d] = share > 0 ? (values[k]! * (dateWeights ? dateWeights[w]! : 1)) / share : 0;
    }
  }
  const rowOf = (s: number, h: number) => s * layers + (layers === 1 ? 0 : h);
  return {
    massBetween(s, h, from, end) {
      const row = rowOf(s, h);
      const start = first[index[s]!]!;
      const stop = Math.min(begins[row + 1]!, begins[row]! + end - start);
      let sum = 0;
      for (let d = Math.max(begins[row]!, begins[row]! + from - start); d < stop; d++) sum += density[d]!;
      return sum;
    },
    addInPlace(s, h, weight, target, begin) {
      const row = rowOf(s, h);
      const stop = begins[row + 1]!;
      for (let d = begins[row]!, at = begin + first[index[s]!]!; d < stop; d++, at++)
        target[at]! += weight * density[d]!;
    },
  };
}
