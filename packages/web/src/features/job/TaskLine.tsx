import { readMethod, selectOpenLinks, type Task } from '@sardonyx/core';
import { useState } from 'react';
import { Link } from 'react-router';
import { StartClock } from '../clocks/index.ts';
import { PhotoDrop } from '../photos/index.ts';
import { useActOnTaskMutation } from '../../shared/api/api.ts';
import { readAppError, type AppError } from '../../shared/api/appError.ts';
import { formatMinutes, formatMoment } from '../../shared/format.ts';
import { HeldButton } from '../../shared/ui/HeldButton.tsx';
import { useWho } from '../../shared/ui/useWho.ts';
import { LiveReading } from '../workshop/index.ts';
import { HeldBack, type SendMore } from './HeldBack.tsx';
import { StripPasses } from './stations/strip/StripPasses.tsx';
import { HazardCard } from '../../shared/hazard/HazardCard.tsx';
import { useJob } from './JobContext.tsx';
import { Line } from './Zones.tsx';

interface TaskLineProps {
  readonly task: Task;
  readonly isUnfolded: boolean;
  readonly onToggle: () => void;
}

const MARKS: Readonly<Record<Task['state'], string>> = { 'to do': '○', doing: '◐', done: '●', 'not needed': '–' };

/** One task: folded to its title and why it waits, unfolded with how, hazards, clock and acts. */
export function TaskLine({ task, isUnfolded, onToggle }: TaskLineProps) {
  const { tasks, view } = useJob();
  const waits = task.state === 'to do' ? selectOpenLinks(task, tasks) : [];
  const last = view.log.filter((entry) => entry.taskId === task.id).at(-1);
  return (
    <li className="border-t border-hairline py-2" data-task={task.key} data-state={task.state}>
      <Line because={describeWhy(task)}>
        <button
          type="button"
          aria-expanded={isUnfolded}
          className="flex w-full items-baseline gap-2 text-left"
          onClick={onToggle}
        >
          <span aria-hidden>{MARKS[task.state]}</span>
          <span className={isUnfolded ? 'text-lead font-semibold' : ''}>{task.title}</span>
          <span className="ml-auto shrink-0 text-note text-soft-ink">
            <span className="sr-only">{task.state}, </span>
            {formatMinutes(task.handsOnMin)}
          </span>
        </button>
        {waits.length > 0 && <p className="pl-5 text-note text-soft-ink">{describeWaits(waits)}</p>}
        {(task.state === 'done' || task.state === 'not needed') && (
          <p className="pl-5 text-note text-soft-ink">
            {task.state === 'not needed'
              ? 'No longer in the plan'
              : last
                ? `${last.who}, ${formatMoment(last.at)}`
                : ''}
          </p>
        )}
      </Line>
      {isUnfolded && <TaskBody task={task} isReady={waits.length === 0} />}
    </li>
  );
}

function TaskBody({ task, isReady }: { readonly task: Task; readonly isReady: boolean }) {
  const { isClosed, view } = useJob();
  const isOpen = task.state === 'to do' || task.state === 'doing';
  const takes = view.supplies.filter((line) => line.taskTitles.includes(task.title)).map((line) => line.what);
  const hasPhoto = view.photos.some((photo) => photo.stage === 'during');
  return (
    <div className="mt-2 max-w-[46rem] space-y-3 pl-5">
      <p>{task.how}</p>
      {task.tags.includes('capture colour') && (
        <Link className="plain-button" to={`/jobs/${view.job.id}/colour/capture`}>
          Capture it in the colour lab
        </Link>
      )}
      {task.tags.includes('colour') && isOpen && (
        <Link className="underline underline-offset-4" to={`/jobs/${view.job.id}/colour/match`}>
          Match or mix it in the colour lab
        </Link>
      )}
      {isOpen && takes.length > 0 && (
        <p className="text-note">
          <strong>With:</strong> {takes.join(', ')}.
        </p>
      )}
      {isOpen && isReady && !isClosed && (
        <>
          {/* Before the step its hazards come first; under way the clock does, and the cards stay below it. */}
          {task.state === 'doing' && <WhileDoing task={task} />}
          {task.hazards.map((hazard) => (
            <HazardCard key={hazard} hazard={hazard} />
          ))}
          {task.state === 'to do' && task.irreversible && task.station !== 'close' && (
            <div className="space-y-1">
              <p className="font-semibold">
                {hasPhoto
                  ? 'Photograph it again before this step: afterwards nobody can see how it was.'
                  : 'Photograph it before this step: afterwards nobody can see how it was.'}
              </p>
              <PhotoDrop jobId={task.jobId} stage="during" nextSide="detail" />
            </div>
          )}
        </>
      )}
      {!isClosed && <TaskActs task={task} isReady={isReady} />}
    </div>
  );
}

