/** What a spreadsheet would run: a formula, a command, anything that begins like one; a plain negative number is none. */
const FORMULA = String.raw`(?:[=+@\t\r]|-(?![\d.,]+$))`;
const RUNS = new RegExp(`^'*${FORMULA}`);
const GUARDED = new RegExp(`^'+${FORMULA}`);

/** A cell as it is written to a file that a spreadsheet may open: behind an apostrophe where it would be run. */
export const guardCell = (text: string): string => (RUNS.test(text) ? `'${text}` : text);

/** The cell that was guarded. */
export const unguardCell = (text: string): string => (GUARDED.test(text) ? text.slice(1) : text);
