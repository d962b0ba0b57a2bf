import { expect } from 'chai';
import { drawColours, findCheapestByTrying } from '../../test/support/coloursWorld.ts';
import { createSeededRandom } from '../numeric/seededRandom.ts';
import { SCHOOL_OPTIONS } from '../model/school.ts';
import { orderBySchool, orderColours, priceOrder, type ColourField, type ColoursOfPart } from './orderColours.ts';

const field = (key: string, changes: Partial<ColourField> = {}): ColourField => ({
  ...{ key, colour: key, luminance: 0.5, isHidden: false, areaCm2: 10, coatsOnGround: 2, coatsOn: {} },
  ...changes,
});
const keysOf = ({ steps }: { readonly steps: readonly { readonly key: string }[] }) => steps.map(({ key }) => key);

/** A cream roof over a maroon body: 10 cm of panel line between them. */
const SALOON: ColoursOfPart = {
  fields: [
    field('maroon', { luminance: 0.05, areaCm2: 40, coatsOn: { cream: 2 } }),
    field('cream', { luminance: 0.7, areaCm2: 12, coatsOn: { maroon: 5 } }),
  ],
  edges: [{ between: ['maroon', 'cream'], lengthMm: 100, kind: 'panel line' }],
};

describe('the order of colours', () => {
  it('by hand: cream first, its roof wrapped, two coats of each', () => {
    const order = orderColours(SALOON);
    expect(keysOf(order)).deep.equal(['cream', 'maroon']);
    // Cream 2 coats of 5; maroon: 10 cm * (0.5 + 0.15 + 0.003 * 25), 12 cm2 * 0.04, 2 coats, one change.
    expect(order.steps[0]!.minutes).closeTo(10, 1e-9);
    expect(order.steps[1]!.minutes).closeTo(7.25 + 0.48 + 10 + 6, 1e-9);
    expect(order.steps[1]!.masks).length(1);
  });

  it('by hand the other way round: a pale colour over a dark one gets a ground of its own where that is cheaper', () => {
    const [, cream] = priceOrder(SALOON, ['maroon', 'cream']).steps;
    // Five coats over maroon, or one of ground and two: two coats less, but the gun is cleaned once more.
    expect(cream!.hasGround).equal(true);
    expect(cream!.minutes).closeTo(7.25 + 1.6 + 3 * 5 + 2 * 6, 1e-9);
  });

  it('is never dearer than any other, of 150 random parts (1,000: npm run bench)', () => {
    const random = createSeededRandom(18);
    for (let i = 0; i < 150; i++) {
      const part = drawColours(1 + Math.floor(6 * random()), random);
      expect(orderColours(part).minutes).closeTo(findCheapestByTrying(part), 1e-6);
    }
  });

  it('has the schools beside it, each at its price, hidden faces first in all of them', () => {
    const random = createSeededRandom(19);
    for (let i = 0; i < 60; i++) {
      const part = drawColours(5, random);
      const cheapest = orderColours(part).minutes;
      for (const school of SCHOOL_OPTIONS.S8) {
        const order = orderBySchool(part, school);
        expect(order.minutes).least(cheapest - 1e-9);
        const hidden = order.steps.map(({ key }) => part.fields.find((one) => one.key === key)!.isHidden);
        expect(hidden).deep.equal([...hidden].sort((a, b) => Number(b) - Number(a)));
      }
      const masked = (order: ReturnType<typeof orderColours>) =>
        order.steps.reduce((sum, { maskMin }) => sum + maskMin, 0);
      for (const school of SCHOOL_OPTIONS.S8)
        expect(masked(orderBySchool(part, 'by masking effort'))).most(masked(orderBySchool(part, school)) + 1e-9);
    }
    expect(keysOf(orderBySchool(SALOON, 'light to dark'))).deep.equal(['cream', 'maroon']);
  });

  it('goes on from what is on already, never dearer than any other that begins so', () => {
    const random = createSeededRandom(20);
    for (let i = 0; i < 60; i++) {
      const part = drawColours(5, random);
      const begun = ['field 3', 'field 1'].slice(0, 1 + (i % 2));
      const order = orderColours(part, begun);
      expect(keysOf(order).slice(0, begun.length)).deep.equal(begun);
      expect(order.minutes).closeTo(findCheapestByTrying(part, begun), 1e-6);
      for (const school of SCHOOL_OPTIONS.S8)
        expect(keysOf(orderBySchool(part, school, begun)).slice(0, begun.length)).deep.equal(begun);
    }
  });

  it('is one colour by itself, nothing of nothing, and refuses more than it weighs', () => {
    expect(orderColours({ fields: [], edges: [] })).deep.equal({ steps: [], minutes: 0 });
    expect(orderColours({ fields: [field('red')], edges: [] }).minutes).equal(10);
    const many = Array.from({ length: 9 }, (_, i) => field(`c${i}`));
    expect(() => orderColours({ fields: many, edges: [] })).throw(/More than 8/);
  });
});
