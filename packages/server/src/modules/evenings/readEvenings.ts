import type { EveningsView } from '@sardonyx/contract';
import {
  findDayStart,
  findUsable,
  listEveningTasks,
  PART_LEAD_DAYS,
  USUAL_ROOM,
  type ArrivalOf,
  type EveningsInput,
} from '@sardonyx/core';
import { IsNull, type EntityManager } from 'typeorm';
import { DayWeatherRow, EveningsPlanRow } from '../../entities/evenings.ts';
import { HouseStyleRow } from '../../entities/house.ts';
import { JobRow, RestorerRow } from '../../entities/work.ts';
import { ToolRow } from '../../entities/workshop.ts';
import type { Workroom } from '../../workroom.ts';
import type { LaneRows } from '../bench/laneRows.ts';
import { readKeptRows } from '../bench/readKeptRows.ts';

const DAY_MS = 86_400_000;
/** What is open over all jobs, and what it is done with. */
export async function readEvenings(manager: EntityManager, room: Workroom): Promise<EveningsView> {
  const now = room.now();
  const jobs = await manager.find(JobRow, { where: { signedOffAt: IsNull() }, order: { number: 'ASC' } });
  const rows = await readKeptRows(manager, room, jobs);
  const { zone } = await manager.findOneByOrFail(HouseStyleRow, { id: 'house' });
  const ovens = await manager.findBy(ToolRow, { kind: 'oven' });
  const kept = await manager.findOneBy(EveningsPlanRow, { id: 'evenings' });
  return {
    input: {
      zone,
      jobs: jobs.map(({ id, number, dueOn }) => ({ id, number, dueOn })),
      tasks: jobs.flatMap(({ id }) => listTasks(rows.get(id)!, now, zone)),
      // One that is not written down is not asked about.
      ovenRoom: ovens.length === 0 || findUsable(ovens) ? USUAL_ROOM.oven : 0,
      bathRoom: USUAL_ROOM.bath,
    },
    restorers: await manager.find(RestorerRow, { order: { id: 'ASC' } }),
    weather: await manager.find(DayWeatherRow, { order: { on: 'ASC' } }),
    kept,
  };
}

function listTasks({ specimens, tasks, parts }: LaneRows, now: Date, zone: string): EveningsInput['tasks'] {
  const wants = specimens.flatMap(({ id }) => parts.of(id).wants);
  const arrivalOf: ArrivalOf = (wantId) => {
    const want = wants.find(({ id }) => id === wantId);
    if (!want || want.state === 'solved' || want.state === 'waived') return null;
    return want.dueOn === null || want.dueOn === ''
      ? { at: now.getTime() + PART_LEAD_DAYS * DAY_MS, isGuess: true }
      : { at: findDayStart(want.dueOn, zone), isGuess: false };
  };
  return specimens.flatMap(({ id }) =>
    listEveningTasks(
      tasks.filter(({ specimenId }) => specimenId === id),
      now.getTime(),
      arrivalOf,
    ),
  );
}
