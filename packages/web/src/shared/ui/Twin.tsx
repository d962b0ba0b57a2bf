import { Fold } from './Fold.tsx';
import { PlainTable } from './PlainTable.tsx';

/** The figures of a chart, in words and numbers. */
export interface ChartTwin {
  readonly headings: readonly string[];
  readonly rows: readonly (readonly (string | number)[])[];
}

/** What a chart or a drawn scale shows, folded, as a table. */
export function Twin({ label, headings, rows }: ChartTwin & { readonly label: string }) {
  return (
    <Fold title="The same as a table">
      <PlainTable
        label={`${label}, as a table`}
        headings={headings}
        rows={rows.map((row) => row.map(keepTogether))}
        className="max-h-60"
        tableClassName="text-note"
        cellClassName="py-0.5 pr-6"
        areFigures={() => true}
      />
    </Fold>
  );
}

/** "1 h 59 min" stays on one line; a sentence need not. */
const keepTogether = (cell: string | number, at: number) =>
  String(cell).length < 20 ? (
    <span key={at} className="whitespace-nowrap">
      {cell}
    </span>
  ) : (
    cell
  );