function WhileDoing({ task }: { readonly task: Task }) {
  const isBaked = task.tags.includes('bake') || task.tags.includes('low bake');
  return (
    <>
      {readMethod(task) ? <StripPasses task={task} /> : <StartClock task={task} />}
      {isBaked && <LiveReading kind="oven probe" />}
    </>
  );
}

/** Acts that cannot be undone and acts with a hazard are held; the others are pressed. */
function TaskActs({ task, isReady }: { readonly task: Task; readonly isReady: boolean }) {
  const [who] = useWho();
  const [note, setNote] = useState('');
  const [error, setError] = useState<AppError | null>(null);
  const [act, { isLoading }] = useActOnTaskMutation();
  const isGrave = task.irreversible || task.hazards.length > 0;
  const [reason, setReason] = useState('');
  const isStopped = error?.code === 'stop-before-strip';
  const [lastAct, setLastAct] = useState<'start' | 'done' | 'take back'>('start');
  const send = async (what: typeof lastAct, more: SendMore = {}) => {
    setError(null);
    setLastAct(what);
    try {
      await act({ id: task.id, act: what, who, note, ...more }).unwrap();
      setNote('');
      setReason('');
    } catch (problem) {
      setError(readAppError(problem));
    }
  };
  if (task.state === 'not needed') return null;
  return (
    <div className="space-y-2">
      {task.state === 'doing' && (
        <label className="block">
          <span className="text-note">Note for the record</span>
          <input value={note} maxLength={500} onChange={(event) => setNote(event.target.value)} />
        </label>
      )}
      <div className="flex flex-wrap gap-3">
        {task.state === 'to do' && isReady && isGrave && !isStopped && (
          <HeldButton disabled={isLoading} onHeld={() => void send('start')}>
            Start: {task.title}
            {task.irreversible && <span className="block text-note">Cannot be undone: {task.cannotBeUndone}</span>}
          </HeldButton>
        )}
        {task.state === 'to do' && isReady && !isGrave && (
          <button type="button" className="main-button" disabled={isLoading} onClick={() => void send('done')}>
            Done
          </button>
        )}
        {task.state === 'to do' && !isGrave && (
          <button type="button" className="plain-button" disabled={isLoading} onClick={() => void send('start')}>
            Start
          </button>
        )}
        {task.state === 'doing' && (
          <button type="button" className="main-button" disabled={isLoading} onClick={() => void send('done')}>
            Done
          </button>
        )}
        {(task.state === 'doing' || task.state === 'done') && (
          <button type="button" className="quiet-button" disabled={isLoading} onClick={() => void send('take back')}>
            Take back
          </button>
        )}
      </div>
      {isStopped && (
        <div role="alert" className="space-y-2 border-4 border-sard bg-sheet p-3">
          <p className="font-semibold">
            <span aria-hidden>■ </span>
            {error.message}
          </p>
          <p>
            <Link className="underline underline-offset-4" to={`/jobs/${task.jobId}/identify`}>
              Look at it again
            </Link>{' '}
            first. If it must go on all the same, say why; it goes into the record.
          </p>
          <label className="block">
            <span className="text-note">Why it goes on</span>
            <input value={reason} maxLength={500} onChange={(event) => setReason(event.target.value)} />
          </label>
          <HeldButton
            disabled={isLoading || reason.trim() === ''}
            onHeld={() => void send('start', { goAheadBecause: reason })}
          >
            Go on all the same: {task.title}
            <span className="block text-note">Cannot be undone: {task.cannotBeUndone}</span>
          </HeldButton>
        </div>
      )}
      {error && !isStopped && (
        <HeldBack
          task={task}
          error={error}
          onClose={() => setError(null)}
          onAgain={(more) => void send(lastAct, more)}
        />
      )}
    </div>
  );
}

/** The first thing it waits for with its reason; how many more there are. */
function describeWaits(waits: ReturnType<typeof selectOpenLinks>): string {
  const [first, ...more] = waits;
  if (!first) return '';
  const rule = /^O\d/.test(first.rule) ? ` (${first.rule})` : '';
  return `Waits for “${first.title}”: ${first.because}${rule}${more.length ? `; and for ${more.length} more` : ''}`;
}

function describeWhy(task: Task) {
  const waits = [
    ...(task.watchedMin ? [`watched ${formatMinutes(task.watchedMin)}`] : []),
    ...(task.passiveMin ? [`then left ${formatMinutes(task.passiveMin)}`] : []),
  ];
  return (
    <>
      {task.because}
      {waits.length > 0 && <span className="block">{waits.join(', ')} (planning estimate)</span>}
    </>
  );
}
