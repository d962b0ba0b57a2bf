import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { USUAL_SURFACE } from '../../packages/core/src/colour/kubelkaMunk.ts';
import { chooseDoses, roundDoses } from '../../packages/core/src/colour/match/chooseDoses.ts';
import { findMatch } from '../../packages/core/src/colour/match/findMatch.ts';
import { scoreMix } from '../../packages/core/src/colour/match/polish.ts';
import { buildComboTable } from '../../packages/core/src/colour/match/comboTable.ts';
import { createSeededRandom } from '@sardonyx/core';
import { doseExhaustively } from '../../packages/core/test/support/exhaustiveDoses.ts';
import { matchExhaustively } from '../../packages/core/test/support/exhaustiveMatch.ts';
import { createSimulatedShelf, createTarget } from '../../packages/core/test/support/simulatedShelf.ts';
import { createPoorShelf, POOR_LIMITS } from '../../packages/core/test/support/poorShelves.ts';
import { median, percentile, type Figure, type Topic } from '../figure.ts';
import { createColourWorld, createSmallColourWorld, SMALL_TARGETS, TARGETS } from './world.ts';

const DROPS = { total: 60, doseMl: 0.05 };
const NEAR = 0.01;
const NEAR_FOUR = 0.1;

const readYardstick = (name: string) =>
  (
    JSON.parse(readFileSync(join(import.meta.dirname, `../yardsticks/${name}.json`), 'utf8')) as {
      objectives: number[];
    }
  ).objectives;

export const colourMatch: Topic = {
  names: [
    'colour.tableMs',
    'colour.matchMedianMs',
    'colour.matchP95Ms',
    'colour.matchOptimalShare',
    'colour.matchOptimal60Share',
    'colour.match5Ms',
    'colour.matchMoreNeverWorse',
    'colour.matchFourNearShare',
    'colour.inGamutP95De',
    'colour.doseP95De',
    'colour.doseMaxDe',
    'colour.naiveDoseP95De',
    'colour.potLimitMiss',
  ],
  measure: () => {
    const { shelf, targets, table, tableMs } = createColourWorld();
    const yardstick = readYardstick('colourMatch');
    const own: { de: number; dosed: number; naive: number }[] = [];
    const times = { three: [] as number[], five: [] as number[] };
    let optimal = 0;
    let neverWorse = 0;
    targets.forEach((target, i) => {
      const three = timed(() => findMatch(table, target, { mostPaints: 3, count: 100 }), times.three);
      const five = timed(() => findMatch(table, target, { mostPaints: 5, count: 150 }), times.five);
      if (three[0]!.objective <= yardstick[i]! + NEAR) optimal++;
      if (five[0]!.objective <= three[0]!.objective + 1e-9) neverWorse++;
      // Only a colour of the shelf itself can be met; one of another shelf is as near as it is.
      if (i % 2) return;
      const dosed = chooseDoses(shelf, five, target, USUAL_SURFACE, DROPS)!;
      const best = five[0]!;
      const naive = scoreMix(shelf, best.ids, roundDoses(best.shares, DROPS.total), target, USUAL_SURFACE);
      own.push({ de: best.de65, dosed: dosed.de65, naive: naive.de65 });
    });
    const four = readYardstick('colourMatchFour');
    const small = createSmallColourWorld();
    const nearFour = small.targets.filter(
      (target, i) => findMatch(small.table, target, { mostPaints: 4, count: 1 })[0]!.objective <= four[i]! + NEAR_FOUR,
    ).length;
    const figure = (name: string, value: number, unit: string, most: number | null, yardstickText: string) => ({
      name,
      value,
      unit,
      goal: most === null ? null : ({ kind: 'at most', value: most } as const),
      yardstick: yardstickText,
    });
    const drops = `${own.length} colours of the shelf, 60 drops of 0.05 ml`;
    return Promise.resolve([
      figure('colour.tableMs', tableMs, 'ms', 6000, 'all pairs and triples of 60 pots, once a shelf'),
      figure(
        'colour.matchMedianMs',
        median(times.three),
        'ms',
        300,
        `up to 3 of 60 paints, ${TARGETS} colours, half from another shelf`,
      ),
      figure('colour.matchP95Ms', percentile(times.three, 0.95), 'ms', 600, 'the same'),
      measureOptimal(),
      {
        name: 'colour.matchOptimal60Share',
        value: optimal / TARGETS,
        unit: '',
        goal: { kind: 'at least', value: 1 },
        yardstick: `within ${NEAR} of every combo polished one by one (stored, bench/colour/writeYardstick.ts)`,
      },
      figure('colour.match5Ms', median(times.five), 'ms', 700, 'up to 5 of 60 paints, median'),
      {
        name: 'colour.matchMoreNeverWorse',
        value: neverWorse / TARGETS,
        unit: '',
        goal: { kind: 'at least', value: 1 },
        yardstick: 'up to 5 paints against up to 3',
      },
      {
        name: 'colour.matchFourNearShare',
        value: nearFour / SMALL_TARGETS,
        unit: '',
        goal: { kind: 'at least', value: 0.9 },
        yardstick: `within ${NEAR_FOUR} of every set of four of 24 pots polished one by one (stored), ${SMALL_TARGETS} colours`,
      },
      figure(
        'colour.inGamutP95De',
        percentile(
          own.map((one) => one.de),
          0.95,
        ),
        'dE00',
        0.1,
        'colours of the shelf, before dosing',
      ),
      figure(
        'colour.doseP95De',
        percentile(
          own.map((one) => one.dosed),
          0.95,
        ),
        'dE00',
        0.25,
        drops,
      ),
      figure('colour.doseMaxDe', Math.max(...own.map((one) => one.dosed)), 'dE00', 0.5, drops),
      figure(
        'colour.naiveDoseP95De',
        percentile(
          own.map((one) => one.naive),
          0.95,
        ),
        'dE00',
        null,
        'the best recipe rounded',
      ),
      measurePoorShelves(),
    ]);
  },
};

