import type { Area, CoatingLayer } from '../model/workpiece.ts';

/** What an area with a colour of its own lies upon: the coats of its part's outside. Other areas lie on the bare part. */
export function layersUnder<L extends Pick<CoatingLayer, 'areaId'>>(
  area: Pick<Area, 'kind' | 'specimenPartId'>,
  areas: readonly Pick<Area, 'id' | 'kind' | 'specimenPartId'>[],
  layers: readonly L[],
): L[] {
  if (area.kind !== 'mask') return [];
  const outside = areas.find((one) => one.kind === 'outside' && one.specimenPartId === area.specimenPartId);
  return layers.filter(({ areaId }) => areaId === outside?.id);
}
