import { expect } from 'chai';
import { countInHand } from './countWanted.ts';
import { findFilm } from './describeDecal.ts';
import { countComing, listBought, rateSuppliers, type FollowedOrder } from './orderedDecals.ts';
import { writeDecalOrder } from './writeDecalOrder.ts';

const shape = { d: 'M0 0H58V6H0Z', fill: '#e8dfc4', isEvenOdd: false, stroke: '#101010', strokeMm: 0.2 };
const artwork = { id: 'art', name: 'Waistband', widthMm: 58, heightMm: 6, shapes: [shape], cutLine: [] };
const order = (changes: Partial<FollowedOrder> = {}): FollowedOrder => ({
  ...{ id: 'o', version: 1, layerId: 'band', wantId: 'w', count: 4, artwork, rating: null, state: 'open' },
  ...{ supplier: null, promisedOn: null, arrivedOn: null, ...changes },
});
const band = { layerId: 'band', artwork: { id: 'art', widthMm: 58, shapes: [shape] } };
const looks = { isSharp: true, isInRegister: true, isWhiteDense: null, releasesWell: null, note: '' };

describe('decals of a supplier', () => {
  it('are coming while they are wanted, in hand once they are here, and neither when nobody wants them any more', () => {
    for (const [state, coming, inHand] of [
      ['open', 4, 0],
      ['ordered', 4, 0],
      ['solved', 0, 4],
      ['waived', 0, 0],
    ] as const) {
      const orders = [order({ state, arrivedOn: state === 'solved' ? '2026-11-20' : null })];
      expect(countComing(band, orders), state).equal(coming);
      expect(countInHand(band, listBought(orders), []), state).equal(inHand);
    }
  });

  it('are of the artwork and the size that they were ordered in', () => {
    const resized = { ...band, artwork: { id: 'art', widthMm: 56, shapes: [shape] } };
    expect(countComing(resized, [order()])).equal(0);
    expect(countInHand(resized, listBought([order({ state: 'solved' })]), [])).equal(0);
    const lettered = { ...band, artwork: { ...band.artwork, shapes: [{ ...shape, fill: '#9c1f22' }] } };
    expect(countComing(lettered, [order()])).equal(0);
    expect(countInHand(lettered, listBought([order({ state: 'solved' })]), [])).equal(0);
    expect(countComing({ ...band, layerId: 'other' }, [order()])).equal(0);
  });

  it('are as old as the days since they came; the last that came is in hand', () => {
    const now = new Date('2026-12-01T00:00:00Z');
    const bought = listBought([order({ state: 'solved', arrivedOn: '2026-11-21' })]);
    expect(findFilm('band', bought, now)).deep.equal({ film: 'clear with white under it, supplier', ageDays: 10 });
    const printed = { ...bought[0]!, at: '2026-11-29T00:00:00Z', film: 'white, office printer' as const };
    expect(findFilm('band', [...bought, printed], now)).deep.equal({ film: 'white, office printer', ageDays: 2 });
    expect(findFilm('band', listBought([order({ state: 'solved' })]), now).ageDays).equal(null);
  });

  it('tell of their supplier what was looked at, and nothing of what was not', () => {
    const supplier = { id: 't', name: 'Tamsel Transfers' };
    const rated = [
      order({ supplier, rating: looks }),
      order({ supplier, rating: { ...looks, isSharp: false } }),
      order({ supplier: { id: 'u', name: 'Unrated' } }),
    ];
    const [one, ...others] = rateSuppliers(rated);
    expect(others).deep.equal([]);
    expect(one!.rated.isSharp).deep.include({ share: 0.5, lines: 2 });
    expect(one!.rated.isInRegister).deep.include({ share: 1, lines: 2 });
    expect(one!.rated.isWhiteDense.lines).equal(0);
  });

  it('are ordered with size, number and colours; files of one name are two', () => {
    const text = writeDecalOrder([order(), order({ count: 1 })]);
    expect(text)
      .match(/File: 1 Waistband\.svg/)
      .and.match(/File: 2 Waistband\.svg/);
    expect(text)
      .match(/58\.00 x 6\.00 mm/)
      .and.match(/Pieces: 4/)
      .and.match(/#e8dfc4, #101010/);
    expect(text).match(/In all: 5 pieces/);
    expect(writeDecalOrder([order({ artwork: { ...artwork, name: '../\\a/b' } })])).match(/File: 1 \.\.ab\.svg/);
  });
});
