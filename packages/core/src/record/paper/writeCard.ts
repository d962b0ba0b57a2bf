import type { JobRecord } from '../jobRecord.ts';
import type { RecordPart } from '../modelRecord.ts';
import { sayCoats } from '../../words/sayCoats.ts';
import { describeFinding } from '../../words/names.ts';
import { facts, join, num, table, text } from './blocks.ts';
import type { WrittenPaper, PaperDates } from './paper.ts';

/** The record on one page, for the box: what it is, what is original, what was mended, what is on it, and what was mixed. */
export function writeCard(record: JobRecord, dates: PaperDates): WrittenPaper {
  const { job, models, mixes, disclosure } = record;
  return {
    title: `${job.number} ${job.title}`,
    sections: [
      {
        heading: 'What it is',
        blocks: [
          ...text(disclosure),
          ...models.flatMap(({ name, casting, verdict, settledIssue }) =>
            facts(
              [
                models.length > 1 ? name : 'Casting',
                casting ? `${casting.maker}, ${casting.range} ${casting.number} ${casting.name}` : 'not known',
              ],
              ['Issue', settledIssue ?? verdict],
            ),
          ),
          ...facts(
            ['Came in', dates.day(job.intakeOn)],
            ['Signed off', job.signedOffAt ? `${dates.day(job.signedOffAt)}, by ${job.signedOffBy}` : 'not yet'],
          ),
        ],
      },
      {
        heading: 'Parts',
        blocks: table(
          'Parts, with where they came from, what was done to them and what is on them',
          [
            ['Part', 3],
            ['From', 2],
            ['Found, mended', 4],
            ['On it now', 5],
          ],
          models.flatMap(({ name, parts }) =>
            parts.map((part) => [
              join([part.name, models.length > 1 && name]),
              part.origin === 'unknown' ? 'not known' : part.origin,
              join([...part.findings.map(describeFinding), ...part.wants.map(sayShortWant)], '; '),
              sayOnIt(part),
            ]),
          ),
        ),
      },
      {
        heading: 'Colours that were mixed',
        blocks: mixes
          .filter(({ keptAs }) => keptAs !== null)
          .flatMap(({ name, paints }) =>
            facts([name, paints.map(({ name: paint, ml }) => `${num(ml, 2)} ml ${paint}`).join(', ')]),
          ),
      },
    ].filter(({ blocks }) => blocks.length > 0),
  };
}

const sayShortWant = ({ what, state, solution, reason }: RecordPart['wants'][number]): string =>
  `${what}: ${join([state, solution, reason])}`;

function sayOnIt({ coatsApplied, coatsFound, isKept }: RecordPart): string {
  const standing = coatsApplied.filter(({ removedAt }) => removedAt === null);
  if (standing.length)
    return sayCoats(standing.map((coat) => ({ ...coat, how: null, rejectedBecause: coat.rejection?.because ?? null })));
  return isKept ? join(['as it was found', coatsFound.map(({ name }) => name).join(', ')], ': ') : '';
}
