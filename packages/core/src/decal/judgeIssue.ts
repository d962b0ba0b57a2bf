import type { LeftFeature } from '../identify/shareLeftStates.ts';

/** Whether an artwork is what a model left the works with, and what that was. */
export interface IssueAnswer {
  readonly answer: 'as it left' | 'another issue' | 'not sure';
  /** What it left with most probably. */
  readonly label: string;
  readonly chance: number;
}

/** So probable a state counts as the one that it left with. */
const PROBABLE = 0.8;

/**
 * An artwork that shows a state of a feature, against what the model left with. null where the artwork shows none, or its feature is none of
 * this model's.
 */
export function judgeIssue(
  featureStateId: string | null,
  left: readonly LeftFeature[],
  featureOf: (stateId: string) => string | null,
): IssueAnswer | null {
  if (featureStateId === null) return null;
  const feature = left.find(({ featureId }) => featureId === featureOf(featureStateId));
  const leader = feature?.states[0];
  if (!feature || !leader) return null;
  const { label, chance } = leader;
  if (chance < PROBABLE) return { answer: 'not sure', label, chance };
  return { answer: leader.id === featureStateId ? 'as it left' : 'another issue', label, chance };
}
