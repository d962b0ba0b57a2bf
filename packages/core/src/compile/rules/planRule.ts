import type { PlanFinding, PlanPart } from '../../facts/specimenFacts.ts';
import type { FindingKind } from '../../model/workpiece.ts';
import type { PlanContext } from '../planContext.ts';
import type { TaskDraft } from '../planTypes.ts';

/**
 * One declared reason for tasks. In which order they stand is said by their tags and the order rules; what they are called
 * and how they are done by the words of their act (words/).
 */
export interface PlanRule {
  readonly id: string;
  /** When it asks for something, in words. */
  readonly when: string;
  /** Order rules, schools and needs it serves: O12, S11, N2. */
  readonly serves: readonly string[];
  readonly create: (context: PlanContext) => readonly TaskDraft[];
}

/** What is wanted for the part and not waived. */
export const selectWants = (part: PlanPart) => part.wants.filter((want) => want.state !== 'waived');

export const findFinding = (part: PlanPart, kind: FindingKind): PlanFinding | undefined =>
  part.findings.find((finding) => finding.kind === kind);
