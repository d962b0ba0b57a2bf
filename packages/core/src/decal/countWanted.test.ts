import { expect } from 'chai';
import { countInHand, countSets, countWanted } from './countWanted.ts';
import type { DecalAct } from './placing/decalAct.ts';

const piece = { layerId: 'band', artworkId: 'art', x: 0, y: 0, turn: 0 as const };
const sheet = (at: string, count: number, changes: object = {}) => ({
  ...{ at, isSpoiled: false, artworks: [{ id: 'art', widthMm: 58, shapes: [] }] },
  pieces: Array.from({ length: count }, () => piece),
  ...changes,
});
const act = (id: string, at: string, changes: Partial<DecalAct> = {}): DecalAct => ({
  ...{ id, at, layerId: 'band', who: 'Nell', act: 'lost', trouble: null, ofId: null, soakS: null, film: null },
  ...{ ageDays: null, note: '', ...changes },
});
const band = {
  layerId: 'band',
  artwork: { id: 'art', widthMm: 58, shapes: [] },
  copies: 2,
  sets: 2,
  isPlaced: false,
  coming: 0,
};

describe('decals to print', () => {
  it('are all sets, less what is in hand; none of what lies or has no artwork', () => {
    expect(countWanted(band, [], [])).equal(4);
    expect(countWanted(band, [sheet('2026-11-01', 3)], [])).equal(1);
    expect(countWanted(band, [sheet('2026-11-01', 9)], [])).equal(0);
    expect(countWanted({ ...band, isPlaced: true }, [], [])).equal(0);
    expect(countWanted({ ...band, artwork: null }, [], [])).equal(0);
    expect(countWanted({ ...band, coming: 3 }, [], [])).equal(1);
    expect(countWanted({ ...band, coming: 3 }, [sheet('2026-11-01', 4)], [])).equal(0);
    expect([countSets('wet pad and two sets'), countSets('setting fluid')]).deep.equal([2, 1]);
  });

  it('are more by what was lost, and not by what was taken back', () => {
    const acts = [act('a', '2026-11-02'), act('b', '2026-11-03')];
    expect(countInHand(band, [sheet('2026-11-01', 4)], acts)).equal(2);
    const back = act('c', '2026-11-04', { act: 'taken back', ofId: 'b' });
    expect(countInHand(band, [sheet('2026-11-01', 4)], [...acts, back])).equal(3);
    expect(countInHand(band, [sheet('2026-11-01', 4)], [act('d', '2026-11-02', { layerId: 'other' })])).equal(4);
  });

  it('count a sheet that did not come out for none, and another size for another decal', () => {
    expect(countInHand(band, [sheet('2026-11-01', 4, { isSpoiled: true })], [])).equal(0);
    const resized = { ...band, artwork: { id: 'art', widthMm: 56, shapes: [] } };
    expect(countInHand(resized, [sheet('2026-11-01', 4)], [])).equal(0);
    // Those that were lost were of the old size.
    const sheets = [
      sheet('2026-11-05', 4, { artworks: [{ id: 'art', widthMm: 56, shapes: [] }] }),
      sheet('2026-11-01', 4),
    ];
    expect(countInHand(resized, sheets, [act('a', '2026-11-02'), act('b', '2026-11-03')])).equal(4);
    expect(countInHand(resized, sheets, [act('a', '2026-11-06')])).equal(3);
  });
});
