import type { CreatePhotoMeasure } from '@sardonyx/contract';
import {
  computePhotoMeasure,
  countPointsNeeded,
  InvalidInputError,
  PHOTO_MEASURES,
  type Measured,
  type Photo,
  type PhotoMeasureKind,
  type Point,
} from '@sardonyx/core';
import { useState } from 'react';
import { Sign } from '../../shared/ui/Sign.tsx';
import { Radios } from '../../shared/ui/Radios.tsx';
import { Fold } from '../../shared/ui/Fold.tsx';
import { createRow } from '../../shared/edits/editRow.ts';
import type { AppError } from '../../shared/api/appError.ts';
import { useAppDispatch } from '../../shared/store.ts';
import { ErrorNote } from '../../shared/ui/Notice.tsx';

interface MeasureToolProps {
  readonly photo: Photo;
  readonly kind: PhotoMeasureKind;
  readonly onKind: (kind: PhotoMeasureKind) => void;
  readonly points: readonly Point[];
  readonly onClear: () => void;
}

const POINT_WORDS: Readonly<Record<PhotoMeasureKind, readonly string[]>> = {
  length: ['one end', 'the other end'],
  diameter: ['the rim', 'the rim elsewhere', 'the rim a third time'],
  angle: ['the corner', 'one arm', 'the other arm'],
  twist: ['front axle, left', 'front axle, right', 'rear axle, left', 'rear axle, right'],
};
const LABELS: Readonly<Record<PhotoMeasureKind, string>> = {
  length: 'wheelbase',
  diameter: 'wheel',
  angle: 'hinge',
  twist: 'twist of the axles',
};

/** One measure: what, its points, how near its plane lies; the value follows every point. */
export function MeasureTool({ photo, kind, onKind, points, onClear }: MeasureToolProps) {
  const dispatch = useAppDispatch();
  const [label, setLabel] = useState(LABELS[kind]);
  const [nearer, setNearer] = useState('0');
  const [distance, setDistance] = useState('');
  const [error, setError] = useState<AppError | null>(null);
  const choose = (next: PhotoMeasureKind) => {
    onKind(next);
    setLabel(LABELS[next]);
    onClear();
  };
  const depth = { nearerMm: Number(nearer) || 0, distanceMm: distance.trim() === '' ? null : Number(distance) };
  const needed = countPointsNeeded(kind);
  const read = points.length < needed ? null : tryMeasure(photo, kind, points, depth);
  const save = async () => {
    const body: CreatePhotoMeasure = { photoId: photo.id, kind, label, points: [...points], ...depth };
    const problem = await dispatch(
      createRow({ kind: 'photo-measures', body: { ...body }, label: `measured ${label}`, isShownInPlace: true }),
    ).unwrap();
    setError(problem);
    if (!problem) onClear();
  };
  return (
    <section aria-label="Measure" className="space-y-3">
      <h2>Measure</h2>
      <Radios label="What" look="unseen" value={kind} options={PHOTO_MEASURES} onChange={choose} />
      <p role="status" className="text-act font-semibold">
        {typeof read === 'string' && <Sign of="warning" />}
        {read === null
          ? `Point at ${POINT_WORDS[kind][points.length]}.`
          : typeof read === 'string'
            ? read
            : formatMeasured(read, kind)}
      </p>
      <Fold title="It lies nearer to the lens than the card">
        <div className="flex flex-wrap gap-3 py-2">
          <label>
            <span className="block text-note">Nearer by, mm</span>
            <input
              style={{ width: '7rem' }}
              inputMode="decimal"
              value={nearer}
              onChange={(event) => setNearer(event.target.value)}
            />
          </label>
          <label>
            <span className="block text-note">Lens to card, mm</span>
            <input
              style={{ width: '7rem' }}
              inputMode="decimal"
              value={distance}
              onChange={(event) => setDistance(event.target.value)}
            />
          </label>
          <p className="basis-full text-note text-soft-ink">
            A nearer plane reads too long; without the distance it is refused. Angles and twist need neither.
          </p>
        </div>
      </Fold>
      <div className="flex flex-wrap items-end gap-3">
        <label className="grow">
          <span className="block text-note">Name it</span>
          <input value={label} maxLength={80} onChange={(event) => setLabel(event.target.value)} />
        </label>
        <button
          type="button"
          className="main-button"
          disabled={read === null || typeof read === 'string'}
          onClick={() => void save()}
        >
          Keep the measure
        </button>
        <button type="button" className="quiet-button" onClick={onClear}>
          Point anew
        </button>
      </div>
      {error && <ErrorNote error={error} />}
    </section>
  );
}

function tryMeasure(
  photo: Photo,
  kind: PhotoMeasureKind,
  points: readonly Point[],
  depth: { nearerMm: number; distanceMm: number | null },
): Measured | string | null {
  if (!photo.control) return null;
  try {
    return computePhotoMeasure(photo.control, photo, { kind, points, ...depth });
  } catch (error) {
    return error instanceof InvalidInputError ? error.message : 'These points cannot be measured.';
  }
}

/** "36.02 ± 0.12 mm", the 95 % interval. */
export function formatMeasured(
  { value, sd }: { readonly value: number; readonly sd: number },
  kind: PhotoMeasureKind,
): string {
  const unit = kind === 'length' || kind === 'diameter' ? ' mm' : '°';
  return `${value.toFixed(2)} ± ${(1.96 * sd).toFixed(2)}${unit}`;
}
