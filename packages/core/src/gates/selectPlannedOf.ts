import { sortPlanned } from '../film/placeCoat.ts';
import type { Task } from '../model/task.ts';
import type { CoatingLayer } from '../model/workpiece.ts';
import type { WantedCoat } from './coatsOfTask.ts';

/** The planned coat that a step puts on: of several colours of an area the one that it names; null where none is planned. */
export function selectPlannedOf<L extends Pick<CoatingLayer, 'id' | 'areaId' | 'stage' | 'kind' | 'name' | 'seq'>>(
  { colours }: Pick<Task, 'colours'>,
  { areaId, kind }: Pick<WantedCoat, 'areaId' | 'kind'>,
  layers: readonly L[],
): L | null {
  const planned = sortPlanned(
    layers.filter((layer) => layer.areaId === areaId && layer.stage === 'planned' && layer.kind === kind),
  );
  return planned.find(({ name }) => colours.includes(name)) ?? planned[0] ?? null;
}
