import { expect } from 'chai';
import type { AxleEnd } from './axleEnds.ts';
import { fitAxle, preparePlace, type AxleHead } from './fitAxle.ts';
import { planAxles, type AxleWish, type KeptPiece } from './planAxles.ts';

const DOMED: AxleEnd = { kind: 'domed', headDiameter: 2.4, headHeight: 0.6 };
const CRIMPED: AxleEnd = { kind: 'crimped', bore: 1.4, flatLength: 1.5, isAnnealed: true };
const PRESSED: AxleEnd = { kind: 'pressed' };
const dome: AxleHead = { kind: 'domed', height: { mm: 0.6, sd: 0.02 } };

const wish = (id: string, outside: number, changes: Partial<AxleWish> = {}): AxleWish => ({
  ...{ id, outside: { mm: outside, sd: 0.02 }, clearance: 0.4, diameter: 1.2, ends: [PRESSED, PRESSED] },
  bore: { mm: 1.3, sd: 0.01 },
  ...changes,
});
const piece = (id: string, length: number, changes: Partial<KeptPiece> = {}): KeptPiece => ({
  ...{ id, diameter: { mm: 1.2, sd: 0.01 }, length: { mm: length, sd: 0.02 }, heads: [null, null] },
  ...{ isStraight: true, isInDonor: false, isLocked: false },
  ...changes,
});

const fit = (one: KeptPiece, to: AxleWish) => fitAxle(one, preparePlace(to));

describe('a piece for a place', () => {
  it('by hand: both ends pressed on, cut to length off one end', () => {
    const { verdict, trim, price, keeps } = fit(piece('a', 27), wish('w', 25));
    expect(verdict).equal('fits');
    expect(keeps).equal(null);
    expect(trim[0] + trim[1]).closeTo(1.6, 1e-12);
    expect(price).closeTo(3 + 0.8, 1e-9);
  });

  it('is too short, too thick, too thin, or to be measured again', () => {
    const of = (length: number, mm = 1.2) =>
      fit(piece('a', length, { diameter: { mm, sd: 0.01 } }), wish('w', 25)).verdict;
    expect([of(25.2), of(25.4), of(25.6)]).deep.equal(['too short', 'measure again', 'fits']);
    expect([of(27, 1.3), of(27, 1.32), of(27, 1)]).deep.equal(['too thick', 'too thick', 'too thin']);
  });

  it('keeps a head of the kind that is wanted, and loses one that is not', () => {
    const headed = piece('a', 28, { heads: [null, dome] });
    const kept = fit(headed, wish('w', 25, { ends: [DOMED, DOMED] }));
    expect(kept.keeps).equal(1);
    // 28 less its head, against 25.4 and 1.3 for the other: 0.7 off the end that is formed.
    expect(kept.length.spare.mm).closeTo(27.4 - 25.4 - 1.3, 0.02);
    expect(kept.trim[1]).equal(0);
    const lost = fit(headed, wish('w', 25, { ends: [CRIMPED, PRESSED] }));
    expect(lost.keeps).equal(null);
    expect(lost.trim[1]).greaterThan(0.7);
    expect(lost.length.have.mm).closeTo(28 - 0.6 - 0.1, 1e-12);
  });

  it('asks what both its ends take when both are formed anew', () => {
    expect(fit(piece('a', 27), wish('w', 25, { ends: [DOMED, DOMED] })).verdict).equal('too short');
    expect(fit(piece('a', 29), wish('w', 25, { ends: [DOMED, DOMED] })).verdict).equal('fits');
  });

  it('costs more bent, out of a donor, and the longer it is', () => {
    const price = (changes: Partial<KeptPiece>, length = 27) => fit(piece('a', length, changes), wish('w', 25)).price;
    expect(price({ isStraight: false })).greaterThan(price({}));
    expect(price({ isInDonor: true })).greaterThan(price({}));
    expect(price({}, 30)).greaterThan(price({}));
  });
});

describe('axles over all jobs', () => {
  const given = (...args: Parameters<typeof planAxles>) => planAxles(...args).map(({ piece: one }) => one?.id ?? null);

  it('by hand: the long one is left for the wide model, though the narrow one came first', () => {
    const pieces = [piece('long', 31), piece('short', 26)];
    expect(given([wish('narrow', 25), wish('wide', 30)], pieces)).deep.equal(['short', 'long']);
    expect(given([wish('narrow', 25), wish('wide', 30)], [pieces[0]!])).deep.equal([null, 'long']);
  });

  it('leaves a locked one in its drawer and says that it would serve', () => {
    const [plan] = planAxles([wish('w', 25)], [piece('rare', 26, { isLocked: true }), piece('short', 24)]);
    expect(plan).deep.include({ piece: null, fit: null });
    expect(plan!.locked.map(({ id }) => id)).deep.equal(['rare']);
  });

  it('gives nothing that may be too short, and names it', () => {
    const [plan] = planAxles([wish('w', 25)], [piece('a', 25.4), piece('b', 25.42), piece('c', 20)]);
    expect(plan!.piece).equal(null);
    expect(plan!.unsure.map(({ id }) => id)).deep.equal(['b', 'a']);
  });

  it('of nothing is nothing', () => {
    expect(planAxles([], [piece('a', 25)])).deep.equal([]);
    expect(given([wish('w', 25)], [])).deep.equal([null]);
  });
});
