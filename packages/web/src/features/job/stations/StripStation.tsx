import { computeStationState } from '@sardonyx/core';
import { formatMinutes } from '../../../shared/format.ts';
import { useJob } from '../JobContext.tsx';
import { PartMapView } from '../PartMapView.tsx';
import { PlanSays } from '../PlanSays.tsx';
import { TaskList } from '../task/TaskList.tsx';
import { Verdict, Zones } from '../Zones.tsx';
import { Decisions } from './Decisions.tsx';
import { ChooseMend } from './strip/ChooseMend.tsx';
import { HowPaintComesOff } from './strip/HowPaintComesOff.tsx';
import { PrimingGate } from './strip/PrimingGate.tsx';
import { WhatItStands } from './strip/WhatItStands.tsx';
import { MeantToBeThere } from './strip/MeantToBeThere.tsx';

/** Paint off, wash, inspect, mend: each task with its hazard and its clock. */
export function StripStation() {
  const { tasks, specimen, partId, view } = useJob();
  const isCleaned = view.job.scope === 'clean only';
  const part = specimen.parts.find((one) => one.id === partId) ?? specimen.parts[0];
  const { total, done, handsOnLeftMin, waitingLeftMin } = computeStationState(tasks, 'strip');
  const parts = tasks
    .filter((task) => task.station === 'strip' && task.state !== 'done' && task.state !== 'not needed')
    .flatMap((task) => task.partKeys);
  const left = Object.fromEntries(
    [...new Set(parts)].map((key) => [key, String(parts.filter((other) => other === key).length)]),
  );
  return (
    <Zones
      model={
        <>
          <PartMapView marks={left} markWord="tasks left" />
          <p className="text-note text-soft-ink">
            Figures count what is left to do on a part.{!isCleaned && ' Click one to see what may touch it.'}
          </p>
        </>
      }
      aside={
        isCleaned ? (
          <Decisions keys={['S23']} />
        ) : (
          <>
            {part && <HowPaintComesOff part={part} />}
            <WhatItStands />
            {part && <ChooseMend key={part.id} part={part} />}
            <Decisions keys={['S11', 'S18', 'S17', 'S16', 'S15', 'S1', 'S22', 'S23']} />
          </>
        )
      }
      isSticky={false}
      lead={
        <Verdict
          rest={
            isCleaned
              ? 'Dust first, and nothing is changed: no stripper, no polish, no mending.'
              : 'Treat all paint as leaded until the metal is bare: everything stays wet.'
          }
        >
          {total === 0
            ? 'Nothing to strip or mend.'
            : done === total
              ? isCleaned
                ? 'Clean, and as it was.'
                : 'Bare, mended and ready for primer.'
              : `${total - done} of ${total} tasks left: ${formatMinutes(handsOnLeftMin)} at the hands${waitingLeftMin >= 1 ? `, ${formatMinutes(waitingLeftMin)} of watching and waiting` : ''}.`}
        </Verdict>
      }
    >
      <PlanSays />
      {!isCleaned && <MeantToBeThere />}
      <TaskList station="strip" />
      {!isCleaned && <PrimingGate />}
    </Zones>
  );
}
