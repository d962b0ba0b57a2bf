import { expect } from 'chai';
import { calibrate, type Calibration } from './support/calibrate.ts';
import { createNominalWorld, createSimulatedCatalogue, createWrongWorld } from './support/simulatedCatalogue.ts';

// The bench does the same with 10,000 specimens; fewer leave more noise, so the limits are wider here.
const SPECIMENS = 1500;

describe('identification of simulated specimens', () => {
  const believed = createSimulatedCatalogue(2026, { variants: 200 });

  describe('where rates are as believed', () => {
    let found: Calibration;
    before(() => void (found = calibrate(SPECIMENS, 7, believed, createNominalWorld(believed))));

    it('is right as often as it says', () => expect(found.ece).lessThan(0.035));
    it('says "untouched" as often as it is so', () => expect(found.eceUntouched).lessThan(0.045));
    it('has nine dates in ten inside the 90 % span', () => expect(found.coverage90).within(0.87, 0.93));
    it('tells altered parts from others', () => expect(found.alteredAuc).greaterThan(0.9));
    it('does far better than a guess', () => expect(found.top1).greaterThan(0.6));
  });

  it('stays usable where models were altered and misread twice as often', () => {
    const found = calibrate(SPECIMENS, 8, believed, createWrongWorld(believed));
    expect(found.ece).lessThan(0.05);
    expect(found.eceUntouched).lessThan(0.13);
    expect(found.coverage90).within(0.85, 0.94);
  });
});
