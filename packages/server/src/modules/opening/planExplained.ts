import { chooseOpening, explainJoint, type Opening, type OpeningQuestion } from '@sardonyx/core';

/** The opening of a specimen with the reason for every joint; the same in a thread of its own and without one. */
export function planExplained(question: OpeningQuestion): Opening {
  const chosen = chooseOpening(question);
  return {
    opening: chosen.opening.map((joint) => ({ ...joint, because: explainJoint(question, chosen, joint.key) })),
    closed: chosen.closed,
  };
}
