const MOST_LETTERS = 10_000;

/** Whether the first line of a CSV file is no line of column names: it is not even split then. */
export function isHeaderTooLong(text: string): boolean {
  const end = text.slice(0, MOST_LETTERS + 1).search(/[\r\n]/);
  return end < 0 && text.length > MOST_LETTERS;
}
