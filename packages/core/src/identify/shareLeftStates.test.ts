import { expect } from 'chai';
import { shareLeftStates } from './shareLeftStates.ts';

const state = (id: string) => ({ id, label: id.toUpperCase(), fromYear: null, toYear: null, lookAlikes: [] });
const feature = (id: string, group: 'decals' | 'wheels', states: readonly string[]) => ({
  ...{ id, label: id, howToLook: '', effort: 1, destroys: '', group },
  states: states.map(state),
});
const variant = (id: string, states: Record<string, Record<string, number>>) => ({
  ...{ id, name: id, castingId: 'c', rarity: 0, span: null, sizesMm: {}, statements: [] },
  states,
});
const catalogue = {
  features: [feature('sign', 'decals', ['none', 'small', 'large']), feature('tread', 'wheels', ['plain'])],
  variants: [
    variant('first', { sign: { small: 1 }, tread: { plain: 1 } }),
    variant('second', { sign: { small: 1, large: 3 } }),
    variant('third', {}),
  ],
};

describe('what a model left the works with', () => {
  it('is what its issue had, the likeliest first, of the group that is asked', () => {
    expect(shareLeftStates(catalogue, [{ variantId: 'second', probability: 1 }], 'decals')).deep.equal([
      {
        ...{ featureId: 'sign', label: 'sign' },
        states: [
          { id: 'large', label: 'LARGE', chance: 0.75 },
          { id: 'small', label: 'SMALL', chance: 0.25 },
        ],
      },
    ]);
  });

  it('weighs the issues while none is sure, and those that record nothing not at all', () => {
    const ranked = [
      { variantId: 'first', probability: 0.3 },
      { variantId: 'second', probability: 0.1 },
      { variantId: 'third', probability: 0.6 },
    ];
    const [sign] = shareLeftStates(catalogue, ranked, 'decals');
    expect(sign!.states.map(({ id }) => id)).deep.equal(['small', 'large']);
    expect(sign!.states[0]!.chance).closeTo((0.3 + 0.1 / 4) / 0.4, 1e-12);
  });

  it('is unknown where no probable issue says it', () => {
    expect(shareLeftStates(catalogue, [{ variantId: 'third', probability: 1 }], 'decals')).deep.equal([]);
    expect(shareLeftStates(catalogue, [], 'decals')).deep.equal([]);
  });
});
