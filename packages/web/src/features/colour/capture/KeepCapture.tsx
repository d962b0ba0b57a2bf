import {
  selectColourFeatures,
  type CaptureMethod,
  type CapturePlace,
  type Geometry,
  type Lab,
  type Photo,
  type Point,
} from '@sardonyx/core';
import { useState } from 'react';
import { useSearchParams } from 'react-router';
import { useAddCaptureMutation } from '../../../shared/api/api.ts';
import { readAppError } from '../../../shared/api/appError.ts';
import { Field } from '../../../shared/ui/Field.tsx';
import { ErrorNote } from '../../../shared/ui/Notice.tsx';
import { Select } from '../../../shared/ui/Select.tsx';
import { useWho } from '../../../shared/ui/useWho.ts';
import { useColourBench } from '../ColourContext.tsx';
import { formatLabSpread } from '../../../shared/colour/formatColour.ts';
import { Swatch } from '../../../shared/colour/Swatch.tsx';

/** A colour in hand that is not kept yet. */
export interface CaptureDraft {
  readonly lab: Lab;
  readonly sd: Lab;
  readonly spectrum: readonly number[] | null;
  readonly geometry: Geometry;
  readonly method: CaptureMethod;
  readonly photoId: string | null;
  readonly point: Point | null;
  /** Radius of the loupe in the photograph's pixels; 0 without one. */
  readonly radius: number;
  /** What it rests on, in words. */
  readonly origin: string;
}

interface KeepCaptureProps {
  readonly draft: CaptureDraft | null;
  readonly partId: string;
  readonly place: CapturePlace;
  readonly onKept: () => void;
}

/** What is under the loupe or the instrument now, and the press that keeps it for good. */
export function KeepCapture({ draft, partId, place, onKept }: KeepCaptureProps) {
  const { view } = useColourBench();
  const [who] = useWho();
  const [keep, { error, isLoading }] = useAddCaptureMutation();
  const [note, setNote] = useState('');
  const { offered, answersId, choose } = useAnswered(partId);
  if (!draft)
    return (
      <p className="border border-dashed border-strong-line px-4 py-5 text-soft-ink">
        Nothing in hand. Set the loupe on the photograph, read with an instrument, or type the numbers.
      </p>
    );
  const { lab, sd, spectrum, geometry, method, photoId, point, radius, origin } = draft;
  const photo = view.photos.find((one) => one.id === photoId);
  const save = async () => {
    const body = {
      ...{ specimenPartId: partId, place, note, geometry, method, photoId, who },
      lab: [...lab] as [number, number, number],
      sd: [...sd] as [number, number, number],
      spectrum: spectrum && [...spectrum],
      point: point && { ...point },
      answersId,
    };
    const { data } = await keep(body);
    if (!data) return;
    setNote('');
    onKept();
  };
  return (
    <section aria-label="In hand" className="space-y-3">
      <div className="flex flex-wrap items-center gap-5">
        {photo && point && (
          <figure>
            <UnderTheLoupe photo={photo} point={point} radius={radius} />
            <figcaption className="text-note text-soft-ink">in the picture</figcaption>
          </figure>
        )}
        <figure>
          <Swatch lab={lab} label="Colour in hand" className="h-24 w-36" />
          <figcaption className="text-note text-soft-ink">
            {photo ? 'by daylight, by the card' : 'by daylight'}
          </figcaption>
        </figure>
        <div>
          <p className="figure">{formatLabSpread(lab, sd)}</p>
          <p className="text-note text-soft-ink">
            {origin}; {geometry}, D65, 2°
          </p>
        </div>
      </div>
      <div className="flex flex-wrap items-end gap-3">
        <label className="grow">
          <span className="block text-note">Where exactly</span>
          <input value={note} maxLength={200} onChange={(event) => setNote(event.target.value)} />
        </label>
        {offered.length > 0 && (
          <Field label="It answers" isQuiet width="13rem">
            <Select
              value={answersId ?? ''}
              options={[
                { value: '', label: 'no look at it' },
                ...offered.map(({ id, label }) => ({ value: id, label: label.toLowerCase() })),
              ]}
              onChange={choose}
            />
          </Field>
        )}
        <button type="button" className="main-button" disabled={isLoading} onClick={() => void save()}>
          Keep it as the {place} colour
        </button>
      </div>
      {error !== undefined && <ErrorNote error={readAppError(error)} />}
    </section>
  );
}

/** Looks at the part that a colour can answer; the one that was asked for, or the only one, is chosen. */
function useAnswered(partId: string) {
  const { view } = useColourBench();
  const [params] = useSearchParams();
  const [chosen, setChosen] = useState<string | null>(null);
  const specimen = view.specimens.find(({ parts }) => parts.some(({ id }) => id === partId));
  const offered = specimen ? selectColourFeatures(specimen, partId) : [];
  const asked = chosen ?? params.get('answers') ?? (offered.length === 1 ? offered[0]!.id : null);
  const answersId = offered.some(({ id }) => id === asked) ? asked : null;
  return { offered, answersId, choose: setChosen };
}

/** So many radii of the loupe are seen through it. */
const SEEN = 1.7;

/** The place as the loupe shows it, pixel by pixel, with the rim of what counts. */
function UnderTheLoupe({
  photo,
  point,
  radius,
}: {
  readonly photo: Photo;
  readonly point: Point;
  readonly radius: number;
}) {
  const reach = SEEN * radius;
  return (
    <svg
      role="img"
      aria-label="Under the loupe"
      data-swatch
      className="h-24 w-24"
      viewBox={`${point.x - reach} ${point.y - reach} ${2 * reach} ${2 * reach}`}
    >
      <image
        href={`/api/photos/${photo.hash}/full`}
        width={photo.widthPx}
        height={photo.heightPx}
        style={{ imageRendering: 'pixelated' }}
      />
      <circle cx={point.x} cy={point.y} r={radius} fill="none" stroke="#ffffff" strokeWidth={reach / 24} />
    </svg>
  );
}
