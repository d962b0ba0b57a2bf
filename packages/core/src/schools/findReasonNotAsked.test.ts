import { expect } from 'chai';
import { chooseFor, createRandomFacts } from '../../test/support/randomPlanWorld.ts';
import { compilePlan } from '../compile/compilePlan.ts';
import type { SpecimenFacts } from '../facts/specimenFacts.ts';
import type { Decisions } from '../model/school.ts';
import { findReasonNotAsked } from './findReasonNotAsked.ts';
import { SCHOOLS } from './schools.ts';

/** What is done, without the words that name the answer. */
function actsOf(facts: SpecimenFacts, decisions: Decisions): string {
  const plan = compilePlan(chooseFor({ ...facts, decisions }));
  if (plan.kind !== 'plan') return plan.kind;
  return plan.tasks
    .map(({ key, how, uses }) => [key, how, uses.map(({ what, amount }) => what + amount)].join())
    .join();
}

describe('a question that is not asked', () => {
  it('has the same plan whatever is answered, on any model (60 random ones)', () => {
    let silent = 0;
    for (let seed = 1; seed <= 60; seed++) {
      const facts = { ...createRandomFacts(seed), scope: 'full' as const };
      for (const { key, options } of SCHOOLS) {
        if (findReasonNotAsked(key, facts) === null) continue;
        silent++;
        const plans = options.map((option) => actsOf(facts, { ...facts.decisions, [key]: option }));
        expect(new Set(plans).size, `${key}, seed ${seed}`).equal(1);
      }
    }
    expect(silent).greaterThan(200);
  });

  it('says why, as what follows a colon', () => {
    const bare = { parts: [], joints: [] };
    for (const { key } of SCHOOLS)
      if (key !== 'S22' && key !== 'S23') expect(findReasonNotAsked(key, bare), key).match(/^[a-z].*[^.]$/);
  });
});
