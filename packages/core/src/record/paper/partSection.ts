import { describeFinding } from '../../words/names.ts';
import type { RecordPart, RecordModel, RecordWant } from '../modelRecord.ts';
import { facts, join, list, num, under } from './blocks.ts';
import type { PaperBlock, PaperDates, PaperSection } from './paper.ts';

/** Every part: what it is and where it came from, what was found on it, what was wanted for it, and how it came off. */
export const writeParts = ({ parts }: RecordModel, dates: PaperDates, of: string): PaperSection => ({
  heading: `Parts${of}`,
  blocks: parts.flatMap((part) => writePart(part, dates)),
});

function writePart(part: RecordPart, dates: PaperDates): PaperBlock[] {
  const {
    material,
    materialCertainty,
    state,
    stripped,
    isKept,
    origin,
    originNote,
    takenFrom,
    findings,
    wants,
    cameOff,
  } = part;
  return [
    under(part.name),
    ...facts(
      ['Of', join([material, materialCertainty === 'sure' ? '' : materialCertainty])],
      ['State', join([state, isKept && 'kept as it was found'])],
      [
        'From',
        join([origin === 'unknown' ? 'nobody knows' : origin, originNote, takenFrom && `taken off ${takenFrom}`]),
      ],
      ['Old paint', stripped && `taken off: ${stripped}`],
      ['Sizes', join(part.areas.map(sayArea), '; ')],
    ),
    ...list([
      ...findings.map(sayFound),
      ...part.mended.map(({ task, by, who, at, note }) =>
        join([`Mended: ${task}`, !task.toLowerCase().includes(by) && by, `${dates.day(at)}, ${who}`, note]),
      ),
      ...wants.map((want) => sayWant(want, dates)),
      ...cameOff.map(({ fromSide, note, photo }) =>
        join([`Came off from the ${fromSide}`, note, photo && 'a photograph shows it']),
      ),
    ]),
  ];
}

/** "" where nobody said anything of it. */
function sayArea({ name, kind, size, reliefUm, crossesSeam, outline }: RecordPart['areas'][number]): string {
  const said = join([
    size && `${num(size.value)} cm² ± ${num(100 * size.relativeSd, 0)} % (${size.way})`,
    reliefUm !== null && `relief ${num(reliefUm, 0)} µm`,
    crossesSeam && 'lies over a joint',
    outline && `drawn on the ${outline.view} view`,
  ]);
  return said && `${name || kind}: ${said}`;
}

function sayFound(finding: RecordPart['findings'][number]): string {
  const { severity, measuredValue, measuredUnit, carriesLoad, mend } = finding;
  return join([
    `Found: ${describeFinding(finding)}`,
    measuredValue !== null && `${num(measuredValue)} ${measuredUnit ?? ''}`,
    severity === 3 ? 'stopped the work' : severity === 2 && 'had to be mended',
    carriesLoad === true && 'carries a load',
    carriesLoad === false && 'carries no load',
    mend && `to be mended with ${mend}`,
  ]);
}

function sayWant(want: RecordWant, dates: PaperDates): string {
  const { what, feature, kind, getBy, state, solution, origin, reason, dueOn, price, bits, taken } = want;
  return join([
    `Wanted: ${what}${feature ? `, for the ${feature}` : ''}${kind === 'part' ? '' : ` (${kind})`}`,
    state,
    getBy && `by ${getBy}`,
    solution,
    origin && `origin: ${origin}`,
    reason,
    dueOn && `due ${dates.day(dueOn)}`,
    price !== null && `cost ${price.toFixed(2)}`,
    taken && `out of the drawer: ${num(taken.amount)} of ${taken.thing}`,
    ...bits.map(
      ({ what: bit, amount, by, isHere, thing, price: cost }) =>
        `with ${num(amount)} ${bit} (${join([by, thing, isHere ? 'here' : 'not here', cost !== null && cost.toFixed(2)])})`,
    ),
  ]);
}
