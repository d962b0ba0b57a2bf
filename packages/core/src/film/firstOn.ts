import { isStanding } from '../facts/selectPartDone.ts';
import type { CoatingLayer, LayerKind } from '../model/workpiece.ts';

/** When the first coat that stands went on an area, of one kind or of any; undefined where none did. */
export const firstOn = (
  layers: readonly Pick<CoatingLayer, 'areaId' | 'stage' | 'kind' | 'rejection' | 'appliedAt'>[],
  areaId: string,
  kind?: LayerKind,
): string | undefined =>
  layers
    .filter((layer) => layer.areaId === areaId && isStanding(layer) && (kind === undefined || layer.kind === kind))
    .map(({ appliedAt }) => appliedAt ?? '')
    .sort()[0];
