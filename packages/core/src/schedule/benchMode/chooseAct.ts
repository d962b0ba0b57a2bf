import { checkRoom, type RoomTask } from '../../gates/checkStart.ts';
import type { Timer } from '../../model/work.ts';
import type { EveningTask } from '../evenings/eveningsInput.ts';

/**
 * How a step of a run stands: 'to finish' is in hand and its clock is over, or it has none; 'runs' goes on by itself; 'waits' for what
 * comes first or dries; 'air' must not share the room with what is in it.
 */
export type StepState = 'to finish' | 'ready' | 'runs' | 'waits' | 'air';

export interface StepNow {
  readonly taskId: string;
  readonly state: StepState;
  /** When that changes by itself, ms; null where nobody can say. */
  readonly until: number | null;
}

/** What hands do now. */
export interface ActAtBench {
  /** Null where nothing can be begun or finished. */
  readonly act: StepNow | null;
  /** What they turn to when it is done. */
  readonly then: StepNow | null;
  /** What goes on by itself meanwhile. */
  readonly running: readonly StepNow[];
  /** When the next step can be begun, where none can now, ms. */
  readonly from: number | null;
}

type ClockOfTask = Pick<Timer, 'taskId' | 'label' | 'kind' | 'endsAt' | 'acknowledgedAt'>;

/**
 * The one act of a moment: the present one while it can be gone on with, so that none changes under a hand; else what is in hand and wants
 * to be finished, else the first of the run that may begin. A step that waits is passed over and taken up when its wait is over; a spark
 * never comes up beside vapour, nor vapour beside heat.
 *
 * @param order ids of tasks in the order of the run.
 * @param present id of the task that was the act until now; null where none was.
 * @param now ms since 1970.
 */
export function chooseAct(
  order: readonly string[],
  tasks: readonly EveningTask[],
  clocks: readonly ClockOfTask[],
  present: string | null,
  now: number,
): ActAtBench {
  const byId = new Map(tasks.map((task) => [task.id, task]));
  const inRoom = tasks.filter(({ isUnderWay }) => isUnderWay).map(describeInRoom);
  const steps = order.flatMap((id) => {
    const task = byId.get(id);
    return task ? [judgeStep(task, inRoom, clocks, now)] : [];
  });
  const finish = steps.filter(({ state }) => state === 'to finish');
  const canGoOn = [...finish, ...steps.filter(({ state }) => state === 'ready')];
  const act = canGoOn.find(({ taskId }) => taskId === present) ?? canGoOn[0] ?? null;
  const rest = steps.filter((step) => step !== act);
  const moments = rest.flatMap(({ until }) => until ?? []);
  return {
    act,
    then: rest.find((step) => isNext(step, byId.get(step.taskId)!, act)) ?? null,
    running: steps.filter(({ state }) => state === 'runs'),
    from: act || moments.length === 0 ? null : Math.min(...moments),
  };
}

function judgeStep(
  task: EveningTask,
  inRoom: readonly RoomTask[],
  clocks: readonly ClockOfTask[],
  now: number,
): StepNow {
  const say = (state: StepState, until: number | null = null): StepNow => ({ taskId: task.id, state, until });
  if (task.isUnderWay) {
    const ends = clocks.filter(({ taskId }) => taskId === task.id).map(({ endsAt }) => Date.parse(endsAt));
    const last = Math.max(...ends);
    return last > now ? say('runs', last) : say('to finish');
  }
  if (task.after.length > 0 || task.windows === null) return say('waits');
  const isOpen = task.windows.some(({ from, to }) => (from ?? -Infinity) <= now && now <= (to ?? Infinity));
  if (!isOpen) {
    const froms = task.windows.flatMap(({ from }) => (from !== null && from > now ? from : []));
    return say('waits', froms.length > 0 ? Math.min(...froms) : null);
  }
  if (task.arrivesAt !== null && task.arrivesAt > now) return say('waits', task.arrivesAt);
  const isRefused = checkRoom(describeInRoom(task), inRoom, clocks, new Date(now)).length > 0;
  return isRefused ? say('air') : say('ready');
}

/** It can be begun at once when the act is done: now already, or because it waits for nothing else. */
const isNext = ({ state }: StepNow, { after }: EveningTask, act: StepNow | null): boolean =>
  state === 'ready' ||
  state === 'to finish' ||
  (state === 'waits' &&
    after.length > 0 &&
    after.every(({ taskId, waitMin }) => taskId === act?.taskId && waitMin === 0));

const describeInRoom = ({ id, title, air, isUnderWay }: EveningTask) => ({
  ...{ id, title, needs: { air } },
  state: isUnderWay ? ('doing' as const) : ('to do' as const),
});
