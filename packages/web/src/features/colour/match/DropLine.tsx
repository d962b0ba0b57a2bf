import { computePaintLab, convertLabToHex, selectOptics, type Geometry } from '@sardonyx/core';
import { findProduct, nameOfProduct, useColourBench } from '../ColourContext.tsx';

const DROPS = 36;
const STEP = 17;

interface DropLineProps {
  readonly lines: readonly { readonly productId: string; readonly ml: number }[];
  readonly geometry: Geometry;
}

/** A recipe as a line of drops, each paint in its own colour, in proportion; the smallest still gets one. */
export function DropLine({ lines, geometry }: DropLineProps) {
  const { shelf } = useColourBench();
  const total = lines.reduce((sum, line) => sum + line.ml, 0);
  const counts = lines.map((line) => Math.max(1, Math.round((DROPS * line.ml) / total)));
  counts[0]! += DROPS - counts.reduce((sum, one) => sum + one, 0);
  const fills = lines.flatMap(({ productId }, i) => {
    const product = findProduct(shelf, productId);
    const optics = product && selectOptics(product);
    const fill = optics ? convertLabToHex(computePaintLab(optics, geometry)) : '#777777';
    return Array.from({ length: Math.max(1, counts[i]!) }, () => fill);
  });
  const said = lines.map(({ productId, ml }) => `${ml.toFixed(2)} ml ${nameOfProduct(shelf, productId)}`).join(', ');
  return (
    <svg
      role="img"
      aria-label={said}
      data-swatch
      data-pot
      viewBox={`0 0 ${fills.length * STEP} 26`}
      className="block h-7 max-w-full"
      preserveAspectRatio="xMinYMid"
    >
      {fills.map((fill, i) => (
        <path
          key={i}
          transform={`translate(${i * STEP + STEP / 2} 0)`}
          d="M0 2C4 9 7 13 7 17.5A7 7 0 0 1 -7 17.5C-7 13 -4 9 0 2Z"
          fill={fill}
          stroke="#777777"
          strokeWidth={1}
        />
      ))}
    </svg>
  );
}
