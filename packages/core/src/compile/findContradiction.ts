import { isMetal } from '../model/material.ts';
import type { PlanContext } from './planContext.ts';
import { isPowdered } from './rules/bakeRules.ts';
import { selectMends } from './rules/mendingRules.ts';
import { nameOf } from './rules/planRule.ts';

export interface Contradiction {
  readonly because: string;
  readonly findings: readonly string[];
}

/** Powder asks for a bake, and what the part needs (filler, glue, soft solder) does not stand one: that is no plan (O20). */
export function findContradiction(context: PlanContext): Contradiction | null {
  if (context.input.scope !== 'full') return null;
  for (const part of context.workable) {
    if (!isMetal(part.material) || !isPowdered(part, context)) continue;
    const mends = selectMends(part, context);
    if (mends.length === 0) continue;
    const findings = mends.map(({ finding: { kind, note } }) => `${part.name}: ${kind}${note ? `, ${note}` : ''}`);
    const found = mends.map(({ finding }) => finding.kind).join(' and ');
    return {
      because: `Powder on the ${nameOf(part)} and its mending exclude each other: it is ${found}, and nothing glued, filled or soldered is baked (O20). Spray this job (S6), or leave the ${nameOf(part)} unmended.`,
      findings,
    };
  }
  return null;
}
