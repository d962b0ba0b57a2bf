import { planAxles, type AxleWish, type KeptPiece } from '../../packages/core/src/fit/planAxles.ts';
import { createSeededRandom, type RandomSource } from '../../packages/core/src/numeric/seededRandom.ts';
import { countMismatches } from '../../packages/core/test/support/triedPieces.ts';
import { percentile, type Figure, type Topic } from '../figure.ts';

/** Which axle goes where: against all ways, against first come, and how long it takes. */
export const fitAssign: Topic = {
  names: ['fit.assignMismatches', 'fit.assignMs', 'fit.greedyGap', 'fit.greedyHoles'],
  measure: () => Promise.resolve([measureMismatches(), measureMs(), ...measureGreedy()]),
};

const SMALL = 300;

function measureMismatches(): Figure {
  return {
    ...{ name: 'fit.assignMismatches', value: countMismatches(SMALL, 194), unit: '' },
    goal: { kind: 'at most', value: 0 },
    yardstick: `places filled and price against every way, ${SMALL} of 5 places x 7 pieces, a third of the pairs forbidden`,
  };
}

const reading = (mm: number) => ({ mm, sd: 0.03 });

/** Places as wide as toys are, and drawers with what is left over: more short pieces than long ones. */
function createDrawers(places: number, pieces: number, random: RandomSource) {
  const wishes = Array.from({ length: places }, (_, i): AxleWish => ({
    ...{ id: `w${i}`, outside: reading(16 + 18 * random()), clearance: 0.4, diameter: 1.2 },
    ...{ bore: reading(1.32), ends: [{ kind: 'pressed' }, { kind: 'pressed' }] },
  }));
  const stock = Array.from({ length: pieces }, (_, i): KeptPiece => ({
    ...{ id: `p${i}`, diameter: reading(1.2), length: reading(15 + 22 * random() ** 1.3), heads: [null, null] },
    ...{ isStraight: random() < 0.8, isInDonor: random() < 0.15, isLocked: random() < 0.05 },
  }));
  return { wishes, stock };
}

/** Until the engine has compiled what is measured. */
const WARM_UP = 5;

function measureMs(): Figure {
  const random = createSeededRandom(195);
  const times: number[] = [];
  for (let i = 0; i < WARM_UP + 60; i++) {
    const { wishes, stock } = createDrawers(24, 200, random);
    const start = performance.now();
    planAxles(wishes, stock);
    if (i >= WARM_UP) times.push(performance.now() - start);
  }
  return {
    ...{ name: 'fit.assignMs', value: percentile(times, 0.95), unit: 'ms', goal: { kind: 'at most', value: 20 } },
    yardstick: `95 of 100; every fit of 200 axles in 24 places, and the best hand-out, ${times.length} rounds after ${WARM_UP} to warm up`,
  };
}

function measureGreedy(): Figure[] {
  const random = createSeededRandom(196);
  let [holes, more, price, first] = [0, 0, 0, 0];
  const rounds = 100;
  for (let i = 0; i < rounds; i++) {
    const { wishes, stock } = createDrawers(40, 60, random);
    const plan = planAxles(wishes, stock);
    // First come: each place takes the cheapest that is left.
    const left = [...stock];
    const taken = wishes.map((wish) => {
      const { fit, piece } = wishes.length
        ? (left
            .map((one) => planAxles([wish], [one])[0]!)
            .filter((one) => one.piece !== null)
            .sort((a, b) => a.fit!.price - b.fit!.price)[0] ?? { fit: null, piece: null })
        : { fit: null, piece: null };
      if (piece) left.splice(left.indexOf(piece), 1);
      return fit;
    });
    holes += plan.filter(({ piece }) => piece === null).length;
    more += taken.filter((one) => one === null).length - plan.filter(({ piece }) => piece === null).length;
    price += plan.reduce((sum, { fit }) => sum + (fit?.price ?? 0), 0);
    first += taken.reduce((sum, fit) => sum + (fit?.price ?? 0), 0);
  }
  return [
    {
      ...{ name: 'fit.greedyGap', value: more / rounds, unit: 'holes', goal: null },
      yardstick: `places that first come leaves empty and the hand-out over all fills, 60 axles for 40 places, mean of ${rounds}; minutes of work and waste ${(price / rounds).toFixed(0)} against ${(first / rounds).toFixed(0)} for fewer places`,
    },
    {
      ...{ name: 'fit.greedyHoles', value: holes / rounds, unit: 'holes', goal: null },
      yardstick: 'places that nothing in those drawers fits even so',
    },
  ];
}
