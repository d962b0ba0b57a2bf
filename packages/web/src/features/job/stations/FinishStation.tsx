import { listNextCoats } from '@sardonyx/core';
import { useMemo, useState } from 'react';
import { useNow } from '../../clocks/index.ts';
import { useJob } from '../JobContext.tsx';
import { PartMapView } from '../PartMapView.tsx';
import { PlanSays } from '../PlanSays.tsx';
import { TaskList } from '../task/TaskList.tsx';
import { Verdict, Zones } from '../Zones.tsx';
import { Decisions } from './Decisions.tsx';
import { DryingRuler } from './finish/DryingRuler.tsx';
import { NextCoats } from './finish/NextCoats.tsx';
import { RoomLine } from './finish/RoomLine.tsx';
import { PartCoats } from './finish/PartCoats.tsx';

/** Primer to clear: what goes on next and when, what dries meanwhile, and the coats of the part in hand. */
export function FinishStation() {
  const { specimen, view, partId, setPartId } = useJob();
  const now = useNow();
  const [areaId, setAreaId] = useState<string | null>(null);
  const list = useMemo(
    () =>
      listNextCoats(
        { ...specimen, tasks: view.tasks.filter(({ specimenId }) => specimenId === specimen.specimen.id) },
        now.getTime(),
      ),
    [specimen, view.tasks, now],
  );
  const isPlanned = specimen.layers.some(({ stage }) => stage === 'planned');
  const part =
    specimen.parts.find(({ id }) => id === partId) ??
    specimen.parts.find(({ id }) => id === list[0]?.part.id) ??
    specimen.parts[0];
  const choose = (id: string) => {
    setAreaId(id);
    setPartId(specimen.areas.find((area) => area.id === id)?.specimenPartId ?? null);
  };
  return (
    <Zones
      model={
        <>
          <PartMapView />
          <Decisions keys={['S6', 'S7', 'S8', 'S9', 'S10', 'S12', 'S13', 'S14', 'S19', 'S21', 'S24']} />
        </>
      }
      lead={
        isPlanned ? (
          <NextCoats list={list} now={now} />
        ) : (
          <Verdict>No coat is planned yet: choose a part and plan its coats.</Verdict>
        )
      }
    >
      <PlanSays />
      <RoomLine now={now} />
      <DryingRuler list={list} now={now} areaId={areaId ?? list[0]?.areaId ?? null} onChoose={choose} />
      {part && <PartCoats key={part.id} part={part} now={now} />}
      <TaskList station="finish" />
    </Zones>
  );
}
