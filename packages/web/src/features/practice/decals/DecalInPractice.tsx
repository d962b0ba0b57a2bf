import type { PracticeState } from '@sardonyx/core';

interface DecalInPracticeProps {
  readonly piece: PracticeState['piece'];
  readonly isPlaced: boolean;
}

const TROUBLES: Readonly<Record<NonNullable<PracticeState['piece']['trouble']>, string>> = {
  folded: 'M20 22H70L88 22 70 31H20ZM70 22L88 22 64 31 52 31Z',
  torn: 'M20 22H58L54 31H20ZM66 23H100V32H62Z',
  'slid away': 'M34 34H114V43H34Z',
  'stuck crooked': 'M20 26L100 18V27L20 35Z',
};
const FLAT = 'M20 22H100V31H20Z';
const BESIDE = 'M20 52H100V61H20Z';

/** Where the decal is, and how it lies: drawn, not measured. */
export function DecalInPractice({ piece: { done, wetAtS, trouble }, isPlaced }: DecalInPracticeProps) {
  const hasSlid = done.includes('slide the paper away');
  const words = trouble
    ? `The decal on its panel: ${trouble}`
    : isPlaced
      ? 'The decal lies on its panel'
      : hasSlid
        ? 'The decal floats on its panel'
        : wetAtS !== null
          ? 'The decal on its paper, wet'
          : 'The decal on its paper, dry';
  return (
    <figure className="space-y-1">
      <svg
        role="img"
        aria-label={words}
        viewBox="0 9 120 58"
        className="max-h-56 w-full border border-hairline bg-sunk"
      >
        <rect x="6" y="12" width="108" height="30" rx="2" fill="#566b76" />
        <rect
          x="16"
          y="20"
          width="88"
          height="13"
          fill="none"
          stroke="#fff"
          strokeWidth="0.4"
          strokeDasharray="2 1.5"
        />
        {!hasSlid && <rect x="18" y="49.5" width="84" height="14" fill={wetAtS === null ? '#f4f4f4' : '#b9cfdb'} />}
        <path
          d={hasSlid ? (trouble ? TROUBLES[trouble] : FLAT) : BESIDE}
          fill="#e8dfc4"
          stroke="#101010"
          strokeWidth="0.4"
          strokeLinejoin="round"
          fillRule="nonzero"
        />
      </svg>
      <figcaption className="text-note">{words}.</figcaption>
    </figure>
  );
}
