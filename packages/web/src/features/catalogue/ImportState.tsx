import type { ImportReport } from '@sardonyx/contract';
import type { ReactNode } from 'react';
import { useEffect, useState } from 'react';
import { api, useCancelImportMutation, useCarryOutImportMutation, useGetImportQuery } from '../../shared/api/api.ts';
import { readAppError } from '../../shared/api/appError.ts';
import { useAppDispatch } from '../../shared/store.ts';
import { ErrorNote } from '../../shared/ui/Notice.tsx';
import { Progress } from '../../shared/ui/Progress.tsx';
import { PlainTable } from '../../shared/ui/PlainTable.tsx';

const POLL_MS = 250;

const STATE_WORDS: Readonly<Record<ImportReport['state'], string>> = {
  reading: 'Reading the rows',
  checking: 'Checking them against the catalogue',
  checked: 'Nothing is taken yet',
  writing: 'Writing',
  done: 'Done',
  refused: 'Nothing was taken',
  cancelled: 'Left; nothing was taken',
};

const countRows = (count: number) => (count === 1 ? 'one row' : `${count} rows`);

const RESTS: readonly ImportReport['state'][] = ['checked', 'done', 'refused', 'cancelled'];

/** How a file that was brought stands: what is wrong with it, or what it would change, until somebody takes it in. */
export function ImportState({ begun }: { readonly begun: ImportReport }) {
  const [isResting, setResting] = useState(false);
  const { data } = useGetImportQuery(begun.id, { pollingInterval: isResting ? 0 : POLL_MS });
  const [cancel] = useCancelImportMutation();
  const [carryOut, { error }] = useCarryOutImportMutation();
  const dispatch = useAppDispatch();
  const report = data ?? begun;
  const { state } = report;
  const rests = RESTS.includes(state);
  useEffect(() => {
    setResting(rests);
    if (state === 'done') dispatch(api.util.invalidateTags(['Catalogue', 'Job', 'Bench']));
  }, [rests, state, dispatch]);
  const changes = report.added + report.changed;
  const act = async (work: Promise<unknown>) => {
    await work;
    setResting(false);
  };
  return (
    <div role="status" className="space-y-2">
      <p className="font-semibold">
        {rests && STATE_WORDS[state]}
        {state === 'checked' &&
          (changes
            ? `. It would add ${countRows(report.added)}, change ${report.changed} and leave ${report.unchanged} as they are.`
            : `: all ${report.unchanged} rows are there as they are.`)}
        {state === 'done' &&
          `: ${countRows(report.added)} added, ${report.changed} changed, ${report.unchanged} as they were.`}
        {state === 'refused' && `: ${report.problemCount} ${report.problemCount === 1 ? 'problem' : 'problems'}.`}
      </p>
      {!rests && <Progress what={STATE_WORDS[state]} share={report.progress} onEnd={() => void cancel(begun.id)} />}
      {state === 'checked' && changes > 0 && (
        <>
          <Rows label="What it would change" heads={['Line', 'What', 'Change']}>
            {report.changes.map((change) => [
              change.line,
              `${change.kind}: ${change.name}`,
              change.columns
                ?.map(({ column, from, to }) => `${column}: ${from || 'empty'} becomes ${to || 'empty'}`)
                .join('; ') ?? 'new',
            ])}
          </Rows>
          {changes > report.changes.length && (
            <p className="text-note text-soft-ink">and {changes - report.changes.length} rows more</p>
          )}
          <div className="flex flex-wrap gap-4">
            <button type="button" className="main-button" onClick={() => void act(carryOut(begun.id))}>
              Take it in
            </button>
            <button type="button" className="quiet-button" onClick={() => void act(cancel(begun.id))}>
              Leave it
            </button>
          </div>
        </>
      )}
      {error !== undefined && <ErrorNote error={readAppError(error)} />}
      {report.problems.length > 0 && (
        <Rows label="Problems by line" heads={['Line', 'Column', 'What is wrong']}>
          {report.problems.map((problem) => [problem.line || '–', problem.column ?? '–', problem.message])}
        </Rows>
      )}
    </div>
  );
}

interface RowsProps {
  readonly label: string;
  readonly heads: readonly [string, string, string];
  readonly children: readonly (readonly [ReactNode, ReactNode, ReactNode])[];
}

const Rows = ({ label, heads, children }: RowsProps) => (
  <PlainTable
    label={label}
    headings={heads}
    rows={children}
    className="max-h-72 border border-strong-line bg-sheet"
    tableClassName="w-full border-collapse text-note"
    cellClassName="p-1.5"
    areFigures={(column) => column === 0}
  />
);
