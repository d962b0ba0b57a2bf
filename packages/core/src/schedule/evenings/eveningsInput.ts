import type { DayWeather, WorkKind } from '../../model/evenings.ts';
import type { Task } from '../../model/task.ts';
import type { Job, Restorer } from '../../model/work.ts';

/** Moments between which a task may begin, ms since 1970; null where there is no end. */
export interface Window {
  readonly from: number | null;
  readonly to: number | null;
}

/** What a task waits for that cannot be planned round; it is left out, and everything after it. */
export type LeftOutBecause =
  /** Nobody's session is so long as what must be watched. */
  | 'no session is long enough'
  /** Everybody leaves such work to others. */
  | 'nobody does it'
  /** The room is too cold for what must dry. */
  | 'never dries here'
  /** What it waits for is left out. */
  | 'what goes before'
  /** It needs what the workshop does not have for now. */
  | 'no oven';

/** An open task as the evenings see it. */
export interface EveningTask extends Pick<
  Task,
  'id' | 'jobId' | 'title' | 'station' | 'act' | 'handsOnMin' | 'watchedMin' | 'passiveMin'
> {
  readonly isUnderWay: boolean;
  readonly kind: WorkKind | null;
  readonly air: 'vapour' | 'spark' | null;
  readonly isDry: boolean;
  readonly bath: string | null;
  readonly inOven: boolean;
  readonly inBooth: boolean;
  /** Colour in the gun while it is done; null where none is needed. */
  readonly gun: string | null;
  /** The gun is made ready, rinsed or cleaned: its minutes are counted once for a run of a colour. */
  readonly isGunCare: boolean;
  /** Open tasks that go first, and between which minutes after them it may begin. */
  readonly after: readonly {
    readonly taskId: string;
    readonly waitMin: number;
    readonly latestMin: number | null;
  }[];
  /** By what was done already; sorted. Null where it never comes in a room like this. */
  readonly windows: readonly Window[] | null;
  /** A window has shut, or it is too late: it wants a fresh look, a rub or a wipe first. */
  readonly isPastWindow: boolean;
  /** Not before this moment, ms: what it needs comes then. */
  readonly arrivesAt: number | null;
  /** That day was promised by nobody: it is an estimate. */
  readonly isArrivalGuess: boolean;
}

/** When a task begins, and who does it. */
export interface PlannedStart {
  readonly taskId: string;
  /** ms since 1970. */
  readonly startsAt: number;
  readonly restorerId: string;
}

export type EveningJob = Pick<Job, 'id' | 'number' | 'dueOn'>;
export type EveningRestorer = Pick<Restorer, 'id' | 'name' | 'sessions' | 'exceptions' | 'leaves'>;

/** Parts that an oven and a bath take at a time (planning estimates). */
export const USUAL_ROOM = { oven: 3, bath: 2 };

/** All that the evenings are planned from. */
export interface EveningsInput {
  /** ms since 1970. */
  readonly now: number;
  readonly zone: string;
  readonly restorers: readonly EveningRestorer[];
  readonly jobs: readonly EveningJob[];
  readonly tasks: readonly EveningTask[];
  readonly weather: readonly DayWeather[];
  /** How many tasks the oven takes at a time, and each bath (USUAL_ROOM); 0 without one. */
  readonly ovenRoom: number;
  readonly bathRoom: number;
  /** Tasks that somebody put where they are: start and person stay. */
  readonly pins: readonly PlannedStart[];
  /** Clocks that run, and what they keep in the room until then, ms. */
  readonly inRoom: readonly { readonly air: 'vapour' | 'spark'; readonly until: number }[];
}
