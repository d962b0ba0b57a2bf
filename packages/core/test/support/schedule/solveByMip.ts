import loadHighs from 'highs';
import type { Workshop, WorkTask } from '../../../src/schedule/solve/workshop.ts';
import { GRID_MIN } from './smallWorlds.ts';

/** What a plan costs, as the planner weighs it; written down here once more. */
const COST = { cleaning: 60, finish: 0.1, jobs: 0.0005 };

/** A plan is proven the best to within this share of its cost. */
export const MIP_GAP = 1e-4;

interface Start {
  readonly name: string;
  readonly task: number;
  readonly who: number;
  readonly at: number;
  /** Minutes after a spray at which the next one of its colour follows, so that nobody cleans; null where the gun is cleaned. */
  readonly next: number | null;
}

/**
 * The proven least cost of a small workshop, as a mixed-integer program over all starts on the grid (time-indexed). Null where the
 * proof takes longer than it may. Shares nothing with the planner but the question.
 */
export async function solveByMip(workshop: Workshop, limitS: number): Promise<number | null> {
  const highs = await loadHighs();
  const solved = highs.solve(writeProgram(workshop), { time_limit: limitS, mip_rel_gap: MIP_GAP });
  return solved.Status === 'Optimal' ? solved.ObjectiveValue : null;
}

function writeProgram(workshop: Workshop): string {
  const { tasks, jobs, restorers, places, gun, airingMin } = workshop;
  const starts = tasks.flatMap((task, i) => listStarts(workshop, task, i));
  const of = (task: number) => starts.filter((one) => one.task === task);
  const rows: string[] = [];
  const binaries = starts.map(({ name }) => name);
  const sum = (some: readonly Start[], factor = '') => some.map(({ name }) => `+ ${factor} ${name}`).join(' ');
  const wholeMin = ({ handsMin, watchedMin, passiveMin }: WorkTask) => handsMin + watchedMin + passiveMin;
  const doneMin = ({ handsMin, watchedMin }: WorkTask) => handsMin + watchedMin;

  tasks.forEach((_, i) => rows.push(`${sum(of(i))} = 1`));

  // What goes first, window by window.
  tasks.forEach((task, i) =>
    task.after.forEach(({ task: first, spans }) => {
      const moments = new Set(of(i).map(({ at }) => at));
      for (const at of moments) {
        const before = of(first).filter((one) => {
          const since = at - one.at - doneMin(tasks[first]!);
          return spans.some(({ from, to }) => from <= since && since < to);
        });
        rows.push(`${sum(of(i).filter((one) => one.at === at))} ${sum(before, '-1').replaceAll('+ -1', '- 1')} <= 0`);
      }
    }),
  );

  const moments = [...new Set(starts.flatMap(({ at }) => Array.from({ length: 16 }, (_, k) => at + k * GRID_MIN)))];
  const handsMin = ({ task, next }: Start) =>
    tasks[task]!.handsMin + (tasks[task]!.gun !== null && next === null ? gun.cleaningMin : 0);
  const gunMin = ({ task, next }: Start) => tasks[task]!.handsMin + (next ?? gun.cleaningMin);
  const during = (at: number, minutes: (one: Start) => number) => (one: Start) =>
    one.at <= at && at < one.at + minutes(one);
  for (const at of moments) {
    const atMost = (some: readonly Start[], most: number | string) => {
      if (some.length > 1) rows.push(`${sum(some)} ${typeof most === 'string' ? `- ${most} <= 0` : `<= ${most}`}`);
    };
    restorers.forEach((_, who) =>
      atMost(
        starts.filter((one) => one.who === who && during(at, handsMin)(one)),
        1,
      ),
    );
    atMost(
      starts.filter((one) => tasks[one.task]!.gun !== null && during(at, gunMin)(one)),
      1,
    );
    for (const [place, room] of Object.entries(places)) {
      const held = starts.filter((one) => {
        const hold = tasks[one.task]!.holds.find((some) => some.place === place);
        const until = hold && {
          hands: tasks[one.task]!.handsMin,
          watched: doneMin(tasks[one.task]!),
          passive: wholeMin(tasks[one.task]!),
        };
        return until && during(at, () => until[hold.until])(one);
      });
      const settings = [...new Set(held.map(({ task }) => tasks[task]!.holds[0]!.setting))];
      if (settings.length === 1) atMost(held, room);
      else
        settings.forEach((setting, k) => {
          const name = `s_${place}_${at}_${k}`;
          binaries.push(name);
          rows.push(
            `${sum(held.filter(({ task }) => tasks[task]!.holds[0]!.setting === setting))} - ${room} ${name} <= 0`,
          );
          if (k === 0) rows.push(`${settings.map((_, n) => `+ s_${place}_${at}_${n}`).join(' ')} <= 1`);
        });
    }
    const inAir = (air: 'vapour' | 'spark') =>
      starts.filter(
        (one) =>
          tasks[one.task]!.air === air &&
          during(at, ({ task }) => wholeMin(tasks[task]!) + (air === 'vapour' ? airingMin : 0))(one),
      );
    const [vapours, sparks] = [inAir('vapour'), inAir('spark')];
    if (vapours.length > 0 && sparks.length > 0) {
      binaries.push(`a_${at}`);
      const most = (some: readonly Start[]) => new Set(some.map(({ task }) => task)).size;
      rows.push(
        `${sum(vapours)} - ${most(vapours)} a_${at} <= 0`,
        `${sum(sparks)} + ${most(sparks)} a_${at} <= ${most(sparks)}`,
      );
    }
  }

  // Whoever does not clean relies on the next spray.
  for (const one of starts.filter(({ next }) => next !== null)) {
    const at = one.at + tasks[one.task]!.handsMin + one.next!;
    const { gun: colour } = tasks[one.task]!;
    const next = starts.filter(
      (other) => other.at === at && tasks[other.task]!.gun === colour && other.task !== one.task,
    );
    rows.push(`+ ${one.name} ${next.map(({ name }) => `- ${name}`).join(' ')} <= 0`);
  }

  tasks.forEach((task, i) => {
    const ends = of(i).map(({ name, at }) => `- ${at + wholeMin(task)} ${name}`);
    rows.push(`+ f_${task.job} ${ends.join(' ')} >= 0`);
  });
  const cost = [
    ...starts.flatMap(({ name, task, next }) =>
      tasks[task]!.gun !== null && next === null ? [`+ ${COST.cleaning} ${name}`] : [],
    ),
    ...jobs.map(({ weight }, j) => `+ ${weight} l_${j} + ${COST.jobs} f_${j}`),
    `+ ${COST.finish} f`,
  ];
  jobs.forEach(({ dueMin }, j) => {
    rows.push(`+ f - f_${j} >= 0`);
    if (dueMin !== null) rows.push(`+ l_${j} - f_${j} >= ${-dueMin}`);
  });
  return `Minimize\n obj: ${cost.join('\n ')}\nSubject To\n${rows.map((row, i) => ` c${i}: ${row}`).join('\n')}\nBinary\n ${binaries.join('\n ')}\nEnd\n`;
}

