import type { SpecimenView } from '@sardonyx/contract';
import type { DrawingView, Photo, PhotoMeasure, ViewKind } from '@sardonyx/core';
import { useId, useState, type ReactNode } from 'react';
import { PictureCanvas } from '../../shared/ui/PictureCanvas.tsx';
import { Progress } from '../../shared/ui/Progress.tsx';
import { Sign } from '../../shared/ui/Sign.tsx';
import { Slider } from '../../shared/ui/Slider.tsx';
import { Field } from '../../shared/ui/Field.tsx';
import { Select } from '../../shared/ui/Select.tsx';
import { useGetJobQuery } from '../../shared/api/api.ts';
import { alignPairs, findDrawnWheels, findWheels, type Pair } from './alignPictures.ts';
import { useFlat } from './useFlat.ts';
import type { FlatPicture } from './worker/protocol.ts';
import type { PhotoWorker } from './worker/usePhotoWorker.ts';

interface ComparePhotosProps {
  readonly photo: Photo;
  readonly photos: readonly Photo[];
  readonly measures: readonly PhotoMeasure[];
  readonly specimen: SpecimenView;
  readonly worker: PhotoWorker;
}

const VIEW_OF: Partial<Record<Photo['side'], ViewKind>> = {
  ...{ left: 'side', right: 'side', front: 'end', rear: 'end', base: 'base' },
};

/** The straightened picture under the casting's drawing, or under another picture, with a slider between the two. */
export function ComparePhotos({ photo, photos, measures, specimen, worker }: ComparePhotosProps) {
  const [otherJob, setOtherJob] = useState('');
  const elsewhere = useGetJobQuery(otherJob, { skip: otherJob === '' }).data;
  const benches = [
    ...new Set(
      specimen.casting?.specimens.flatMap(({ jobId }) => (jobId && jobId !== photo.jobId ? [jobId] : [])) ?? [],
    ),
  ];
  const others = [...photos, ...(elsewhere?.photos ?? [])].filter((one) => one.id !== photo.id && one.control);
  const allMeasures = [...measures, ...(elsewhere?.photoMeasures ?? [])];
  const [against, setAgainst] = useState('drawing');
  const [wipe, setWipe] = useState(50);
  const [strength, setStrength] = useState(80);
  const [nudge, setNudge] = useState({ x: 0, y: 0, turn: 0 });
  const other = others.find((one) => one.id === against) ?? null;
  const [round, setRound] = useState(0);
  const under = useFlat(photo, worker, round);
  const over = useFlat(other, worker, round);
  const clip = useId();
  const view = specimen.casting?.casting.drawing.views.find((one) => one.view === VIEW_OF[photo.side]);
  if (under.problem)
    return (
      <p className="flex items-center gap-3">
        <Sign of="warning" />
        {under.problem}
        <button type="button" className="plain-button" onClick={() => setRound(round + 1)}>
          Straighten it again
        </button>
      </p>
    );
  if (!under.flat) return <Progress what="Straightening the picture" share={worker.progress} onEnd={worker.cancel} />;
  const { flat } = under;
  const { region } = flat;
  const onto = findWheels(photo, measures);
  const middle = { x: region.left + region.widthMm / 2, y: region.top + region.heightMm / 2 };
  const isMirrored = photo.side === 'right';
  const placed = other
    ? place(findWheels(other, allMeasures), onto, over.flat?.region, middle)
    : place(mirror(view && findDrawnWheels(view), isMirrored, view), onto, view && boxOf(view), middle);
  const x = region.left + (region.widthMm * wipe) / 100;
  return (
    <section aria-label="Compare" className="space-y-3">
      <div className="flex flex-wrap items-end gap-4">
        <Field label="Lay over it" isQuiet width="auto">
          <Select
            value={against}
            options={[
              { value: 'drawing', label: 'the casting’s drawing' },
              ...others.map((one) => ({
                value: one.id,
                label: `${one.jobId === photo.jobId ? 'the photo' : one.jobId.toUpperCase()} ${one.side}, ${one.stage}`,
              })),
            ]}
            onChange={setAgainst}
          />
        </Field>
        {benches.length > 0 && (
          <Field label="Another example" isQuiet width="auto">
            <Select
              value={otherJob}
              options={[{ value: '', label: 'none' }, ...benches.map((id) => ({ value: id, label: id.toUpperCase() }))]}
              onChange={setOtherJob}
            />
          </Field>
        )}
        <Share label="Shown up to" value={wipe} onChange={setWipe} />
        <Share label="Strength" value={strength} onChange={setStrength} />
      </div>
      <PictureCanvas
        label={`${photo.side} seen straight, under ${other ? `the photo ${other.side}` : 'the drawing of the casting'}`}
        box={{ x: region.left, y: region.top, width: region.widthMm, height: region.heightMm }}
      >
        {(k) => (
          <>
            <clipPath id={clip}>
              <rect x={region.left} y={region.top} width={x - region.left} height={region.heightMm} />
            </clipPath>
            <image href={flat.url} x={region.left} y={region.top} width={region.widthMm} height={region.heightMm} />
            <g clipPath={`url(#${clip})`} opacity={strength / 100}>
              <g
                transform={`translate(${placed.x + nudge.x} ${placed.y + nudge.y}) rotate(${placed.turn + nudge.turn})`}
              >
                {other
                  ? over.flat && <Flat flat={over.flat} url={over.flat.url} />
                  : view && <Outline view={view} isMirrored={isMirrored} />}
              </g>
            </g>
            <line
              x1={x}
              x2={x}
              y1={region.top}
              y2={region.top + region.heightMm}
              stroke="var(--sard)"
              strokeWidth={2 * k}
            />
          </>
        )}
      </PictureCanvas>
      <div className="flex flex-wrap items-end gap-3">
        {(['x', 'y', 'turn'] as const).map((field) => (
          <label key={field}>
            <span className="block text-note">
              {field === 'turn' ? 'Turn, °' : field === 'x' ? 'To the right, mm' : 'Down, mm'}
            </span>
            <input
              style={{ width: '7rem' }}
              type="number"
              step={field === 'turn' ? 0.2 : 0.5}
              value={nudge[field]}
              onChange={(event) => setNudge({ ...nudge, [field]: Number(event.target.value) })}
            />
          </label>
        ))}
        <p className="text-note text-soft-ink">
          {onto
            ? 'Laid wheel on wheel, by the measured wheelbase. True size on both.'
            : 'Measure the wheelbase on this photo, and both are laid wheel on wheel. True size on both.'}
        </p>
      </div>
    </section>
  );
}

