import type { Station } from '../model/stations.ts';
import type { Task } from '../model/task.ts';

/** How a station of one job stands. */
export interface StationState {
  readonly total: number;
  readonly done: number;
  /** Hands-on minutes of what is done, as planned (planning estimates). */
  readonly handsOnDoneMin: number;
  /** Hands-on minutes of what is not done (planning estimates). */
  readonly handsOnLeftMin: number;
  /** Watched and passive minutes of what is not done. */
  readonly waitingLeftMin: number;
  readonly irreversibleLeft: number;
}

/** Sums over the tasks of a station; tasks that fell out of the plan do not count. A station without tasks is all zero. */
export function computeStationState(tasks: readonly Task[], station: Station): StationState {
  const own = tasks.filter(
    (task) => task.station === station && task.state !== 'not needed' && task.state !== 'set aside',
  );
  const left = own.filter((task) => task.state !== 'done');
  const sumOf = (some: readonly Task[], minutesOf: (task: Task) => number) =>
    some.reduce((total, task) => total + minutesOf(task), 0);
  const handsOnMin = (task: Task) => task.handsOnMin;
  return {
    total: own.length,
    done: own.length - left.length,
    handsOnDoneMin: sumOf(
      own.filter((task) => task.state === 'done'),
      handsOnMin,
    ),
    handsOnLeftMin: sumOf(left, handsOnMin),
    waitingLeftMin: sumOf(left, (task) => task.watchedMin + task.passiveMin),
    irreversibleLeft: left.filter((task) => task.irreversible).length,
  };
}
