import type { CastingPhoto } from '@sardonyx/contract';
import { InvalidInputError, layPhoto, type PhotoFit, type Point, type Trace } from '@sardonyx/core';
import { useState } from 'react';
import { useFlat, usePhotoWorker } from '../../photos/index.ts';
import { PictureCanvas } from '../../../shared/ui/PictureCanvas.tsx';
import { Progress } from '../../../shared/ui/Progress.tsx';
import { Sign } from '../../../shared/ui/Sign.tsx';
import { LAY_WORDS } from './traceWords.ts';

interface LayUnderProps {
  readonly trace: Trace;
  readonly shown: CastingPhoto;
  /** Of the casting by caliper; the end view is as large as the card says unless a width is given. */
  readonly lengthMm: number;
  readonly onLaid: (fit: PhotoFit) => void;
}

/** Four presses say how a straightened photograph lies under the drawing, and the known length how large it is. */
export function LayUnder({ trace, shown: { photo }, lengthMm, onLaid }: LayUnderProps) {
  const worker = usePhotoWorker();
  const [round, setRound] = useState(0);
  const { flat, problem } = useFlat(photo, worker, round);
  const [points, setPoints] = useState<readonly Point[]>([]);
  const [width, setWidth] = useState('');
  if (problem)
    return (
      <p className="flex items-center gap-3">
        <Sign of="warning" />
        {problem}
        <button type="button" className="plain-button" onClick={() => setRound(round + 1)}>
          Straighten it again
        </button>
      </p>
    );
  if (!flat) return <Progress what="Straightening the picture" share={worker.progress} onEnd={worker.cancel} />;
  const { left, top, widthMm, heightMm } = flat.region;
  const words = LAY_WORDS[trace.view];
  const known = trace.view === 'end' ? Number(width.replace(',', '.')) || null : lengthMm;
  const { fit, fault } = tryToLay();
  function tryToLay(): { fit?: PhotoFit; fault?: string } {
    const [front, rear, low, far] = points;
    if (!front || !rear || !low || !far) return {};
    const levelMm = trace.view === 'base' ? trace.heightMm / 2 : trace.heightMm;
    try {
      return { fit: layPhoto(photo.id, { ends: [front, rear], level: [low, far] }, levelMm, known) };
    } catch (error) {
      if (error instanceof InvalidInputError) return { fault: error.message };
      throw error;
    }
  }
  return (
    <div className="space-y-3">
      <div className="flex flex-wrap items-center gap-4">
        <p role="status" className="text-act font-semibold">
          {points.length < words.length
            ? `Press ${words[points.length]}.`
            : fault
              ? 'All four are set, but not so:'
              : 'All four are set; drag them until they sit.'}
        </p>
        {trace.view === 'end' && (
          <label>
            <span className="block text-note">Width from edge to edge, mm, if you measured it</span>
            <input
              style={{ width: '7rem' }}
              inputMode="decimal"
              value={width}
              onChange={(event) => setWidth(event.target.value)}
            />
          </label>
        )}
        <button type="button" className="main-button" disabled={!fit} onClick={() => onLaid(fit!)}>
          Lay it under the drawing
        </button>
        {points.length > 0 && (
          <button type="button" className="quiet-button" onClick={() => setPoints([])}>
            Press anew
          </button>
        )}
      </div>
      <PictureCanvas
        label="Straightened photograph"
        box={{ x: left, y: top, width: widthMm, height: heightMm }}
        points={points}
        onAdd={points.length < words.length ? (point) => setPoints([...points, point]) : null}
        onMove={(index, point) => setPoints(points.map((one, i) => (i === index ? point : one)))}
        nudge={0.1}
      >
        {() => <image href={flat.url} x={left} y={top} width={widthMm} height={heightMm} />}
      </PictureCanvas>
      {trace.view !== 'end' && (
        <p className="text-note text-soft-ink">
          From end to end it becomes {lengthMm} mm, the length of the casting: a side that lies nearer to the lens than
          the card looks larger, and this takes it out. Taken from the other side, it is turned over.
        </p>
      )}
      {fault && (
        <p role="alert">
          <Sign of="warning" />
          {fault}
        </p>
      )}
    </div>
  );
}
