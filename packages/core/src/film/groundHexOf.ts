import type { Area, CoatingLayer } from '../model/workpiece.ts';

/** Bare metal, as light as it usually is. */
const BARE_HEX = '#a8a8a8';

/** Planned coats of a part with their areas, area by area from the metal outwards. */
export type PlannedOfPart = readonly {
  readonly area: Pick<Area, 'id' | 'kind'>;
  readonly layer: Pick<CoatingLayer, 'colourHex'>;
}[];

/**
 * Colour of what a planned coat will lie on: the one planned below it; for a field with a colour of its own what is planned outside;
 * else the paint that was found, else bare metal.
 */
export function groundHexOf(planned: PlannedOfPart, place: number, foundHex: string | null): string {
  const { area } = planned[place]!;
  const below =
    planned.slice(0, place).findLast((one) => one.area.id === area.id) ??
    (area.kind === 'mask' ? planned.findLast((one) => one.area.kind === 'outside') : undefined);
  return below?.layer.colourHex ?? foundHex ?? BARE_HEX;
}
