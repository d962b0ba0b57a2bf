import type { WorkPlan, Workshop } from '../../../src/schedule/solve/workshop.ts';

export interface ByHand extends WorkPlan {
  /** Links whose latest had passed when it was got round to. */
  readonly broken: number;
}

/**
 * As it is done without a plan: whoever has time does the next possible step of the most urgent job, and looks no further ahead.
 * Earliest times, places, gun, weather and air are kept, for they are seen; that a window shuts meanwhile is not.
 */
export function planByHand(workshop: Workshop): ByHand {
  const { tasks, jobs, restorers, places, dry, gun, airingMin } = workshop;
  const starts = new Float64Array(tasks.length).fill(NaN);
  const who = new Int8Array(tasks.length).fill(-1);
  const urgent = tasks.map((_, i) => i).sort((a, b) => dueOf(a) - dueOf(b) || a - b);
  const free = restorers.map(() => 0);
  let [broken, left] = [0, tasks.length];
  let inGun = null as { readonly colour: string; readonly by: number; readonly to: number } | null;
  let gunFree = 0;
  const moments = restorers.flatMap(({ sessions }) =>
    sessions.flatMap(({ from, to }) =>
      Array.from({ length: Math.ceil((to - from) / STEP) }, (_, i) => from + i * STEP),
    ),
  );
  for (const now of [...new Set(moments)].sort((a, b) => a - b)) {
    if (left === 0) break;
    for (let person = 0; person < restorers.length; person++) {
      const session = restorers[person]!.sessions.find(({ from, to }) => from <= now && now < to);
      if (!session || free[person]! > now) continue;
      const next = urgent.find(
        (i) =>
          Number.isNaN(starts[i]!) &&
          isPossible(i, person, now, session.to) &&
          (tasks[i]!.gun === null ||
            (gunFree <= now && (!inGun || (inGun.colour === tasks[i]!.gun && inGun.by === person)))),
      );
      const task = next === undefined ? null : tasks[next]!;
      if (inGun?.by === person && task?.gun !== inGun.colour) {
        // Anything else is done with a clean gun.
        [free[person], gunFree] = [inGun.to + gun.cleaningMin, inGun.to + gun.cleaningMin];
        inGun = null;
        continue;
      }
      if (next === undefined || !task) continue;
      [starts[next], who[next]] = [now, person];
      free[person] = now + task.handsMin;
      if (task.gun !== null) {
        gunFree = now + task.handsMin;
        inGun = { colour: task.gun, by: person, to: gunFree };
      }
      broken += task.after.filter(({ task: first, spans }) => now - doneAt(first) >= spans.at(-1)!.to).length;
      left--;
    }
  }
  return { starts, who, broken };

  function dueOf(i: number) {
    return jobs[tasks[i]!.job]!.dueMin ?? Infinity;
  }
  function doneAt(i: number) {
    return starts[i]! + tasks[i]!.handsMin + tasks[i]!.watchedMin;
  }
  function isPossible(i: number, person: number, start: number, ends: number): boolean {
    const task = tasks[i]!;
    const done = start + task.handsMin + Math.max(task.watchedMin, task.gun === null ? 0 : gun.cleaningMin + STEP);
    if (task.notBefore > start || task.within[0]!.from > start || !task.who.includes(person) || done > ends)
      return false;
    if (task.isDry && !dry.some(({ from, to }) => from <= start && start + task.handsMin <= to)) return false;
    // A window that has shut is not seen; one that is not open yet is.
    const isOpen = task.after.every(({ task: first, spans }) => {
      const since = start - doneAt(first);
      return spans.some(({ from, to }) => from <= since && since < to) || since >= spans.at(-1)!.to;
    });
    if (!isOpen) return false;
    const longest = task.handsMin + task.watchedMin + task.passiveMin + airingMin;
    return tasks.every((other, j) => {
      if (j === i || Number.isNaN(starts[j]!)) return true;
      const whole = other.handsMin + other.watchedMin + other.passiveMin;
      if (starts[j]! + whole + airingMin <= start || starts[j]! >= start + longest) return true;
      if (task.air && other.air && task.air !== other.air) return false;
      return task.holds.every(({ place, setting }) =>
        other.holds.every(
          (held) =>
            held.place !== place ||
            starts[j]! + (held.until === 'passive' ? whole : other.handsMin + other.watchedMin) <= start ||
            (places[place]! > countIn(place, start, i) && held.setting === setting),
        ),
      );
    });
  }
  function countIn(place: string, start: number, but: number): number {
    return tasks.filter(({ holds, handsMin, watchedMin, passiveMin }, j) =>
      holds.some(
        (held) =>
          held.place === place &&
          j !== but &&
          starts[j]! + handsMin + watchedMin + (held.until === 'passive' ? passiveMin : 0) > start,
      ),
    ).length;
  }
}

/** Somebody looks round every so many minutes. */
const STEP = 3;
