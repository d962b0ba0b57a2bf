import type { PlanContext } from '../planContext.ts';
import type { TaskDraft } from '../planTypes.ts';

/** One declared reason for tasks. In which order they stand is said by their tags and the order rules. */
export interface PlanRule {
  readonly id: string;
  /** When it asks for something, in words. */
  readonly when: string;
  /** Order rules, schools and needs it serves: O12, S11, N2. */
  readonly serves: readonly string[];
  readonly create: (context: PlanContext) => readonly TaskDraft[];
}

/** The name of a part inside a sentence. */
export const nameOf = ({ name }: { readonly name: string }): string => name.toLowerCase();

export function listNames(names: readonly string[]): string {
  if (names.length <= 1) return names[0] ?? '';
  return `${names.slice(0, -1).join(', ')} and ${names[names.length - 1]!}`;
}

/** "Finding: cracked, split along the seam." */
export const sayFinding = ({ kind, note }: { readonly kind: string; readonly note: string }): string =>
  `Finding: ${kind}${note ? `, ${note.replace(/\.$/, '')}` : ''}.`;
