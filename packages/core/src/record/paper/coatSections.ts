import { sayHow } from '../../words/sayHow.ts';
import type { JobRecord } from '../jobRecord.ts';
import type { RecordCoat, RecordModel } from '../modelRecord.ts';
import { join, list, num, table, under } from './blocks.ts';
import type { PaperBlock, PaperDates, PaperSection } from './paper.ts';

/** What lay on the parts, what was put on, and what was planned and is not on. */
export function writeCoats({ parts }: RecordModel, dates: PaperDates, of: string): PaperSection {
  const rows = (
    pick: (part: RecordModel['parts'][number]) => readonly RecordCoat[],
    say: (coat: RecordCoat) => string[],
  ) => parts.flatMap((part) => pick(part).map((coat) => [`${part.name}, ${coat.area}`, ...say(coat)]));
  const titled = (title: string, blocks: PaperBlock[]) => (blocks.length ? [under(title), ...blocks] : []);
  return {
    heading: `Coats${of}`,
    blocks: [
      ...titled(
        'As it was found',
        table(
          'Coats found, the lowest first',
          [
            ['Where', 3],
            ['Coat', 4],
            ['Whose', 2],
          ],
          rows(
            ({ coatsFound }) => coatsFound,
            (coat) => [join([coat.name, sayDepth(coat), coat.note]), coat.whose],
          ),
        ),
      ),
      ...titled(
        'Put on',
        table(
          'Coats put on, the lowest first',
          [
            ['Where', 3],
            ['Coat', 4],
            ['How', 4],
            ['When, by whom', 3],
          ],
          rows(
            ({ coatsApplied }) => coatsApplied,
            (coat) => [
              sayCoat(coat),
              sayWay(coat, dates),
              join([coat.appliedAt && dates.moment(coat.appliedAt), coat.appliedBy]),
            ],
          ),
        ),
      ),
      ...titled(
        'Planned and not on',
        list(
          parts.flatMap((part) =>
            part.coatsNotOn.map((coat) =>
              join([`${part.name}, ${coat.area}: ${coat.name}`, sayDepth(coat), coat.note]),
            ),
          ),
        ),
      ),
    ],
  };
}

const sayDepth = ({ thicknessUm, thicknessOrigin }: RecordCoat) => `${num(thicknessUm, 1)} µm (${thicknessOrigin})`;

const sayCoat = (coat: RecordCoat): string =>
  join([
    coat.name,
    coat.product && coat.product !== coat.name && coat.product,
    coat.isMist && 'a mist coat',
    coat.decalMm && `${num(coat.decalMm.widthMm)} × ${num(coat.decalMm.heightMm)} mm`,
    sayDepth(coat),
    coat.rejection && 'rejected',
  ]);

const sayWay = (coat: RecordCoat, dates: PaperDates): string =>
  join([
    coat.tempC !== null && `${num(coat.tempC, 1)} °C`,
    sayHow(coat.how),
    coat.keyedAt && `rubbed dull ${dates.day(coat.keyedAt)}`,
    coat.removedAt && `off again ${dates.day(coat.removedAt)}`,
    coat.note,
    ...coat.touches.map(
      ({ test, isReady, at, who }) => `${test}: ${isReady ? 'ready' : 'not yet'} ${dates.moment(at)} (${who})`,
    ),
  ]);

/** What went wrong with coats, and what helped. */
export const writeFailures = ({ models }: JobRecord, dates: PaperDates): PaperSection => ({
  heading: 'What went wrong',
  blocks: list(
    models.flatMap(({ parts }) =>
      parts.flatMap((part) =>
        part.coatsApplied.flatMap(({ name, area, rejection }) =>
          rejection
            ? join(
                [
                  `${name} on the ${part.name.toLowerCase()}, ${area}: ${join([rejection.failure, rejection.because])}`,
                  `${dates.day(rejection.at)}, ${rejection.by}`,
                  rejection.helped && `what helped: ${rejection.helped}`,
                  rejection.photoHash && 'a photograph shows it',
                ],
                '. ',
              )
            : [],
        ),
      ),
    ),
  ),
});
