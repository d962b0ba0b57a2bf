import type { DecalArtwork, InkShape } from '@sardonyx/core';

interface ArtworkPictureProps {
  readonly artwork: Pick<DecalArtwork, 'name' | 'widthMm' | 'heightMm' | 'shapes' | 'cutLine'>;
  /** What it lies on. */
  readonly ground: string;
  /** Inks that show as something else, by their own colour. */
  readonly shownAs?: Readonly<Record<string, string>>;
  readonly label: string;
}

/** Ground round the decal, mm. */
const MARGIN = 2.5;

/** A decal on the colour that it will lie on. */
export function ArtworkPicture({ artwork, ground, shownAs = {}, label }: ArtworkPictureProps) {
  const { widthMm, heightMm, shapes, cutLine } = artwork;
  return (
    <svg
      role="img"
      aria-label={label}
      viewBox={`${-MARGIN} ${-MARGIN} ${widthMm + 2 * MARGIN} ${heightMm + 2 * MARGIN}`}
      className="max-h-64 w-full border border-hairline"
      style={{ background: ground }}
    >
      <Inks shapes={shapes} shownAs={shownAs} />
      <path
        d={drawLine(cutLine)}
        fill="none"
        stroke="#7d7d7d"
        strokeWidth={1}
        strokeDasharray="3 3"
        vectorEffect="non-scaling-stroke"
      />
    </svg>
  );
}

export function Inks({
  shapes,
  shownAs = {},
}: {
  readonly shapes: readonly InkShape[];
  readonly shownAs?: Readonly<Record<string, string>>;
}) {
  const inkOf = (hex: string | null) => (hex === null ? 'none' : (shownAs[hex] ?? hex));
  return shapes.map(({ d, fill, isEvenOdd, stroke, strokeMm }, i) => (
    <path
      key={i}
      d={d}
      fill={inkOf(fill)}
      fillRule={isEvenOdd ? 'evenodd' : 'nonzero'}
      stroke={inkOf(stroke)}
      strokeWidth={strokeMm}
    />
  ));
}

export const drawLine = (points: readonly { readonly x: number; readonly y: number }[]): string =>
  `M${points.map(({ x, y }) => `${x} ${y}`).join('L')}Z`;
