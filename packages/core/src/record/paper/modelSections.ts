import { sayCondition } from '../../words/sayCondition.ts';
import type { RecordLook, RecordModel, RecordSource } from '../modelRecord.ts';
import { facts, join, list, num, table } from './blocks.ts';
import type { PaperSection } from './paper.ts';

/** Which casting and issue it is, and what that rests on. */
export function writeModel(model: RecordModel, of: string): PaperSection {
  const { casting, verdict, settledIssue, settledBy, note, looks, measurements, sources } = model;
  return {
    heading: `Which one it is${of}`,
    blocks: [
      ...facts(
        ['Casting', casting ? `${casting.maker}, ${casting.range} ${casting.number} ${casting.name}` : 'not known'],
        ['By what was seen', verdict],
        ['Issue, for sure', settledIssue && join([settledIssue, settledBy])],
        ['About this one', note],
        ...measurements.map(
          ({ what, valueMm, spreadMm }) => [sayStart(what), `${num(valueMm)} mm ± ${num(spreadMm)} mm`] as const,
        ),
      ),
      ...table(
        'What was looked at',
        [
          ['Looked at', 2],
          ['Seen', 3],
          ['How sure', 2],
        ],
        looks.map(describeLook),
      ),
      ...list(sources.map(saySource)),
    ],
  };
}

const describeLook = ({ feature, seen, certainty, size, byColours }: RecordLook): readonly string[] => [
  feature,
  join([
    seen ?? '',
    size && `${num(size.value)} ${size.unit} ± ${num(size.sd)} ${size.unit}`,
    byColours.length > 0 && `by the captured colour: ${byColours.join('; ')}`,
  ]),
  certainty,
];

function saySource({ about, statement, fromYear, toYear, origin, certainty }: RecordSource): string {
  const years = fromYear === null && toYear === null ? '' : `${fromYear ?? ''} to ${toYear ?? ''}`;
  return `${sayStart(about)}: ${join([statement, years])} (${join([origin, certainty])})`;
}

/** How it is held together, what was found of that, and what was wanted. */
export function writeJoints({ joints }: RecordModel, of: string): PaperSection {
  return {
    heading: `How it is put together${of}`,
    blocks: table(
      'Joints',
      [
        ['Joint', 3],
        ['Parts', 3],
        ['As it was found', 3],
        ['Wanted', 3],
      ],
      joints.map(({ label, kind, parts, isFound, condition, conditionNote, wish, wishReason }) => [
        join([label, label.toLowerCase().includes(kind) ? '' : kind]),
        parts.join(', '),
        join([sayCondition(condition ?? undefined), conditionNote, isFound && 'came to light while opening']),
        join([wish, wishReason], ': '),
      ]),
    ),
  };
}

const sayStart = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);
