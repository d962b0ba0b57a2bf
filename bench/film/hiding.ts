import { completeProduct } from '../../packages/core/src/film/completeProduct.ts';
import { countCoats } from '../../packages/core/src/film/countCoats.ts';
import { drawNormal } from '../../packages/core/src/numeric/drawNormal.ts';
import { createSeededRandom } from '../../packages/core/src/numeric/seededRandom.ts';
import { drawGround, drawPaint, layUntilHidden } from '../../packages/core/test/support/layCoats.ts';
import { type Figure, type Topic } from '../figure.ts';

/** Coats to hide against the fluxes themselves. */
export const filmHiding: Topic = {
  names: ['film.coatsToHideMiss'],
  measure: () => Promise.resolve([measureHiding()]),
};

/** Drawdowns err by 7 % in all and by 3 % from band to band; no coat is as thick as the one before. */
function measureHiding(): Figure {
  const random = createSeededRandom(23);
  const product = {
    ...{ id: 'p', version: 1 },
    ...completeProduct({
      ...{ line: 'Marlstone', name: 'Cream 2', kind: 'colour', binder: 'enamel', gloss: 'gloss', colourHex: '#e6d9b4' },
    }),
  };
  let missed = 0;
  for (let i = 0; i < 1000; i++) {
    const [paint, ground, um] = [drawPaint(random), drawGround(random), 8 + 20 * random()];
    const read = (values: readonly number[]) => {
      const all = Math.exp(0.07 * drawNormal(random));
      return values.map((value) => value * all * Math.exp(0.03 * drawNormal(random)));
    };
    const optics = { k: read(paint.k), s: read(paint.s), basis: 'drawdowns' as const };
    const captured = Float64Array.from(ground, (one) => one * Math.exp(0.03 * drawNormal(random)));
    const said = countCoats({ ...product, optics }, um, captured).coats ?? Infinity;
    const laid = layUntilHidden(paint, ground, () => (um / 1000) * Math.exp(0.2 * drawNormal(random)));
    const isBeyond = said === Infinity && laid > 11;
    if (!isBeyond && !(Math.abs(said - laid) <= 1)) missed++;
  }
  return {
    ...{ name: 'film.coatsToHideMiss', value: missed / 1000, unit: '', goal: { kind: 'at most', value: 0.05 } },
    yardstick:
      'share of 1,000 simulated films off by more than a coat: fluxes in small steps, drawdowns 7 % off, coats 20 %',
  };
}
