import {
  computeMisfit,
  drawBenchCard,
  InvalidInputError,
  preparePlane,
  solveHomography,
  type ControlPoint,
  type Photo,
  type PhotoControl,
  type Point,
} from '@sardonyx/core';
import { useEffect, useState } from 'react';
import { Sign } from '../../shared/ui/Sign.tsx';
import { Radios } from '../../shared/ui/Radios.tsx';
import { changeRow } from '../../shared/edits/editRow.ts';
import { useAppDispatch } from '../../shared/store.ts';
import type { PhotoWorker } from './worker/usePhotoWorker.ts';

interface StraightenProps {
  readonly photo: Photo;
  readonly points: readonly Point[];
  readonly worker: PhotoWorker;
  readonly onDone: () => void;
}

const WAYS = [
  { value: 'card', label: 'by the bench card' },
  { value: 'rectangle', label: 'by a rectangle of known size' },
] as const;
const CORNERS = ['upper left', 'upper right', 'lower right', 'lower left'];
const CARD_HREF = `data:image/svg+xml;charset=utf-8,${encodeURIComponent(drawBenchCard())}`;

const LOOKED_FOR =
  'The card is looked for. Where it is not found: point at the dots in its four corners, clockwise from the upper left; roughly is enough.';
const FOUND =
  'The card was found by itself. Is it another one? Point at the dots in the four corners of yours, clockwise from the upper left.';

/** Shows the picture's plane: by the bench card, or by the corners of a rectangle of known size. */
export function Straighten({ photo, points, worker, onDone }: StraightenProps) {
  const dispatch = useAppDispatch();
  const [by, setBy] = useState<'card' | 'rectangle'>('card');
  const [size, setSize] = useState({ width: '85', height: '54' });
  const [found, setFound] = useState<readonly ControlPoint[] | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const { findCard } = worker;
  const isPointed = points.length >= 4;
  const isPointing = points.length > 0 && !isPointed;
  useEffect(() => {
    setFound(null);
    setProblem(null);
    if (isPointing || by !== 'card') return;
    let isCurrent = true;
    findCard(`/api/photos/${photo.hash}/full`, isPointed ? points.slice(0, 4) : null).then(
      (dots) => isCurrent && setFound(dots),
      (error: unknown) => isCurrent && setProblem(error instanceof Error ? error.message : String(error)),
    );
    return () => void (isCurrent = false);
    // The worker's functions change with its progress; the question does not.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [points, by, photo.hash]);
  const control = by === 'card' ? found && { name: 'bench card', points: found } : fromRectangle(points, size);
  const told = control && describeControl(control, photo);
  const save = async () => {
    const changes = { control };
    const label = `${photo.side} straightened`;
    const refused = await dispatch(changeRow({ kind: 'photos', row: photo, changes, label })).unwrap();
    if (!refused) onDone();
  };
  return (
    <section aria-label="Straighten it" className="space-y-3">
      <h2>Straighten it</h2>
      <Radios label="By what" look="unseen" value={by} options={WAYS} onChange={setBy} />
      {by === 'card' ? (
        <p>
          {found && !isPointed ? FOUND : LOOKED_FOR}{' '}
          <a className="underline underline-offset-4" href={CARD_HREF} download="bench-card.svg">
            Card to print
          </a>
        </p>
      ) : (
        <div className="flex flex-wrap items-end gap-3">
          {(['width', 'height'] as const).map((field) => (
            <label key={field}>
              <span className="block text-note">{field === 'width' ? 'Width, mm' : 'Height, mm'}</span>
              <input
                style={{ width: '6rem' }}
                inputMode="decimal"
                value={size[field]}
                onChange={(event) => setSize({ ...size, [field]: event.target.value })}
              />
            </label>
          ))}
          <p className="basis-full">Point at its corners, clockwise from the upper left, as exactly as you can.</p>
        </div>
      )}
      <p role="status">
        {(problem ?? (told && !told.fits)) && <Sign of="warning" />}
        {isPointing || (by === 'rectangle' && !isPointed)
          ? `Next: ${CORNERS[points.length]} corner.`
          : problem
            ? problem
            : (told?.text ?? 'Looking for the card ...')}
      </p>
      <button type="button" className="main-button" disabled={!control || !told?.fits} onClick={() => void save()}>
        Straighten by these points
      </button>
    </section>
  );
}

function fromRectangle(points: readonly Point[], size: { width: string; height: string }): PhotoControl | null {
  const [width, height] = [Number(size.width), Number(size.height)];
  if (points.length < 4 || !(width > 0) || !(height > 0)) return null;
  const corners = [
    { x: 0, y: 0 },
    { x: width, y: 0 },
    { x: width, y: height },
    { x: 0, y: height },
  ];
  return { name: `rectangle, ${width} by ${height} mm`, points: corners.map((mm, i) => ({ mm, pixel: points[i]! })) };
}

/** How well the points fit one plane, or what is wrong with them. */
export function describeControl(
  control: PhotoControl,
  photo: Photo,
): { readonly fits: boolean; readonly text: string } {
  try {
    const { lens, points } = preparePlane(control, photo);
    solveHomography(points);
    const fit = points.length > 4 ? `, they fit within ${computeMisfit(points).toFixed(2)} mm` : '';
    const bend = lens ? `; the lens bends by ${Math.abs(100 * lens.k).toFixed(1)} % at the corners, taken out` : '';
    return { fits: true, text: `${points.length} points of the ${control.name}${fit}${bend}.` };
  } catch (error) {
    return { fits: false, text: error instanceof InvalidInputError ? error.message : 'These points do not fit.' };
  }
}
