import type { RandomSource } from '../../numeric/seededRandom.ts';
import type { EveningsInput } from './eveningsInput.ts';
import { findPlannable, planEvenings, type EveningsPlan } from './planEvenings.ts';
import { replanEvenings } from './replanEvenings.ts';
import { reportEvenings, type EveningsReport } from './reportEvenings.ts';
import { supposeEvenings, type Supposition } from './suppose.ts';

export interface SupposedPlans {
  readonly is: EveningsReport;
  readonly would: EveningsReport;
}

/**
 * What is, and what would be. Both are searched as long and by the same chance; the second begins with what was found for the first, as far as that
 * can stand then: whatever only adds hours makes nothing worse. Yields the share that is done.
 *
 * @param createRandom the same stream each time it is called
 */
export function* planSupposed(
  input: EveningsInput,
  supposed: Supposition,
  kept: EveningsPlan | null,
  { createRandom, rounds }: { readonly createRandom: () => RandomSource; readonly rounds: number },
): Generator<number, SupposedPlans, undefined> {
  const is = yield* plan(input, kept, 0);
  const would = yield* plan(supposeEvenings(input, supposed), is.plan, 0.5);
  return { is, would };

  function* plan(
    of: EveningsInput,
    from: EveningsPlan | null,
    done: number,
  ): Generator<number, EveningsReport, undefined> {
    const made = findPlannable(of);
    const search = planEvenings(of, made, createRandom(), rounds, from && replanEvenings(of, made, from).plan);
    for (;;) {
      const step = search.next();
      if (step.done) return reportEvenings(of, made, step.value);
      yield done + step.value.round / step.value.rounds / 2;
    }
  }
}
