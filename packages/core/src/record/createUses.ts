import type { JobRecord } from './jobRecord.ts';
import type { RecordInput } from './recordInput.ts';
import type { RecordNames } from './recordNames.ts';

/** What was taken, sent for and printed for the job, the first first. */
export function createUses(
  { used, ordered, printed, specimens }: RecordInput,
  names: RecordNames,
): Pick<JobRecord, 'used' | 'ordered' | 'printed'> {
  const wants = specimens.flatMap((model) => model.wants);
  return {
    used: used
      .flatMap(({ what, unit, lines }) =>
        lines.map(({ at, move, amount, price, batch, who, note, taskId }) => ({
          ...{ at, what, move, amount, unit, price, batch, who, note },
          task: taskId && names.task(taskId),
        })),
      )
      .sort((a, b) => a.at.localeCompare(b.at)),
    ordered: ordered.map(({ line, order, supplier }) => ({
      ...{ what: line.what, amount: line.amount, unit: line.unit, price: line.price },
      ...{ arrivedOn: line.arrivedOn, arrivedAmount: line.arrivedAmount, quality: line.quality },
      ...{ orderedOn: order.orderedOn, promisedOn: order.promisedOn, firstPromisedOn: order.firstPromisedOn },
      ...{ note: order.note, supplier },
    })),
    printed: printed.map(({ print, run }) => ({
      ...{ name: print.name, fileName: print.fileName },
      ...{ at: run.at, copies: run.copies, resin: run.resin, cure: run.cure, inFile: run.inFile },
      ...{ measure: run.measure, price: run.price, who: run.who, note: run.note },
      want: wants.find(({ id }) => id === run.wantId)?.what ?? '',
    })),
  };
}
