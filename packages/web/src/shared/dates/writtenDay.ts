import { format, isValid, parse } from 'date-fns';

/** How a place writes a day: the order of its three figures, and the sign between them. */
export interface DayPattern {
  /** For date-fns: "dd/MM/yyyy". */
  readonly pattern: string;
  /** For the reader: "day/month/year". */
  readonly hint: string;
}

const TOKENS = { day: 'dd', month: 'MM', year: 'yyyy' } as const;

/** The reader's own way of writing a day in figures. */
export function findDayPattern(locale?: string): DayPattern {
  const parts = new Intl.DateTimeFormat(locale, { day: '2-digit', month: '2-digit', year: 'numeric' }).formatToParts(
    new Date(2001, 10, 22),
  );
  const build = (name: (part: keyof typeof TOKENS) => string) =>
    parts
      .map(({ type, value }) => (type in TOKENS ? name(type as keyof typeof TOKENS) : value))
      .join('')
      .trim();
  return { pattern: build((part) => TOKENS[part]), hint: build((part) => part) };
}

/** A day (YYYY-MM-DD) as the reader writes it; what is no day stays as it is. */
export function writeDay(day: string, { pattern }: DayPattern): string {
  const date = parse(day, 'yyyy-MM-dd', new Date(2000, 0, 1));
  return isValid(date) ? format(date, pattern) : day;
}

/**
 * The day (YYYY-MM-DD) that somebody wrote in the order of the place: with any sign between the figures, with or without
 * noughts, the year with two or four figures, or as YYYY-MM-DD. Null when it is no day.
 */
export function readDay(text: string, { pattern }: DayPattern): string | null {
  const figures = text
    .trim()
    .split(/[^\d]+/)
    .filter(Boolean);
  if (figures.length !== 3) return null;
  const isYearFirst = figures[0]!.length === 4;
  const order = isYearFirst ? ['y', 'M', 'd'] : [...new Set(pattern.replace(/[^dMy]/g, ''))];
  const of = (token: string) => figures[order.indexOf(token)]!;
  const year = of('y').length <= 2 ? String(2000 + Number(of('y'))) : of('y');
  const date = parse(`${year}-${of('M')}-${of('d')}`, 'yyyy-M-d', new Date(2000, 0, 1));
  return isValid(date) && year.length === 4 ? format(date, 'yyyy-MM-dd') : null;
}
