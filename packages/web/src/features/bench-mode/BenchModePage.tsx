import { chooseAct, type EveningRun } from '@sardonyx/core';
import { useEffect, useMemo, useState, type ReactNode } from 'react';
import { Link, useNavigate } from 'react-router';
import { useGetEveningsQuery } from '../../shared/api/eveningsApi.ts';
import { formatEvening, formatHour } from '../../shared/dates/sayDates.ts';
import { formatMinutes, lowerFirst } from '../../shared/format.ts';
import { ErrorNote } from '../../shared/ui/Notice.tsx';
import { Pending } from '../../shared/ui/Pending.tsx';
import { Radios } from '../../shared/ui/Radios.tsx';
import { SendAgain } from '../../shared/ui/SendAgain.tsx';
import { isField } from '../../shared/ui/singleKeys.ts';
import { useTheme } from '../../shared/ui/useTheme.ts';
import { useWho } from '../../shared/ui/useWho.ts';
import { useTimers } from '../clocks/index.ts';
import { readNames, sayStep, useEvenings } from '../evenings/index.ts';
import { useSendPictures } from '../photos/index.ts';
import { Alarm } from './Alarm.tsx';
import { Clocks } from './Clocks.tsx';
import { InHand } from './InHand.tsx';
import { OnePress } from './OnePress.tsx';
import { useBenchPress } from './useBenchPress.ts';
import { useAwake } from './useAwake.ts';
import { useLargeType } from './useLargeType.ts';

const FOLLOW_MS = 5000;

/** Full-screen: one step at a time for whoever has the hands, in the order of the run. */
export function BenchModePage() {
  useTheme();
  useLargeType();
  const isAwake = useAwake();
  const navigate = useNavigate();
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.key === 'Escape' && !event.defaultPrevented && !isField(event.target)) void navigate('/');
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [navigate]);
  // What is done in another window goes on here.
  useGetEveningsQuery(undefined, { pollingInterval: FOLLOW_MS });
  const evenings = useEvenings();
  const { view, input, now: found } = evenings;
  const { timers, due, hadClock, nowMs } = useTimers();
  const [who, setWho] = useWho();
  const [present, setPresent] = useState<string | null>(null);
  const [later, setLater] = useState<readonly string[]>([]);
  const names = useMemo(() => input && readNames(input), [input]);
  const mine = view?.restorers.find(({ name }) => name === who);
  const runs = useMemo(() => found?.report.runs.filter(({ steps }) => steps.length > 0) ?? [], [found]);
  const order = useMemo(
    () =>
      runs.flatMap(({ steps }) =>
        steps.filter(({ restorerId }) => restorerId === mine?.id).map(({ taskId }) => taskId),
      ),
    [runs, mine],
  );
  const bringBack = () => {
    setPresent(later[0] ?? null);
    setLater([]);
  };
  const bench = useBenchPress(hadClock);
  // Here and not at the step: a picture that could not go outlives the step that it shows.
  const pictures = useSendPictures();
  const leave = (
    <Link to="/" className="plain-button">
      Leave<span className="sr-only"> bench mode</span>
    </Link>
  );
  if (!view || !input || !names || (view.restorers.length > 0 && !found && evenings.problem === null))
    return (
      <Screen head={leave}>
        <Pending what="the run of the evening" error={evenings.error} />
      </Screen>
    );
  if (evenings.problem !== null || view.restorers.length === 0)
    return (
      <Screen head={leave}>
        <div className="p-4">
          <h1>{evenings.problem ?? 'Nobody is down for this bench yet.'}</h1>
          <p>
            <Link className="underline underline-offset-4" to="/evenings">
              {evenings.problem === null ? 'Say who works here and when' : 'Look at the evenings'}
            </Link>
            , and the steps come up here one by one.
          </p>
        </div>
      </Screen>
    );
  if (!mine)
    return (
      <Screen head={leave}>
        <div className="p-4">
          <Radios
            label="Whose hands are these?"
            value={undefined}
            options={view.restorers.map(({ name }) => name)}
            onChange={setWho}
            isList
          />
        </div>
      </Screen>
    );
  const wanted = order.filter((id) => !later.includes(id));
  const moment = chooseAct(wanted, input.tasks, timers, present, nowMs);
  if (moment.act && moment.act.taskId !== present) setPresent(moment.act.taskId);
  const task = moment.act && names.tasks.get(moment.act.taskId);
  const run = task && runs.find(({ steps }) => steps.some(({ taskId }) => taskId === task.id));
  const [alarm] = due;
  return (
    <Screen
      head={
        <>
          <p className="min-w-0 grow">
            <strong>{who}</strong>
            {run && <span className="text-soft-ink">, {sayRun(run, nowMs)}</span>}
            {moment.then && (
              <span className="block text-note text-soft-ink">Then: {sayStep(moment.then.taskId, names)}</span>
            )}
          </p>
          {later.length > 0 && (
            <button type="button" className="quiet-button" onClick={bringBack}>
              {later.length === 1 ? 'Bring back the one put off' : `Bring back the ${later.length} put off`}
            </button>
          )}
          {bench.last && (
            <button
              type="button"
              className="quiet-button"
              disabled={bench.isBusy}
              onClick={() => void bench.takeBack()}
            >
              Take back: {lowerFirst(bench.last.title)}
            </button>
          )}
          {!isAwake && <span className="text-note text-soft-ink">The screen may go dark here.</span>}
          {leave}
        </>
      }
    >
      {bench.error && bench.error.taskId !== task?.id && <ErrorNote error={bench.error.error} onClose={bench.clear} />}
      {pictures.error && <ErrorNote error={pictures.error} />}
      {!pictures.isLoading && (
        <SendAgain names={pictures.keptNames} onAgain={pictures.sendAgain} onThrowAway={pictures.throwAway} />
      )}
      {alarm ? (
        <Alarm
          key={alarm.id}
          timer={alarm}
          more={due.length - 1}
          jobNumber={names.jobs.get(alarm.jobId) ?? ''}
          nowMs={nowMs}
          onLooked={() => setPresent(alarm.taskId)}
        />
      ) : task ? (
        <InHand
          key={task.id}
          jobId={task.jobId}
          taskId={task.id}
          nowMs={nowMs}
          bench={bench}
          pictures={pictures}
          onLater={({ id }) => {
            bench.clear();
            setLater([...later, id]);
          }}
        />
      ) : (
        <NothingNow
          from={moment.from}
          isRunning={moment.running.length > 0}
          isOver={order.length === 0}
          onBringBack={later.length > 0 ? bringBack : null}
        />
      )}
      <Clocks timers={timers} nowMs={nowMs} numberOf={(jobId) => names.jobs.get(jobId) ?? ''} />
    </Screen>
  );
}

