import { isStanding } from '../facts/selectPartDone.ts';
import type { Area, CoatingLayer } from '../model/workpiece.ts';

type PlaceOfArea = Pick<Area, 'id' | 'kind' | 'specimenPartId'>;
type Lying = Pick<CoatingLayer, 'areaId' | 'stage' | 'kind' | 'rejection' | 'appliedAt'>;

/**
 * Tape lay beside this area when its colour went on: a field that was sprayed over another colour, or the outside beside fields that
 * had theirs. Its last coat says by when the tape must be off.
 */
export function isTaped(area: PlaceOfArea, areas: readonly PlaceOfArea[], layers: readonly Lying[]): boolean {
  const firstOn = (areaId: string) =>
    layers
      .filter((layer) => layer.areaId === areaId && layer.kind === 'colour' && isStanding(layer))
      .map(({ appliedAt }) => appliedAt ?? '')
      .sort()[0];
  const own = firstOn(area.id);
  if (own === undefined || (area.kind !== 'mask' && area.kind !== 'outside')) return false;
  return areas
    .filter((one) => one.specimenPartId === area.specimenPartId && one.id !== area.id)
    .filter(({ kind }) => (area.kind === 'mask' ? kind === 'outside' : kind === 'mask'))
    .some(({ id }) => (firstOn(id) ?? own) < own);
}
