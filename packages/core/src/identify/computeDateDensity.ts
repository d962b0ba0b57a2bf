import type { Posterior } from './createIdentifier.ts';
import type { MassSample } from './selectMass.ts';

/** Mass of date and history together, [history * quarters + quarter], and of the date alone. */
export interface HistoryDates {
  readonly byHistory: Float64Array;
  readonly density: Float64Array;
}

/**
 * The date per quarter: the mixture of the production spans over variants and histories, cut by the range-wide dates.
 * When nothing speaks of the date the histories share one density. Summed over a sample of the mass: exact when that is all.
 */
export function computeDateDensity(
  { encoded, dateShares, dateWeights }: Posterior,
  { index, weight, history }: MassSample,
): HistoryDates {
  const { spans, axis, histories } = encoded;
  const { first, offset, values } = spans;
  const size = histories.length;
  const byHistory = new Float64Array(size * axis.count);
  const density = new Float64Array(axis.count);
  if (!dateWeights || !dateShares) {
    const sums = new Float64Array(size);
    for (let s = 0; s < index.length; s++) {
      const i = index[s]!;
      const p = weight[s]!;
      for (let h = 0; h < size; h++) sums[h]! += p * history[s * size + h]!;
      for (let k = offset[i]!, q = first[i]!; k < offset[i + 1]!; k++, q++) density[q]! += p * values[k]!;
    }
    for (let at = 0; at < byHistory.length; at++)
      byHistory[at] = sums[Math.floor(at / axis.count)]! * density[at % axis.count]!;
    return { byHistory, density };
  }
  for (let s = 0; s < index.length; s++) {
    const i = index[s]!;
    for (let h = 0; h < size; h++) {
      const mass = weight[s]! * history[s * size + h]!;
      if (mass === 0) continue;
      const p = mass / dateShares[i * size + h]!;
      for (let k = offset[i]!, at = h * axis.count + first[i]!; k < offset[i + 1]!; k++, at++)
        byHistory[at]! += p * values[k]!;
    }
  }
  for (let at = 0; at < byHistory.length; at++) {
    byHistory[at]! *= dateWeights[at]!;
    density[at % axis.count]! += byHistory[at]!;
  }
  return { byHistory, density };
}
