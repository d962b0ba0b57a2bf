import { isStanding } from '../facts/selectPartDone.ts';
import type { Task } from '../model/task.ts';
import { nameOfArea, type Area, type CoatingLayer, type SpecimenPart } from '../model/workpiece.ts';

/** The parts of a specimen, and what lies on them. */
export interface CoatEvidence {
  readonly parts: readonly Pick<SpecimenPart, 'id' | 'key' | 'name'>[];
  readonly areas: readonly Pick<Area, 'id' | 'specimenPartId' | 'kind' | 'name'>[];
  readonly layers: readonly Pick<
    CoatingLayer,
    'id' | 'isMist' | 'areaId' | 'stage' | 'kind' | 'name' | 'rejection' | 'removedAt' | 'seq'
  >[];
}

/** The kinds of layer that a step of painting leaves on the part. */
const LEAVES: Partial<Record<Task['act'], readonly CoatingLayer['kind'][]>> = {
  prime: ['primer'],
  reprime: ['primer'],
  mist: ['colour'],
  colour: ['colour'],
  clear: ['clear'],
  bright: ['brightwork'],
  chrome: ['brightwork'],
  gloss: ['clear'],
  powder: ['colour'],
  seal: ['clear'],
};

/** How many standing coats of its kinds a step must find: planned ones, and one more where it is put on over another. */
export interface WantedCoat {
  readonly areaId: string;
  readonly areaName: string;
  readonly kind: CoatingLayer['kind'];
  readonly count: number;
  readonly isMist: boolean;
}

/** The coats that a step of painting leaves; empty for every other step. */
export function listCoatsOf(task: Pick<Task, 'act' | 'of' | 'partKeys'>, evidence: CoatEvidence): WantedCoat[] {
  const kinds = LEAVES[task.act];
  const isMist = task.act === 'mist';
  const part = evidence.parts.find((one) => one.key === task.partKeys[0]);
  if (!kinds || !part) return [];
  const areas = evidence.areas
    .filter((area) => area.specimenPartId === part.id)
    .map((area) => ({ ...area, areaName: nameOfArea(area) }))
    .filter(({ areaName, kind }) => isMeant(task, areaName, kind));
  const plannedIn = areas.flatMap((area) =>
    kinds.flatMap((kind): WantedCoat[] => {
      const count = evidence.layers.filter(
        (layer) => layer.areaId === area.id && layer.stage === 'planned' && layer.kind === kind,
      ).length;
      return count ? [{ areaId: area.id, areaName: area.areaName, kind, count: countWanted(task, count), isMist }] : [];
    }),
  );
  if (plannedIn.length > 0 || areas.length === 0) return plannedIn;
  // Clear under or over a decal is in no plan of coats; it goes on the outside.
  const outside = areas.find((area) => area.kind === 'outside') ?? areas[0]!;
  const over = task.act === 'seal' ? 2 : 1;
  return [{ areaId: outside.id, areaName: outside.areaName, kind: kinds[0]!, count: over, isMist }];
}

function isMeant({ act, of }: Pick<Task, 'act' | 'of'>, areaName: string, kind: Area['kind']): boolean {
  if (of.area !== undefined) return areaName === of.area;
  return act === 'powder' ? kind === 'outside' : kind !== 'mask' || act === 'prime' || act === 'reprime';
}

/** One step a coat, so the second leaves two; primer and powder go on in one. Primed again or sealed over, it is one more than planned. */
function countWanted({ act, of }: Pick<Task, 'act' | 'of'>, planned: number): number {
  if (act === 'reprime' || act === 'seal') return planned + 1;
  return act === 'prime' || act === 'powder' ? planned : (of.nth ?? 1);
}

/** What of a step's coats is not on the part yet, in the order in which it goes on. */
export const listMissingCoats = (task: Pick<Task, 'act' | 'of' | 'partKeys'>, evidence: CoatEvidence): WantedCoat[] =>
  listCoatsOf(task, evidence).filter((coat) => selectStanding(coat, evidence.layers).length < coat.count);

/** Names of the standing coats that a step left, for its log. */
export const listCoatsOn = (task: Pick<Task, 'act' | 'of' | 'partKeys'>, evidence: CoatEvidence): string[] => [
  ...new Set(
    listCoatsOf(task, evidence).flatMap((coat) => selectStanding(coat, evidence.layers).map(({ name }) => name)),
  ),
];

const selectStanding = <Layer extends CoatEvidence['layers'][number]>(
  { areaId, kind, isMist }: Pick<WantedCoat, 'areaId' | 'kind' | 'isMist'>,
  layers: readonly Layer[],
): Layer[] =>
  layers.filter(
    (layer) => layer.areaId === areaId && layer.kind === kind && layer.isMist === isMist && isStanding(layer),
  );