/** Every start on the grid that a task could have by itself. */
function listStarts({ tasks, restorers, dry, gun }: Workshop, task: WorkTask, index: number): Start[] {
  const soonest = (one: WorkTask): number =>
    one.after.reduce((most, { task: first, spans }) => {
      const before = tasks[first]!;
      return Math.max(most, soonest(before) + before.handsMin + before.watchedMin + spans[0]!.from);
    }, one.notBefore);
  const from0 = soonest(task);
  const follows =
    task.gun === null ? [null] : [null, ...Array.from({ length: gun.keepsMin / GRID_MIN + 1 }, (_, k) => k * GRID_MIN)];
  return task.who.flatMap((who) =>
    restorers[who]!.sessions.flatMap(({ from, to }) =>
      Array.from({ length: (to - from) / GRID_MIN }, (_, k) => from + k * GRID_MIN).flatMap((at) =>
        follows.flatMap((next) => {
          const hands = task.handsMin + (task.gun !== null && next === null ? gun.cleaningMin : 0);
          const isThere = at + Math.max(hands, task.handsMin + task.watchedMin) <= to;
          const isDry = !task.isDry || dry.some((one) => one.from <= at && at + task.handsMin <= one.to);
          const name = `x_${index}_${who}_${at}_${next ?? 'c'}`;
          return isThere && isDry && at >= from0 ? [{ name, task: index, who, at, next }] : [];
        }),
      ),
    ),
  );
}
