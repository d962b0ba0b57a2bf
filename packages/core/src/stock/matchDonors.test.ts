import { expect } from 'chai';
import { listMatches, matchDonors, type DonorPart, type PartWish } from './matchDonors.ts';

const wish = (wantId: string, changes: Partial<PartWish> = {}): PartWish => ({
  ...{ wantId, castingId: 'van', partKey: 'wheels', role: 'wheel', sizes: { diameter: 11, bore: 1.3, width: 4 } },
  ...changes,
});
const part = (id: string, changes: Partial<DonorPart> = {}): DonorPart => ({
  id,
  state: 'sound',
  ...wish(''),
  ...changes,
});
const given = (...args: Parameters<typeof matchDonors>) =>
  matchDonors(...args).map(({ wantId, partId, why }) => `${wantId} ${partId} ${why}`);

describe('donors', () => {
  it('serve with the same part of the casting, and with what turns and measures the same', () => {
    const other = { castingId: 'lorry', partKey: 'rear-wheels' };
    expect(given([wish('w')], [part('a')])).deep.equal(['w a same part']);
    expect(given([wish('w')], [part('a', other)])).deep.equal(['w a same size']);
    expect(given([wish('w')], [part('a', { ...other, sizes: { diameter: 11.4, bore: 1.3, width: 4 } })])).deep.equal(
      [],
    );
    expect(given([wish('w')], [part('a', { ...other, sizes: { diameter: 11 } })])).deep.equal([]);
    expect(given([wish('w', { role: 'trim', partKey: 'hook' })], [part('a', { ...other, role: 'trim' })])).deep.equal(
      [],
    );
    // Nobody knows what it is: then only its sizes count.
    expect(given([wish('w', { castingId: null })], [part('a', { castingId: null })])).deep.equal(['w a same size']);
  });

  it('give the better part, and no part that is not there or given twice', () => {
    expect(given([wish('w')], [part('worn', { state: 'worn' }), part('sound')])).deep.equal(['w sound same part']);
    expect(given([wish('w')], [part('gone', { state: 'missing' })])).deep.equal([]);
    expect(given([wish('v'), wish('w')], [part('a')])).length(1);
  });

  it('by hand: the set that only one model can use is left for it', () => {
    const lorry = { castingId: 'lorry', partKey: 'wheels' };
    const far = { diameter: 14, bore: 1.3, width: 4 };
    const parts = [
      part('van’s', { state: 'worn' }),
      part('lorry’s', { ...lorry, sizes: { diameter: 11.1, bore: 1.3, width: 4 } }),
    ];
    // The van would rather have the sound ones of the lorry; the lorry has no others.
    expect(given([wish('van'), wish('lorry', { ...lorry, sizes: far })], parts)).deep.equal([
      'van van’s same part',
      'lorry lorry’s same part',
    ]);
    expect(listMatches(wish('van'), parts)).length(2);
  });
});
