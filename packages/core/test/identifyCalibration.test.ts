import { expect } from 'chai';
import { learnRates } from '../src/identify/learnRates.ts';
import { calibrate, drawSettled, type Calibration } from './support/calibrate.ts';
import { createNominalWorld, createScaledWorld, createSimulatedCatalogue } from './support/simulatedCatalogue.ts';

// The bench does the same with 10,000 specimens; fewer leave more noise, so the limits are wider here.
const SPECIMENS = 1500;

describe('identification of simulated specimens', () => {
  const stated = createSimulatedCatalogue(2026, { variants: 200 });

  describe('where rates are as stated', () => {
    let found: Calibration;
    before(() => void (found = calibrate({ specimens: SPECIMENS, seed: 7 }, stated, createNominalWorld(stated))));

    it('is right as often as it says', () => expect(found.ece).lessThan(0.015));
    it('says "untouched" as often as it is so', () => expect(found.eceUntouched).lessThan(0.015));
    it('has nine dates in ten inside the 90 % span', () => expect(found.coverage90).within(0.87, 0.93));
    it('tells altered parts from others', () => expect(found.alteredAuc).greaterThan(0.9));
    it('does far better than a guess', () => expect(found.top1).greaterThan(0.6));
    it('says "untouched" as often also when everything was looked at', () => {
      const all = calibrate(
        { specimens: 800, seed: 8, looks: stated.features.length },
        stated,
        createNominalWorld(stated),
      );
      expect(all.eceUntouched).lessThan(0.015);
    });
  });

  for (const factor of [2, 0.5]) {
    it(`learns from settled specimens that rates are ${factor} times as high`, () => {
      const world = createScaledWorld(stated, factor);
      const errors = [0, 15, 50].map((count) => {
        const rates = learnRates(drawSettled(count, 3, stated, world));
        expect(rates.caseCount).equal(count);
        const { ece, eceUntouched } = calibrate(
          { specimens: 800, seed: 9, rates, looks: stated.features.length },
          stated,
          world,
        );
        return Math.max(ece, eceUntouched);
      });
      expect(errors[0]).greaterThan(0.08);
      expect(errors[1]).lessThan(0.6 * errors[0]!);
      expect(errors[2]).lessThan(0.045);
    });
  }

  it('believes what is stated until something is settled, and only of issues that it knows', () => {
    expect(learnRates([])).deep.include({ alteration: 1, misreading: 1, caseCount: 0 });
    const [one] = drawSettled(1, 3, stated, createNominalWorld(stated));
    expect(learnRates([{ ...one!, variantId: 'nobody' }])).deep.include({ alteration: 1, misreading: 1, caseCount: 0 });
  });
});
