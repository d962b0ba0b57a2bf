import type { Photo, Point } from '@sardonyx/core';
import { useMemo, type ReactNode } from 'react';
import { PictureCanvas } from '../../shared/ui/PictureCanvas.tsx';

interface PhotoCanvasProps {
  readonly photo: Photo;
  /** The points in hand, which can be moved. */
  readonly points: readonly Point[];
  readonly pointWord?: (index: number) => string;
  /** null while nothing is being pointed at. */
  readonly onAdd: ((point: Point) => void) | null;
  readonly onMove: (index: number, point: Point) => void;
  /** Drawn in the picture's pixels; k is the size of a screen pixel in them. */
  readonly children?: (k: number) => ReactNode;
}

/** A photograph to point at, in its own pixels. */
export function PhotoCanvas({ photo, children, ...rest }: PhotoCanvasProps) {
  const { widthPx: width, heightPx: height, hash, side } = photo;
  const box = useMemo(() => ({ x: 0, y: 0, width, height }), [width, height]);
  return (
    <PictureCanvas label={`Photograph, ${side}`} box={box} {...rest}>
      {(k) => (
        <>
          <image href={`/api/photos/${hash}/full`} width={width} height={height} />
          {children?.(k)}
        </>
      )}
    </PictureCanvas>
  );
}
