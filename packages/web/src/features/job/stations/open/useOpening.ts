import {
  chooseOpening,
  compareAlternatives,
  createPlanParts,
  explainJoints,
  listJoints,
  type ChosenOpening,
  type JointReason,
  type OpeningAlternative,
  type OpeningQuestion,
} from '@sardonyx/core';
import { useMemo } from 'react';
import { useJob } from '../../JobContext.tsx';

export interface Opening {
  readonly question: OpeningQuestion;
  readonly chosen: ChosenOpening;
  readonly reasons: readonly JointReason[];
  readonly alternatives: readonly OpeningAlternative[];
}

/** The opening of the model in hand: the plan, the reason for every joint, and what else could be done. */
export function useOpening(): Opening {
  const { view, specimen, tasks } = useJob();
  return useMemo(() => {
    const question: OpeningQuestion = {
      scope: view.job.scope,
      parts: createPlanParts(specimen),
      joints: listJoints(specimen.casting?.joints ?? [], specimen.foundJoints, specimen.jointWishes, tasks),
      decisions: Object.fromEntries(view.decisions.map(({ school, option }) => [school, option])),
    };
    const chosen = chooseOpening(question);
    return {
      question,
      chosen,
      reasons: explainJoints(question, chosen),
      alternatives: compareAlternatives(question, chosen),
    };
  }, [view.job.scope, view.decisions, specimen, tasks]);
}
