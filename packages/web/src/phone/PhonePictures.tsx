import type { BeginPicture, PhoneView } from '@sardonyx/contract';
import { PHOTO_SIDES, type PhotoSide } from '@sardonyx/core';
import { useState, type Dispatch, type SetStateAction } from 'react';
import type { AppError } from '../shared/api/appError.ts';
import { sendAll } from '../shared/api/sendAll.ts';
import { AddPhotoIcon, CameraIcon } from '../shared/ui/icons.ts';
import { ErrorNote } from '../shared/ui/Notice.tsx';
import { Progress } from '../shared/ui/Progress.tsx';
import { Toggles } from '../shared/ui/Toggles.tsx';
import { SendAgain } from '../shared/ui/SendAgain.tsx';
import { sendPicture } from './sendPicture.ts';

/** What every phone turns its pictures into when it is asked for it. */
const ACCEPT = 'image/jpeg,image/png,image/webp';

export interface TakenPicture {
  readonly file: File;
  /** What stood open on the bench when it was taken: something else may by the time it is sent again. */
  readonly of: Pick<BeginPicture, 'jobId' | 'stage' | 'side'>;
}

/** Pictures that could not be sent: a camera asked from a page keeps none of its own. */
export interface KeptPictures {
  readonly kept: readonly TakenPicture[];
  readonly onKeep: Dispatch<SetStateAction<readonly TakenPicture[]>>;
}

interface PhonePicturesProps extends KeptPictures {
  readonly job: NonNullable<PhoneView['job']>;
  readonly onDone: () => void;
}

/** Takes or chooses pictures for what stands open on the bench, a side at a time. */
export function PhonePictures({ job, kept, onKeep, onDone }: PhonePicturesProps) {
  const [chosen, setChosen] = useState<PhotoSide | null>(null);
  const [share, setShare] = useState<number | null>(0);
  const [sending, setSending] = useState<string | null>(null);
  const [error, setError] = useState<AppError | null>(null);
  const [sent, setSent] = useState(0);
  if (job.isClosed) return <p>This model is signed off: no more pictures are taken.</p>;
  const side = chosen ?? job.missingSides[0] ?? 'detail';
  const send = async (taken: readonly TakenPicture[]) => {
    setError(null);
    const done = await sendAll(taken, ({ file, of }) => {
      setSending(file.name);
      setShare(0);
      return sendPicture(file, of, setShare);
    });
    setSending(null);
    setError(done.error);
    setSent((count) => count + done.sent);
    onKeep((before) => [...before, ...done.kept]);
    if (done.sent > 0) setChosen(null);
    onDone();
  };
  const take = (input: HTMLInputElement) => {
    void send([...(input.files ?? [])].map((file) => ({ file, of: { jobId: job.id, stage: job.stage, side } })));
    input.value = '';
  };
  const sendAgain = () => {
    onKeep([]);
    void send(kept);
  };
  return (
    <section aria-label="Pictures" className="space-y-3">
      <h2>
        Pictures {job.stage}: <span className="figure">{job.pictures}</span>
      </h2>
      {job.stage !== 'during' && (
        <p className="text-note text-soft-ink">
          {job.missingSides.length ? `Still missing: ${job.missingSides.join(', ')}` : 'Every side is there.'}
        </p>
      )}
      <Toggles aria-label="Side" size="px-2.5" isApart value={side} options={PHOTO_SIDES} onChange={setChosen} />
      <div className="grid gap-2">
        <label className="main-button cursor-pointer justify-center text-center">
          <CameraIcon aria-hidden size={22} /> Take a picture: {side}
          <input
            className="sr-only"
            type="file"
            accept={ACCEPT}
            capture="environment"
            disabled={sending !== null}
            onChange={(event) => take(event.target)}
          />
        </label>
        <label className="plain-button cursor-pointer justify-center text-center">
          <AddPhotoIcon aria-hidden size={18} /> Choose pictures
          <input
            className="sr-only"
            type="file"
            accept={ACCEPT}
            multiple
            disabled={sending !== null}
            onChange={(event) => take(event.target)}
          />
        </label>
      </div>
      {sending !== null && (
        <Progress
          what={share === null ? 'Waiting for the network; what is there stays there' : 'Sending the picture'}
          share={share}
        />
      )}
      {sent > 0 && sending === null && (
        <p role="status">
          {sent} {sent === 1 ? 'picture is' : 'pictures are'} on the bench.
        </p>
      )}
      {error && <ErrorNote error={error} />}
      {sending === null && (
        <SendAgain
          names={kept.map(({ of }) => of.side)}
          onAgain={sendAgain}
          onThrowAway={() => {
            onKeep([]);
            setError(null);
          }}
        />
      )}
    </section>
  );
}
