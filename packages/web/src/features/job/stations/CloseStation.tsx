import { computeStationState, SCHOOLS } from '@sardonyx/core';
import { formatMinutes } from '../../../shared/format.ts';
import { useJob } from '../JobContext.tsx';
import { numberSteps } from '../numberSteps.ts';
import { PartMapView } from '../PartMapView.tsx';
import { TaskList } from '../TaskList.tsx';
import { Verdict, Zones } from '../Zones.tsx';
import { Decisions } from './Decisions.tsx';

const SCHOOLS_HERE = SCHOOLS.filter((school) => ['S2', 'S20'].includes(school.key));
const CHECKS = [
  'Wheels the right way round, all four on the ground',
  'Ride height level, running clearance on both sides',
  'It turns, tips and swings through its whole travel',
  'Nothing rubs on new paint',
];

/** How it goes back so that nothing has to be opened again. */
export function CloseStation() {
  const { tasks, specimen } = useJob();
  const { total, done, handsOnLeftMin, irreversibleLeft } = computeStationState(tasks, 'close');
  const steps = tasks.filter(
    (task) => task.station === 'close' && (task.tags.includes('fit part') || task.tags.includes('close joint')),
  );
  return (
    <Zones
      model={
        <>
          <PartMapView marks={numberSteps(steps, specimen.parts)} markWord="step" />
          <div>
            <h3>Check before each axle end is formed</h3>
            <ul className="list-inside list-disc">
              {CHECKS.map((check) => (
                <li key={check}>{check}</li>
              ))}
            </ul>
          </div>
          <Decisions schools={SCHOOLS_HERE} />
        </>
      }
    >
      <Verdict rest="Mechanism before base, decals across a seam after the last joint, slow ink last of all.">
        {total === 0
          ? 'Nothing was opened, nothing is closed.'
          : done === total
            ? 'It is closed for good.'
            : `${total - done} of ${total} steps left, ${formatMinutes(handsOnLeftMin)} at the hands${irreversibleLeft ? `; ${irreversibleLeft} cannot be done twice` : ''}.`}
      </Verdict>
      <TaskList station="close" heading="Close, in this order" />
    </Zones>
  );
}
