/** A number as somebody types it, with a point or a comma; NaN for anything else. */
export const readNumber = (text: string): number =>
  text.trim() === '' ? NaN : Number(text.trim().replace(',', '.').replace('−', '-'));
