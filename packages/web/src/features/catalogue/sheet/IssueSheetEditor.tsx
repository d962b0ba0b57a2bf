import type { CastingView } from '@sardonyx/contract';
import {
  createIssueColumn,
  fillRight,
  offerFeatures,
  pasteTable,
  SHEET_FIELDS,
  writeAt,
  type IssueSheet,
  type SheetField,
} from '@sardonyx/core';
import { useState } from 'react';
import { useWriteSheetMutation } from '../../../shared/api/api.ts';
import { readAppError } from '../../../shared/api/appError.ts';
import { ErrorNote } from '../../../shared/ui/Notice.tsx';
import { RemoveIssues } from './RemoveIssues.tsx';
import { SheetCell } from './SheetCell.tsx';
import { SheetRowHead } from './SheetRowHead.tsx';
import { asRequest } from './asRequest.ts';
import { saySheetPlan } from './saySheetPlan.ts';
import { useSheetDraft } from './useSheetDraft.ts';

const FIELD_WORDS: Readonly<Record<SheetField, readonly [label: string, hint: string]>> = {
  name: ['Issue', ''],
  years: ['Years', '1964-68, about 1966, spring 1965 on'],
  rarity: ['Rarity', '0 common to 10 hardly ever seen'],
  evidence: ['Rests on', 'where that is from'],
};

/** All issues of a casting like a printed list: a column each, features in rows; checked together, saved together. */
export function IssueSheetEditor({ view }: { readonly view: CastingView }) {
  const { sheet, plan, isTyped, keep, rebase } = useSheetDraft(view);
  const [save, { error, isLoading, isSuccess, reset }] = useWriteSheetMutation();
  const [rowName, setRowName] = useState('');
  const [isChecked, setChecked] = useState(false);
  const { rows, issues } = sheet;
  const change = (next: IssueSheet) => {
    reset();
    keep(next);
  };
  const addRow = (label: string) =>
    change({
      rows: [...rows, { featureId: null, label }],
      issues: issues.map((issue) => ({ ...issue, cells: [...issue.cells, ''] })),
    });
  const removeRow = (at: number) =>
    change({
      rows: rows.filter((_, r) => r !== at),
      issues: issues.map((issue) => ({ ...issue, cells: issue.cells.filter((_, r) => r !== at) })),
    });
  const problemAt = (issue: number | null, at: SheetField | number) =>
    // A year that is still to be typed is no fault before somebody wants to save.
    isChecked ? plan.problems.find((one) => one.issue === issue && one.at === at)?.message : undefined;
  const saveAll = async () => {
    setChecked(true);
    if (plan.problems.length) return;
    const { data } = await save({ castingId: view.casting.id, body: asRequest(sheet) });
    if (!data) return;
    keep(null);
    setChecked(false);
  };
  const cellsOf = (at: SheetField | number, word: string) =>
    issues.map((issue, i) => (
      <SheetCell
        key={i}
        label={`${word}, ${issue.name || `issue ${i + 1}`}`}
        text={typeof at === 'number' ? (issue.cells[at] ?? '') : issue[at]}
        problem={problemAt(i, at)}
        onType={(text) =>
          change({ ...sheet, issues: issues.map((one, k) => (k === i ? writeAt(one, at, text) : one)) })
        }
        onPaste={(text) => change(pasteTable(sheet, text, { issue: i, at }))}
        onFillRight={() => change(fillRight(sheet, at))}
      />
    ));
  const problem = error === undefined ? null : readAppError(error);
  const said = saySheetPlan(plan);
  return (
    <section aria-label="The sheet of issues" className="space-y-3">
      <h2>Issues</h2>
      <p className="max-w-4xl text-soft-ink">
        Type them like a printed list, or paste one: a column for each issue. What a row can show is told by its words;
        a new word becomes a new state. Two that both exist are parted by “or”; where a cell is from stands behind it in
        square brackets: domed [list of 1974]. Ctrl or Cmd + R fills a row to the right.
      </p>
      <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="Sheet">
        <table className="border-collapse">
          <tbody>
            {SHEET_FIELDS.map((field) => (
              <tr key={field}>
                <SheetRowHead label={FIELD_WORDS[field][0]} hint={FIELD_WORDS[field][1]} />
                {cellsOf(field, FIELD_WORDS[field][0])}
              </tr>
            ))}
            {rows.map((row, r) => (
              <tr key={row.featureId ?? `new ${r}`}>
                <SheetRowHead
                  label={row.label}
                  hint={listStates(view, row.featureId)}
                  problem={problemAt(null, r)}
                  onFillRight={issues.length > 1 ? () => change(fillRight(sheet, r)) : undefined}
                  onRemove={row.featureId === null ? () => removeRow(r) : undefined}
                />
                {cellsOf(r, row.label)}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <div className="flex flex-wrap items-end gap-3">
        <button
          type="button"
          className="plain-button"
          onClick={() => change({ ...sheet, issues: [...issues, createIssueColumn(rows.length)] })}
        >
          Add an issue
        </button>
        {offerFeatures(view.parts, rows).map(({ label }) => (
          <button key={label} type="button" className="quiet-button" onClick={() => addRow(label)}>
            Add {label.toLowerCase()}
          </button>
        ))}
        <form
          className="flex items-end gap-2"
          onSubmit={(event) => {
            event.preventDefault();
            if (!rowName.trim()) return;
            addRow(rowName.trim());
            setRowName('');
          }}
        >
          <label>
            <span className="block text-note">Another feature</span>
            <input value={rowName} onChange={(event) => setRowName(event.target.value)} />
          </label>
          <button type="submit" className="plain-button">
            Add the row
          </button>
        </form>
      </div>
      {problem && <ErrorNote error={problem} />}
      {problem?.kind === 'stale' && (
        <button type="button" className="plain-button" onClick={() => (reset(), rebase())}>
          Keep what I typed, over what is there now
        </button>
      )}
      <div className="flex flex-wrap items-center gap-4">
        <button
          type="button"
          className="main-button"
          disabled={isLoading || said === ''}
          onClick={() => void saveAll()}
        >
          Save the sheet
        </button>
        <span role="status">
          {isChecked && plan.problems.length > 0
            ? `Not saved: ${plan.problems.length} ${plan.problems.length === 1 ? 'cell does' : 'cells do'} not fit. All that was typed is kept.`
            : said || (isSuccess ? 'Saved.' : '')}
        </span>
        {isTyped && said !== '' && (
          <button type="button" className="quiet-button" onClick={() => (reset(), setChecked(false), keep(null))}>
            Take back what was typed
          </button>
        )}
      </div>
      <RemoveIssues variants={view.variants} />
    </section>
  );
}

const MOST_NAMED = 6;

/** What may be seen, in the order in which somebody gave it; of many the first. */
function listStates(view: CastingView, featureId: string | null): string {
  const labels = view.states.filter((state) => state.featureId === featureId).map((state) => state.label);
  const rest = labels.length - MOST_NAMED;
  return `${labels.slice(0, MOST_NAMED).join(' · ')}${rest > 0 ? ` · and ${rest} more` : ''}`;
}
