import { isPestSuspect } from '../facts/chooseTreatment.ts';
import type { PlanPart } from '../facts/specimenFacts.ts';
import { traitsOf } from '../model/material.ts';
import { judgePart } from '../process/judgePart.ts';
import { nameOf } from '../words/names.ts';
import type { PlanContext } from './planContext.ts';

/**
 * Why a finished model must not see water, part by part; empty where it may be washed once. It stays in one piece: whatever
 * one part does not stand forbids it to all, and what is only to be tried somewhere is not tried on a survivor.
 */
export function findWaterRefusals(context: Pick<PlanContext, 'input' | 'materialsOf'>): string[] {
  return context.input.parts
    .filter((part) => part.state !== 'missing')
    .flatMap((part) => {
      const reason = refuseWater(part, context);
      return reason === null ? [] : [`the ${nameOf(part)} (${reason})`];
    });
}

function refuseWater(part: PlanPart, { materialsOf }: Pick<PlanContext, 'materialsOf'>): string | null {
  if (isPestSuspect(part)) return 'signs of pest: damp feeds it';
  const { verdict, material, reason } = judgePart(materialsOf(part), 'soap and water');
  if (verdict === 'never' || verdict === 'test first') return `${material}: ${reason}`;
  // With care, a part by itself is rinsed and dried at once; what is closed keeps the water in its seams.
  if (traitsOf(part.material).isLead) return 'lead alloy: its bloom goes into the water';
  if (part.material === 'tinplate') return 'tinplate: water stays in its seams';
  if (part.material === 'steel' && !part.painted && !part.found.includes('plating')) return 'bare steel rusts';
  return null;
}
