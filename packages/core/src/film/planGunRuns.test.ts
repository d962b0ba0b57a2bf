import { expect } from 'chai';
import { createSeededRandom } from '../numeric/seededRandom.ts';
import { planGunRuns, type SprayableCoat } from './planGunRuns.ts';

const coat = (paint: string, until: number | null = null, colourHex = '#808080'): SprayableCoat => ({
  paint,
  until,
  colourHex,
});
const say = (coats: readonly SprayableCoat[], holds = '') =>
  planGunRuns(coats, holds).map(
    ({ paint, coats: own, isRinsedBefore }) => `${isRinsedBefore ? 'rinse, ' : ''}${paint} ${own.length}`,
  );

describe('the runs of the gun', () => {
  it('by hand: what is in it first, then what shuts first, then the lighter', () => {
    const coats = [
      coat('black', null, '#141414'),
      coat('cream', null, '#e6d9b4'),
      coat('blue', 90),
      coat('black', null, '#141414'),
    ];
    expect(say(coats)).deep.equal(['blue 1', 'rinse, cream 1', 'rinse, black 2']);
    expect(say(coats, 'black')).deep.equal(['black 2', 'rinse, blue 1', 'rinse, cream 1']);
    expect(say(coats, 'red')).deep.equal(['rinse, blue 1', 'rinse, cream 1', 'rinse, black 2']);
    expect(say([])).deep.equal([]);
  });

  it('rinse as seldom as any order of the coats could, and leave none out', () => {
    const random = createSeededRandom(4);
    for (let i = 0; i < 200; i++) {
      const coats = Array.from({ length: 1 + Math.floor(5 * random()) }, () =>
        coat(
          'abc'[Math.floor(3 * random())]!,
          random() < 0.5 ? null : random(),
          random() < 0.5 ? '#141414' : '#e6d9b4',
        ),
      );
      const holds = ['', 'a', 'b', 'd'][Math.floor(4 * random())]!;
      const runs = planGunRuns(coats, holds);
      expect(runs.flatMap((run) => run.coats)).members(coats);
      const rinses = runs.filter(({ isRinsedBefore }) => isRinsedBefore).length;
      expect(rinses).equal(
        Math.min(...permute(coats.map(({ paint }) => paint)).map((order) => countRinses(order, holds))),
      );
    }
  });
});

const permute = (paints: readonly string[]): string[][] =>
  paints.length < 2
    ? [[...paints]]
    : paints.flatMap((paint, i) => permute(paints.filter((_, at) => at !== i)).map((rest) => [paint, ...rest]));

/** Step by step: whatever goes in, goes into a gun that holds it or is clean. */
function countRinses(order: readonly string[], holds: string): number {
  let [inside, rinses] = [holds, 0];
  for (const paint of order) {
    if (inside !== '' && inside !== paint) rinses++;
    inside = paint;
  }
  return rinses;
}
