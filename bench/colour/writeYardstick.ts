/** Computes the slow yardsticks of matching once (about a quarter of an hour) and stores them: `node --import tsx bench/colour/writeYardstick.ts`. */
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import type { MatchTarget } from '../../packages/core/src/colour/match/polish.ts';
import { matchExhaustively, matchFourExhaustively } from '../../packages/core/test/support/exhaustiveMatch.ts';
import { createColourWorld, createSmallColourWorld, SHELF_SEED } from './world.ts';

function store(name: string, targets: readonly MatchTarget[], match: (target: MatchTarget) => number): void {
  const objectives = targets.map((target, i) => {
    if (i % 10 === 0) console.log(`${name}: ${i} of ${targets.length}`);
    return Number(match(target).toFixed(6));
  });
  const text = JSON.stringify({ version: 1, shelfSeed: SHELF_SEED, objectives }) + '\n';
  writeFileSync(join(import.meta.dirname, `../yardsticks/${name}.json`), text);
}

const only = process.argv[2];
if (only !== 'colourMatchFour') {
  const { table, targets } = createColourWorld();
  store('colourMatch', targets, (target) => matchExhaustively(table, target));
}
if (only !== 'colourMatch') {
  const { table, targets } = createSmallColourWorld();
  store('colourMatchFour', targets, (target) => matchFourExhaustively(table, target));
}
