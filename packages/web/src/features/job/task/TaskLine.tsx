import { isSettled, selectOpenLinks, type OpenLink, type Task } from '@sardonyx/core';
import { Sign, type SignName } from '../../../shared/ui/Sign.tsx';
import { formatMoment } from '../../../shared/dates/sayDates.ts';
import { formatMinutes } from '../../../shared/format.ts';
import { useJob } from '../JobContext.tsx';
import { Line } from '../Zones.tsx';
import { sayWait } from './sayWait.ts';
import { TaskBody } from './TaskBody.tsx';

interface TaskLineProps {
  readonly task: Task;
  readonly now: Date;
  readonly isUnfolded: boolean;
  readonly onToggle: () => void;
}

const MARKS: Readonly<Record<Task['state'], SignName>> = {
  'to do': 'open',
  doing: 'begun',
  done: 'done',
  'not needed': 'left out',
  'set aside': 'left out',
};

/** One task: folded to its title and why it waits, unfolded with how, hazards, clock and acts. */
export function TaskLine({ task, now, isUnfolded, onToggle }: TaskLineProps) {
  const { tasks } = useJob();
  const waits = task.state === 'to do' ? selectOpenLinks(task, tasks, now) : [];
  return (
    <li className="border-t border-hairline py-2" data-task={task.key} data-state={task.state}>
      <Line because={<Why task={task} />}>
        <button
          type="button"
          aria-expanded={isUnfolded}
          className="flex w-full items-baseline gap-2 text-left"
          onClick={onToggle}
        >
          <Sign of={MARKS[task.state]} />
          <span className={isUnfolded ? 'text-lead font-semibold' : ''}>{task.title}</span>
          <span className="ml-auto shrink-0 text-note text-soft-ink">
            <span className="sr-only">{task.state}, </span>
            {formatMinutes(task.handsOnMin)}
          </span>
        </button>
        {waits.length > 0 && !(isUnfolded && waits[0]!.kind !== 'open') && (
          <p className="pl-5 text-note text-soft-ink">{describeWaits(waits)}</p>
        )}
        <HowItEnded task={task} />
        {isUnfolded && <p className="mt-2 pl-5">{task.how}</p>}
      </Line>
      {isUnfolded && <TaskBody task={task} waits={waits} />}
    </li>
  );
}

/** Who did it and when, or why it was left out. */
function HowItEnded({ task }: { readonly task: Task }) {
  const { view } = useJob();
  if (!isSettled(task)) return null;
  const last = view.log.filter((entry) => entry.taskId === task.id && entry.act !== 'note').at(-1);
  const words =
    task.state === 'set aside'
      ? 'No longer in the plan; what was logged stays'
      : last
        ? `${last.act === 'done' ? '' : `${last.act}, `}${last.who}, ${formatMoment(last.at)}${last.act === 'done' || !last.note ? '' : `: ${last.note}`}`
        : '';
  return <p className="pl-5 text-note text-soft-ink">{words}</p>;
}

/** The first thing it waits for with its reason, and until when; how many more there are. */
function describeWaits(waits: readonly OpenLink[]): string {
  const [first, ...more] = waits;
  if (!first) return '';
  return `${sayWait(first)}${more.length ? `; and for ${more.length} more` : ''}`;
}

function Why({ task }: { readonly task: Task }) {
  const waits = [
    ...(task.watchedMin ? [`Watched ${formatMinutes(task.watchedMin)}`] : []),
    ...(task.passiveMin ? [`${task.watchedMin ? 'then' : 'Then'} left ${formatMinutes(task.passiveMin)}`] : []),
  ];
  return (
    <>
      {task.because}
      {waits.length > 0 && <span className="block">{waits.join(', ')} (planning estimate)</span>}
    </>
  );
}
