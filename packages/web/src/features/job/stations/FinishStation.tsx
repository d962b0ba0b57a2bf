import { computeStack, computeStationState, FINEST_RELIEF_UM } from '@sardonyx/core';
import { formatMinutes } from '../../../shared/format.ts';
import { useJob } from '../JobContext.tsx';
import { PartMapView } from '../PartMapView.tsx';
import { PlanSays } from '../PlanSays.tsx';
import { TaskList } from '../task/TaskList.tsx';
import { Verdict, Zones } from '../Zones.tsx';
import { Decisions } from './Decisions.tsx';
import { PartCoats } from './finish/PartCoats.tsx';

/** Primer to clear: what is planned for each part, what is on it, and the next coat. */
export function FinishStation() {
  const { tasks, specimen, partId } = useJob();
  const { total, done, handsOnLeftMin } = computeStationState(tasks, 'finish');
  const painted = specimen.parts.filter((candidate) =>
    specimen.areas.some(
      (area) =>
        area.specimenPartId === candidate.id &&
        specimen.layers.some((layer) => layer.areaId === area.id && layer.stage === 'planned'),
    ),
  );
  const part = specimen.parts.find((candidate) => candidate.id === partId) ?? painted[0] ?? specimen.parts[0];
  const planned = specimen.areas.map((area) =>
    computeStack(specimen.layers.filter((layer) => layer.areaId === area.id && layer.stage === 'planned')),
  );
  const thickest = Math.max(0, ...planned.map((stack) => stack.totalUm));
  return (
    <Zones
      model={
        <>
          <PartMapView />
          <Decisions keys={['S6', 'S7', 'S8', 'S9', 'S10', 'S12', 'S13', 'S14', 'S19', 'S21', 'S24']} />
        </>
      }
      lead={
        <Verdict
          rest={
            thickest > 0 &&
            `Thickest planned build ${Math.round(thickest)} µm; cast lettering is rarely shallower than ${FINEST_RELIEF_UM} µm (planning estimate).${thickest > FINEST_RELIEF_UM / 2 ? ' Spray thin: it begins to fill in.' : ''}`
          }
        >
          {total === 0
            ? 'No coat is planned yet: choose a part and plan its coats.'
            : done === total
              ? 'All coats are on.'
              : `${total - done} of ${total} tasks left on ${painted.length} ${painted.length === 1 ? 'part' : 'parts'}, ${formatMinutes(handsOnLeftMin)} at the hands.`}
        </Verdict>
      }
    >
      <PlanSays />
      {part && <PartCoats key={part.id} part={part} />}
      <TaskList station="finish" />
    </Zones>
  );
}
