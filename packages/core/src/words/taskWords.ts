import type { PlanContext } from '../compile/planContext.ts';
import type { DraftOf, TaskDraft } from '../compile/planTypes.ts';
import type { TaskAct } from '../model/taskActs.ts';
import { BAKE_WORDS } from './bakeWords.ts';
import { CLEANING_WORDS } from './cleaningWords.ts';
import { CLOSING_WORDS } from './closingWords.ts';
import { DECAL_WORDS } from './decalWords.ts';
import { INTAKE_WORDS } from './intakeWords.ts';
import { MENDING_WORDS } from './mendingWords.ts';
import { OPENING_WORDS } from './openingWords.ts';
import { PAINT_OFF_WORDS } from './paintOffWords.ts';
import { PAINT_WORDS } from './paintWords.ts';
import { SIGN_OFF_WORDS } from './signOffWords.ts';
import { THREAD_WORDS } from './threadWords.ts';

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

const WORDS: WordsFor<TaskAct> = {
  ...INTAKE_WORDS,
  ...OPENING_WORDS,
  ...PAINT_OFF_WORDS,
  ...CLEANING_WORDS,
  ...MENDING_WORDS,
  ...THREAD_WORDS,
  ...PAINT_WORDS,
  ...BAKE_WORDS,
  ...DECAL_WORDS,
  ...CLOSING_WORDS,
  ...SIGN_OFF_WORDS,
};

export function describeTask(draft: TaskDraft, context: PlanContext): TaskWords {
  // The act of the draft picks the words that take just such a draft.
  const say = WORDS[draft.act] as (draft: TaskDraft, context: PlanContext) => TaskWords;
  return say(draft, context);
}
