import type { PlanCoat, PlanPart } from '../../facts/specimenFacts.ts';
import { usualDrying, type PlannedDrying } from '../../film/planDrying.ts';
import type { TaskSubject } from '../../model/taskActs.ts';
import type { LayerKind } from '../../model/workpiece.ts';
import type { PlanContext } from '../planContext.ts';

/** A brightwork that takes longer to cure is handled last of all (planning estimate; a dull silver is hard in half an hour). */
const SLOW_CURE_MIN = 1440;

/** Bright and slow to harden: last of all. The pot's own sheet says so; where no pot is chosen, the school. */
export function isSlowInk(coat: PlanCoat, { option }: Pick<PlanContext, 'option'>): boolean {
  if (coat.kind !== 'brightwork') return false;
  return coat.dries ? coat.dries.cureMin >= SLOW_CURE_MIN : option('S7') === 'chrome ink';
}

/** By its own pot; where none is chosen, as such a coat usually dries. */
export const dryingOf = ({ dries, kind }: Pick<PlanCoat, 'dries' | 'kind'>): PlannedDrying =>
  dries ?? usualDrying(kind);

/** What a coat takes out of its pot; so much where nobody knows (planning estimate). */
export const paintOf = (
  what: 'primer' | 'body colour' | 'clear coat' | 'powder',
  { pour }: PlanCoat,
  usual: number,
) => ({
  what,
  amount: pour ?? usual,
});

export const hasDecal = (part: PlanPart): boolean => part.coats.some((coat) => coat.kind === 'decal');

/** Coats that are put on at Finish; decals and slow ink wait for Close. */
export const paintedCoats = (part: PlanPart): PlanCoat[] =>
  part.coats.filter((coat) => ['primer', 'colour', 'clear', 'brightwork'].includes(coat.kind));

/**
 * The how many-th time such coats go on: from 2 after one was rejected. Undefined the first time, so that it has no place
 * in the key of the task.
 */
export function roundOf(part: PlanPart, kinds: readonly LayerKind[], areaName?: string): number | undefined {
  const rejected = part.done.rejected.filter(
    (coat) => kinds.includes(coat.kind) && (areaName === undefined || coat.areaName === areaName),
  );
  return rejected.length ? rejected.length + 1 : undefined;
}

/** In the key of a task only from the second round on. */
export const ofRound = (round: number | undefined) => (round === undefined ? {} : { round });

/** Coats of a kind that lie on the same area, told apart by their number: undefined for the first, then 2, 3 and on. */
const numberInArea = (coats: readonly PlanCoat[], coat: PlanCoat): { readonly nth?: number } => {
  const nth = coats.filter(({ areaName, kind }) => areaName === coat.areaName && kind === coat.kind).indexOf(coat) + 1;
  return nth > 1 ? { nth } : {};
};

/** What the task of one coat is of: its area, which one of its kind there, and the how many-th time it goes on. */
export const ofCoat = (part: PlanPart, coat: PlanCoat): TaskSubject => ({
  area: coat.areaName,
  ...numberInArea(part.coats, coat),
  ...ofRound(roundOf(part, [coat.kind], coat.areaName)),
});

/** Brightwork of that area stands: it is not put on in another ink as well. */
export const hasBrightworkOn = (part: PlanPart, areaName: string): boolean =>
  part.done.coatsOn.some((coat) => coat.kind === 'brightwork' && coat.areaName === areaName);
