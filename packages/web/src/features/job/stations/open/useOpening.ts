import {
  chooseOpening,
  compareAlternatives,
  createOpeningQuestion,
  explainJoints,
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
  const {
    specimen: { facts },
  } = useJob();
  return useMemo(() => {
    const question = createOpeningQuestion(facts);
    const chosen = chooseOpening(question);
    return {
      question,
      chosen,
      reasons: explainJoints(question, chosen),
      alternatives: compareAlternatives(question, chosen),
    };
  }, [facts]);
}
