import type { DatedStatement, IdentifySettings } from './catalogue.ts';

/**
 * Weight of a date by what people said: 1 inside a statement's years, the chance that the statement is wrong outside.
 * Statements that contradict each other each take away from the other's years; none of them is dropped.
 */
export function weighStatements(
  statements: readonly DatedStatement[],
  year: number,
  settings: IdentifySettings,
): number {
  let weight = 1;
  for (const { fromYear, toYear, certainty } of statements)
    if (year < (fromYear ?? -Infinity) || year > (toYear ?? Infinity)) weight *= 1 - settings.statementRight[certainty];
  return weight;
}
