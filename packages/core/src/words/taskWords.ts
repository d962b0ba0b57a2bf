import type { PlanContext } from '../compile/planContext.ts';
import type { TaskDraft } from '../compile/planTypes.ts';
import type { TaskAct } from '../model/taskActs.ts';
import { BAKE_WORDS } from './bakeWords.ts';
import { CLEANING_WORDS } from './cleaningWords.ts';
import { CLEAR_WORDS } from './clearWords.ts';
import { CLOSING_WORDS } from './closingWords.ts';
import { DECAL_WORDS } from './decalWords.ts';
import { INTAKE_WORDS } from './intakeWords.ts';
import { MENDING_WORDS } from './mendingWords.ts';
import { OPENING_WORDS } from './openingWords.ts';
import { PAINT_OFF_WORDS } from './paintOffWords.ts';
import { PAINT_WORDS } from './paintWords.ts';
import { SIGN_OFF_WORDS } from './signOffWords.ts';
import { THREAD_WORDS } from './threadWords.ts';
import type { TaskWords, WordsFor } from './wordsFor.ts';

const WORDS: WordsFor<TaskAct> = {
  ...INTAKE_WORDS,
  ...OPENING_WORDS,
  ...PAINT_OFF_WORDS,
  ...CLEANING_WORDS,
  ...MENDING_WORDS,
  ...THREAD_WORDS,
  ...PAINT_WORDS,
  ...CLEAR_WORDS,
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
