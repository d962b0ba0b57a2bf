import type { Area, CoatingLayer } from '../model/workpiece.ts';
import { sortPlanned } from './placeCoat.ts';

/** Bare metal, as light as it usually is. */
const BARE_HEX = '#a8a8a8';

/** Planned coats of a part with their areas, area by area from the metal outwards. */
export type PlannedOfPart = readonly {
  readonly area: Pick<Area, 'id' | 'kind'>;
  readonly layer: Pick<CoatingLayer, 'colourHex' | 'kind'>;
}[];

/** What is planned on the areas of a part, area by area from the metal outwards. */
export const listPlanned = <A extends Pick<Area, 'id'>, L extends Pick<CoatingLayer, 'areaId' | 'stage' | 'seq'>>(
  areas: readonly A[],
  layers: readonly L[],
): { area: A; layer: L }[] =>
  areas.flatMap((area) =>
    sortPlanned(layers.filter(({ areaId, stage }) => areaId === area.id && stage === 'planned')).map((layer) => ({
      ...{ area, layer },
    })),
  );

/**
 * Colours of what a planned coat will lie on. First that of the one planned below it, or of a field with a colour of its own what is
 * planned outside, else the paint that was found, else bare metal; then that of the field which goes on before it on the part
 * (orderOfColours): what is not on yet is not masked, and its overspray must be hidden too.
 *
 * @param order areas in the order in which their colours go on; empty where that is no question
 */
export function groundsOf(
  planned: PlannedOfPart,
  place: number,
  foundHex: string | null,
  order: readonly string[],
): readonly [string, ...string[]] {
  const { area, layer } = planned[place]!;
  const own = planned.slice(0, place).findLast((one) => one.area.id === area.id);
  const colourOf = (areaId: string) =>
    planned.findLast((one) => one.area.id === areaId && one.layer.kind === 'colour')?.layer.colourHex;
  const turn = order.indexOf(area.id);
  const isFirstColour = layer.kind === 'colour' && own?.layer.kind !== 'colour';
  const before = isFirstColour && turn > 0 ? colourOf(order[turn - 1]!) : undefined;
  const outside = planned.findLast((one) => one.area.kind === 'outside' && isUnderField(one));
  const ground =
    own?.layer.colourHex ?? (area.kind === 'mask' ? outside?.layer.colourHex : null) ?? foundHex ?? BARE_HEX;
  return before === undefined ? [ground] : [ground, before];

  /** Its outside is on when it has no turn, or a later one. */
  function isUnderField(one: PlannedOfPart[number]): boolean {
    if (one.layer.kind !== 'colour') return one.layer.kind === 'primer';
    return turn < 0 || (order.includes(one.area.id) && order.indexOf(one.area.id) < turn);
  }
}
