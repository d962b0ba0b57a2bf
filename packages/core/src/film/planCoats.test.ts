import { expect } from 'chai';
import type { PaintProduct } from '../model/work.ts';
import { adviseGround } from './adviseGround.ts';
import { completeProduct } from './completeProduct.ts';
import { MOST_COATS, planCoats } from './planCoats.ts';

const paint = (colourHex: string, changes: Partial<PaintProduct> = {}): PaintProduct => ({
  ...{ id: colourHex, version: 1 },
  ...completeProduct({
    line: 'Marlstone',
    name: colourHex,
    kind: 'colour',
    binder: 'enamel',
    gloss: 'gloss',
    colourHex,
  }),
  ...changes,
});
const layer = (kind: 'primer' | 'colour', colourHex: string, coats: number | null = null) => ({
  kind,
  colourHex,
  coats,
});
const [WHITE, GREY, OXIDE] = ['#ecebe7', '#8b8d8d', '#7d4334'] as const;
const cream = paint('#e6d9b4');
const maroon = paint('#6a2330', { dryFilmUm: 8 });

describe('wet coats of a planned layer', () => {
  it('are as many as the restorer says, whatever the ground', () =>
    expect(planCoats(layer('colour', cream.colourHex, 7), cream, [OXIDE])).equal(7));

  it('are one of everything but colour, of powder, and over its own colour', () => {
    expect(planCoats(layer('primer', GREY), undefined, [OXIDE])).equal(1);
    expect(
      planCoats(layer('colour', cream.colourHex), paint(cream.colourHex, { kind: 'powder', binder: 'powder' }), [
        OXIDE,
      ]),
    ).equal(1);
    expect(planCoats(layer('colour', cream.colourHex), cream, [cream.colourHex])).equal(1);
    // The advice beside it says the same.
    expect(adviseGround(cream, cream.colourHex, []).coats).equal(1);
    expect(planCoats(layer('colour', cream.colourHex), undefined, [cream.colourHex])).equal(1);
  });

  it('follow the ground: a pale colour takes fewer over white than over oxide, never more than a plan may ask', () => {
    const over = (ground: string) => planCoats(layer('colour', cream.colourHex), cream, [ground]);
    expect(over('#e2d5b0')).lessThan(over(OXIDE));
    expect(over(OXIDE)).equal(MOST_COATS);
  });
});

describe('advice on the ground', () => {
  const primers = [WHITE, GREY, OXIDE].map((hex) => paint(hex, { kind: 'primer', binder: 'lacquer' }));

  it('finds white under a pale colour and oxide under a deep red', () => {
    expect(adviseGround(cream, OXIDE, primers).better?.productId).equal(WHITE);
    expect(adviseGround(maroon, WHITE, primers).better?.productId).equal(OXIDE);
  });

  it('is silent where the planned one is as good as any', () =>
    expect(adviseGround(maroon, OXIDE, primers).better).equal(null));

  it('says when the colour is too weak for every primer of the shelf', () => {
    const weak = paint('#f3e9c0', { dryFilmUm: 4 });
    expect(adviseGround(weak, OXIDE, primers).wantsOwnGround).equal(true);
    expect(adviseGround(maroon, OXIDE, primers).wantsOwnGround).equal(false);
  });
});
