/** What a restorer may leave to the others. */
export const WORK_KINDS = ['spraying', 'metal work', 'decals'] as const;
export type WorkKind = (typeof WORK_KINDS)[number];

/** A day on which the week does not hold: what is said here takes its place; several of one day add up. */
export interface SessionException {
  /** Local day, 2026-12-24. */
  readonly on: string;
  readonly startHour: number;
  /** 0: nobody comes. */
  readonly minutes: number;
  readonly note: string;
}

/** What the sky does on a day. A day of which nobody said anything is planned as a dry one. */
export interface DayWeather {
  readonly on: string;
  readonly isDry: boolean;
}
