const MONTHS = 'January February March April May June July August September October November December'.split(' ');

/** "9 January 2027" of an ISO day. */
export function sayDay(day: string): string {
  const [year, month, date] = day.slice(0, 10).split('-').map(Number);
  return `${date} ${MONTHS[month! - 1]} ${year}`;
}
