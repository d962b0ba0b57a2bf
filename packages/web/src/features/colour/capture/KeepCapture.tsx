import type { CaptureMethod, CapturePlace, Geometry, Lab, Point } from '@sardonyx/core';
import { useState } from 'react';
import { useAddCaptureMutation } from '../../../shared/api/api.ts';
import { readAppError } from '../../../shared/api/appError.ts';
import { ErrorNote } from '../../../shared/ui/Notice.tsx';
import { useWho } from '../../../shared/ui/useWho.ts';
import { formatLabSpread } from '../swatch/formatColour.ts';
import { Swatch } from '../swatch/Swatch.tsx';

/** A colour in hand that is not kept yet. */
export interface CaptureDraft {
  readonly lab: Lab;
  readonly sd: Lab;
  readonly spectrum: readonly number[] | null;
  readonly geometry: Geometry;
  readonly method: CaptureMethod;
  readonly photoId: string | null;
  readonly point: Point | null;
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
  const [who] = useWho();
  const [keep, { error, isLoading }] = useAddCaptureMutation();
  const [note, setNote] = useState('');
  if (!draft)
    return (
      <p className="border border-dashed border-strong-line px-4 py-5 text-soft-ink">
        Nothing in hand. Set the loupe on the photograph, read with an instrument, or type the numbers.
      </p>
    );
  const { lab, sd, spectrum, geometry, method, photoId, point, origin } = draft;
  const save = async () => {
    const body = {
      ...{ specimenPartId: partId, place, note, geometry, method, photoId, who },
      lab: [...lab] as [number, number, number],
      sd: [...sd] as [number, number, number],
      spectrum: spectrum && [...spectrum],
      point: point && { ...point },
    };
    const { data } = await keep(body);
    if (!data) return;
    setNote('');
    onKept();
  };
  return (
    <section aria-label="In hand" className="space-y-3">
      <div className="flex flex-wrap items-center gap-5">
        <Swatch lab={lab} label="Colour in hand" className="h-24 w-36" />
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
        <button type="button" className="main-button" disabled={isLoading} onClick={() => void save()}>
          Keep it as the {place} colour
        </button>
      </div>
      {error !== undefined && <ErrorNote error={readAppError(error)} />}
    </section>
  );
}
