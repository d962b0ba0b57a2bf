import type { AxleCheck } from '../fit/checkAxle.ts';
import type { Refusal } from '../model/refusal.ts';

const say = (mm: number): string => mm.toFixed(1);

/** Whether axles may be opened: they are long enough for sure, or as many others are put by. */
export function refuseShortAxle({ answer, count, offers, reserved }: AxleCheck): Refusal[] {
  if (answer.decision === 'yes' || reserved >= count) return [];
  const { have, need, decision } = answer;
  const told = `${say(have.mm)} mm is left when a head is off, ${say(need.mm)} are needed`;
  const best = offers.find(({ thing }) => !thing.isLocked);
  const missing = count - reserved;
  const from = best
    ? `Put by ${missing} of ${say(best.lengthMm)} mm${best.thing.drawer ? ` in drawer ${best.thing.drawer}` : ''} first.`
    : 'Nothing in the drawers is long enough: order some first.';
  return [
    {
      code: 'axle-short',
      message: `${decision === 'no' ? told : `${told}: too close to call, measure again or have others ready`}. ${from}`,
    },
  ];
}
