import { convertLabToHex, type Lab } from '@sardonyx/core';

export const writeLab = (lab: Lab) => lab.map((one) => one.toFixed(1)).join(', ');

/** "#rrggbb" of "#2f6b3a", "2f6b3a", "#2f6", "47, 107, 58" (a screen's figures) or "41.2 -3.0 -14.1" (L*, a*, b*: with a point or a sign); null for anything else. */
export function readColour(text: string): string | null {
  const plain = text.trim().toLowerCase();
  const hex = /^#?([0-9a-f]{6}|[0-9a-f]{3})$/.exec(plain)?.[1];
  if (hex) return `#${hex.length === 3 ? [...hex].map((one) => one + one).join('') : hex}`;
  const figures = plain.match(/[-−+]?\d+(?:\.\d+)?/g)?.map((one) => Number(one.replace('−', '-'))) ?? [];
  const [first, second, third] = figures;
  if (figures.length !== 3 || /[^\d\s.,;+−\-lab*rg()]/.test(plain)) return null;
  if (/[.−-]|l\*?/.test(plain.replace(/^rgb/, '')))
    return first! >= 0 && first! <= 100 && Math.max(Math.abs(second!), Math.abs(third!)) <= 128
      ? convertLabToHex([first!, second!, third!])
      : null;
  return figures.every((one) => one >= 0 && one <= 255)
    ? `#${figures.map((one) => one.toString(16).padStart(2, '0')).join('')}`
    : null;
}
