import type { PlanContext } from '../compile/planContext.ts';
import type { TaskWords } from './wordsFor.ts';
import { listNames, nameOf } from './names.ts';

/** Words that are the same whatever the model is. */
export const always =
  (title: string, how: string, because: string): (() => TaskWords) =>
  () => ({ title, how, because });

/** The name of the first part of a step, inside a sentence. */
export const firstPart = (draft: { readonly partKeys: readonly string[] }, context: PlanContext): string =>
  nameOf(context.partOf(draft.partKeys[0]));

/** The names of all parts of a step, inside a sentence. */
export const eachPart = (draft: { readonly partKeys: readonly string[] }, context: PlanContext): string =>
  listNames(draft.partKeys.map((key) => nameOf(context.partOf(key))));

/** "the grille of the " before a part's name, nothing for its outside. */
export const sayArea = (area: string | undefined): string =>
  area === undefined || area === 'outside' ? '' : `${area} of the `;

/** After the name of a step that comes again because a coat was rejected. */
export const once = (round: number | undefined): string => (round === undefined ? '' : ', once more');
