import { color } from 'd3-color';

/** '#rrggbb' of a CSS colour; null for none, 'unknown' for what is no flat colour. */
export function readInk(text: string): string | null | 'unknown' {
  const word = text.trim().toLowerCase();
  if (word === 'none' || word === 'transparent') return null;
  const read = color(word);
  return read === null || read.opacity < 1 ? 'unknown' : read.formatHex();
}
