import type { CastingView } from '@sardonyx/contract';
import { createIssueColumn, planSheet, writeSheet, type IssueSheet } from '@sardonyx/core';
import { useMemo, useState } from 'react';

/** What is typed into the sheet of a casting, kept in this browser until it is saved or taken back. */
export function useSheetDraft(view: CastingView) {
  const { casting } = view;
  const key = `sardonyx.sheet.${casting.id}`;
  const saved = useMemo(() => withColumn(writeSheet(view)), [view]);
  const [typed, setTyped] = useState<IssueSheet | null>(() => readKept(key));
  const sheet = typed ?? saved;
  const plan = useMemo(() => planSheet(sheet, view), [sheet, view]);
  const keep = (next: IssueSheet | null) => {
    setTyped(next);
    if (next) localStorage.setItem(key, JSON.stringify(next));
    else localStorage.removeItem(key);
  };
  /** What was typed, over what is there now. */
  const rebase = () => {
    const versions = new Map(view.variants.map(({ id, version }) => [id, version]));
    keep({
      rows: sheet.rows.map((row) =>
        view.features.some(({ id }) => id === row.featureId) ? row : { ...row, featureId: null },
      ),
      issues: sheet.issues.map((issue) => {
        const version = versions.get(issue.id ?? '') ?? null;
        return { ...issue, version, id: version === null ? null : issue.id };
      }),
    });
  };
  return { sheet, plan, isTyped: typed !== null, keep, rebase };
}

/** An empty sheet begins with a column to type in. */
const withColumn = (sheet: IssueSheet): IssueSheet =>
  sheet.issues.length ? sheet : { ...sheet, issues: [createIssueColumn(sheet.rows.length)] };

/** What cannot be read any more must not keep the page from opening. */
function readKept(key: string): IssueSheet | null {
  try {
    const kept = JSON.parse(localStorage.getItem(key) ?? 'null') as IssueSheet | null;
    return Array.isArray(kept?.rows) && Array.isArray(kept.issues) ? kept : null;
  } catch {
    return null;
  }
}
