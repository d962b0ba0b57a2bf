import { expect } from 'chai';
import fc from 'fast-check';
import { createDryingClock, type RoomReading } from './dryingClock.ts';
import { COAT_ACTS, type DryingSheet } from '../model/drying.ts';
import { completeSheet } from './dryingSheet.ts';
import { answerAt, computeMargins, computeSpans } from './computeSpans.ts';
import { learnDrying, type LearnedTime } from './learnDrying.ts';

const MINUTE = 60_000;
const LAW = { refC: 20, minC: 12, isWaterBorne: false };
const ENAMEL = completeSheet({ binder: 'enamel', flashMin: 20, recoatMin: 1440, cureMin: 10080 });
/** So many coats were touched that the sheet is known to be right; only the coats' own spread is left. */
const KNOWN = learnDrying(
  1,
  Array.from({ length: 400 }, () => ({ notYetMin: 0.999, readyMin: 1.001 })),
);

function spansOf(
  readings: readonly RoomReading[],
  sheet: DryingSheet = ENAMEL,
  learned: LearnedTime = learnDrying(1, []),
  filmShare = 1,
) {
  const clock = (side: 'least' | 'most') => createDryingClock(readings, LAW, side);
  return computeSpans({
    ...{ appliedAt: 0, filmShare, sheet, margins: computeMargins(learned) },
    clocks: { least: clock('least'), most: clock('most') },
  });
}
const roomAt = (tempC: number): RoomReading[] => [{ at: 0, tempC, humidity: null }];
const minutes = ({ from, to }: { from: number; to: number | null }) => [
  from / MINUTE,
  to === null ? null : to / MINUTE,
];

describe('what a coat bears, and when', () => {
  it('has two windows of an enamel with a gap between, by hand at three temperatures', () => {
    // 95 % sure with the coats' own spread alone: e^(1.645 * 0.2) = 1.3896 later, 0.7196 earlier.
    for (const [tempC, factor] of [
      [20, 1],
      [15, Math.SQRT2],
      [25, Math.SQRT1_2],
    ] as const) {
      const [wet, dry] = spansOf(roomAt(tempC), ENAMEL, KNOWN).recoat.map(minutes);
      expect(wet![0]).closeTo(20 * factor, 0.01);
      expect(wet![1]).closeTo(180 * 0.7196 * factor, 0.5);
      expect(dry![0]).closeTo(1440 * 1.3896 * factor, 4);
      expect(dry![1]).equal(null);
    }
  });

  it('says before, in the window, in the gap and after what holds and when it changes', () => {
    const { recoat } = spansOf(roomAt(20), ENAMEL, KNOWN);
    const at = (minute: number) => answerAt(recoat, minute * MINUTE);
    expect(at(10)).deep.equal({ isAllowed: false, changesAt: 20 * MINUTE });
    expect(at(60)).deep.equal({ isAllowed: true, changesAt: recoat[0]!.to });
    expect(at(400)).deep.equal({ isAllowed: false, changesAt: recoat[1]!.from });
    expect(at(3000)).deep.equal({ isAllowed: true, changesAt: null });
  });

  it('never says that it begins in a room that is too cold', () => {
    const spans = spansOf(roomAt(8));
    for (const act of COAT_ACTS) expect(spans[act], act).deep.equal([]);
    expect(answerAt(spans.recoat, 0)).deep.equal({ isAllowed: false, changesAt: null });
  });

  it('gives a thick coat more time, and a thin one a shorter window but no earlier start', () => {
    const [usual, thick, thin] = [1, 1.5, 0.7].map((share) => spansOf(roomAt(20), ENAMEL, KNOWN, share));
    expect(thick!.recoat[1]!.from / usual!.recoat[1]!.from).closeTo(2.25, 1e-9);
    expect(thick!.recoat[0]!.to).equal(usual!.recoat[0]!.to);
    expect(thin!.recoat[1]!.from).equal(usual!.recoat[1]!.from);
    expect(thin!.recoat[0]!.to! / usual!.recoat[0]!.to!).closeTo(0.49, 1e-9);
  });

  it('leaves a window out that shuts before it may be used', () => {
    const sheet = {
      ...ENAMEL,
      spans: {
        ...ENAMEL.spans,
        recoat: [
          { fromMin: 20, toMin: 25 },
          { fromMin: 600, toMin: null },
        ],
      },
    };
    expect(spansOf(roomAt(20), sheet).recoat).length(1);
  });

  it('allows less to whoever knows less, whatever the product and the room (200 random ones)', () => {
    const product = fc.record({
      binder: fc.constantFrom('enamel' as const, 'acrylic' as const, 'lacquer' as const, 'ink' as const),
      flashMin: fc.integer({ min: 3, max: 30 }),
      recoatMin: fc.integer({ min: 20, max: 1500 }),
      cureMin: fc.integer({ min: 1500, max: 12000 }),
    });
    const room = fc.array(fc.double({ min: 13, max: 29, noNaN: true }), { minLength: 1, maxLength: 40 });
    fc.assert(
      fc.property(product, room, fc.integer({ min: 1, max: 20_000 }), (known, temperatures, minute) => {
        const readings = temperatures.map((tempC, i) => ({ at: i * 60 * MINUTE, tempC, humidity: null }));
        const sheet = completeSheet(known);
        const [unsure, sure] = [learnDrying(1, []), KNOWN].map((learned) => spansOf(readings, sheet, learned));
        for (const act of COAT_ACTS)
          if (answerAt(unsure![act], minute * MINUTE).isAllowed)
            expect(answerAt(sure![act], minute * MINUTE).isAllowed, act).equal(true);
      }),
      { numRuns: 200 },
    );
  });
});
