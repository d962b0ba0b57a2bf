import type { Chains } from '../chains.ts';
import { AIR_SETTINGS, computeAirMin, computeHeldMin, readPutAt, type Span, type Workshop } from '../workshop.ts';

/** What a dispatcher asks about each task many thousand times, by index. */
export interface CompiledTasks {
  readonly hands: Float64Array;
  /** Minutes for which somebody must be there, cleaning the gun included. */
  readonly present: Float64Array;
  /** Minutes that it keeps the room, airing included; 0 where it brings nothing into it. */
  readonly airMin: Float64Array;
  /** 0 none, else AIR_SETTINGS. */
  readonly air: Uint8Array;
  /** The colour in the gun for it, from 1 on; 0 none. */
  readonly gun: Int16Array;
  /** `can[task * restorers + who]` is 1 for whoever can do it. */
  readonly can: Uint8Array;
  readonly holds: readonly (readonly CompiledHold[])[];
  /** What must follow it by a latest. */
  readonly bound: readonly (readonly BoundTask[])[];
  /** Minutes from its beginning to the end of its job when nothing holds it up. */
  readonly tails: Float64Array;
  /** Must begin at one minute: it was put there. NaN for all others. */
  readonly appointed: Float64Array;
}

interface CompiledHold {
  readonly place: number;
  readonly minutes: number;
  readonly setting: number | null;
}

interface BoundTask {
  readonly task: number;
  readonly spans: readonly Span[];
}

export function compileTasks(workshop: Workshop, { after }: Chains, tails: Float64Array): CompiledTasks {
  const { tasks, restorers, places, gun } = workshop;
  const colours = [...new Set(tasks.flatMap((task) => (task.gun === null ? [] : [task.gun])))];
  const names = Object.keys(places);
  return {
    tails,
    hands: Float64Array.from(tasks, ({ handsMin }) => handsMin),
    present: Float64Array.from(
      tasks,
      (task) => task.handsMin + Math.max(task.watchedMin, task.gun === null ? 0 : gun.cleaningMin),
    ),
    airMin: Float64Array.from(tasks, (task) => computeAirMin(workshop, task)),
    air: Uint8Array.from(tasks, ({ air }) => (air === null ? 0 : AIR_SETTINGS[air])),
    gun: Int16Array.from(tasks, (task) => (task.gun === null ? 0 : 1 + colours.indexOf(task.gun))),
    can: Uint8Array.from(tasks.flatMap(({ who }) => restorers.map((_, i) => (who.includes(i) ? 1 : 0)))),
    holds: tasks.map((task) =>
      task.holds.map(({ place, until, setting }) => ({
        ...{ place: names.indexOf(place), minutes: computeHeldMin(task, until), setting },
      })),
    ),
    bound: tasks.map((_, first) =>
      after[first]!.flatMap((task) => {
        const { spans } = tasks[task]!.after.find((link) => link.task === first)!;
        return spans.at(-1)!.to === Infinity ? [] : [{ task, spans }];
      }),
    ),
    appointed: Float64Array.from(tasks, (task) => readPutAt(task) ?? NaN),
  };
}
