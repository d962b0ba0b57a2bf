import { isSilent } from './catalogue.ts';
import { computeClassMass } from './computeClassMass.ts';
import type { Posterior } from './createIdentifier.ts';
import { isInside, leakOutside } from './computeDateWeights.ts';
import type { HistoryDates } from './computeDateDensity.ts';
import { quarterMiddle } from './quarters.ts';
import type { MassSample } from './selectMass.ts';

export interface EvidenceWeight {
  readonly featureId: string;
  /** log2 of the Bayes factor of this answer for the leader against its rivals, given all other answers; dates apart. */
  readonly bits: number;
}

/**
 * Weight of every answer in bits (I. J. Good, Probability and the Weighing of Evidence, 1950): how much likelier it is
 * under the leader than under its rivals, each weighted as the other answers leave it. 0 for answers that say nothing.
 */
export function computeEvidence(posterior: Posterior, sample: MassSample, leader: number): EvidenceWeight[] {
  const { encoded, factors, joint, byHypothesis } = posterior;
  const size = encoded.histories.length;
  return encoded.looks.flatMap((look, f) => {
    if (!posterior.answers.some((answer) => answer.featureId === look.id)) return [];
    const factor = factors[f];
    if (!factor) return [{ featureId: look.id, bits: 0 }];
    const mass = computeClassMass(sample, look);
    let without = 0;
    for (let at = 0; at < mass.length; at++) without += divide(mass[at]!, factor.likelihood[at]!);
    let leaderWithout = 0;
    const row = look.classOf[leader]! * size;
    for (let h = 0; h < size; h++) leaderWithout += divide(joint[leader * size + h]!, factor.likelihood[row + h]!);
    const leaderMass = byHypothesis[leader]!;
    const rivals = 1 - leaderMass;
    const rivalsWithout = without - leaderWithout;
    if (rivals < 1e-12 || rivalsWithout <= 0 || leaderWithout <= 0) return [{ featureId: look.id, bits: 0 }];
    return [{ featureId: look.id, bits: Math.log2(leaderMass / leaderWithout / (rivals / rivalsWithout)) }];
  });
}

/**
 * Chance that each feature was altered: for a look not taken, as the histories leave it; for an answer, by what it says
 * under every variant and history. A dated state outside its years was altered or misread, and nothing else.
 */
export function computeAlteredChances(
  posterior: Posterior,
  sample: MassSample,
  dates: HistoryDates,
): Map<string, number> {
  const { encoded, factors } = posterior;
  const histories = sumHistories(sample, encoded.histories.length);
  return new Map(
    encoded.looks.map((look, f): [string, number] => {
      const factor = factors[f];
      if (!factor || posterior.answers.some((answer) => answer.featureId === look.id && isSilent(answer)))
        return [look.id, histories.reduce((sum, p, h) => sum + p * look.altered[h]!, 0)];
      const mass = computeClassMass(sample, look);
      const byHistory = new Float64Array(histories.length);
      for (let at = 0; at < mass.length; at++) byHistory[at % histories.length]! += mass[at]! * factor.altered[at]!;
      const dated = posterior.dated.find((one) => one.feature.id === look.id);
      return [
        look.id,
        byHistory.reduce((sum, altered, h) => {
          if (!dated || !posterior.dateWeights) return sum + altered;
          const outside = selectMassOutside(dates, h, posterior, dated.state);
          const leak = leakOutside(dated.isHard, look.altered[h]!, dated.right);
          const alteredOutside = leak > 0 ? Math.min(1, look.altered[h]! / leak) : 0;
          return sum + (1 - outside) * altered + outside * histories[h]! * alteredOutside;
        }, 0),
      ];
    }),
  );
}

/** Share of a history's date mass that lies outside a state's years. */
function selectMassOutside(
  { byHistory }: HistoryDates,
  h: number,
  { encoded: { axis } }: Posterior,
  state: Parameters<typeof isInside>[0],
): number {
  let all = 0;
  let outside = 0;
  for (let q = 0; q < axis.count; q++) {
    const mass = byHistory[h * axis.count + q]!;
    all += mass;
    if (!isInside(state, quarterMiddle(axis, q))) outside += mass;
  }
  return all > 0 ? outside / all : 0;
}

/** p(history). */
export function sumHistories({ index, weight, history }: MassSample, size: number): number[] {
  const sums = new Array<number>(size).fill(0);
  for (let s = 0, at = 0; s < index.length; s++)
    for (let h = 0; h < size; h++, at++) sums[h]! += weight[s]! * history[at]!;
  return sums;
}

const divide = (mass: number, likelihood: number) => (mass === 0 ? 0 : mass / likelihood);
