import type { SheetPlan } from '@sardonyx/core';

/** What saving would do: "2 new issues, 1 changed, 3 new states: Barred, ...". Empty when it would do nothing. */
export function saySheetPlan({ issues, newRows, newStates }: SheetPlan): string {
  const added = issues.filter((issue) => issue.id === null).length;
  const changed = issues.length - added;
  const said = [
    added > 0 && `${added} new ${added === 1 ? 'issue' : 'issues'}`,
    changed > 0 && `${changed} ${changed === 1 ? 'issue' : 'issues'} changed`,
    newRows.length > 0 && `${newRows.length} new ${newRows.length === 1 ? 'row' : 'rows'}`,
    newStates.length > 0 &&
      `new ${newStates.length === 1 ? 'state' : 'states'}: ${newStates.map(({ label }) => label).join(', ')}`,
  ].filter(Boolean);
  return said.length ? `Saving makes ${said.join('; ')}.` : '';
}
