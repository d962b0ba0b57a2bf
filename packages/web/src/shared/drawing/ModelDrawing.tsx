import {
  fillShape,
  type DrawingShape,
  type DrawingView,
  type Material,
  type PaintOfParts,
  type PartState,
} from '@sardonyx/core';
import type { ReactNode } from 'react';

export interface DrawnPart {
  readonly key: string;
  readonly material: Material;
  readonly state: PartState;
}

interface ModelDrawingProps {
  readonly view: DrawingView;
  readonly paint: PaintOfParts;
  readonly parts: readonly DrawnPart[];
  readonly label: string;
  readonly className?: string;
  /** Only this part of the view, in mm. */
  readonly crop?: { readonly x: number; readonly y: number; readonly width: number; readonly height: number };
  /** Marks in the drawing's millimetres. */
  readonly children?: ReactNode;
}

const PAD_MM = 2;

/** One view of a model in its paint; what is missing is an outline. */
export function ModelDrawing({ view, paint, parts, label, className = '', crop, children }: ModelDrawingProps) {
  return (
    <svg
      role={children ? 'group' : 'img'}
      aria-label={label}
      className={className}
      viewBox={
        crop
          ? `${crop.x} ${crop.y} ${crop.width} ${crop.height}`
          : `${-PAD_MM} ${-PAD_MM} ${view.widthMm + 2 * PAD_MM} ${view.heightMm + 2 * PAD_MM + 1}`
      }
    >
      <ellipse cx={view.widthMm / 2} cy={view.heightMm} rx={view.widthMm * 0.48} ry={1.1} fill="#000" opacity={0.22} />
      {mergeShapes(view).map((shape, i) => (
        <Shape key={i} shape={shape} paint={paint} parts={parts} />
      ))}

      {children}
    </svg>
  );
}

/** Neighbours of one part that look alike become one path: a drawing of half as many pieces. */
function mergeShapes(view: DrawingView): DrawingShape[] {
  const merged: DrawingShape[] = [];
  for (const shape of view.shapes) {
    if (shape.hidden) continue;
    const last = merged[merged.length - 1];
    const isAlike = last?.partKey === shape.partKey && last.surface === shape.surface && last.mask === shape.mask;
    if (isAlike) merged[merged.length - 1] = { ...last, d: last.d + shape.d };
    else merged.push(shape);
  }
  return merged;
}

interface ShapeProps {
  readonly shape: DrawingShape;
  readonly paint: PaintOfParts;
  readonly parts: readonly DrawnPart[];
}

export function Shape({ shape, paint, parts }: ShapeProps) {
  const part = parts.find((candidate) => candidate.key === shape.partKey);
  if (part?.state === 'missing') {
    return <path d={shape.d} fill="none" stroke="var(--strong-line)" strokeWidth={0.3} strokeDasharray="1.2 0.9" />;
  }
  const { fill, opacity } = fillShape(shape, paint, part?.material);
  const isMark = shape.surface === 'shade' || shape.surface === 'line';
  return (
    <path
      d={shape.d}
      fill={fill}
      fillOpacity={opacity}
      stroke={isMark ? 'none' : '#000'}
      strokeOpacity={0.35}
      strokeWidth={0.2}
    />
  );
}
