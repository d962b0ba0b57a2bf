import type { OrderLine, StockOrder } from '../model/order.ts';
import type { Print, PrintRun } from '../model/print.ts';
import type { LogLine } from '../model/stock.ts';

/** A line of a pot's or a drawer's log that was for this job. */
export interface RecordUse extends Pick<LogLine, 'at' | 'move' | 'amount' | 'price' | 'batch' | 'who' | 'note'> {
  readonly what: string;
  readonly unit: string;
  /** The step it was for; null where nobody said. */
  readonly task: string | null;
}

/** Something sent for. */
export interface RecordOrder
  extends
    Pick<OrderLine, 'what' | 'amount' | 'unit' | 'price' | 'arrivedOn' | 'arrivedAmount' | 'quality'>,
    Pick<StockOrder, 'orderedOn' | 'promisedOn' | 'firstPromisedOn' | 'note'> {
  readonly supplier: string;
}

/** A part that was printed for it. */
export interface RecordPrint
  extends
    Pick<Print, 'name' | 'fileName'>,
    Pick<PrintRun, 'at' | 'copies' | 'resin' | 'cure' | 'inFile' | 'measure' | 'price' | 'who' | 'note'> {
  /** What was wanted. */
  readonly want: string;
}
