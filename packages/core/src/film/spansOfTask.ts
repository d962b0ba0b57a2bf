import { listCoatsOf, type CoatEvidence } from '../gates/coatsOfTask.ts';
import { isStanding } from '../facts/selectPartDone.ts';
import { COAT_ACTS } from '../model/drying.ts';
import type { Task } from '../model/task.ts';
import { intersectSpans, type FilmSpans, type StandingCoat } from './answerArea.ts';

/** Coats that a task left and that stand. */
export function listStandingOf(
  task: Pick<Task, 'act' | 'of' | 'partKeys'>,
  evidence: CoatEvidence,
): CoatEvidence['layers'][number][] {
  const left = listCoatsOf(task, evidence);
  return evidence.layers.filter(
    (layer) =>
      isStanding(layer) &&
      left.some(
        ({ areaId, kind, isMist }) => areaId === layer.areaId && kind === layer.kind && isMist === layer.isMist,
      ),
  );
}

/** When everything that a task left bears what; null where it left no coat of which that is known. */
export function spansOfTask(
  task: Pick<Task, 'act' | 'of' | 'partKeys'>,
  evidence: CoatEvidence,
  standing: readonly StandingCoat[],
): FilmSpans | null {
  const left = listStandingOf(task, evidence);
  const coats = standing.filter(({ layerId }) => left.some(({ id }) => id === layerId));
  const [first, ...rest] = coats;
  if (!first) return null;
  return Object.fromEntries(
    COAT_ACTS.map((act) => [
      act,
      rest.reduce((spans, coat) => intersectSpans(spans, coat.spans[act]), first.spans[act]),
    ]),
  ) as unknown as FilmSpans;
}