function Screen({ head, children }: { readonly head: ReactNode; readonly children: ReactNode }) {
  return (
    <main
      className="flex h-dvh flex-col bg-bench"
      // A pedal presses the step, not the button that a hand touched last.
      onClick={({ detail }) => {
        if (detail > 0 && document.activeElement instanceof HTMLButtonElement) document.activeElement.blur();
      }}
    >
      <div className="flex items-center gap-4 border-b border-strong-line bg-sheet px-4 py-1">{head}</div>
      {children}
    </main>
  );
}

const MINUTE_MS = 60_000;

function sayRun({ from, to }: EveningRun, now: number): string {
  if (from <= now && now < to) return `${formatMinutes((to - now) / MINUTE_MS)} left until ${formatHour(to)}`;
  return `planned for ${formatEvening(from)}`;
}

interface NothingNowProps {
  readonly from: number | null;
  readonly isRunning: boolean;
  readonly isOver: boolean;
  /** Takes up again what was put off; null where nothing was. */
  readonly onBringBack: (() => void) | null;
}

function NothingNow({ from, isRunning, isOver, onBringBack }: NothingNowProps) {
  return (
    <>
      <div className="grow p-4">
        <h1>{sayNothing({ isRunning, isOver, isPutOff: onBringBack !== null })}</h1>
        {from !== null && <p className="text-lead">The next step comes up by itself at {formatHour(from)}.</p>}
        {from === null && !isOver && !isRunning && !onBringBack && (
          <p className="text-lead">
            Everything waits for something else:{' '}
            <Link className="underline underline-offset-4" to="/evenings">
              the evenings say for what
            </Link>
            .
          </p>
        )}
      </div>
      {onBringBack && (
        <div className="flex">
          <OnePress isHeld={false} disabled={false} onPress={onBringBack}>
            Bring back what was put off
          </OnePress>
        </div>
      )}
    </>
  );
}

function sayNothing({ isRunning, isOver, isPutOff }: Readonly<Record<'isRunning' | 'isOver' | 'isPutOff', boolean>>) {
  if (isOver) return 'Nothing is planned for these hands.';
  if (isPutOff) return 'What is left waits, or was put off.';
  return isRunning ? 'Nothing for the hands now: what runs below rings.' : 'Nothing can be begun now.';
}
