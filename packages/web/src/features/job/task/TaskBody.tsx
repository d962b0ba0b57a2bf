import { isSettled, type OpenLink, type Task } from '@sardonyx/core';
import { Link } from 'react-router';
import { StartClock } from '../../clocks/index.ts';
import { PhotoDrop } from '../../photos/index.ts';
import { HazardCard } from '../../../shared/hazard/HazardCard.tsx';
import { LiveReading } from '../../workshop/index.ts';
import { useJob } from '../JobContext.tsx';
import { StripPasses } from '../stations/strip/StripPasses.tsx';
import { CoatOfTask } from './CoatOfTask.tsx';
import { DecalInHand } from './DecalInHand.tsx';
import { LookAgain } from './LookAgain.tsx';
import { Otherwise } from './Otherwise.tsx';
import { TaskActs } from './TaskActs.tsx';
import { TaskNote } from './TaskNote.tsx';

/** A task unfolded: what it takes, what can hurt, its clock, and every act. */
export function TaskBody({ task, waits }: { readonly task: Task; readonly waits: readonly OpenLink[] }) {
  const { isClosed, view } = useJob();
  const isOpen = !isSettled(task);
  const isReady = waits.length === 0;
  const takes = task.uses.map(({ what }) => what);
  return (
    <div className="mt-2 max-w-[46rem] space-y-3 pl-5">
      {task.act === 'capture-colour' && (
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
      {isOpen && !isClosed && (
        <>
          {waits
            .filter(({ kind }) => kind !== 'open')
            .map((wait) => (
              <LookAgain key={wait.link.key} wait={wait} />
            ))}
          {isReady && <Before task={task} />}
        </>
      )}
      {!isClosed && isOpen && isReady && <CoatOfTask task={task} />}
      {!isClosed && isOpen && task.act === 'decal' && <DecalInHand task={task} />}
      {!isClosed && <TaskActs task={task} isReady={isReady} />}
      {!isClosed && (
        <div className="flex flex-wrap items-start gap-x-6 gap-y-3">
          {isOpen && <Otherwise task={task} isReady={isReady} />}
          <TaskNote task={task} />
        </div>
      )}
    </div>
  );
}

/** Before the step its hazards come first; under way the clock does, and the cards stay below it. */
function Before({ task }: { readonly task: Task }) {
  const { view } = useJob();
  const hasPhoto = view.photos.some((photo) => photo.stage === 'during');
  return (
    <>
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
  );
}

function WhileDoing({ task }: { readonly task: Task }) {
  const isBaked = task.tags.includes('bake') || task.tags.includes('low bake');
  return (
    <>
      {task.tags.includes('strip') ? <StripPasses task={task} /> : <StartClock task={task} />}
      {isBaked && <LiveReading kind="oven probe" />}
    </>
  );
}
