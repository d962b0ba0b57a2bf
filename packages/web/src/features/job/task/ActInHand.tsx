import { isSettled, selectOpenLinks, type Task } from '@sardonyx/core';
import { useMemo, type ReactNode } from 'react';
import { Link } from 'react-router';
import { useGetJobQuery } from '../../../shared/api/api.ts';
import { Pending } from '../../../shared/ui/Pending.tsx';
import { JobContext } from '../JobContext.tsx';
import { PartMapView } from '../PartMapView.tsx';
import { putInHand } from '../putInHand.ts';
import { StripPasses } from '../stations/strip/StripPasses.tsx';
import { CoatOfTask } from './CoatOfTask.tsx';
import { DecalInHand } from './DecalInHand.tsx';
import { LookAgain } from './LookAgain.tsx';

interface ActInHandProps {
  readonly jobId: string;
  readonly taskId: string;
  readonly now: number;
  /** What stands where the step is explained, until it was read. */
  readonly before: (task: Task) => ReactNode;
  /** What is pressed for it; not while something is to be looked at first. */
  readonly press: (task: Task) => ReactNode;
}

/** One step by itself: the model with its part, what to do, and the press for it. */
export function ActInHand({ jobId, taskId, now, before, press }: ActInHandProps) {
  const { data: view, error } = useGetJobQuery(jobId);
  const task = view?.tasks.find(({ id }) => id === taskId);
  const inHand = useMemo(() => {
    const specimen = view?.specimens.find((one) => one.specimen.id === task?.specimenId);
    if (!view || !specimen) return null;
    const part = specimen.parts.find(({ key }) => key === task?.partKeys[0]);
    return putInHand(view, specimen, { partId: part?.id ?? null, setPartId: () => undefined });
  }, [view, task]);
  if (!task || !inHand) return <Pending what="the step" error={error} />;
  const waits = task.state === 'to do' ? selectOpenLinks(task, inHand.tasks, new Date(now)) : [];
  const first = before(task);
  return (
    <JobContext value={inHand}>
      <div
        className={`flex min-h-0 grow flex-col ${first ? '' : 'min-[1100px]:grid min-[1100px]:grid-cols-[minmax(0,36fr)_minmax(0,64fr)]'}`}
      >
        {/* What can hurt has the whole screen. */}
        {!first && (
          <div className="shrink-0 px-4 pt-2 [&_svg]:max-h-[26vh] min-[1100px]:[&_svg]:max-h-[58vh]">
            <PartMapView />
          </div>
        )}
        <div
          className="min-h-0 grow space-y-3 overflow-y-auto px-4 py-2"
          tabIndex={0}
          role="region"
          aria-label="The step"
        >
          <p className="text-soft-ink">
            <span className="figure">{inHand.view.job.number}</span> {inHand.view.job.title}
          </p>
          <h1>{task.title}</h1>
          {first ?? (
            <>
              <p className="text-lead">{task.how}</p>
              {task.uses.length > 0 && (
                <p>
                  <strong>With:</strong> {task.uses.map(({ what }) => what).join(', ')}.
                </p>
              )}
              {waits
                .filter(({ kind }) => kind !== 'open')
                .map((wait) => (
                  <LookAgain key={wait.link.key} wait={wait} />
                ))}
              {!isSettled(task) && <OfItsKind task={task} />}
            </>
          )}
        </div>
      </div>
      {waits.length === 0 && press(task)}
    </JobContext>
  );
}

/** What some steps need besides a tick. What is typed is typed at the station. */
function OfItsKind({ task }: { readonly task: Task }) {
  if (task.act === 'decal') return <DecalInHand task={task} />;
  if (task.state === 'doing' && task.tags.includes('strip')) return <StripPasses task={task} />;
  if (MEASURED.includes(task.act) || task.act === 'capture-colour')
    return (
      <Link className="plain-button" to={`/jobs/${task.jobId}/${task.station}`}>
        {task.act === 'capture-colour' ? 'Capture it in the colour lab' : 'Write its measures down at its station'}
      </Link>
    );
  return <CoatOfTask task={task} />;
}

const MEASURED: readonly Task['act'][] = ['axle-in-hand', 'tap', 'recover-post', 'check'];
