/** A length with its standard deviation, millimetres. */
export interface Reading {
  readonly mm: number;
  readonly sd: number;
}

export const exactly = (mm: number): Reading => ({ mm, sd: 0 });

/** Sum of independent lengths, less those that are taken off. */
export function sumReadings(added: readonly Reading[], taken: readonly Reading[] = NONE): Reading {
  let [mm, variance] = [0, 0];
  for (const one of added) [mm, variance] = [mm + one.mm, variance + one.sd * one.sd];
  for (const one of taken) [mm, variance] = [mm - one.mm, variance + one.sd * one.sd];
  return { mm, sd: Math.sqrt(variance) };
}

const NONE: readonly Reading[] = [];

/**
 * So many standard deviations from a limit an answer is given. 1.645 is wrong once in twenty at the very edge; this keeps those that
 * are decided within half a millimetre of it wrong less than once in a hundred.
 */
const SURE_SD = 1.7;

/** 'measure again' where the readings cannot tell. */
export type Decision = 'yes' | 'no' | 'measure again';

/** Whether there is more than nothing of what is spare. */
export function decide({ mm, sd }: Reading): Decision {
  if (mm >= SURE_SD * sd) return 'yes';
  return mm <= -SURE_SD * sd && mm < 0 ? 'no' : 'measure again';
}

/** What is there for sure, so far as readings go. */
export const atLeast = ({ mm, sd }: Reading): number => mm - SURE_SD * sd;
