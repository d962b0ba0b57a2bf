import type { PaintProduct } from '../model/work.ts';
import { mainPaintOf, type MixState } from './guide/replayMix.ts';
import { learnDryingShift, type DryingShift, type WetDryPair } from './wetToDry.ts';

/** What a mix will do when it dries: as the line of the paint that most of it is did before. */
export function selectDrying(
  state: MixState,
  products: readonly PaintProduct[],
  dried: readonly (WetDryPair & { readonly line: string })[],
): { readonly drying: DryingShift; readonly line: string | null } {
  const id = mainPaintOf(state);
  const main = products.find((product) => product.id === id);
  const pairs = dried.filter((one) => one.line === main?.line);
  return { drying: learnDryingShift(pairs, main?.gloss ?? 'gloss'), line: main?.line ?? null };
}
