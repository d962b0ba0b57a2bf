import { isStanding } from '../facts/selectPartDone.ts';
import type { CoatingLayer } from '../model/workpiece.ts';

/** Coats of one area's plan that were never put on, or came off again: each one that is on takes one of its kind away. */
export function listNotOn<L extends Pick<CoatingLayer, 'stage' | 'kind' | 'rejection'>>(layers: readonly L[]): L[] {
  const on = layers.filter(isStanding).map(({ kind }) => kind);
  return layers
    .filter(({ stage }) => stage === 'planned')
    .filter(({ kind }) => {
      const at = on.indexOf(kind);
      if (at >= 0) on.splice(at, 1);
      return at < 0;
    });
}
