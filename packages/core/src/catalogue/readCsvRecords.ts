import Papa from 'papaparse';
import { isHeaderTooLong } from './isHeaderTooLong.ts';

/** Nobody's shelf or cabinet holds more. */
const MOST_LINES = 20_000;

export type CsvRecords =
  | { readonly records: readonly Readonly<Record<string, string>>[] }
  /** Nothing of it can be read: why, and the column that is at fault. */
  | { readonly refusal: { readonly line: 1; readonly column: string | null; readonly message: string } };

/** Records of CSV text by the names of their columns: comma, semicolon or tab; columns in any order; no more than 20,000. */
export function readCsvRecords(text: string, required: readonly string[]): CsvRecords {
  const refuse = (column: string | null, message: string): CsvRecords => ({ refusal: { line: 1, column, message } });
  if (isHeaderTooLong(text)) return refuse(null, 'The first line must name the columns; this one does not end.');
  const { data, meta } = Papa.parse<Record<string, string>>(text.replace(/^\uFEFF/, ''), {
    header: true,
    delimitersToGuess: [',', ';', '\t'],
    transformHeader: (name) => name.trim().toLowerCase(),
    skipEmptyLines: 'greedy',
    preview: MOST_LINES + 1,
  });
  if (data.length > MOST_LINES) return refuse(null, `More than ${MOST_LINES} lines: bring it in pieces.`);
  const missing = required.filter((column) => !meta.fields?.includes(column));
  return missing.length ? refuse(missing[0]!, `Missing columns: ${missing.join(', ')}.`) : { records: data };
}
