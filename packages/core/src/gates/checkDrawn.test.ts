import { expect } from 'chai';
import type { WantBit } from '../model/workpiece.ts';
import { checkDrawnStays, checkNothingDrawn } from './checkDrawn.ts';

const bit = (more: Partial<WantBit> = {}): WantBit => ({
  ...{ id: 'b', what: 'washers', amount: 2, by: 'drawer', thingId: 't', isHere: true, price: null },
  ...more,
});
type Drawn = Parameters<typeof checkNothingDrawn>[0];
const want = (bits: readonly WantBit[], more: Partial<Drawn> = {}): Drawn => ({
  ...{ what: 'hook', state: 'open', taken: null, bits },
  ...more,
});
const says = (after: Drawn, before: Drawn | null) =>
  checkDrawnStays(after, before)
    .map(({ message }) => message)
    .join();

describe('what was taken out of a drawer for a want', () => {
  it('is not typed away: neither removed, nor changed, nor called not here', () => {
    const before = want([bit()]);
    expect(says(before, before)).equal('');
    for (const bits of [
      [],
      [bit({ amount: 3 })],
      [bit({ thingId: 'other' })],
      [bit({ isHere: false })],
      [bit({ by: 'buy' })],
    ])
      expect(says(want(bits), before)).include('say first that it is not here');
  });

  it('nor typed in: it is ticked where its drawer hears of it', () => {
    expect(says(want([bit()]), want([bit({ isHere: false })]))).include('tick it where it stands');
    expect(says(want([bit()]), null)).include('tick it where it stands');
    expect(says(want([bit({ by: 'buy', thingId: null })]), null), 'what is bought is here when somebody says so').equal(
      '',
    );
    expect(says(want([bit({ thingId: null })]), null), 'of no drawer that is known').equal('');
  });

  it('holds its want: neither opened nor removed before it lies there again', () => {
    const taken = { state: 'solved' as const, taken: { thingId: 't', amount: 1 } };
    expect(says(want([], taken), want([], taken))).equal('');
    expect(checkDrawnStays(want([], { ...taken, state: 'open' }), want([], taken))[0]).include({ field: 'state' });
    expect(checkNothingDrawn(want([], taken))[0]!.message).include('put it back there first');
    expect(checkNothingDrawn(want([bit()]))[0]!.message).include('say first that it is not here');
    expect(checkNothingDrawn(want([bit({ isHere: false })]))).deep.equal([]);
  });
});
