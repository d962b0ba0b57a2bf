import type { JobRecord, RecordWork } from '../jobRecord.ts';
import { join, list, num, table, under } from './blocks.ts';
import type { PaperDates, PaperSection } from './paper.ts';

/** The log, entry by entry; then soaks and clocks. */
export const writeWork = ({ work, passes, clocks }: JobRecord, dates: PaperDates): PaperSection => ({
  heading: 'What was done',
  blocks: [
    ...table(
      'The log, in the order in which it was written',
      [
        ['When', 2],
        ['What', 6],
        ['By whom', 2],
      ],
      work.map((entry) => [dates.moment(entry.at), sayEntry(entry), entry.who]),
    ),
    ...(passes.length ? [under('Passes of the stripper')] : []),
    ...list(
      passes.map(({ part, task, bath, method, layers, who, startedAt, endedAt, result, size }) =>
        join([
          `${dates.moment(startedAt)}, ${who}: ${part.toLowerCase()}, ${method}${task ? ` (${task})` : ''}`,
          bath && sayBath(bath, dates),
          `${layers} ${layers === 1 ? 'layer' : 'layers'} on it`,
          size &&
            `${num(size.volumeMl, 0)} ml, box ${num(size.lengthMm, 0)} × ${num(size.widthMm, 0)} × ${num(size.heightMm, 0)} mm`,
          endedAt && `out ${dates.moment(endedAt)}`,
          result,
        ]),
      ),
    ),
    ...(clocks.length ? [under('Clocks')] : []),
    ...list(
      clocks.map(({ label, kind, task, startedAt, endsAt, acknowledgedAt }) =>
        join([
          `${label} (${kind})`,
          task !== label && task,
          `from ${dates.moment(startedAt)} to ${dates.moment(endsAt)}`,
          acknowledgedAt ? `looked at ${dates.moment(acknowledgedAt)}` : 'nobody looked',
        ]),
      ),
    ),
  ],
});

const sayBath = (
  { kind, vessel, litres, gramsPerLitre, waterC, madeAt, endedAt }: NonNullable<JobRecord['passes'][number]['bath']>,
  dates: PaperDates,
): string =>
  join([
    `in ${kind} in ${vessel}`,
    `${num(litres, 2)} l`,
    gramsPerLitre > 0 && `${num(gramsPerLitre, 0)} g/l`,
    `made ${dates.day(madeAt)} with water of ${num(waterC, 0)} °C`,
    endedAt && `poured out ${dates.day(endedAt)}`,
  ]);

const ACTS: Readonly<Record<RecordWork['act'], string>> = {
  started: 'Begun: ',
  done: '',
  'done otherwise': 'Done otherwise: ',
  'not needed': 'Not needed: ',
  'taken back': 'Taken back: ',
  looked: 'Looked at: ',
  'went ahead': 'Gone ahead with: ',
  note: 'Note on: ',
};

const sayEntry = ({ act, task, parts, by, because, products, measures, note }: RecordWork): string =>
  join(
    [
      `${ACTS[act]}${task}`,
      join([
        parts.length > 0 &&
          !parts.every((part) => task.toLowerCase().includes(part.toLowerCase())) &&
          parts.join(', ').toLowerCase(),
        by && !task.toLowerCase().includes(by.toLowerCase()) && `by ${by}`,
        products.length > 0 && `with ${products.join(', ')}`,
        measures.map(({ what, valueMm }) => `${what} ${num(valueMm)} mm`).join(', '),
      ]),
      note,
      (act === 'done' || act === 'done otherwise') && because,
    ],
    '. ',
  );

/** What was planned and not done is said. */
export const writeNotDone = ({ notDone, exceptions }: JobRecord): PaperSection => ({
  heading: 'What was planned and not done',
  blocks: [
    ...list(exceptions.map(({ task, act, reason }) => join([task, act, reason], ': '))),
    ...list(
      notDone.map(({ task, parts, state, because }) =>
        join([join([task, parts.join(', ').toLowerCase()], ', '), state === 'doing' ? 'begun' : state, because], ': '),
      ),
    ),
  ],
});

const WHOSE: Readonly<Record<JobRecord['decisions'][number]['whose'], string>> = {
  job: 'this job',
  target: 'what was asked for',
  house: 'the house',
  usual: 'as usual',
};

export const writeDecisions = ({ decisions }: JobRecord): PaperSection => ({
  heading: 'What was decided',
  blocks: table(
    'Answers to questions on which restorers disagree',
    [
      ['Question', 3],
      ['Answer', 3],
      ['Whose', 2],
      ['Why', 5],
    ],
    decisions.map(({ question, option, whose, reason }) => [question, option, WHOSE[whose], reason]),
  ),
});

export const writePlanChanges = ({ planChanges }: JobRecord, dates: PaperDates): PaperSection => ({
  heading: 'How the plan changed',
  blocks: list(
    planChanges.map(({ at, model, because, added, dropped, keptAside }) =>
      join(
        [
          `${dates.moment(at)}${model ? `, ${model}` : ''}: ${because.join(', ')}`,
          added.length > 0 && `new: ${added.join('; ')}`,
          dropped.length > 0 && `no longer asked for: ${dropped.join('; ')}`,
          keptAside.length > 0 && `kept aside: ${keptAside.join('; ')}`,
        ],
        '. ',
      ),
    ),
  ),
});
