import { expect } from 'chai';
import { identifySpecimen } from '../src/identify/identifySpecimen.ts';
import { createSeededRandom } from '../src/numeric/seededRandom.ts';
import { createSimulatedCatalogue, drawSpecimen } from './support/simulatedSpecimens.ts';

const SPECIMENS = 3000;
const BINS = 10;

/** Claims of a probability with how often they came true. */
class Reliability {
  private readonly claimed = new Float64Array(BINS);
  private readonly came = new Float64Array(BINS);
  private readonly count = new Float64Array(BINS);
  private total = 0;

  add(probability: number, isTrue: boolean): void {
    const bin = Math.min(BINS - 1, Math.floor(probability * BINS));
    this.claimed[bin]! += probability;
    this.came[bin]! += isTrue ? 1 : 0;
    this.count[bin]!++;
    this.total++;
  }

  /** Expected calibration error: the mean gap between claimed and seen, weighted by how often a bin was used. */
  error(): number {
    let sum = 0;
    for (let bin = 0; bin < BINS; bin++) if (this.count[bin]) sum += Math.abs(this.claimed[bin]! - this.came[bin]!);
    return sum / this.total;
  }
}

describe('identification on simulated specimens (seed 7)', () => {
  const catalogue = createSimulatedCatalogue(7, 12);
  const random = createSeededRandom(77);
  const leaders = new Reliability();
  const alterations = new Reliability();
  let found = 0;
  let certain = 0;
  let certainAndRight = 0;
  before(() => {
    for (let i = 0; i < SPECIMENS; i++) {
      const specimen = drawSpecimen(catalogue, random);
      const { ranked, noneProbability, evidence } = identifySpecimen(catalogue, specimen.answers);
      const leader = ranked[0]!.probability >= noneProbability ? ranked[0]!.variantId : null;
      const probability = Math.max(ranked[0]!.probability, noneProbability);
      leaders.add(probability, leader === specimen.variantId);
      if (leader === specimen.variantId) found++;
      if (probability > 0.95) {
        certain++;
        if (leader === specimen.variantId) certainAndRight++;
      }
      for (const { featureId, alteredChance } of evidence)
        alterations.add(alteredChance, specimen.altered.has(featureId));
    }
  });

  it('is right as often as it says', () => expect(leaders.error()).lessThan(0.025));

  it('calls a feature altered as often as it was', () => expect(alterations.error()).lessThan(0.025));

  it('is rarely wrong when it is sure', () => {
    expect(certain).greaterThan(SPECIMENS / 5);
    expect(certainAndRight / certain).greaterThan(0.96);
  });

  it('does far better than a guess', () => expect(found / SPECIMENS).greaterThan(0.6));
});
