import names from 'color-name';

/** '#rrggbb' of a CSS colour; null for none, 'unknown' for what is no flat colour. */
export function readInk(text: string): string | null | 'unknown' {
  const word = text.trim().toLowerCase();
  if (word === 'none' || word === 'transparent') return null;
  const [, short] = /^#([0-9a-f]{3})$/.exec(word) ?? [];
  if (short) return `#${[...short].map((one) => one + one).join('')}`;
  if (/^#[0-9a-f]{6}$/.test(word)) return word;
  const [, r, g, b] = /^rgb\(\s*([\d.]+%?)[\s,]+([\d.]+%?)[\s,]+([\d.]+%?)\s*\)$/.exec(word) ?? [];
  if (r && g && b) return toHex([r, g, b].map((one) => (one.endsWith('%') ? 2.55 * parseFloat(one) : parseFloat(one))));
  const named = Object.hasOwn(names, word) ? names[word] : undefined;
  return named ? toHex(named) : 'unknown';
}

const toHex = (rgb: readonly number[]): string =>
  `#${rgb
    .map((one) =>
      Math.round(Math.min(255, Math.max(0, one)))
        .toString(16)
        .padStart(2, '0'),
    )
    .join('')}`;
