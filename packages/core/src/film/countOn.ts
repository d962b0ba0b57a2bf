import { isStanding } from '../facts/selectPartDone.ts';
import type { CoatingLayer, LayerKind } from '../model/workpiece.ts';

/**
 * How many wet coats of each planned layer of an area are on: what stands counts for the lowest of its kind first, a mist for none.
 *
 * @param planned from the metal outwards, each with the coats it takes
 */
export function countOn(
  planned: readonly { readonly kind: LayerKind; readonly coats: number }[],
  onArea: readonly Pick<CoatingLayer, 'stage' | 'kind' | 'rejection' | 'isMist'>[],
): number[] {
  const left = new Map<LayerKind, number>();
  for (const layer of onArea)
    if (isStanding(layer) && !layer.isMist) left.set(layer.kind, (left.get(layer.kind) ?? 0) + 1);
  return planned.map(({ kind, coats }) => {
    const on = Math.min(coats, left.get(kind) ?? 0);
    left.set(kind, (left.get(kind) ?? 0) - on);
    return on;
  });
}