interface MmBox {
  readonly left: number;
  readonly top: number;
  readonly widthMm: number;
  readonly heightMm: number;
}

const boxOf = (view: DrawingView): MmBox => ({ left: 0, top: 0, widthMm: view.widthMm, heightMm: view.heightMm });

/** Wheel on wheel where both are known, else middle on middle. */
function place(
  from: Pair | null | undefined,
  onto: Pair | null,
  box: MmBox | undefined,
  middle: { x: number; y: number },
) {
  if (from && onto) return alignPairs(from, onto);
  if (!box) return { turn: 0, x: 0, y: 0 };
  return { turn: 0, x: middle.x - (box.left + box.widthMm / 2), y: middle.y - (box.top + box.heightMm / 2) };
}

const mirror = (pair: Pair | null | undefined, isMirrored: boolean, view: DrawingView | undefined): Pair | null =>
  pair && isMirrored && view
    ? [
        { x: view.widthMm - pair[1].x, y: pair[1].y },
        { x: view.widthMm - pair[0].x, y: pair[0].y },
      ]
    : (pair ?? null);

function Outline({ view, isMirrored }: { readonly view: DrawingView; readonly isMirrored: boolean }): ReactNode {
  return (
    <g transform={isMirrored ? `translate(${view.widthMm} 0) scale(-1 1)` : undefined}>
      {view.shapes
        .filter((shape) => !shape.hidden)
        .map((shape, i) => (
          <path key={i} d={shape.d} fill="#fff" fillOpacity={0.12} stroke="#000" strokeWidth={0.35} />
        ))}
    </g>
  );
}

function Flat({ flat: { region }, url }: { readonly flat: FlatPicture; readonly url: string }) {
  return <image href={url} x={region.left} y={region.top} width={region.widthMm} height={region.heightMm} />;
}

interface ShareProps {
  readonly label: string;
  readonly value: number;
  readonly onChange: (value: number) => void;
}

const Share = ({ label, value, onChange }: ShareProps) => (
  <div className="w-64">
    <span aria-hidden className="text-note">
      {label}
    </span>
    <Slider label={label} value={value} min={0} max={100} onChange={onChange} say={(one) => `${one} %`} />
  </div>
);
