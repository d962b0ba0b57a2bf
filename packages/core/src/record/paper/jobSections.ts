import { sayMinutes } from '../../words/sayMinutes.ts';
import type { JobRecord } from '../jobRecord.ts';
import { HOUR_KINDS, type HourKind } from '../sumHours.ts';
import { facts, join, list, table, text } from './blocks.ts';
import type { PaperDates, PaperSection } from './paper.ts';

/** What it is, in a few lines, and what whoever owns it next must know. */
export function writeJob({ job, disclosure, signings }: JobRecord, dates: PaperDates): PaperSection {
  return {
    heading: 'What it is',
    blocks: [
      ...text(disclosure),
      ...facts(
        ['Came in', dates.day(job.intakeOn)],
        ['Asked for', job.scope],
        ['Target', join([job.target, job.why], ': ')],
        ['Promised for', job.dueOn && dates.day(job.dueOn)],
        [
          'Signed off',
          job.signedOffAt
            ? `${dates.day(job.signedOffAt)}, by ${job.signedOffBy}`
            : 'not yet: the work is not finished',
        ],
      ),
      ...list(signings.flatMap((signing) => saySigning(signing, signings.length === 1, dates))),
    ],
  };
}

/** What was missing and signed all the same, and why it was opened again. */
function saySigning(
  { signedAt, signedBy, lacks, because, reopenedAt, reopenedBy, reopenedBecause }: JobRecord['signings'][number],
  isOnly: boolean,
  dates: PaperDates,
): string[] {
  const said = join(
    [
      (!isOnly || reopenedAt) && `Signed off ${dates.moment(signedAt)} by ${signedBy}`,
      lacks.length > 0 && `Signed without: ${lacks.map(({ what }) => what).join(' ')} Because: ${because}`,
      reopenedAt && `Opened again ${dates.moment(reopenedAt)} by ${reopenedBy}: ${reopenedBecause}`,
    ],
    '. ',
  );
  return said ? [said] : [];
}

const KINDS: Readonly<Record<HourKind, string>> = {
  work: 'The work itself',
  cleaning: 'Cleaning brush and gun',
  matching: 'Finding colours',
  watching: 'Staying in the room',
};

/** Hours of the hands, as planned and as logged. */
export function writeHandsOn({ hours: { kinds, doneSteps, timedSteps } }: JobRecord): PaperSection {
  const say = (minutes: number) => (minutes > 0 ? sayMinutes(minutes) : '');
  return {
    heading: 'Hours',
    blocks: doneSteps
      ? [
          ...text(
            `${doneSteps} steps were done; ${timedSteps} of them were timed from their start to their end. Planned minutes are planning estimates.`,
          ),
          ...table(
            'Hours by what they went into',
            [
              ['What', 3],
              ['Done, as planned', 2],
              ['Timed, as planned', 2],
              ['Timed, as it took', 2],
            ],
            HOUR_KINDS.filter((kind) => kinds[kind].doneMin > 0).map((kind) => [
              KINDS[kind],
              say(kinds[kind].doneMin),
              say(kinds[kind].timedPlannedMin),
              say(kinds[kind].timedMin),
            ]),
          ),
        ]
      : [],
  };
}
