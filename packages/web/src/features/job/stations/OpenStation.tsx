import { computeStationState, SCHOOLS } from '@sardonyx/core';
import { formatMinutes } from '../../../shared/format.ts';
import { EmptyNote } from '../../../shared/ui/Notice.tsx';
import { useJob } from '../JobContext.tsx';
import { numberSteps } from '../numberSteps.ts';
import { PartMapView } from '../PartMapView.tsx';
import { TaskList } from '../TaskList.tsx';
import { Verdict, Zones } from '../Zones.tsx';
import { Decisions } from './Decisions.tsx';

const SCHOOLS_HERE = SCHOOLS.filter((school) => ['S2', 'S3', 'S4'].includes(school.key));

/** How it comes apart: the joints in order, numbered on the part map. */
export function OpenStation() {
  const { tasks, specimen } = useJob();
  const { total, done, handsOnLeftMin, irreversibleLeft } = computeStationState(tasks, 'open');
  const cuts = tasks.filter((task) => task.station === 'open' && task.tags.includes('open joint'));
  return (
    <Zones
      model={
        <>
          <PartMapView marks={numberSteps(cuts, specimen.parts)} markWord="cut" />
          <ol className="grid gap-x-4 text-note sm:grid-cols-2">
            {cuts.map((task, i) => (
              <li key={task.id} className={task.state === 'done' ? 'text-soft-ink' : ''}>
                <span className="figure font-bold">{i + 1}</span> {task.title}
                {task.state === 'done' ? ' (open)' : ''}
              </li>
            ))}
          </ol>
          <Decisions schools={SCHOOLS_HERE} />
        </>
      }
    >
      {total === 0 ? (
        <EmptyNote title="Nothing is opened.">
          {specimen.casting
            ? 'This job leaves the model closed.'
            : 'Settle the casting at Identify: its joints come with it.'}
        </EmptyNote>
      ) : (
        <Verdict rest="Minutes and risks are planning estimates. Each step that destroys something asks for its photograph first.">
          {done === total
            ? 'It is open; every part lies on the bench.'
            : `${total - done} of ${total} steps left, ${formatMinutes(handsOnLeftMin)} at the hands; ${irreversibleLeft} cannot be undone.`}
        </Verdict>
      )}
      <TaskList station="open" heading="Open, in this order" />
    </Zones>
  );
}
