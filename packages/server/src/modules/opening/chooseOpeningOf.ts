import { createOpeningQuestion, type Opening, type OpeningQuestion, type SpecimenFacts } from '@sardonyx/core';
import { planAside } from './planAside.ts';
import { planExplained } from './planExplained.ts';

/** The last opening of every specimen, by what it was chosen from. */
const lastOpenings = new Map<string, { readonly asked: string; readonly opening: Opening }>();

/** Models with more joints are planned in a thread of their own; below, the answer is there before a thread has the question. */
const MANY_JOINTS = 14;

/**
 * The opening of a specimen, with the reason for every joint. It is chosen anew only where its question, the opening's own
 * share of the facts, is another one: most edits (a note, a want's date) leave that as it was.
 */
export async function chooseOpeningOf(specimenId: string, facts: SpecimenFacts): Promise<Opening> {
  const question = createOpeningQuestion(facts);
  const asked = JSON.stringify(question);
  const last = lastOpenings.get(specimenId);
  if (last?.asked === asked) return last.opening;
  const opening = isLarge(question) ? await planAside(question) : planExplained(question);
  lastOpenings.set(specimenId, { asked, opening });
  return opening;
}

const isLarge = ({ joints }: OpeningQuestion) => joints.length > MANY_JOINTS;
