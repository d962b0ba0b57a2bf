import { PHOTO_SIDES, PHOTO_STAGES, type Photo } from '@sardonyx/core';
import { useId, useState, type DragEvent } from 'react';
import { AddPhotoIcon, CameraIcon } from '../../shared/ui/icons.ts';
import { Progress } from '../../shared/ui/Progress.tsx';
import { Field } from '../../shared/ui/Field.tsx';
import { Select } from '../../shared/ui/Select.tsx';
import { SendAgain } from '../../shared/ui/SendAgain.tsx';
import { ErrorNote } from '../../shared/ui/Notice.tsx';
import { LetPhoneIn } from '../phone/index.ts';
import { useSendPictures } from './useSendPictures.ts';

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
  const pictures = useSendPictures(() => setChosen(null));
  const { error, isLoading } = pictures;
  const side = chosen ?? nextSide;
  const sendFiles = (files: Iterable<File>) => pictures.send(files, { jobId, stage: chosenStage, side, caption: '' });
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
          <Progress what="Storing the photograph" share={null} onEnd={pictures.end} />
        </div>
      )}
      {error && (
        <div className="w-full">
          <ErrorNote error={error} />
        </div>
      )}
      {!isLoading && (
        <SendAgain names={pictures.keptNames} onAgain={pictures.sendAgain} onThrowAway={pictures.throwAway} />
      )}
    </div>
  );
}
