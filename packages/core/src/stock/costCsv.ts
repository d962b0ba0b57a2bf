import Papa from 'papaparse';
import { guardCell } from '../catalogue/formulaCells.ts';
import type { JobCost } from './gatherCost.ts';

const COLUMNS = ['from', 'what', 'amount', 'unit', 'cost', 'without_price', 'usual_price', 'wasted'];

/** What a job has cost, a line a thing; what came to nothing on lines of its own. */
export function writeCostCsv({ lines }: JobCost): string {
  const data = lines.map(({ group, what, amount, unit, cost, unpriced, isUsual, isWaste }) => [
    ...[group, guardCell(what), amount, unit, Number(cost.toFixed(2)), unpriced],
    ...[isUsual ? 'yes' : '', isWaste ? 'yes' : ''],
  ]);
  return Papa.unparse({ fields: COLUMNS, data }, { newline: '\r\n' }) + '\r\n';
}
