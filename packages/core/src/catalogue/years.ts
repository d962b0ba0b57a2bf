import type { ProductionSpan } from '../model/catalogue.ts';

/** A stretch of time that words name: "1964" is all of that year, "spring 1965" a quarter of it. Decimal years. */
interface Stretch {
  readonly from: number;
  readonly to: number;
}

const SEASONS: Readonly<Record<string, number>> = {
  ...{ early: 0, winter: 0, spring: 0.25, summer: 0.5, late: 0.75, autumn: 0.75, fall: 0.75 },
};
const MONTHS = ['jan', 'feb', 'mar', 'apr', 'may', 'jun', 'jul', 'aug', 'sep', 'oct', 'nov', 'dec'];
/** "About" widens by this to either side, years. */
const ABOUT_YEARS = 1;
/** How long an issue is taken to go on, or to have gone on, where only one end is named (planning estimate). */
const OPEN_YEARS = 8;
const HALF_CENTURY = 50;
const [LEAST_YEAR, MOST_YEAR] = [1850, 2100];

/**
 * Years as people write them: "1964", "1964-68", "1964 to early 1966", "about 1966", "spring 1965 on", "until 1968", "1960s",
 * "May 1965"; a stretch in figures is "1962.5/1963". An end lies anywhere within what is named. null where it cannot be read.
 */
export function parseYears(text: string): ProductionSpan | null {
  const plain = text.trim().toLowerCase().replace(/[–—]/g, '-').replace(/\s+/g, ' ');
  const about = /^(about|around|circa|ca\.?|c\.|approx\.?) ?/.exec(plain);
  const words = plain.slice(about?.[0].length ?? 0);
  const open = /^(?:from )?(.+?) (?:on|onwards?)$|^(?:from|since) (.+)$/.exec(words);
  const closed = /^(?:until|till|up to|to) (.+)$/.exec(words);
  const range = /^(?:from )?(.+?) ?(?:-| to | until | till ) ?(.+)$/.exec(words);
  const widen = about || /\?/.test(words) ? ABOUT_YEARS : 0;
  const read = (part: string, century: number | null = null) =>
    widenBy(readStretch(part.replace(/\?/g, '').trim(), century), widen);
  if (range && !closed) {
    const first = read(range[1]!);
    const last = first && read(range[2]!, Math.floor(first.from / 100) * 100);
    // "98-02" goes into the next century; "68-64" is a slip.
    const isNext = !/\d{4}/.test(range[2]!) && first !== null && last !== null && first.from - last.from > HALF_CENTURY;
    return first && last ? asSpan(first, isNext ? laterBy(last, 100) : last) : null;
  }
  if (closed) {
    const last = read(closed[1]!);
    return (
      last &&
      checkSpan({
        startEarliest: last.from - OPEN_YEARS,
        startLatest: last.from,
        endEarliest: last.from,
        endLatest: last.to,
      })
    );
  }
  if (open) {
    const first = read((open[1] ?? open[2])!);
    return (
      first &&
      checkSpan({
        startEarliest: first.from,
        startLatest: first.to,
        endEarliest: first.to,
        endLatest: first.to + OPEN_YEARS,
      })
    );
  }
  const one = read(words);
  if (!one) return null;
  const middle = (one.from + one.to) / 2;
  return checkSpan({ startEarliest: one.from, startLatest: middle, endEarliest: middle, endLatest: one.to });
}

const widenBy = (stretch: Stretch | null, years: number): Stretch | null =>
  stretch && { from: stretch.from - years, to: stretch.to + years };

