import { format, isValid, parse } from 'date-fns';

const WALL = "yyyy-MM-dd'T'HH:mm";

/** What the clock on the wall shows, as a field of a day and a time holds it. */
export const writeWallTime = (moment: Date) => format(moment, WALL);

/** The moment (ISO, UTC) at which the wall clock shows this; what is no time stays as it was typed. */
export function readWallTime(text: string): string {
  const moment = parse(text, WALL, new Date(2000, 0, 1));
  return isValid(moment) ? moment.toISOString() : text;
}
