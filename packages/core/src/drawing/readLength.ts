/** Of CSS, mm. */
export const PX_MM = 25.4 / 96;

/** CSS units (CSS Values 3, 5.2), mm. */
const MM_PER: Readonly<Record<string, number>> = {
  ...{ mm: 1, cm: 10, in: 25.4, pt: 25.4 / 72, pc: 25.4 / 6, px: PX_MM, q: 0.25 },
};

/** A length of an SVG file; a number alone is px, a share of something or a word is none. */
export function readLength(text: string | undefined): { readonly mm: number; readonly isPhysical: boolean } | null {
  const [, number, unit = 'px'] = /^\s*([+-]?(?:\d+\.?\d*|\.\d+)(?:e[+-]?\d+)?)\s*([a-z]*)\s*$/i.exec(text ?? '') ?? [];
  const per = MM_PER[(unit || 'px').toLowerCase()];
  if (number === undefined || per === undefined) return null;
  const mm = Number(number) * per;
  return Number.isFinite(mm) ? { mm, isPhysical: (unit || 'px').toLowerCase() !== 'px' } : null;
}
