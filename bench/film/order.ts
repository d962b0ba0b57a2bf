import { orderColours } from '../../packages/core/src/film/orderColours.ts';
import { createSeededRandom } from '../../packages/core/src/numeric/seededRandom.ts';
import { drawColours, findCheapestByTrying } from '../../packages/core/test/support/coloursWorld.ts';
import { type Figure, type Topic } from '../figure.ts';

/** Orders of colours against all permutations. */
export const filmOrder: Topic = {
  names: ['film.orderMismatches'],
  measure: () => Promise.resolve([measureOrders()]),
};

function measureOrders(): Figure {
  const random = createSeededRandom(22);
  let mismatches = 0;
  for (let i = 0; i < 1000; i++) {
    const part = drawColours(1 + Math.floor(7 * random()), random);
    if (Math.abs(orderColours(part).minutes - findCheapestByTrying(part)) > 1e-6) mismatches++;
  }
  return {
    ...{ name: 'film.orderMismatches', value: mismatches, unit: '', goal: { kind: 'at most', value: 0 } },
    yardstick: 'orders of colours dearer than the cheapest of all permutations, 1,000 random parts of up to 7 colours',
  };
}
