import { computePlannedPaint, listNextCoats } from '@sardonyx/core';
import { useMemo, useState } from 'react';
import { useNow } from '../../clocks/index.ts';
import { useJob } from '../JobContext.tsx';
import { PartMapView } from '../PartMapView.tsx';
import { PlanSays } from '../PlanSays.tsx';
import { TaskList } from '../task/TaskList.tsx';
import { Verdict, Zones } from '../Zones.tsx';
import { Decisions } from './Decisions.tsx';
import { FieldsOfPart } from './finish/fields/FieldsOfPart.tsx';
import { DryingRuler } from './finish/DryingRuler.tsx';
import { GunLine } from './finish/GunLine.tsx';
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
  const planned = useMemo(
    () => computePlannedPaint(specimen.parts, specimen.areas, specimen.layers),
    [specimen.parts, specimen.areas, specimen.layers],
  );
  const isPlanned = specimen.layers.some(({ stage }) => stage === 'planned');
  const part =
    specimen.parts.find(({ id }) => id === partId) ??
    specimen.parts.find(({ id }) => id === list[0]?.part.id) ??
    specimen.parts[0];
  // The row that is lit is the area in hand.
  const inHand =
    specimen.areas.find((area) => area.id === areaId && area.specimenPartId === part?.id) ??
    specimen.areas.find((area) => area.specimenPartId === part?.id && list.some((one) => one.areaId === area.id)) ??
    specimen.areas.find((area) => area.specimenPartId === part?.id && area.kind === 'outside');
  const choose = (id: string) => {
    setAreaId(id);
    setPartId(specimen.areas.find((area) => area.id === id)?.specimenPartId ?? null);
  };
  return (
    <Zones
      isSticky={false}
      model={
        <>
          <PartMapView paint={planned} />
          {part && (
            <FieldsOfPart key={part.id} part={part} paint={planned} areaId={inHand?.id ?? null} onChoose={choose} />
          )}
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
      <GunLine />
      <RoomLine now={now} />
      <DryingRuler list={list} now={now} areaId={inHand?.id ?? null} onChoose={choose} />
      {part && (
        <PartCoats key={part.id} part={part} now={now} list={list} areaId={inHand?.id ?? null} onChoose={choose} />
      )}
      <TaskList station="finish" />
    </Zones>
  );
}
