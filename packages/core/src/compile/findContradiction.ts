import { isMetal } from '../model/material.ts';
import type { PlanContext } from './planContext.ts';
import { isPowdered } from './rules/isPowdered.ts';
import { selectMends } from './rules/mendingRules.ts';
import { describeFinding, nameOf } from '../words/names.ts';
import type { Contradiction } from './planTypes.ts';

/** Powder asks for a bake, and what the part needs (filler, glue, soft solder) does not stand one: that is no plan. */
export function findContradiction(context: PlanContext): Pick<Contradiction, 'because' | 'findings'> | null {
  if (context.input.scope === 'clean only') return null;
  for (const part of context.workable) {
    if (!isMetal(part.material) || !isPowdered(part, context)) continue;
    const mends = selectMends(part, context);
    if (mends.length === 0) continue;
    const findings = mends.map(({ finding }) => `${part.name}: ${describeFinding(finding)}`);
    const found = mends.map(({ finding }) => finding.kind).join(' and ');
    return {
      because: `Powder on the ${nameOf(part)} and its mending exclude each other: it is ${found}, and nothing glued, filled or soldered is baked. Spray this job, or leave the ${nameOf(part)} unmended.`,
      findings,
    };
  }
  return null;
}
