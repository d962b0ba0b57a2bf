/** What one cell holds; null where there is nothing. */
export type Cell = string | number | null;

interface Read<R> {
  readonly heading: string;
  readonly read: (row: R) => Cell;
}

const plain = (cell: Cell) => (cell === null ? '' : String(cell));

/** The rows that have every typed word in one of their columns. */
export function filterRows<R>(rows: readonly R[], columns: readonly Read<R>[], text: string): readonly R[] {
  const words = text.toLowerCase().split(/\s+/).filter(Boolean);
  if (words.length === 0) return rows;
  return rows.filter((row) => {
    const all = columns
      .map(({ read }) => plain(read(row)))
      .join(' ')
      .toLowerCase();
    return words.every((word) => all.includes(word));
  });
}

/** As text that pastes into the cells of any spreadsheet. */
export function writeTabbed<R>(rows: readonly R[], columns: readonly Read<R>[]): string {
  const line = (cells: readonly Cell[]) => cells.map((cell) => plain(cell).replace(/\s+/g, ' ')).join('\t');
  return [
    line(columns.map(({ heading }) => heading)),
    ...rows.map((row) => line(columns.map(({ read }) => read(row)))),
  ].join('\n');
}

/** As CSV (RFC 4180); what a spreadsheet would take for a formula is quoted. */
export async function writeCsv<R>(rows: readonly R[], columns: readonly Read<R>[]): Promise<string> {
  const { default: Papa } = await import('papaparse');
  return Papa.unparse(
    {
      fields: columns.map(({ heading }) => heading),
      data: rows.map((row) => columns.map(({ read }) => read(row))),
    },
    { escapeFormulae: true },
  );
}
