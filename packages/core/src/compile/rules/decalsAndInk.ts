import type { PlanContext } from '../planContext.ts';
import type { PlanCoat, PlanPart } from '../planTypes.ts';

/** Bright and slow to harden: last of all. A pot that is chrome ink is, whatever the school says. */
export function isSlowInk(coat: PlanCoat, { option }: Pick<PlanContext, 'option'>): boolean {
  return coat.kind === 'brightwork' && (/chrome/i.test(coat.name) || option('S7') === 'chrome ink');
}

export const hasDecal = (part: PlanPart): boolean => part.coats.some((coat) => coat.kind === 'decal');
