import {
  drawElement,
  InvalidInputError,
  type DrawnElement,
  type InkShape,
  type Point,
  type Region,
} from '@sardonyx/core';
import { useMemo } from 'react';
import { PictureCanvas } from '../../../shared/ui/PictureCanvas.tsx';
import { Inks } from '../ArtworkPicture.tsx';

interface DecalCanvasProps {
  readonly elements: readonly DrawnElement[];
  readonly inHand: number | null;
  /** Without a photograph the ground is so large. */
  readonly sizeMm: { readonly width: number; readonly height: number };
  /** The photograph seen straight from above, at its address in the browser. */
  readonly under: { readonly url: string; readonly region: Region } | null;
  readonly isSeenThrough: boolean;
  readonly onAdd: ((point: Point) => void) | null;
  readonly onMove: (index: number, point: Point) => void;
}

const MARGIN_MM = 3;
/** A point moves by so much with an arrow key, mm. */
const NUDGE_MM = 0.05;

/** What is traced over the old decal; in millimetres. */
export function DecalCanvas({ elements, inHand, sizeMm, under, isSeenThrough, onAdd, onMove }: DecalCanvasProps) {
  const box = useMemo(
    () =>
      under
        ? { x: under.region.left, y: under.region.top, width: under.region.widthMm, height: under.region.heightMm }
        : {
            ...{ x: -MARGIN_MM, y: -MARGIN_MM },
            ...{ width: sizeMm.width + 2 * MARGIN_MM, height: sizeMm.height + 2 * MARGIN_MM },
          },
    [under, sizeMm.width, sizeMm.height],
  );
  const held = inHand === null ? undefined : elements[inHand];
  const points = held ? (held.kind === 'text' ? [{ x: held.x, y: held.y }] : held.points) : [];
  const word = (i: number) => (held?.kind === 'text' ? 'where the text begins' : String(i + 1));
  return (
    <PictureCanvas
      label="Tracing the decal"
      {...{ box, points, onAdd, onMove }}
      pointWord={word}
      hasWordsBeside={held?.kind === 'text' ? false : undefined}
      nudge={NUDGE_MM}
    >
      {(k) => (
        <>
          {under ? (
            <image
              href={under.url}
              x={under.region.left}
              y={under.region.top}
              width={under.region.widthMm}
              height={under.region.heightMm}
            />
          ) : (
            <rect width={sizeMm.width} height={sizeMm.height} fill="#fff" />
          )}
          <g aria-hidden opacity={isSeenThrough ? 0.55 : 1}>
            <Inks shapes={elements.flatMap((element) => drawSoFar(element) ?? [])} />
          </g>
          {held && held.kind !== 'text' && held.points.length > 0 && (
            <path
              aria-hidden
              d={drawSoFar(held)?.d ?? `M${held.points.map(({ x, y }) => `${x} ${y}`).join('L')}`}
              fill="none"
              stroke="#000"
              strokeWidth={1.4 * k}
            />
          )}
        </>
      )}
    </PictureCanvas>
  );
}

/** null while there is too little of it. */
function drawSoFar(element: DrawnElement): InkShape | null {
  try {
    return drawElement(element);
  } catch (error) {
    if (error instanceof InvalidInputError) return null;
    throw error;
  }
}
