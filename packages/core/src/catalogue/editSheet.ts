import {
  createIssueColumn,
  isEmptyColumn,
  SHEET_FIELDS,
  type IssueSheet,
  type SheetField,
  type SheetIssue,
} from './issueSheet.ts';

/** Copies what stands in a row to the empty cells on its right, up to the next that says something of its own. */
export function fillRight(sheet: IssueSheet, at: SheetField | number): IssueSheet {
  let last = '';
  const issues = sheet.issues.map((issue) => {
    const text = readAt(issue, at);
    if (text.trim()) last = text;
    return text.trim() || !last ? issue : writeAt(issue, at, last);
  });
  return { ...sheet, issues };
}

const readAt = (issue: SheetIssue, at: SheetField | number): string =>
  typeof at === 'number' ? (issue.cells[at] ?? '') : issue[at];

export const writeAt = (issue: SheetIssue, at: SheetField | number, text: string): SheetIssue =>
  typeof at === 'number'
    ? { ...issue, cells: issue.cells.map((cell, r) => (r === at ? text : cell)) }
    : { ...issue, [at]: text };

const FIELD_WORDS: Readonly<Record<string, SheetField>> = {
  ...{
    issue: 'name',
    name: 'name',
    years: 'years',
    year: 'years',
    made: 'years',
    rarity: 'rarity',
    'rests on': 'evidence',
  },
};

/**
 * Puts a table that was copied elsewhere into the sheet: columns parted by tabs, or by semicolons where there is no tab. With
 * the names of the rows in its first column it is taken as a whole list, each row by its name, unknown ones as new rows, its
 * issues by their names, new ones behind those that are there. Otherwise its cells go where the hand is.
 */
export function pasteTable(
  sheet: IssueSheet,
  text: string,
  at: { issue: number; at: SheetField | number },
): IssueSheet {
  const table = text.replace(/\r/g, '').replace(/\n+$/, '').split('\n');
  const parted = table.map((line) =>
    line.split(line.includes('\t') || text.includes('\t') ? '\t' : ';').map((cell) => cell.trim()),
  );
  const isWhole =
    parted.length > 1 &&
    parted[0]!.length > 1 &&
    nameRow(parted[0]![0]!) === 'name' &&
    parted.some((line, i) => i > 0 && nameRow(line[0]!) === 'years');
  return isWhole ? pasteList(sheet, parted) : pasteBlock(sheet, parted, at);
}

const nameRow = (word: string): SheetField | undefined => (word === '' ? 'name' : FIELD_WORDS[word.toLowerCase()]);

function pasteList(sheet: IssueSheet, [header, ...lines]: readonly (readonly string[])[]): IssueSheet {
  const rows = [...sheet.rows];
  const places = lines.map(([word = '']): SheetField | number | null => {
    if (!word) return null;
    const field = nameRow(word);
    if (field) return field;
    const known = rows.findIndex((row) => row.label.toLowerCase() === word.toLowerCase());
    return known >= 0 ? known : rows.push({ featureId: null, label: word }) - 1;
  });
  const issues = sheet.issues
    .filter((issue) => !isEmptyColumn(issue))
    .map((issue) => ({ ...issue, cells: rows.map((_, r) => issue.cells[r] ?? '') }));
  header!.slice(1).forEach((name, column) => {
    if (!name && lines.every((line) => !line[column + 1])) return;
    const found = issues.findIndex((issue) => issue.name.trim().toLowerCase() === name.toLowerCase() && name !== '');
    let issue: SheetIssue = found >= 0 ? issues[found]! : { ...createIssueColumn(rows.length), name };
    lines.forEach((line, i) => {
      const [place, cell] = [places[i], line[column + 1]];
      if (place !== null && place !== undefined && cell) issue = writeAt(issue, place, cell);
    });
    if (found >= 0) issues[found] = { ...issue, cells: [...issue.cells] };
    else issues.push({ ...issue, cells: [...issue.cells] });
  });
  return { rows, issues };
}

/** What falls below the last row is left out; columns are added as they are needed. */
function pasteBlock(
  sheet: IssueSheet,
  block: readonly (readonly string[])[],
  { issue: first, at }: { issue: number; at: SheetField | number },
): IssueSheet {
  const order: (SheetField | number)[] = [...SHEET_FIELDS, ...sheet.rows.keys()];
  const from = order.indexOf(at);
  const issues = [...sheet.issues];
  block.forEach((line, down) =>
    line.forEach((cell, right) => {
      const place = order[from + down];
      if (place === undefined) return;
      while (issues.length <= first + right) issues.push(createIssueColumn(sheet.rows.length));
      issues[first + right] = writeAt(issues[first + right]!, place, cell);
    }),
  );
  return { ...sheet, issues };
}
