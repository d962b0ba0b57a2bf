import { PHOTO_SIDES, PHOTO_STAGES, type Photo } from '@sardonyx/core';
import { useId, useRef, useState, type DragEvent } from 'react';
import { AddPhotoIcon, CameraIcon } from '../../shared/ui/icons.ts';
import { Progress } from '../../shared/ui/Progress.tsx';
import { Field } from '../../shared/ui/Field.tsx';
import { Select } from '../../shared/ui/Select.tsx';
import { useUploadPhotoMutation } from '../../shared/api/api.ts';
import { readAppError, type AppError } from '../../shared/api/appError.ts';
import { sendAll } from '../../shared/api/sendAll.ts';
import { SendAgain } from '../../shared/ui/SendAgain.tsx';
import { ErrorNote } from '../../shared/ui/Notice.tsx';
import { LetPhoneIn } from '../phone/index.ts';

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
  const [kept, setKept] = useState<readonly FormData[]>([]);
  const [upload, { isLoading }] = useUploadPhotoMutation();
  const running = useRef<ReturnType<typeof upload>>(null);
  const side = chosen ?? nextSide;
  const sendOne = async (form: FormData): Promise<AppError | 'ended' | null> => {
    running.current = upload(form);
    try {
      await running.current.unwrap();
      return null;
    } catch (problem) {
      if ((problem as { name?: string }).name === 'AbortError') return 'ended';
      const known = readAppError(problem);
      return { ...known, message: `${nameOf(form)}: ${known.message}` };
    }
  };
  const send = async (forms: readonly FormData[]) => {
    setError(null);
    const done = await sendAll(forms, sendOne);
    setError(done.error);
    setKept((before) => [...before, ...done.kept]);
    if (done.sent > 0) setChosen(null);
  };
  const sendAgain = () => {
    setKept([]);
    void send(kept);
  };
  const sendFiles = (files: Iterable<File>) =>
    void send([...files].map((file) => fillForm({ jobId, stage: chosenStage, side, caption: '', picture: file })));
  // Emptied, so that the same picture can be chosen once more.
  const take = (input: HTMLInputElement) => {
    sendFiles(input.files ?? []);
    input.value = '';
  };
  const drop = (event: DragEvent) => {
    event.preventDefault();
    setOver(false);
    sendFiles(event.dataTransfer.files);
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
        onChange={(event) => take(event.target)}
      />
      <input
        id={id}
        className="sr-only"
        type="file"
        accept="image/*"
        multiple
        onChange={(event) => take(event.target)}
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
      {!isLoading && (
        <SendAgain
          names={kept.map(nameOf)}
          onAgain={sendAgain}
          onThrowAway={() => {
            setKept([]);
            setError(null);
          }}
        />
      )}
    </div>
  );
}

function fillForm(fields: Readonly<Record<string, string | File>>): FormData {
  const form = new FormData();
  for (const [name, value] of Object.entries(fields)) form.append(name, value);
  return form;
}

const nameOf = (form: FormData): string => (form.get('picture') as File).name;