function timed<T>(act: () => T, into: number[]): T {
  const began = performance.now();
  const result = act();
  into.push(performance.now() - began);
  return result;
}

const SHELVES = 30;
const TARGETS_EACH = 10;

/** Shelves and colours that nobody saw before, half of the colours from elsewhere: every combo polished one by one beside it. */
function measureOptimal(): Figure {
  const seed = Date.now() % 1_000_000_000;
  const random = createSeededRandom(seed);
  const seedOf = () => 1 + Math.floor(1e9 * random());
  let optimal = 0;
  for (let i = 0; i < SHELVES; i++) {
    const shelf = createSimulatedShelf(seedOf(), 12 + Math.floor(13 * random()));
    const other = createSimulatedShelf(seedOf(), 20);
    const table = buildComboTable(shelf, USUAL_SURFACE)!;
    for (let j = 0; j < TARGETS_EACH; j++) {
      const target = createTarget(j % 2 ? other : shelf, random);
      const [best] = findMatch(table, target, { mostPaints: 3, count: 1 });
      if (best!.objective <= matchExhaustively(table, target) + NEAR) optimal++;
    }
  }
  return {
    ...{ name: 'colour.matchOptimalShare', value: optimal / (SHELVES * TARGETS_EACH), unit: '' },
    goal: { kind: 'at least', value: 0.99 },
    yardstick: `${SHELVES * TARGETS_EACH} colours on ${SHELVES} shelves of 12 to 24 pots, within ${NEAR} of every combo polished one by one, seed ${seed}`,
  };
}

const POOR_SHELVES = 200;

/** Nearly empty pots: whatever whole doses of three of them can do is found. */
function measurePoorShelves(): Figure {
  const seed = Date.now() % 1_000_000_000;
  let missed = 0;
  let empty = 0;
  for (let i = 0; i < POOR_SHELVES; i++) {
    const { shelf, target } = createPoorShelf(seed + i);
    const best = doseExhaustively(shelf, target, POOR_LIMITS.total, POOR_LIMITS.doseMl);
    const table = buildComboTable(shelf, USUAL_SURFACE)!;
    const recipes = findMatch(table, target, { mostPaints: 3, count: 100, limits: POOR_LIMITS });
    const found = chooseDoses(shelf, recipes, target, USUAL_SURFACE, POOR_LIMITS);
    if (best === Infinity) empty++;
    if (best === Infinity ? found !== null : !found || found.objective > best + NEAR_FOUR) missed++;
  }
  return {
    ...{ name: 'colour.potLimitMiss', value: missed, unit: '', goal: { kind: 'at most', value: 0 } },
    yardstick: `of ${POOR_SHELVES} poor shelves (${empty} hold too little), over 0.1 above all doses tried one by one, seed ${seed}`,
  };
}
