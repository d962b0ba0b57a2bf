import { createSeededRandom } from '@sardonyx/core';
import { USUAL_SURFACE } from '../../packages/core/src/colour/kubelkaMunk.ts';
import { buildComboTable } from '../../packages/core/src/colour/match/comboTable.ts';
import type { MatchTarget } from '../../packages/core/src/colour/match/polish.ts';
import { createSimulatedShelf, createTarget } from '../../packages/core/test/support/simulatedShelf.ts';

export const SHELF_SEED = 1;
const FOREIGN_SEED = 77;
const TARGET_SEED = 3;
export const TARGETS = 100;

/** Sixty pots, and a hundred colours: every second one from another shelf. */
export function createColourWorld() {
  const shelf = createSimulatedShelf(SHELF_SEED);
  const foreign = createSimulatedShelf(FOREIGN_SEED);
  const random = createSeededRandom(TARGET_SEED);
  const targets: MatchTarget[] = Array.from({ length: TARGETS }, (_, i) =>
    createTarget(i % 2 ? foreign : shelf, random),
  );
  const began = performance.now();
  const table = buildComboTable(shelf, USUAL_SURFACE)!;
  return { shelf, targets, table, tableMs: performance.now() - began };
}

const SMALL_SEED = 5;
const SMALL_POTS = 24;
export const SMALL_TARGETS = 30;

/** A shelf small enough to try every set of four on it. */
export function createSmallColourWorld() {
  const shelf = createSimulatedShelf(SMALL_SEED, SMALL_POTS);
  const foreign = createSimulatedShelf(FOREIGN_SEED, SMALL_POTS);
  const random = createSeededRandom(TARGET_SEED);
  const targets = Array.from({ length: SMALL_TARGETS }, (_, i) => createTarget(i % 2 ? foreign : shelf, random));
  return { targets, table: buildComboTable(shelf, USUAL_SURFACE)! };
}
