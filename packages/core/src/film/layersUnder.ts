import type { Area, CoatingLayer } from '../model/workpiece.ts';
import { firstOn } from './firstOn.ts';

type Lying = Pick<CoatingLayer, 'areaId' | 'stage' | 'kind' | 'rejection' | 'appliedAt'>;

/**
 * What an area with a colour of its own lies upon: the coats of its part's outside, so far as they went on before it; what came
 * later was kept off it by its mask, except clear, which goes over all. Other areas lie on the bare part.
 *
 * @param isFirst its colour goes on before that of the outside: no colour is planned below it
 */
export function layersUnder<L extends Lying>(
  area: Pick<Area, 'id' | 'kind' | 'specimenPartId'>,
  areas: readonly Pick<Area, 'id' | 'kind' | 'specimenPartId'>[],
  layers: readonly L[],
  isFirst = false,
): L[] {
  if (area.kind !== 'mask') return [];
  const outside = areas.find((one) => one.kind === 'outside' && one.specimenPartId === area.specimenPartId);
  const on = firstOn(layers, area.id);
  return layers.filter((layer) => {
    if (layer.areaId !== outside?.id) return false;
    if (layer.stage === 'planned') return layer.kind !== 'clear' && !(isFirst && layer.kind === 'colour');
    return layer.stage === 'found' || on === undefined || layer.kind === 'clear' || (layer.appliedAt ?? '') <= on;
  });
}
