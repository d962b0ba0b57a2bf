import type { JobRecord } from '../jobRecord.ts';
import { facts, join, list, num, table, under } from './blocks.ts';
import type { PaperDates, PaperSection } from './paper.ts';

/** Paint, things of the drawers, what was sent for and what was printed. */
export const writeUsed = ({ used, ordered, printed }: JobRecord, dates: PaperDates): PaperSection => ({
  heading: 'What was used',
  blocks: [
    ...table(
      'Out of pots and drawers',
      [
        ['When', 3],
        ['What', 4],
        ['How much', 3],
        ['For', 4],
      ],
      used.map(({ at, what, move, amount, unit, batch, price, who, note, task }) => [
        join([dates.moment(at), who]),
        join([what, batch && `batch ${batch}`]),
        join([`${move} ${num(amount, 2)} ${unit}`, price !== null && `cost ${price.toFixed(2)}`]),
        join([task, note]),
      ]),
    ),
    ...(ordered.length ? [under('Sent for')] : []),
    ...list(
      ordered.map((line) =>
        join([
          `${num(line.amount)} ${line.unit} ${line.what} from ${line.supplier}`,
          `ordered ${dates.day(line.orderedOn)}, promised for ${dates.day(line.promisedOn)}${line.firstPromisedOn === line.promisedOn ? '' : ` (first ${dates.day(line.firstPromisedOn)})`}`,
          line.arrivedOn ? `came ${dates.day(line.arrivedOn)}: ${num(line.arrivedAmount ?? 0)}` : 'has not come',
          line.quality,
          line.price !== null && `cost ${line.price.toFixed(2)}`,
          line.note,
        ]),
      ),
    ),
    ...(printed.length ? [under('Printed')] : []),
    ...list(
      printed.map((print) =>
        join([
          `${dates.day(print.at)}, ${print.who}: ${print.copies} of ${print.name} (${print.fileName})`,
          print.want && `for: ${print.want}`,
          print.resin,
          print.cure,
          `in the file ${print.inFile.map((mm) => num(mm, 2)).join(' × ')} mm`,
          print.measure && `measured ${print.measure.axis} ${num(print.measure.mm)} mm ± ${num(print.measure.sdMm)} mm`,
          print.price !== null && `cost ${print.price.toFixed(2)}`,
          print.note,
        ]),
      ),
    ),
  ],
});

/** What it cost, so far as that is known, waste by itself. */
export const writeCost = ({ cost: { lines, total, waste, withoutPrice } }: JobRecord): PaperSection => ({
  heading: 'What it cost',
  blocks: lines.length
    ? [
        ...facts(
          ['In all', `${total.toFixed(2)}, in the house's money, without tools and hours`],
          ['Of that wasted', waste > 0 && waste.toFixed(2)],
          ['Without a price', withoutPrice > 0 && `${withoutPrice} ${withoutPrice === 1 ? 'line' : 'lines'}`],
        ),
        ...table(
          'Cost by what it went into',
          [
            ['What', 5],
            ['How much', 3],
            ['Cost', 3],
          ],
          lines.map(({ what, amount, unit, cost, unpriced, isUsual, isWaste }) => [
            join([what, isWaste && 'wasted']),
            `${num(amount, 2)} ${unit}`,
            join([
              cost.toFixed(2),
              isUsual && 'usual price',
              unpriced > 0 && `${num(unpriced, 2)} ${unit} without a price`,
            ]),
          ]),
        ),
      ]
    : [],
});