/** `century`: what "68" is counted from, behind a year that was written out. */
function readStretch(part: string, century: number | null): Stretch | null {
  const figures = /^(\d{4}(?:\.\d+)?)\/(\d{4}(?:\.\d+)?)$/.exec(part);
  if (figures) return { from: Number(figures[1]), to: Number(figures[2]) };
  const decade = /^(\d{3})0'?s$/.exec(part);
  if (decade) return { from: Number(decade[1]) * 10, to: Number(decade[1]) * 10 + 10 };
  const half = /^(first|second|1st|2nd) half (?:of )?(\d{4})$/.exec(part);
  if (half) {
    const begin = Number(half[2]) + (/^(first|1st)/.test(half[1]!) ? 0 : 0.5);
    return { from: begin, to: begin + 0.5 };
  }
  const named = /^(?:([a-z]+)\.? )?(\d{4}|\d{2})$/.exec(part);
  if (!named) return null;
  const [, word, digits] = named;
  if (digits!.length === 2 && century === null) return null;
  const year = digits!.length === 2 ? century! + Number(digits) : Number(digits);
  if (!word) return { from: year, to: year + 1 };
  const season = SEASONS[word];
  if (season !== undefined) return { from: year + season, to: year + season + 0.25 };
  const month = word.length < 3 ? -1 : MONTHS.indexOf(word.slice(0, 3));
  return month < 0 ? null : { from: year + month / 12, to: year + (month + 1) / 12 };
}

const laterBy = ({ from, to }: Stretch, years: number): Stretch => ({ from: from + years, to: to + years });

/** Within one stretch both ends lie anywhere in it. */
function asSpan(first: Stretch, last: Stretch): ProductionSpan | null {
  const middle = Math.min(Math.max(first.from, (first.to + last.from) / 2), last.to);
  const isApart = first.to <= last.from;
  return checkSpan({
    startEarliest: first.from,
    startLatest: isApart ? first.to : middle,
    endEarliest: isApart ? last.from : middle,
    endLatest: last.to,
  });
}

function checkSpan(span: ProductionSpan): ProductionSpan | null {
  const ends = [span.startEarliest, span.startLatest, span.endEarliest, span.endLatest];
  const isOrdered = ends.every((end, i) => i === 0 || end >= ends[i - 1]!);
  return isOrdered && ends[0]! >= LEAST_YEAR && ends[3]! <= MOST_YEAR ? span : null;
}

/** A span in the shortest words that are read as the same span again. */
export function sayYears(span: ProductionSpan): string {
  const { startEarliest: a, startLatest: b, endEarliest: c, endLatest: d } = span;
  const [first, last] = [sayStretch(a, b), sayStretch(c, d)];
  const tries = [
    sayStretch(a, d),
    sayStretch(a + ABOUT_YEARS, d - ABOUT_YEARS) && `about ${sayStretch(a + ABOUT_YEARS, d - ABOUT_YEARS)}`,
    first && last && /^\d{4}$/.test(first) && /^\d{4}$/.test(last) ? `${first}-${last.slice(2)}` : null,
    first && last && `${first} to ${last}`,
    sayAbout(a, b, c, d),
    first && `${first} on`,
    last && `until ${last}`,
    sayStretch(c, d) && `until ${sayStretch(c, d)}`,
  ];
  for (const words of tries) if (words && isSame(parseYears(words), span)) return words;
  return `${figure(a)}/${figure(b)} to ${figure(c)}/${figure(d)}`;
}

function sayAbout(a: number, b: number, c: number, d: number): string | null {
  const [first, last] = [sayStretch(a + ABOUT_YEARS, b - ABOUT_YEARS), sayStretch(c + ABOUT_YEARS, d - ABOUT_YEARS)];
  return first && last && `about ${first} to ${last}`;
}

const NAMED = [
  [0, 'early'],
  [0.25, 'spring'],
  [0.5, 'summer'],
  [0.75, 'late'],
] as const;

function sayStretch(from: number, to: number): string | null {
  const year = Math.floor(from);
  if (from === year && to === year + 1) return String(year);
  if (from === year && to === year + 10 && year % 10 === 0) return `${year}s`;
  if ((from - year) % 0.5 === 0 && to === from + 0.5) return `${from === year ? 'first' : 'second'} half ${year}`;
  const season = NAMED.find(([begin]) => from === year + begin && to === from + 0.25);
  return season ? `${season[1]} ${year}` : null;
}

const figure = (year: number) => String(Number(year.toFixed(3)));

const isSame = (read: ProductionSpan | null, span: ProductionSpan): boolean =>
  read !== null &&
  (['startEarliest', 'startLatest', 'endEarliest', 'endLatest'] as const).every(
    (end) => Math.abs(read[end] - span[end]) < 1e-6,
  );
