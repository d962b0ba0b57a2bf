/** A stretch of time, minutes from the beginning of the plan; its end is the next one's beginning. */
export interface Span {
  readonly from: number;
  readonly to: number;
}

/** The three kinds of time of a task, one after the other: hands on it, somebody in the room, nobody needed. */
export type Phase = 'hands' | 'watched' | 'passive';

export const ALWAYS: readonly Span[] = [{ from: -Infinity, to: Infinity }];

/** What goes first, and when this one may begin after the other was done (its hands-on and watched time over). */
export interface WorkLink {
  /** Index of the task that goes first. */
  readonly task: number;
  /** Minutes after it was done, sorted and apart; the last may be endless. Two with a gap between them are two windows. */
  readonly spans: readonly Span[];
}

/** A place that is taken up from the beginning of a task to the end of a phase: booth, bath, oven, ultrasonic cleaner. */
export interface Hold {
  readonly place: string;
  readonly until: Phase;
  /** What shares the place must agree in this (the oven's temperature); null where nothing has to. */
  readonly setting: number | null;
}

export interface WorkTask {
  readonly id: string;
  /** Index of its job. */
  readonly job: number;
  readonly handsMin: number;
  readonly watchedMin: number;
  readonly passiveMin: number;
  readonly after: readonly WorkLink[];
  /** Not before this minute: what it needs comes by post. */
  readonly notBefore: number;
  /** When it may begin by what was done before the plan (a coat that dries already); sorted and apart. */
  readonly within: readonly Span[];
  /** Indices of those who can do it. */
  readonly who: readonly number[];
  readonly holds: readonly Hold[];
  /** Colour that is in the gun for it. */
  readonly gun: string | null;
  /** Only in dry weather, its hands-on time through. */
  readonly isDry: boolean;
  /** What it brings into the one room, until its passive time is over; vapour must be aired out before a spark (O37). */
  readonly air: 'vapour' | 'spark' | null;
}

export interface WorkJob {
  readonly id: string;
  /** Promised by this minute; null where nobody waits. */
  readonly dueMin: number | null;
  /** What a minute of lateness weighs. */
  readonly weight: number;
}

/** All that is to be done, and all that it is done with. */
export interface Workshop {
  readonly tasks: readonly WorkTask[];
  readonly jobs: readonly WorkJob[];
  readonly restorers: readonly { readonly name: string; readonly sessions: readonly Span[] }[];
  /** How many tasks each place takes at a time. */
  readonly places: Readonly<Record<string, number>>;
  readonly dry: readonly Span[];
  /** Cleaned after the last spray of a colour; for so many minutes that colour may stay in it. */
  readonly gun: { readonly cleaningMin: number; readonly keepsMin: number };
  readonly airingMin: number;
  /** What is in the room already when the plan begins: clocks that run. */
  readonly inRoom: readonly (Span & { readonly air: 'vapour' | 'spark' })[];
}

/** When each task begins and who does it, by index. */
export interface WorkPlan {
  readonly starts: ArrayLike<number>;
  readonly who: ArrayLike<number>;
}

export const computeDoneMin = ({ handsMin, watchedMin }: WorkTask, start: number): number =>
  start + handsMin + watchedMin;

/** From its beginning to the end of a phase, minutes. */
export function computeHeldMin({ handsMin, watchedMin, passiveMin }: WorkTask, until: Phase): number {
  if (until === 'hands') return handsMin;
  return until === 'watched' ? handsMin + watchedMin : handsMin + watchedMin + passiveMin;
}

/** Whether a colour stays in the gun from the end of a spray to the next one of it, so that nobody cleans in between. */
export const isKeptInGun = ({ keepsMin }: Workshop['gun'], to: number, from: number): boolean =>
  from >= to && from - to <= keepsMin;

/** From its beginning until nothing of it is in the room any more, minutes; vapour is aired out afterwards. 0 where it brings nothing. */
export function computeAirMin({ airingMin }: Workshop, task: WorkTask): number {
  if (task.air === null) return 0;
  return computeHeldMin(task, 'passive') + (task.air === 'vapour' ? airingMin : 0);
}

/** What shares the air must agree in this: vapours go together, and so do sparks. */
export const AIR_SETTINGS = { vapour: 1, spark: 2 };

/** The same task, to begin at that minute by that restorer and at no other. */
export const putAt = (task: WorkTask, start: number, who: number): WorkTask => ({
  ...task,
  ...{ who: [who], within: [{ from: start, to: start + 1 }] },
});

/** The one minute at which a task must begin; null where it has more to choose from. */
export function readPutAt({ within }: WorkTask): number | null {
  const [only, other] = within;
  return only && !other && only.to - only.from <= 1 ? only.from : null;
}

/** Hands-on minutes of each job. */
export function sumHandsOfJobs({ jobs, tasks }: Workshop): number[] {
  const sums = jobs.map(() => 0);
  for (const { job, handsMin } of tasks) sums[job]! += handsMin;
  return sums;
}
