import type { Area, CoatingLayer } from '../model/workpiece.ts';
import { firstOn } from './firstOn.ts';

type PlaceOfArea = Pick<Area, 'id' | 'kind' | 'specimenPartId'>;
type Lying = Pick<CoatingLayer, 'areaId' | 'stage' | 'kind' | 'rejection' | 'appliedAt'>;

/**
 * Tape lay beside this area when its colour went on: a field that was sprayed over another colour, or the outside beside fields that
 * had theirs. Its last coat says by when the tape must be off.
 */
export function isTaped(area: PlaceOfArea, areas: readonly PlaceOfArea[], layers: readonly Lying[]): boolean {
  const own = firstOn(layers, area.id, 'colour');
  if (own === undefined || (area.kind !== 'mask' && area.kind !== 'outside')) return false;
  return areas
    .filter((one) => one.specimenPartId === area.specimenPartId && one.id !== area.id)
    .filter(({ kind }) => (area.kind === 'mask' ? kind === 'outside' : kind === 'mask'))
    .some(({ id }) => (firstOn(layers, id, 'colour') ?? own) < own);
}
