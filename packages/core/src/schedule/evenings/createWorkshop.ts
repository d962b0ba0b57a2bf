import { findDayStart, listEvenings } from '../../calendar/listEvenings.ts';
import { AIRING_MIN } from '../../gates/checkStart.ts';
import { ALWAYS, putAt, type Hold, type Span, type Workshop, type WorkTask } from '../solve/workshop.ts';
import type { EveningsInput, EveningTask, LeftOutBecause } from './eveningsInput.ts';

/** The workshop that a plan is made for, and whose task each of its tasks is. */
export interface EveningsWorkshop {
  readonly workshop: Workshop;
  /** By index of the workshop's tasks. */
  readonly tasks: readonly EveningTask[];
  readonly leftOut: readonly LeftOut[];
  /** ms since 1970 of its minute 0. */
  readonly begin: number;
}

export interface LeftOut {
  readonly task: EveningTask;
  readonly because: LeftOutBecause;
}

const MINUTE_MS = 60_000;
const DAY_MIN = 1440;
/** A colour stays in the gun for so long, minutes (planning estimate). */
const GUN_KEEPS_MIN = 45;
/** Rinsing between two colours, minutes (planning estimate). */
const CLEANING_MIN = 12;
/** Longest plan, days; and how many times the hours that the hands need it reaches. */
const MOST_DAYS = 1100;
const SPARE = 3;

/**
 * What is open over all jobs, as the workshop that plans it (docs/decisions/025): minutes from now on. What can have no place is
 * left out with everything after it, and said.
 *
 * @param isLoose tasks whose latest is given up, because nobody is there in time
 */
export function createWorkshop(
  input: EveningsInput,
  isLoose: (task: EveningTask) => boolean = () => false,
): EveningsWorkshop {
  const { now, zone, restorers, jobs, weather } = input;
  const begin = Math.floor(now / MINUTE_MS) * MINUTE_MS;
  // Whole minutes, later rather than sooner: what is kept and read again is the same to the minute.
  const minute = (ms: number) => Math.ceil((ms - begin) / MINUTE_MS);
  const days = countDays(input);
  const calendars = restorers.map((restorer) => ({
    name: restorer.name,
    sessions: listEvenings(restorer, now, days, zone).map(({ from, to }): Span => ({
      from: Math.max(0, minute(from)),
      to: minute(to),
    })),
  }));
  const longest = calendars.map(({ sessions }) =>
    sessions.reduce((most, { from, to }) => Math.max(most, to - from), 0),
  );
  const whoOf = ({ kind }: EveningTask) =>
    restorers.flatMap(({ leaves }, i) => (longest[i]! === 0 || (kind && leaves.includes(kind)) ? [] : [i]));
  const leftOut = findLeftOut(input, (task) => {
    const who = whoOf(task);
    if (who.length === 0) return 'nobody does it';
    if (task.windows === null) return 'never dries here';
    if (task.inOven && input.ovenRoom === 0) return 'no oven';
    return who.some((one) => longest[one]! >= minutesAtBench(task)) ? null : 'no session is long enough';
  });
  const isLeftOut = new Set(leftOut.map(({ task }) => task.id));
  const tasks = input.tasks.filter(({ id }) => !isLeftOut.has(id));
  const place = new Map(tasks.map(({ id }, i) => [id, i]));
  const jobAt = new Map(jobs.map(({ id }, i) => [id, i]));
  const work = tasks.map((task): WorkTask => {
    const able = whoOf(task).filter((one) => longest[one]! >= minutesAtBench(task));
    const isBound = !isLoose(task);
    const pin = findPin(input, task);
    const own: WorkTask = {
      ...{
        id: task.id,
        job: jobAt.get(task.jobId)!,
        who: able,
        holds: listHolds(task),
        gun: task.gun,
        isDry: task.isDry,
      },
      ...{ handsMin: handsOf(task), watchedMin: task.watchedMin, passiveMin: task.passiveMin, air: task.air },
      after: task.after.flatMap(({ taskId, waitMin, latestMin }) => {
        const first = place.get(taskId);
        const to = isBound ? (latestMin ?? Infinity) : Infinity;
        return first === undefined
          ? []
          : [{ task: first, spans: [{ from: Math.ceil(waitMin), to: Math.max(to, Math.ceil(waitMin) + 1) }] }];
      }),
      notBefore: task.arrivesAt === null ? 0 : Math.max(0, minute(task.arrivesAt)),
      within: (task.windows ?? []).map(({ from, to }, i, all) => ({
        from: from === null ? -Infinity : minute(from),
        to: to === null || (!isBound && i === all.length - 1) ? Infinity : Math.floor((to - begin) / MINUTE_MS),
      })),
    };
    return pin && isBound && able.includes(pin.who) ? putAt(own, minute(pin.at), pin.who) : own;
  });
  const places = {
    booth: 1,
    oven: input.ovenRoom,
    ...Object.fromEntries(tasks.flatMap(({ bath }) => (bath ? [[bath, input.bathRoom]] : []))),
  };
  const workshop: Workshop = {
    tasks: work,
    jobs: jobs.map(({ id, dueOn }) => ({
      id,
      dueMin: dueOn === null ? null : minute(findDayStart(dueOn, zone, 1)),
      weight: 1,
    })),
    restorers: calendars,
    places,
    dry: listDry(weather, days, begin, zone),
    gun: { cleaningMin: CLEANING_MIN, keepsMin: GUN_KEEPS_MIN },
    airingMin: AIRING_MIN,
    inRoom: input.inRoom.map(({ air, until }) => ({ air, from: 0, to: Math.max(0, minute(until)) })),
  };
  return { workshop, tasks, leftOut, begin };
}

