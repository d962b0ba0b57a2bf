import type { PlanContext } from '../compile/planContext.ts';
import type { DraftOf } from '../compile/planTypes.ts';
import type { TaskAct } from '../model/taskActs.ts';

/** What a restorer reads of a step. */
export interface TaskWords {
  readonly title: string;
  readonly how: string;
  readonly because: string;
}

/** Words are made here from the fields of a draft and the facts, and read back nowhere. */
export type WordsFor<Acts extends TaskAct> = {
  readonly [Act in Acts]: (draft: DraftOf<Act>, context: PlanContext) => TaskWords;
};
