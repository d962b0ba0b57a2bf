import type { CastingView } from '@sardonyx/contract';
import {
  closeMirrored,
  outlineTrace,
  type PhotoFit,
  type Point,
  type Region,
  type Trace,
  type TracedShape,
} from '@sardonyx/core';
import { useMemo } from 'react';
import { PictureCanvas } from '../../../shared/ui/PictureCanvas.tsx';
import { ModelDrawing } from '../../../shared/drawing/ModelDrawing.tsx';

interface TraceCanvasProps {
  readonly view: CastingView;
  readonly trace: Trace;
  /** The photograph seen straight from above, at its address in the browser. */
  readonly under: { readonly url: string; readonly region: Region } | null;
  readonly isDrawingShown: boolean;
  /** Index of the shape in hand; null while places to look at are set. */
  readonly inHand: number | null;
  readonly points: readonly Point[];
  readonly pointWord: (index: number) => string;
  readonly onAdd: ((point: Point) => void) | null;
  readonly onMove: (index: number, point: Point) => void;
}

const MARGIN_MM = 4;
/** A point moves by so much with an arrow key, mm. */
const NUDGE_MM = 0.1;

/** The photograph under the drawing, what is traced over both, and the points in hand; all in millimetres. */
export function TraceCanvas(props: TraceCanvasProps) {
  const { view, trace, under, isDrawingShown, inHand, points, pointWord, onAdd, onMove } = props;
  const { widthMm, heightMm } = trace;
  const box = useMemo(
    () => ({
      ...{ x: -MARGIN_MM, y: -MARGIN_MM },
      ...{ width: widthMm + 2 * MARGIN_MM, height: heightMm + 2 * MARGIN_MM },
    }),
    [widthMm, heightMm],
  );
  const drawn =
    view.casting.traces[trace.view]?.under ?? view.casting.drawing.views.find((one) => one.view === trace.view);
  return (
    <PictureCanvas label={`Tracing the ${trace.view}`} {...{ box, points, pointWord, onAdd, onMove }} nudge={NUDGE_MM}>
      {(k) => (
        <>
          {under && trace.photo && (
            <g transform={matrixOf(trace.photo)}>
              <image
                href={under.url}
                x={under.region.left}
                y={under.region.top}
                width={under.region.widthMm}
                height={under.region.heightMm}
              />
            </g>
          )}
          {isDrawingShown && drawn && (
            <g opacity={under ? 0.35 : 0.6} aria-hidden>
              <svg
                x={trace.underAt.x - 2}
                y={trace.underAt.y - 2}
                width={drawn.widthMm + 4}
                height={drawn.heightMm + 5}
              >
                <ModelDrawing
                  view={drawn}
                  paint={{}}
                  parts={view.parts.map(({ key, material }) => ({ key, material, state: 'sound' }))}
                  label=""
                />
              </svg>
            </g>
          )}
          {trace.artwork.map(({ d }, i) => (
            <Line key={`art ${i}`} d={d} k={k} isInHand={false} />
          ))}
          {trace.shapes.map((shape, i) => (
            <Line key={i} d={lineOf(shape, trace)} k={k} isInHand={i === inHand} />
          ))}
        </>
      )}
    </PictureCanvas>
  );
}

/** Dark on light and light on dark: a line with a rim, thicker in hand. */
const Line = ({ d, k, isInHand }: { readonly d: string; readonly k: number; readonly isInHand: boolean }) => (
  <g fill="none" strokeLinejoin="round" aria-hidden>
    <path d={d} stroke="#fff" strokeWidth={(isInHand ? 5 : 3) * k} />
    <path d={d} stroke="#000" strokeWidth={(isInHand ? 2.4 : 1.2) * k} />
  </g>
);

/** The closed line, or what there is of one. */
function lineOf(shape: TracedShape, trace: Trace): string {
  const outline = outlineTrace(shape, trace);
  if (outline) return outline.d;
  return closeMirrored(shape, trace)
    .map(({ x, y }, i) => `${i ? 'L' : 'M'}${x} ${y}`)
    .join('');
}

const matrixOf = ({ a, b, dx, dy, isMirrored }: PhotoFit): string => {
  const m = isMirrored ? -1 : 1;
  return `matrix(${a} ${b} ${-m * b} ${m * a} ${dx} ${dy})`;
};
