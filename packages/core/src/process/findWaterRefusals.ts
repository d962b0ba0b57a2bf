import type { PlanPart } from '../facts/specimenFacts.ts';
import { isPestSuspect } from '../facts/chooseTreatment.ts';
import { traitsOf } from '../model/material.ts';
import { nameOf } from '../words/names.ts';

/**
 * Why a finished model that stays in one piece must not see water, part by part; empty where it may be washed once. What is
 * on one part the water carries to all of them.
 */
export function findWaterRefusals(parts: readonly PlanPart[]): string[] {
  return parts
    .filter((part) => part.state !== 'missing')
    .flatMap((part) => {
      const reason = refuseWater(part);
      return reason === null ? [] : [`the ${nameOf(part)} (${reason})`];
    });
}

function refuseWater(part: PlanPart): string | null {
  const { isLead, isKeptDry } = traitsOf(part.material);
  if (isPestSuspect(part)) return 'signs of pest: water goes into its cracks';
  if (part.found.includes('decal')) return 'a decal or label';
  if (isLead) return 'lead: its bloom goes into the water';
  if (part.material === 'tinplate') return 'tinplate: water stays in its seams';
  if (part.material === 'steel' && !part.painted && !part.found.includes('plating')) return 'bare steel rusts';
  if (isKeptDry) return `${part.material} swells`;
  return null;
}
