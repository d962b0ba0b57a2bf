import { isStanding } from '../facts/selectPartDone.ts';
import type { RecordMix } from './colourRecord.ts';
import type { JobRecord } from './jobRecord.ts';
import type { RecordCoat } from './modelRecord.ts';
import { HOUR_KINDS } from './sumHours.ts';

/** What another job of the same casting can teach: what went on, what was mixed, what failed and helped, how long it took. */
export interface EarlierWork {
  readonly number: string;
  readonly title: string;
  /** null while it is open. */
  readonly signedOffAt: string | null;
  /** Coats that are on, from the metal outwards. */
  readonly coats: readonly { readonly part: string; readonly area: string; readonly names: readonly string[] }[];
  readonly mixes: readonly Pick<RecordMix, 'name' | 'part' | 'paints' | 'lastDe00' | 'keptAs'>[];
  readonly troubles: readonly {
    readonly part: string;
    readonly coat: string;
    readonly failure: string;
    /** Empty where nobody wrote it down. */
    readonly helped: string;
  }[];
  readonly mended: readonly { readonly part: string; readonly task: string; readonly by: string }[];
  /** Of the steps that are done: as planned, and of those with a start and an end as it took; minutes of all kinds together. */
  readonly doneMin: number;
  readonly timedMin: number;
  readonly doneSteps: number;
  readonly timedSteps: number;
}

/** @param isOfCasting which models of the job are of that casting, in their order */
export function describeEarlier(
  { job, models, mixes, hours }: JobRecord,
  isOfCasting: readonly boolean[],
): EarlierWork {
  const parts = models.filter((_, i) => isOfCasting[i]).flatMap((model) => model.parts);
  const names = new Set(parts.map(({ name }) => name));
  const sum = (of: 'doneMin' | 'timedMin') => HOUR_KINDS.reduce((all, kind) => all + hours.kinds[kind][of], 0);
  return {
    ...{ number: job.number, title: job.title, signedOffAt: job.signedOffAt },
    coats: parts.flatMap((part) =>
      [...new Set(part.coatsApplied.map(({ area }) => area))].flatMap((area) => {
        const on = part.coatsApplied.filter((coat) => coat.area === area && isOn(coat)).map(({ name }) => name);
        return on.length ? [{ part: part.name, area, names: [...new Set(on)] }] : [];
      }),
    ),
    mixes: mixes
      .filter(({ part }) => part === null || names.has(part))
      .map(({ name, part, paints, lastDe00, keptAs }) => ({ name, part, paints, lastDe00, keptAs })),
    troubles: parts.flatMap((part) =>
      part.coatsApplied.flatMap(({ name, rejection }) =>
        rejection
          ? [
              {
                ...{ part: part.name, coat: name },
                ...{ failure: rejection.failure ?? rejection.because, helped: rejection.helped ?? '' },
              },
            ]
          : [],
      ),
    ),
    mended: parts.flatMap((part) => part.mended.map(({ task, by }) => ({ part: part.name, task, by }))),
    ...{ doneMin: sum('doneMin'), timedMin: sum('timedMin') },
    ...{ doneSteps: hours.doneSteps, timedSteps: hours.timedSteps },
  };
}

const isOn = (coat: RecordCoat): boolean => isStanding({ ...coat, stage: 'applied' });
