import type { DoseLimits } from '../../src/colour/match/doseLimits.ts';
import type { MatchTarget } from '../../src/colour/match/polish.ts';
import { createShelf, type Shelf } from '../../src/colour/match/shelfOptics.ts';
import { createSeededRandom } from '../../src/numeric/seededRandom.ts';
import { createSimulatedShelf, createTarget } from './simulatedShelf.ts';

/** Two millilitres by the drop. */
export const POOR_LIMITS: DoseLimits = { total: 40, doseMl: 0.05 };

/**
 * Three to nine pots, most of them nearly empty, and a colour: of these pots, or of others (a third). Some shelves hold too
 * little altogether.
 */
export function createPoorShelf(seed: number): { readonly shelf: Shelf; readonly target: MatchTarget } {
  const random = createSeededRandom(seed);
  const count = 3 + Math.floor(7 * random());
  const full = createSimulatedShelf(1 + Math.floor(1e6 * random()), count);
  const shelf = createShelf(
    full.paints.map((paint) => ({ ...paint, leftMl: random() < 0.2 ? 5 * random() : 0.1 + 1.3 * random() })),
  );
  const other = createSimulatedShelf(1 + Math.floor(1e6 * random()), 20);
  return { shelf, target: createTarget(random() < 0.33 ? other : shelf, random) };
}
