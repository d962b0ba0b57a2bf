import { BANDS, FIRST_NM, STEP_NM } from '../cieTables.ts';
import type { Lab } from '../colorimetry.ts';

/** One measured sample: a thick film, or a tint of it in white. */
export interface SpectralSample {
  readonly name: string;
  /** 0 to 1 on 31 bands, 400 to 700 nm. */
  readonly spectrum: readonly number[];
  /** Volume share of the paint in white; 1 is the paint itself. */
  readonly share: number;
  readonly lab: Lab | null;
}

export interface CgatsProblem {
  readonly line: number;
  readonly message: string;
}

export interface CgatsReading {
  readonly samples: readonly SpectralSample[];
  readonly problems: readonly CgatsProblem[];
}

const SPECTRAL = /^(?:SPECTRAL_)?(?:NM_?)?(\d{3})$/i;
/** Reflectance in per cent where one value is larger. */
const PER_CENT_FROM = 2;
const END_NM = FIRST_NM + (BANDS - 1) * STEP_NM;

/**
 * Reads spectra from CGATS.17 text: SAMPLE_NAME (or SAMPLE_ID), SPECTRAL_NM400 to SPECTRAL_NM700, and SHARE where a sample is a
 * tint in white. Any even or uneven steps between 400 and 700 nm are understood and brought to 10 nm along straight lines;
 * fractions and per cent as well. Everything wrong is told by line; samples that are right are returned all the same.
 */
export function readCgats(text: string): CgatsReading {
  const lines = text.replace(/^\uFEFF/, '').split(/\r\n|\r|\n/);
  const find = (word: string) => lines.findIndex((line) => line.trim().toUpperCase() === word);
  const [formatFrom, formatTo] = [find('BEGIN_DATA_FORMAT'), find('END_DATA_FORMAT')];
  const [dataFrom, dataTo] = [find('BEGIN_DATA'), find('END_DATA')];
  if (formatFrom < 0 || formatTo < formatFrom || dataFrom < formatTo || dataTo < dataFrom)
    return {
      samples: [],
      problems: [{ line: 1, message: 'This is no CGATS text: BEGIN_DATA_FORMAT and BEGIN_DATA are not both there.' }],
    };
  const fields = lines
    .slice(formatFrom + 1, formatTo)
    .flatMap(splitLine)
    .map((field) => field.toUpperCase());
  const bands = fields
    .flatMap((field, at) => {
      const nm = Number(SPECTRAL.exec(field)?.[1] ?? NaN);
      return Number.isFinite(nm) ? [{ nm, at }] : [];
    })
    .sort((a, b) => a.nm - b.nm);
  if (bands.length < 2 || bands[0]!.nm > FIRST_NM || bands.at(-1)!.nm < END_NM)
    return {
      samples: [],
      problems: [
        { line: formatFrom + 2, message: `Spectra from ${FIRST_NM} to ${END_NM} nm are needed (SPECTRAL_NM400 ...).` },
      ],
    };
  const problems: CgatsProblem[] = [];
  const raw = lines.slice(dataFrom + 1, dataTo).flatMap((line, i) => {
    const own = dataFrom + 2 + i;
    const cells = splitLine(line);
    if (cells.length === 0) return [];
    if (cells.length !== fields.length) {
      problems.push({ line: own, message: `${cells.length} values where the format names ${fields.length} fields.` });
      return [];
    }
    return [{ line: own, cells }];
  });
  const isPerCent = raw.some(({ cells }) => bands.some(({ at }) => Number(cells[at]) > PER_CENT_FROM));
  const samples = raw.flatMap(({ line, cells }) => readSample(line, cells, fields, bands, isPerCent, problems) ?? []);
  return { samples, problems };
}

const splitLine = (line: string): string[] =>
  [...line.trim().matchAll(/"((?:[^"]|"")*)"|(\S+)/g)].map((found) => found[1]?.replaceAll('""', '"') ?? found[2]!);

function readSample(
  line: number,
  cells: readonly string[],
  fields: readonly string[],
  bands: readonly { readonly nm: number; readonly at: number }[],
  isPerCent: boolean,
  problems: CgatsProblem[],
): SpectralSample | null {
  const cell = (field: string) => cells[fields.indexOf(field)];
  const values = bands.map(({ nm, at }) => ({ nm, r: Number(cells[at]) / (isPerCent ? 100 : 1) }));
  const wrong = values.find(({ r }) => !(r >= 0 && r <= 1.2));
  if (wrong) {
    problems.push({
      line,
      message: `The reflectance at ${wrong.nm} nm is no number from 0 to 1 (or 0 to 100 per cent).`,
    });
    return null;
  }
  const share = Number(cell('SHARE') ?? 1);
  if (!(share > 0 && share <= 1)) {
    problems.push({ line, message: 'SHARE is above 0 and at most 1.' });
    return null;
  }
  const name = cell('SAMPLE_NAME') ?? cell('SAMPLE_ID') ?? '';
  if (name === '') {
    problems.push({ line, message: 'A sample has no name (SAMPLE_NAME or SAMPLE_ID).' });
    return null;
  }
  const lab = ['LAB_L', 'LAB_A', 'LAB_B'].map((field) => Number(cell(field) ?? NaN));
  const spectrum = Array.from({ length: BANDS }, (_, i) => interpolate(values, FIRST_NM + i * STEP_NM));
  return { name, spectrum, share, lab: lab.every(Number.isFinite) ? [lab[0]!, lab[1]!, lab[2]!] : null };
}

function interpolate(values: readonly { readonly nm: number; readonly r: number }[], nm: number): number {
  const after = values.findIndex((value) => value.nm >= nm);
  const right = values[after]!;
  if (right.nm === nm || after === 0) return right.r;
  const left = values[after - 1]!;
  return left.r + ((right.r - left.r) * (nm - left.nm)) / (right.nm - left.nm);
}

/** The same as text; what went out comes back as it was, to the fifth decimal. */
export function writeCgats(samples: readonly SpectralSample[], description: string): string {
  const bands = Array.from({ length: BANDS }, (_, i) => `SPECTRAL_NM${FIRST_NM + i * STEP_NM}`);
  const hasLab = samples.every((sample) => sample.lab !== null);
  const fields = ['SAMPLE_ID', 'SAMPLE_NAME', 'SHARE', ...(hasLab ? ['LAB_L', 'LAB_A', 'LAB_B'] : []), ...bands];
  const rows = samples.map(({ name, share, lab, spectrum }, i) =>
    [
      String(i + 1),
      quote(name),
      String(share),
      ...(hasLab ? lab!.map((one) => one.toFixed(2)) : []),
      ...spectrum.map((one) => one.toFixed(5)),
    ].join('\t'),
  );
  return [
    'CGATS.17',
    'ORIGINATOR "Sardonyx"',
    `DESCRIPTOR ${quote(description)}`,
    'KEYWORD "SHARE"',
    `NUMBER_OF_FIELDS ${fields.length}`,
    'BEGIN_DATA_FORMAT',
    fields.join('\t'),
    'END_DATA_FORMAT',
    `NUMBER_OF_SETS ${samples.length}`,
    'BEGIN_DATA',
    ...rows,
    'END_DATA',
    '',
  ].join('\n');
}

const quote = (text: string) => `"${text.replaceAll('"', '""')}"`;
