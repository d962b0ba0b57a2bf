import type { PlanCoat, PlanPart } from '../../facts/specimenFacts.ts';
import { isMetal } from '../../model/material.ts';
import type { PlanContext } from '../planContext.ts';

/** Powder goes on this part: the school says so and everything in it stands the cure, or it wears powder already. */
export function isPowdered(part: PlanPart, { option, bakeRefusals }: PlanContext): boolean {
  if (part.done.finish !== null) return part.done.finish === 'powdered';
  return (
    option('S6') === 'powder' &&
    isMetal(part.material) &&
    part.coats.some((coat) => coat.kind === 'colour') &&
    bakeRefusals(part, 'powder').length === 0
  );
}

/** Powder is the coat of all but what is masked on it: that is brushed or sprayed. */
export const isPowderCoat = (part: PlanPart, coat: Pick<PlanCoat, 'areaKind'>, context: PlanContext): boolean =>
  coat.areaKind !== 'mask' && isPowdered(part, context);
