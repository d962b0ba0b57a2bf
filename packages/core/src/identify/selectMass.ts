import type { Posterior } from './createIdentifier.ts';

/** Some hypotheses that stand for all: weights sum to 1, [sample * historyCount + history] holds p(h | hypothesis). */
export interface MassSample {
  readonly index: Int32Array;
  readonly weight: Float64Array;
  readonly history: Float64Array;
}

/** Dates, evidence and gains are summed over a sample of this size; smaller catalogues are summed whole. */
const SAMPLE = 4000;

/** A posterior is asked for its sample by everything that is said of it. */
const sampleOf = new WeakMap<Posterior, MassSample>();

/** A systematic sample of about 4,000 hypotheses of the posterior mass; all of them when there are no more. */
export function selectMass(posterior: Posterior): MassSample {
  let sample = sampleOf.get(posterior);
  if (!sample) sampleOf.set(posterior, (sample = drawSample(posterior, SAMPLE)));
  return sample;
}

function drawSample({ byHypothesis, joint, encoded }: Posterior, size: number): MassSample {
  const { kept, weights } = chooseSystematically(byHypothesis, size);
  const histories = encoded.histories.length;
  const history = new Float64Array(kept.length * histories);
  kept.forEach((i, s) => {
    for (let h = 0; h < histories; h++) history[s * histories + h] = joint[i * histories + h]! / byHypothesis[i]!;
  });
  return { index: Int32Array.from(kept), weight: Float64Array.from(weights), history };
}

/** The same of a sample: about `size` of it. */
export function thinSample(sample: MassSample, size: number): MassSample {
  if (sample.index.length <= size) return sample;
  const { kept, weights } = chooseSystematically(sample.weight, size);
  const histories = sample.history.length / sample.index.length;
  const history = new Float64Array(kept.length * histories);
  kept.forEach((from, s) =>
    history.set(sample.history.subarray(from * histories, (from + 1) * histories), s * histories),
  );
  return { index: Int32Array.from(kept, (from) => sample.index[from]!), weight: Float64Array.from(weights), history };
}

/**
 * A systematic sample of masses that sum to 1: whatever holds more than 1/size is kept with its own weight, the small ones
 * are thinned evenly along their cumulated mass. Massless ones are left out.
 */
function chooseSystematically(masses: Float64Array, size: number): { kept: number[]; weights: number[] } {
  const threshold = masses.length <= size ? 0 : 1 / size;
  let small = 0;
  if (threshold > 0) for (const p of masses) if (p < threshold) small += p;
  const step = small / Math.max(1, Math.ceil(small * size));
  const kept: number[] = [];
  const weights: number[] = [];
  let next = step / 2;
  let cumulated = 0;
  for (let i = 0; i < masses.length; i++) {
    const p = masses[i]!;
    if (p === 0) continue;
    if (p >= threshold) {
      kept.push(i);
      weights.push(p);
      continue;
    }
    cumulated += p;
    const hits = Math.ceil((cumulated - next) / step);
    if (hits <= 0) continue;
    kept.push(i);
    weights.push(hits * step);
    next += hits * step;
  }
  return { kept, weights };
}
