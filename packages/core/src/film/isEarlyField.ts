import type { PlanPart } from '../facts/specimenFacts.ts';

/**
 * A field with a colour of its own that goes on before that of the outside: it lies on the ground as it is, and is masked when the
 * outside gets its colour.
 */
export function isEarlyField(
  { coats, colourOrder }: Pick<PlanPart, 'coats' | 'colourOrder'>,
  areaName: string,
): boolean {
  const turnOf = (name: string | undefined) => colourOrder.findIndex((one) => one === name);
  const kindOf = (name: string) => coats.find((coat) => coat.areaName === name)?.areaKind;
  const turn = turnOf(areaName);
  const outside = turnOf(colourOrder.find((name) => kindOf(name) === 'outside'));
  return turn >= 0 && turn < outside && kindOf(areaName) === 'mask';
}
