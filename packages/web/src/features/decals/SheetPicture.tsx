import type { SheetDrawing } from '@sardonyx/core';
import { drawLine, Inks } from './ArtworkPicture.tsx';

interface SheetPictureProps {
  readonly drawing: SheetDrawing;
  /** White ink shows on neither paper; the film is drawn as grey. */
  readonly label: string;
}

/** A sheet as it will be printed, with its crop marks and rules; cut lines are dashed and not printed. */
export function SheetPicture({ drawing, label }: SheetPictureProps) {
  const { lengthMm, widthMm, inks, cuts, lines } = drawing;
  return (
    <svg
      role="img"
      aria-label={label}
      viewBox={`0 0 ${lengthMm} ${widthMm}`}
      className="w-full border border-strong-line"
      style={{ background: '#d9d9d9' }}
    >
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