function findPin({ pins, restorers, now }: EveningsInput, { id }: EveningTask) {
  const pin = pins.find(({ taskId }) => taskId === id);
  return pin && pin.startsAt >= now
    ? { at: pin.startsAt, who: restorers.findIndex((one) => one.id === pin.restorerId) }
    : null;
}

/** The gun's own steps are counted as cleaning, once for a run of a colour. */
const handsOf = (task: EveningTask) => (task.isGunCare ? 0 : task.handsOnMin);

function minutesAtBench(task: EveningTask): number {
  return Math.max(handsOf(task) + (task.gun === null ? 0 : CLEANING_MIN), handsOf(task) + task.watchedMin);
}

function listHolds({ inBooth, inOven, bath, watchedMin }: EveningTask): Hold[] {
  return [
    ...(inBooth ? [{ place: 'booth', until: 'hands' as const, setting: null }] : []),
    ...(inOven ? [{ place: 'oven', until: 'watched' as const, setting: null }] : []),
    ...(bath === null
      ? []
      : [{ place: bath, until: watchedMin > 0 ? ('watched' as const) : ('passive' as const), setting: null }]),
  ];
}

function findLeftOut({ tasks }: EveningsInput, judge: (task: EveningTask) => LeftOutBecause | null): LeftOut[] {
  const why = new Map<string, LeftOutBecause>();
  for (const task of tasks) {
    const because = judge(task);
    if (because) why.set(task.id, because);
  }
  for (let size = -1; size !== why.size;) {
    size = why.size;
    for (const task of tasks)
      if (!why.has(task.id) && task.after.some(({ taskId }) => why.has(taskId))) why.set(task.id, 'what goes before');
  }
  return tasks.flatMap((task) => (why.has(task.id) ? [{ task, because: why.get(task.id)! }] : []));
}

/** So far that all hours fit in a few times over, and all that comes by post. */
function countDays({ now, zone, restorers, tasks }: EveningsInput): number {
  const needed = tasks.reduce((sum, task) => sum + handsOf(task) + task.watchedMin, 0);
  const weekly = restorers.reduce(
    (sum, { sessions }) => sum + sessions.reduce((all, { minutes }) => all + minutes, 0),
    0,
  );
  const last = tasks.reduce(
    (most, { arrivesAt, windows }) => Math.max(most, arrivesAt ?? 0, windows?.at(-1)?.from ?? 0),
    now,
  );
  const ahead = Math.ceil((last - now) / MINUTE_MS / DAY_MIN);
  const said = restorers.flatMap(({ exceptions }) =>
    exceptions.map(({ on }) => (findDayStart(on, zone) - now) / MINUTE_MS / DAY_MIN),
  );
  const weeks = weekly > 0 ? (SPARE * needed) / weekly : 0;
  return Math.min(MOST_DAYS, Math.ceil(Math.max(60, 7 * weeks + ahead + 60, ...said)));
}

/** A day of which nobody said anything counts as dry. */
function listDry(weather: EveningsInput['weather'], days: number, begin: number, zone: string): Span[] {
  const wet = weather
    .filter(({ isDry }) => !isDry)
    .map(({ on }) => ({ from: findDayStart(on, zone), to: findDayStart(on, zone, 1) }))
    .sort((a, b) => a.from - b.from);
  const minute = (ms: number) => (ms - begin) / MINUTE_MS;
  const end = days * DAY_MIN;
  if (wet.length === 0) return [{ from: ALWAYS[0]!.from, to: end }];
  const dry: Span[] = [];
  let from = 0;
  for (const one of wet) {
    if (minute(one.from) > from) dry.push({ from, to: minute(one.from) });
    from = Math.max(from, minute(one.to));
  }
  return from < end ? [...dry, { from, to: end }] : dry;
}
