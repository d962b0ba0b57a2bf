import type { EveningsReport } from './reportEvenings.ts';

/** A job that another plan has ready on another day, or no longer to its end. Moments are ms since 1970. */
export interface JobShift {
  readonly jobId: string;
  readonly was: number | null;
  readonly is: number | null;
  /** Behind its promised day. */
  readonly wasLate: boolean;
  readonly isLate: boolean;
}

/** What another plan of the same jobs changes. */
export interface EveningsDifference {
  /** Those that come in time only then, and those no longer. */
  readonly won: readonly string[];
  readonly lost: readonly string[];
  /** By so much earlier that it is another day, soonest gain first; later ones behind. */
  readonly shifts: readonly JobShift[];
  /** Weighted minutes behind promised days: how much less. */
  readonly lessLateMin: number;
}

const DAY_MS = 86_400_000;

/** @param before and after: plans of the same jobs. */
export function compareEvenings(before: EveningsReport, after: EveningsReport): EveningsDifference {
  const shifts = before.jobs.flatMap(({ jobId, readyAt, dueAt, lateMin }): JobShift[] => {
    const then = after.jobs.find((one) => one.jobId === jobId);
    if (!then) return [];
    const isPromised = dueAt !== null;
    const shift: JobShift = {
      ...{ jobId, was: readyAt, is: then.readyAt },
      wasLate: isPromised && (readyAt === null || lateMin > 0),
      isLate: isPromised && (then.readyAt === null || then.lateMin > 0),
    };
    return [shift];
  });
  const gain = ({ was, is }: JobShift) => (was ?? Infinity) - (is ?? Infinity);
  return {
    won: shifts.filter(({ wasLate, isLate }) => wasLate && !isLate).map(({ jobId }) => jobId),
    lost: shifts.filter(({ wasLate, isLate }) => !wasLate && isLate).map(({ jobId }) => jobId),
    shifts: shifts
      .filter((shift) => (shift.was === null) !== (shift.is === null) || Math.abs(gain(shift)) >= DAY_MS)
      .sort((a, b) => gain(b) - gain(a)),
    lessLateMin: before.latenessMin - after.latenessMin,
  };
}
