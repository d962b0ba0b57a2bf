/** A number as somebody types it, with a point or a comma; NaN for anything else. */
export const readNumber = (text: string): number =>
  text.trim() === '' ? NaN : Number(text.trim().replace(',', '.').replace('−', '-'));

/** A number that may be left out: then null; what is no number is for the check to say. */
export const readOptional = (typed: unknown): number | null => {
  const text = String(typed ?? '');
  return text.trim() === '' ? null : readNumber(text);
};
