import type { Task } from '../model/task.ts';
import { isSettled } from '../model/task.ts';
import { listMissingCoats, type CoatEvidence } from './coatsOfTask.ts';

/** A coat as it is about to be logged. */
export interface CoatPlace {
  readonly areaId: string;
  readonly kind: CoatEvidence['layers'][number]['kind'];
  readonly isMist: boolean;
}

/**
 * The step that such a coat belongs to: of the open ones that leave a coat of this kind there, the first that still lacks
 * one. null for a coat that no step asks for: it is one more.
 */
export function findCoatTask(
  tasks: readonly Task[],
  { areaId, kind, isMist }: CoatPlace,
  evidence: CoatEvidence,
): Task | null {
  const open = tasks.filter((task) => !isSettled(task)).sort((a, b) => a.seq - b.seq);
  return (
    open.find((task) =>
      listMissingCoats(task, evidence).some(
        (coat) => coat.areaId === areaId && coat.kind === kind && coat.isMist === isMist,
      ),
    ) ?? null
  );
}
