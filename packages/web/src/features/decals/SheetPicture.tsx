import type { Point, SheetDrawing } from '@sardonyx/core';
import { drawLine, Inks } from './ArtworkPicture.tsx';

interface SheetPictureProps {
  readonly drawing: SheetDrawing;
  /** What was printed on it before, as it lies on the paper. */
  readonly gone?: readonly (readonly Point[])[];
  readonly label: string;
}

/** A sheet as it will be printed, with its crop marks and rules; cut lines are dashed and not printed, what is gone is grey. */
export function SheetPicture({ drawing, gone = [], label }: SheetPictureProps) {
  const { lengthMm, widthMm, inks, cuts, lines } = drawing;
  return (
    <svg
      role="img"
      aria-label={label}
      viewBox={`0 0 ${lengthMm} ${widthMm}`}
      className="w-full border border-strong-line"
      style={{ background: '#d9d9d9' }}
    >
      {gone.map((outline, i) => (
        <path key={i} d={drawLine(outline)} fill="#a8a8a8" />
      ))}
      <Inks shapes={inks} />
      {cuts.map((cut, i) => (
        <path
          key={i}
          d={drawLine(cut)}
          fill="none"
          stroke="#5c5c5c"
          strokeWidth={1}
          strokeDasharray="3 3"
          vectorEffect="non-scaling-stroke"
        />
      ))}
      {lines.map(({ from, to }, i) => (
        <path
          key={i}
          d={`M${from.x} ${from.y}L${to.x} ${to.y}`}
          stroke="#000000"
          strokeWidth={1}
          vectorEffect="non-scaling-stroke"
        />
      ))}
    </svg>
  );
}
