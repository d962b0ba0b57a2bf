import { chooseOpening, createOpeningQuestion, explainJoint, type Opening, type SpecimenFacts } from '@sardonyx/core';

/** The last opening of every specimen, by what it was chosen from. */
const lastOpenings = new Map<string, { readonly asked: string; readonly opening: Opening }>();

/**
 * The opening of a specimen, with the reason for every joint. It is chosen anew only where its question, the opening's own
 * share of the facts, is another one: most edits (a note, a want's date) leave that as it was.
 */
export function chooseOpeningOf(specimenId: string, facts: SpecimenFacts): Opening {
  const question = createOpeningQuestion(facts);
  const asked = JSON.stringify(question);
  const last = lastOpenings.get(specimenId);
  if (last?.asked === asked) return last.opening;
  const chosen = chooseOpening(question);
  const opening: Opening = {
    opening: chosen.opening.map((joint) => ({ ...joint, because: explainJoint(question, chosen, joint.key) })),
    closed: chosen.closed,
  };
  lastOpenings.set(specimenId, { asked, opening });
  return opening;
}
