import { judgeMaterial } from './processTable.ts';
import { VERDICTS, type Process, type ProcessCell, type TreatedMaterial } from '../model/process.ts';

/** What a part, or parts that stay joined, may meet: the strictest answer of all that is in it, and whose it is. */
export interface PartVerdict extends ProcessCell {
  readonly process: Process;
  readonly material: TreatedMaterial;
}

/**
 * The strictest answer of several materials; of equally strict ones the coolest limit, then the first. With a temperature,
 * a material that may not become so hot says never.
 *
 * Throws when no material is given: nothing is known then, and nothing may be said.
 */
export function judgePart(
  materials: readonly TreatedMaterial[],
  process: Process,
  { atC }: { readonly atC?: number } = {},
): PartVerdict {
  const verdicts = materials.map((material) => ({ material, process, ...judgeAt(material, process, atC) }));
  const strictest = verdicts.reduce<PartVerdict | null>((a, b) => (a && !isStricter(b, a) ? a : b), null);
  if (!strictest) throw new Error('judgePart: no material is given');
  return strictest;
}

function judgeAt(material: TreatedMaterial, process: Process, atC: number | undefined): ProcessCell {
  const cell = judgeMaterial(material, process);
  if (atC === undefined || cell.mostC === undefined || atC <= cell.mostC || cell.verdict === 'never') return cell;
  return { ...cell, verdict: 'never', reason: `${atC} °C is more than it stands: ${cell.reason}` };
}

function isStricter(a: ProcessCell, b: ProcessCell): boolean {
  const rank = (cell: ProcessCell) => VERDICTS.indexOf(cell.verdict);
  if (rank(a) !== rank(b)) return rank(a) > rank(b);
  return (a.mostC ?? Infinity) < (b.mostC ?? Infinity);
}
