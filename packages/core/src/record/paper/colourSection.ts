import type { RecordColour, RecordMix, RecordMixStep } from '../colourRecord.ts';
import type { JobRecord } from '../jobRecord.ts';
import { facts, join, list, num, table, under } from './blocks.ts';
import type { PaperBlock, PaperDates, PaperSection } from './paper.ts';

/** The old colours, and what was mixed to meet them. */
export const writeColours = ({ colours, mixes }: JobRecord, dates: PaperDates): PaperSection => ({
  heading: 'Colours',
  blocks: [
    ...table(
      'Colours as they were before the work',
      [
        ['Where', 3],
        ['L* a* b*', 3],
        ['How it was read', 3],
        ['When, by whom', 3],
      ],
      colours.map((colour) => [
        join([colour.part, colour.place, colour.note]),
        `${sayLab(colour.lab)} ± ${sayLab(colour.sd)}`,
        sayReading(colour),
        `${dates.moment(colour.takenAt)}, ${colour.who}`,
      ]),
    ),
    ...mixes.flatMap((mix) => writeMix(mix, dates)),
  ],
});

const sayLab = (lab: readonly number[]) => lab.map((one) => one.toFixed(1)).join(' ');

const sayReading = ({ method, geometry, photo, spectrum }: RecordColour) =>
  join([method, geometry, photo && 'off a photograph', spectrum && 'with its spectrum (in the JSON record)']);

function writeMix(mix: RecordMix, dates: PaperDates): PaperBlock[] {
  const pours = (some: RecordMix['paints']) => some.map(({ name, ml }) => `${num(ml, 2)} ml ${name}`).join(', ');
  return [
    under(`Mixed: ${mix.name}`),
    ...facts(
      ['For', mix.part],
      ['To meet', join([`L* a* b* ${sayLab(mix.target)}`, mix.capturedAt])],
      ['Planned', pours(mix.recipe)],
      ['In it', pours(mix.paints)],
      [
        'Needed',
        `${num(mix.needMl, 1)} ml, within ${num(mix.tolerance, 1)} dE00, by ${mix.dosing}, from the ${mix.way}`,
      ],
      [
        'Patches',
        mix.patches > 0 &&
          join([String(mix.patches), mix.lastDe00 !== null && `the last ${num(mix.lastDe00, 1)} dE00 away`]),
      ],
      ['Begun', dates.moment(mix.startedAt)],
      ['Ended', mix.endedAt && `${dates.moment(mix.endedAt)}: ${mix.keptAs ? `kept as ${mix.keptAs}` : 'given up'}`],
    ),
    ...list(mix.steps.map(({ at, who, what }, i) => `${i + 1}. ${dates.moment(at)}, ${who}: ${sayStep(what)}`)),
  ];
}

function sayStep(step: RecordMixStep): string {
  switch (step.kind) {
    case 'pour':
      return `${num(step.ml, 3)} ml ${step.paint} (${step.source})`;
    case 'undo':
      return `line ${step.step} was not so`;
    case 'patch':
      return `a dry patch, L* a* b* ${sayLab(step.lab)} (${step.how})`;
    case 'wet':
      return join([`read wet, L* a* b* ${sayLab(step.lab)}`, step.how]);
  }
}
