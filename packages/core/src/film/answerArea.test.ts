import { expect } from 'chai';
import fc from 'fast-check';
import { answerArea, intersectSpans, type StandingCoat } from './answerArea.ts';
import type { Span } from './computeSpans.ts';
import { COAT_ACTS, type CoatAct } from '../model/drying.ts';

const MINUTE = 60_000;
const span = (from: number, to: number | null): Span => ({ from: from * MINUTE, to: to === null ? null : to * MINUTE });
const coat = (layerId: string, ...recoat: Span[]): StandingCoat => ({
  layerId,
  spans: Object.fromEntries(COAT_ACTS.map((act) => [act, recoat])) as unknown as Record<CoatAct, Span[]>,
});
const recoatOf = (coats: readonly StandingCoat[], minute: number) =>
  answerArea(coats, minute * MINUTE).find(({ act }) => act === 'recoat')!;

/** A first coat at 0 and a second, wet in wet, half an hour later. */
const WET = [coat('first', span(20, 106), span(2400, null)), coat('second', span(50, 136), span(2430, null))];

describe('what may be done with an area', () => {
  it('by hand: wet in wet it shuts with the first coat and opens with the last', () => {
    expect(recoatOf(WET, 40)).deep.include({ isAllowed: false, changesAt: 50 * MINUTE, heldBy: 'second' });
    expect(recoatOf(WET, 60)).deep.include({ isAllowed: true, changesAt: 106 * MINUTE, heldBy: null });
    expect(recoatOf(WET, 120)).deep.include({ isAllowed: false, changesAt: 2430 * MINUTE, heldBy: 'first' });
    expect(recoatOf(WET, 2410)).deep.include({ isAllowed: false, heldBy: 'second' });
    expect(recoatOf(WET, 2431)).deep.include({ isAllowed: true, changesAt: null, heldBy: null });
  });

  it('lets everything be done where nothing is on', () => {
    for (const answer of answerArea([], 0))
      expect(answer).deep.include({ isAllowed: true, changesAt: null, heldBy: null });
  });

  it('allows just what every single coat allows, at any moment (random spans)', () => {
    const spans = fc
      .uniqueArray(fc.integer({ min: 0, max: 200 }), { minLength: 1, maxLength: 5 })
      .map((at) => [...at].sort((a, b) => a - b))
      .map((at) => at.flatMap((from, i) => (i % 2 ? [] : [span(from, at[i + 1] ?? null)])));
    fc.assert(
      fc.property(fc.array(spans, { maxLength: 4 }), fc.integer({ min: -5, max: 210 }), (lists, minute) => {
        const coats = lists.map((list, i) => coat(`${i}`, ...list));
        const isWithin = (list: readonly Span[]) =>
          list.some(({ from, to }) => from <= minute * MINUTE && (to === null || minute * MINUTE < to));
        const { isAllowed, changesAt } = recoatOf(coats, minute);
        expect(isAllowed).equal(lists.every(isWithin));
        // It changes then, and not before.
        const next = Array.from({ length: 260 }, (_, i) => minute + i).find(
          (at) =>
            lists.every((list) =>
              list.some(({ from, to }) => from <= at * MINUTE && (to === null || at * MINUTE < to)),
            ) !== isAllowed,
        );
        expect(changesAt).equal(next === undefined ? null : next * MINUTE);
      }),
    );
  });

  it('knows no span where two do not meet', () => {
    expect(intersectSpans([span(0, 10)], [span(10, 20)])).deep.equal([]);
    expect(intersectSpans([span(0, null)], [span(5, null)])).deep.equal([span(5, null)]);
  });
});
