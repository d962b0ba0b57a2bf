import type { PlanContext } from '../planContext.ts';
import type { PlanPart, TaskDraft } from '../planTypes.ts';

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

/** The first letter of a sentence. */
export const capitalise = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);

/** What is wanted for the part and not waived. */
export const selectWants = (part: PlanPart) => part.wants.filter((want) => want.state !== 'waived');

/** Damaged and a new one is coming: nothing is mended or cleaned on the old one. */
export const isReplaced = (part: PlanPart): boolean => part.state === 'damaged' && selectWants(part).length > 0;
