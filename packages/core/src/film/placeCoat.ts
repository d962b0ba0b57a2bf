import type { Refusal } from '../model/refusal.ts';
import type { CoatingLayer, LayerKind } from '../model/workpiece.ts';

type Planned = Pick<CoatingLayer, 'id' | 'kind' | 'name' | 'seq'>;

/** How far out a kind lies. Among the last two the questions of the job decide; a list cannot contradict them. */
const LEVEL: Readonly<Record<LayerKind, number>> = {
  plating: 0,
  filler: 1,
  primer: 2,
  colour: 3,
  brightwork: 4,
  decal: 5,
  clear: 6,
};

const WHY: Readonly<Partial<Record<LayerKind, string>>> = {
  plating: 'Plating lies on the metal itself.',
  filler: 'Filler lies under the primer.',
  primer: 'A primer lies under the colour.',
  colour: 'Bright ink, decals and clear lie over the colour.',
};
const ASKED = 'Which comes first of bright ink, decals and clear is asked beside the drawing.';

/** Planned coats of one area from the metal outwards. Of two with one number, the one that came first lies lower. */
export const sortPlanned = <T extends Pick<CoatingLayer, 'seq'>>(planned: readonly T[]): T[] =>
  [...planned].sort((a, b) => a.seq - b.seq);

/** Where a coat of this kind goes among what is planned already: over the last that belongs under it or beside it. */
export function placeNewCoat(planned: readonly Planned[], kind: LayerKind): number {
  const coats = sortPlanned(planned);
  const under = coats.findLastIndex((coat) => LEVEL[coat.kind] <= LEVEL[kind]);
  return under + 1;
}

/**
 * Planned coats after one of them took another place (0 lies on the metal; past either end is the end).
 *
 * @throws RangeError when the coat is not among them
 */
export function movePlanned<T extends Planned>(planned: readonly T[], id: string, place: number): T[] {
  const moved = planned.find((coat) => coat.id === id);
  if (!moved) throw new RangeError(`No planned coat ${id}.`);
  const rest = sortPlanned(planned.filter((coat) => coat.id !== id));
  const at = Math.min(rest.length, Math.max(0, place));
  return [...rest.slice(0, at), moved, ...rest.slice(at)];
}

/** Why a coat may not take that place; null where it may. Only its own neighbours are asked, not the others' order. */
export function refusePlace(planned: readonly Planned[], id: string, place: number): Refusal | null {
  const coats = movePlanned(planned, id, place);
  const at = coats.findIndex((coat) => coat.id === id);
  const moved = coats[at]!;
  const level = LEVEL[moved.kind];
  const above = coats.slice(at + 1).find((coat) => LEVEL[coat.kind] < level);
  const below = coats.slice(0, at).find((coat) => LEVEL[coat.kind] > level);
  const [lower, upper] = above ? [above, moved] : [moved, below];
  if (!upper) return null;
  return {
    code: 'coat-order',
    field: 'seq',
    message: `${lower.name} stays under ${upper.name}. ${WHY[lower.kind] ?? ASKED}`,
  };
}
