import type { WriteSheet } from '@sardonyx/contract';
import type { IssueSheet } from '@sardonyx/core';

/** A sheet as it is sent. */
export const asRequest = ({ rows, issues }: IssueSheet): WriteSheet => ({
  rows: [...rows],
  issues: issues.map((issue) => ({ ...issue, cells: [...issue.cells] })),
});
