import { expect } from 'chai';
import { completeSheet } from './dryingSheet.ts';
import { isDryingSheet } from './isDryingSheet.ts';

const usual = completeSheet({ binder: 'enamel', flashMin: 20, recoatMin: 1440, cureMin: 10080 });
const recoat = (...windows: readonly (readonly [number, number | null])[]) =>
  isDryingSheet({
    ...usual,
    spans: { ...usual.spans, recoat: windows.map(([fromMin, toMin]) => ({ fromMin, toMin })) },
  });

describe('a sheet from outside', () => {
  it('is what the core makes itself, of every binder', () => {
    for (const binder of ['enamel', 'acrylic', 'lacquer', 'ink', 'powder'] as const)
      expect(isDryingSheet(completeSheet({ binder, flashMin: 5, recoatMin: 60, cureMin: 4320 })), binder).equal(true);
  });

  it('has windows in order, none empty, two at most, and only the last without an end', () => {
    expect(recoat([20, 180], [1440, null])).equal(true);
    expect(recoat([20, 180], [1440, 4320])).equal(true);
    expect(recoat([20, null], [1440, null])).equal(false);
    expect(recoat([20, 180], [180, null])).equal(false);
    expect(recoat([60, 30])).equal(false);
    expect(recoat([0, 5], [10, 20], [30, null])).equal(false);
    expect(recoat()).equal(false);
    expect(recoat([Number.NaN, null])).equal(false);
  });

  it('says something of every act and nothing else', () => {
    const rest = Object.fromEntries(Object.entries(usual.spans).filter(([act]) => act !== 'wear'));
    expect(isDryingSheet({ ...usual, spans: rest })).equal(false);
    expect(isDryingSheet({ ...usual, spans: { ...usual.spans, polish: usual.spans.wear } })).equal(false);
    expect(isDryingSheet({ ...usual, note: 'x' })).equal(false);
    expect(isDryingSheet({ ...usual, refC: 900 })).equal(false);
    for (const other of [null, 7, 'sheet', [], {}]) expect(isDryingSheet(other)).equal(false);
  });
});
