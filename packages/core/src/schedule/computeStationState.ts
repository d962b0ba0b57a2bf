import type { Station } from '../model/stations.ts';
import type { Task } from '../model/task.ts';

/** How a station of one job stands. */
export interface StationState {
  readonly total: number;
  readonly done: number;
  /** Hands-on minutes of what is not done (planning estimates). */
  readonly handsOnLeftMin: number;
  /** Of those, watched and passive minutes. */
  readonly waitingLeftMin: number;
  readonly irreversibleLeft: number;
}

/** Sums over the tasks of a station; tasks that fell out of the plan do not count. A station without tasks is all zero. */
export function computeStationState(tasks: readonly Task[], station: Station): StationState {
  const own = tasks.filter(
    (task) => task.station === station && task.state !== 'not needed' && task.state !== 'set aside',
  );
  const left = own.filter((task) => task.state !== 'done');
  const sum = (minutesOf: (task: Task) => number) => left.reduce((total, task) => total + minutesOf(task), 0);
  return {
    total: own.length,
    done: own.length - left.length,
    handsOnLeftMin: sum((task) => task.handsOnMin),
    waitingLeftMin: sum((task) => task.watchedMin + task.passiveMin),
    irreversibleLeft: left.filter((task) => task.irreversible).length,
  };
}
