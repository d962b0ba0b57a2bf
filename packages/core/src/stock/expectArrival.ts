import { normalCdf, normalQuantile } from '../numeric/normal.ts';
import type { Delay } from './learnDelay.ts';

/** When an order comes, days since 1970. */
export interface Arrival {
  /** As likely before as after. */
  readonly likely: number;
  /** By then nine times in ten. */
  readonly surely: number;
  /** Its promise is broken. */
  readonly isOverdue: boolean;
}

const SURE = 0.9;

/**
 * When something that was ordered comes, by what its supplier's word is worth and by its not being here yet: the longer it is
 * waited for, the later the day.
 */
export function expectArrival(
  order: { readonly orderedDay: number; readonly promisedDay: number },
  { mean, sd }: Delay,
  today: number,
): Arrival {
  const promised = Math.max(1, order.promisedDay - order.orderedDay);
  const waited = today - order.orderedDay;
  const past = waited > 0 ? normalCdf((Math.log(waited / promised) - mean) / sd) : 0;
  const dayOf = (share: number) => {
    // Of what may still come, so much has come by then.
    const within = Math.min(1 - 1e-9, past + share * (1 - past));
    return Math.max(today + 1, order.orderedDay + Math.ceil(promised * Math.exp(mean + sd * normalQuantile(within))));
  };
  return { likely: dayOf(0.5), surely: dayOf(SURE), isOverdue: today > order.promisedDay };
}
