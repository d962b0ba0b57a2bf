import type { TaskAct } from '../model/taskActs.ts';
import { nameOfArea, type Area, type CoatingLayer } from '../model/workpiece.ts';
import { asStripMethod } from '../process/stripMethods.ts';
import { SHARED_ACTS, type PartDone, type RejectedCoat } from './specimenFacts.ts';
import type { StandingWork } from './standingWork.ts';

/** Layers as they count for what was done. */
export type CountedLayer = Pick<CoatingLayer, 'id' | 'areaId' | 'stage' | 'kind' | 'name' | 'rejection' | 'removedAt'>;

/** An applied coat that was neither rejected nor taken off. */
export const isStanding = ({ stage, rejection }: Pick<CoatingLayer, 'stage' | 'rejection'>): boolean =>
  stage === 'applied' && rejection === null;

/** What was done to one part, from the standing log and the coats that were logged on its areas. */
export function selectPartDone(
  partKey: string,
  areas: readonly Pick<Area, 'id' | 'kind' | 'name'>[],
  layers: readonly CountedLayer[],
  standing: readonly StandingWork[],
): PartDone {
  const own = standing.filter(({ work }) => work.partKeys.includes(partKey));
  const did = (...acts: readonly TaskAct[]) => own.some(({ work }) => acts.includes(work.act));
  const strip = own.find(({ work }) => work.act === 'strip');
  const applied = areas.flatMap((area) =>
    layers
      .filter((layer) => layer.areaId === area.id && layer.stage === 'applied')
      .map((layer) => ({ layer, areaName: nameOfArea(area) })),
  );
  const coatsOn = applied
    .filter(({ layer }) => isStanding(layer))
    .map(({ layer: { kind }, areaName }) => ({ areaName, kind }));
  return {
    stripped: strip ? asStripMethod(strip.work.method) : null,
    coatsOn,
    finish: did('powder', 'cure') ? 'powdered' : did('prime', 'colour') || coatsOn.length > 0 ? 'sprayed' : null,
    shared: SHARED_ACTS.filter((act) => did(act)),
    isMended: did('mend', 'refill'),
    rejected: applied
      .flatMap(({ layer: { id, kind, name, rejection, removedAt }, areaName }): RejectedCoat[] =>
        rejection ? [{ layerId: id, areaName, kind, name, because: rejection.because, isOff: removedAt !== null }] : [],
      )
      .sort((a, b) => Number(a.isOff) - Number(b.isOff)),
  };
}

/** Nothing was done to it yet. */
export const NOTHING_DONE: PartDone = {
  ...{ stripped: null, coatsOn: [], finish: null, shared: [], isMended: false, rejected: [] },
};
