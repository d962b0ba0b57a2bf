import type { Posterior } from './createIdentifier.ts';

/** Mass of date and history together, [history * quarters + quarter], and of the date alone. */
export interface HistoryDates {
  readonly byHistory: Float64Array;
  readonly density: Float64Array;
}

/** Hypotheses with less than this are left out: 50,000 of them change no quarter by 1e-9. */
const NEGLIGIBLE = 1e-15;

/**
 * The date per quarter: the mixture of the production spans over variants and histories, cut by the range-wide dates.
 * When nothing speaks of the date the histories share one density.
 */
export function computeDateDensity({ encoded, joint, byHypothesis, dateShares, dateWeights }: Posterior): HistoryDates {
  const { spans, axis, histories, hypothesisCount } = encoded;
  const { first, offset, values } = spans;
  const size = histories.length;
  const byHistory = new Float64Array(size * axis.count);
  const density = new Float64Array(axis.count);
  if (!dateWeights || !dateShares) {
    const sums = new Float64Array(size);
    for (let i = 0; i < hypothesisCount; i++) {
      for (let h = 0; h < size; h++) sums[h]! += joint[i * size + h]!;
      const p = byHypothesis[i]!;
      if (p < NEGLIGIBLE) continue;
      for (let k = offset[i]!, q = first[i]!; k < offset[i + 1]!; k++, q++) density[q]! += p * values[k]!;
    }
    for (let at = 0; at < byHistory.length; at++)
      byHistory[at] = sums[Math.floor(at / axis.count)]! * density[at % axis.count]!;
    return { byHistory, density };
  }
  for (let i = 0; i < hypothesisCount; i++) {
    if (byHypothesis[i]! < NEGLIGIBLE) continue;
    for (let h = 0; h < size; h++) {
      const p = joint[i * size + h]! / dateShares[i * size + h]!;
      if (!(p > NEGLIGIBLE * NEGLIGIBLE)) continue;
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
