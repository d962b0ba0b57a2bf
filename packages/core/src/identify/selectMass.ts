import type { Posterior } from './createIdentifier.ts';

/** Some hypotheses that stand for all: weights sum to 1, [sample * historyCount + history] holds p(h | hypothesis). */
export interface MassSample {
  readonly index: Int32Array;
  readonly weight: Float64Array;
  readonly history: Float64Array;
}

/**
 * A systematic sample of about `size` hypotheses of the posterior mass: whatever holds more than 1/size of it is kept with
 * its own weight, the small ones are thinned evenly along their cumulated mass. Everything is kept when there are no more
 * than `size` hypotheses.
 */
export function selectMass({ byHypothesis, joint, encoded }: Posterior, size: number): MassSample {
  const { length } = byHypothesis;
  const threshold = length <= size ? 0 : 1 / size;
  let smallMass = 0;
  if (threshold > 0) for (let i = 0; i < length; i++) if (byHypothesis[i]! < threshold) smallMass += byHypothesis[i]!;
  const step = smallMass / Math.max(1, Math.ceil(smallMass * size));
  const index: number[] = [];
  const weight: number[] = [];
  let next = step / 2;
  let cumulated = 0;
  for (let i = 0; i < length; i++) {
    const p = byHypothesis[i]!;
    if (p === 0) continue;
    if (p >= threshold) {
      index.push(i);
      weight.push(p);
      continue;
    }
    cumulated += p;
    const hits = Math.ceil((cumulated - next) / step);
    if (hits <= 0) continue;
    index.push(i);
    weight.push(hits * step);
    next += hits * step;
  }
  const histories = encoded.histories.length;
  const history = new Float64Array(index.length * histories);
  index.forEach((i, s) => {
    for (let h = 0; h < histories; h++) history[s * histories + h] = joint[i * histories + h]! / byHypothesis[i]!;
  });
  return { index: Int32Array.from(index), weight: Float64Array.from(weight), history };
}
