import { computeStationState } from '@sardonyx/core';
import { Sign } from '../../../shared/ui/Sign.tsx';
import { formatMinutes } from '../../../shared/format.ts';
import { useJob } from '../JobContext.tsx';
import { PartMapView } from '../PartMapView.tsx';
import { TaskList } from '../task/TaskList.tsx';
import { Verdict, Zones } from '../Zones.tsx';
import { HowItCameOff } from './close/HowItCameOff.tsx';
import { Decisions } from './Decisions.tsx';

/** How it goes back so that nothing has to be opened again. */
export function CloseStation() {
  const { tasks } = useJob();
  const { total, done, handsOnLeftMin, irreversibleLeft } = computeStationState(tasks, 'close');
  const steps = tasks.filter((task) => task.station === 'close' && task.tags.includes('close joint'));
  const joints = steps.map((task, i) => ({ partKeys: task.partKeys, number: i + 1 }));
  const dryFit = tasks.find((task) => task.key === 'dry-fit');
  return (
    <Zones
      model={
        <>
          <PartMapView joints={joints} />
          <ol className="grid gap-x-4 text-note sm:grid-cols-2">
            {steps.map((task, i) => (
              <li key={task.id} className={task.state === 'done' ? 'text-soft-ink' : ''}>
                <span className="figure font-bold">{i + 1}</span> {task.title}
                {task.state === 'done' ? ' (closed)' : ''}
              </li>
            ))}
          </ol>
          <HowItCameOff />
          <Decisions keys={['S2', 'S5', 'S20', 'S23']} />
        </>
      }
      lead={
        <Verdict
          rest={
            <>
              {dryFit && dryFit.state !== 'done' && dryFit.state !== 'not needed' && (
                <>
                  <Sign of="warning" />
                  It has not been put together dry yet.{' '}
                </>
              )}
              Motion is tried before the base goes on, wheels are looked at before an axle end is formed, decals cross a
              seam after the last joint, slow ink comes last of all.
            </>
          }
        >
          {total === 0
            ? 'Nothing was opened, nothing is closed.'
            : done === total
              ? 'It is closed for good.'
              : `${total - done} of ${total} steps left, ${formatMinutes(handsOnLeftMin)} at the hands${irreversibleLeft ? `; ${irreversibleLeft} cannot be done twice` : ''}.`}
        </Verdict>
      }
    >
      <TaskList station="close" heading="Close, in this order" />
    </Zones>
  );
}
