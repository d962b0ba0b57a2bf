/** Computes the slow yardstick of matching once (about ten minutes) and stores it: `node --import tsx bench/colour/writeYardstick.ts`. */
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { matchExhaustively } from '../../packages/core/test/support/exhaustiveMatch.ts';
import { createColourWorld, SHELF_SEED, TARGETS } from './world.ts';

const { table, targets } = createColourWorld();
const objectives = targets.map((target, i) => {
  if (i % 10 === 0) console.log(`${i} of ${TARGETS}`);
  return Number(matchExhaustively(table, target).toFixed(6));
});
writeFileSync(
  join(import.meta.dirname, '../yardsticks/colourMatch.json'),
  JSON.stringify({ version: 1, shelfSeed: SHELF_SEED, objectives }) + '\n',
);
