import { findMissingSides, PHOTO_SIDES, PHOTO_STAGES, type Photo } from '@sardonyx/core';
import { useId, useRef, useState, type DragEvent } from 'react';
import { Link } from 'react-router';
import { AddPhotoIcon, CameraIcon } from '../../shared/ui/icons.ts';
import { Tooltip } from '../../shared/ui/Tooltip.tsx';
import { Progress } from '../../shared/ui/Progress.tsx';
import { Field } from '../../shared/ui/Field.tsx';
import { Select } from '../../shared/ui/Select.tsx';
import { useUploadPhotoMutation } from '../../shared/api/api.ts';
import { readAppError, type AppError } from '../../shared/api/appError.ts';
import { formatMoment } from '../../shared/dates/sayDates.ts';
import { capitalise } from '../../shared/format.ts';
import { ErrorNote } from '../../shared/ui/Notice.tsx';
import { LetPhoneIn } from '../phone/index.ts';

interface PhotoStripProps {
  readonly jobId: string;
  readonly photos: readonly Photo[];
  readonly stage: Photo['stage'];
  readonly isClosed: boolean;
}

/** The photographs of a stage, what the set still lacks, and a place to drop more. */
export function PhotoStrip({ jobId, photos, stage, isClosed }: PhotoStripProps) {
  const missing = findMissingSides(photos, stage);
  const own = photos.filter((photo) => photo.stage === stage);
  return (
    <section aria-label={`Photographs ${stage}`} className="space-y-2">
      <h3>
        {capitalise(stage)}-set: {missing.length === 0 ? 'complete' : `${missing.join(', ')} missing`}
      </h3>
      {own.length > 0 && (
        <ul className="flex flex-wrap gap-2">
          {own.map((photo) => (
            <li key={photo.id} className="w-36">
              <Tooltip says="Straighten, measure, pin, compare">
                <Link to={`/jobs/${jobId}/photos/${photo.id}`}>
                  <img
                    src={`/api/photos/${photo.hash}/small`}
                    alt={`${photo.side}, ${photo.stage}${photo.caption ? `: ${photo.caption}` : ''}`}
                    className="h-24 w-36 border border-hairline object-cover"
                  />
                </Link>
              </Tooltip>
              <p className="text-note text-soft-ink">
                {photo.side}, {formatMoment(photo.takenAt)}
                {photo.control && ' · straight'}
              </p>
            </li>
          ))}
        </ul>
      )}
      {!isClosed && <PhotoDrop jobId={jobId} stage={stage} nextSide={missing[0] ?? 'detail'} />}
    </section>
  );
}

interface PhotoDropProps {
  readonly jobId: string;
  readonly stage: Photo['stage'];
  readonly nextSide: Photo['side'];
}

/** Drop a picture here, choose a file, or use the camera; says at once what was wrong with it. */
export function PhotoDrop({ jobId, stage, nextSide }: PhotoDropProps) {
  const id = useId();
  const [chosen, setChosen] = useState<Photo['side'] | null>(null);
  const [chosenStage, setStage] = useState(stage);
  const [isOver, setOver] = useState(false);
  const [error, setError] = useState<AppError | null>(null);
  const [upload, { isLoading }] = useUploadPhotoMutation();
  const running = useRef<ReturnType<typeof upload>>(null);
  const side = chosen ?? nextSide;
  const send = async (files: readonly File[]) => {
    setError(null);
    for (const file of files) {
      const form = new FormData();
      form.append('jobId', jobId);
      form.append('stage', chosenStage);
      form.append('side', side);
      form.append('caption', '');
      form.append('picture', file);
      running.current = upload(form);
      try {
        await running.current.unwrap();
      } catch (problem) {
        if ((problem as { name?: string }).name === 'AbortError') return;
        const known = readAppError(problem);
        setError({ ...known, message: `${file.name}: ${known.message}` });
        return;
      }
    }
    setChosen(null);
  };
  const drop = (event: DragEvent) => {
    event.preventDefault();
    setOver(false);
    void send([...event.dataTransfer.files]);
  };
  return (
    <div
      className={`flex flex-wrap items-end gap-3 border border-dashed p-3 ${isOver ? 'border-sard bg-sunk' : 'border-strong-line'}`}
      onDragOver={(event) => {
        event.preventDefault();
        setOver(true);
      }}
      onDragLeave={() => setOver(false)}
      onDrop={drop}
    >
      <Field label="Side" isQuiet width="7rem">
        <Select value={side} options={PHOTO_SIDES} onChange={setChosen} />
      </Field>
      <Field label="Stage" isQuiet width="7rem">
        <Select value={chosenStage} options={PHOTO_STAGES} onChange={setStage} />
      </Field>
      <label htmlFor={id} className="plain-button cursor-pointer">
        <AddPhotoIcon aria-hidden size={18} /> Add a photo, or drop it here
      </label>
      <label htmlFor={`${id}-camera`} className="plain-button cursor-pointer">
        <CameraIcon aria-hidden size={18} /> Take one with the camera
      </label>
      <LetPhoneIn />
      <input
        id={`${id}-camera`}
        className="sr-only"
        type="file"
        accept="image/*"
        capture="environment"
        onChange={(event) => void send([...(event.target.files ?? [])])}
      />
      <input
        id={id}
        className="sr-only"
        type="file"
        accept="image/*"
        multiple
        onChange={(event) => void send([...(event.target.files ?? [])])}
      />
      {isLoading && (
        <div className="w-full">
          <Progress what="Storing the photograph" share={null} onEnd={() => running.current?.abort()} />
        </div>
      )}
      {error && (
        <div className="w-full">
          <ErrorNote error={error} />
        </div>
      )}
    </div>
  );
}
