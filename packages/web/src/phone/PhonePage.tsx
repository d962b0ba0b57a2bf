import type { PhoneView } from '@sardonyx/contract';
import { useCallback, useEffect, useState } from 'react';
import type { AppError } from '../shared/api/appError.ts';
import { ErrorNote } from '../shared/ui/Notice.tsx';
import { askBench } from './askBench.ts';
import { EnterForm } from './EnterForm.tsx';
import { PhoneClocks } from './PhoneClocks.tsx';
import { PhonePictures, type KeptPictures, type TakenPicture } from './PhonePictures.tsx';
import { PhoneStep } from './PhoneStep.tsx';

const EVERY_MS = 3000;

/** What a phone shows: the way in, then the job that stands open on the bench. */
export function PhonePage() {
  const [view, setView] = useState<PhoneView | null>(null);
  const [isIn, setIn] = useState<boolean | null>(null);
  const [error, setError] = useState<AppError | null>(null);
  // Held here: another model opened on the bench, or being sent out, must not lose a picture.
  const [kept, setKept] = useState<readonly TakenPicture[]>([]);
  const look = useCallback(async () => {
    const asked = await askBench<PhoneView>('GET', 'now');
    if (asked.data) {
      setView(asked.data);
      setIn(true);
      setError(null);
    } else if (asked.error.code === 'not-in' || asked.error.code === 'shut') setIn(false);
    else setError(asked.error);
  }, []);
  useEffect(() => {
    void look();
    const timer = setInterval(() => void look(), EVERY_MS);
    return () => clearInterval(timer);
  }, [look]);
  if (isIn === false) return <EnterForm wasIn={view !== null} onIn={() => void look()} />;
  return (
    <main className="mx-auto max-w-[30rem] space-y-5 p-4">
      {error && <ErrorNote error={error} />}
      {view && <Shown view={view} kept={kept} onKeep={setKept} onDone={() => void look()} />}
      {!view && !error && <p>Asking the bench ...</p>}
    </main>
  );
}

interface ShownProps extends KeptPictures {
  readonly view: PhoneView;
  readonly onDone: () => void;
}

function Shown({ view, kept, onKeep, onDone }: ShownProps) {
  const { job, mark } = view;
  const leave = async () => {
    await askBench('POST', 'leave');
    onDone();
  };
  return (
    <>
      <header className={job ? 'border-b border-strong-line pb-3' : ''}>
        <p className="text-note text-soft-ink">On the bench</p>
        <h1 className="text-lead font-semibold">{job ? `${job.number} ${job.title}` : 'Nothing stands open'}</h1>
        {!job && <p>Open a model on the bench: its step and its pictures come here.</p>}
      </header>
      {job && (
        <>
          <PhoneClocks clocks={view.clocks} now={view.now} />
          <PhonePictures key={`${job.id} ${job.stage}`} job={job} kept={kept} onKeep={onKeep} onDone={onDone} />
          <PhoneStep step={view.step} blockedBy={view.blockedBy} isClosed={job.isClosed} onDone={onDone} />
        </>
      )}
      <footer className="flex items-center justify-between gap-4 border-t border-strong-line pt-3 text-note text-soft-ink">
        <span>
          This phone is <span className="figure">{mark}</span>
        </span>
        <button type="button" className="quiet-button" onClick={() => void leave()}>
          Leave
        </button>
      </footer>
    </>
  );
}
