import type { ImportReport } from '@sardonyx/contract';
import { useEffect, useState, type DragEvent } from 'react';
import { TakeOutIcon } from '../../shared/ui/icons.ts';
import { Progress } from '../../shared/ui/Progress.tsx';
import { api, useBeginImportMutation, useCancelImportMutation, useGetImportQuery } from '../../shared/api/api.ts';
import { readAppError } from '../../shared/api/appError.ts';
import { useAppDispatch } from '../../shared/store.ts';
import { ErrorNote } from '../../shared/ui/Notice.tsx';

const POLL_MS = 250;

/** The catalogue as a file, out and in. A file that comes in is checked whole; all of it is taken or nothing. */
export function FileExchange() {
  const [begin, { data: begun, error }] = useBeginImportMutation();
  const [isOver, setOver] = useState(false);
  const take = async (file: File | undefined) => {
    if (file) await begin({ text: await file.text(), isJson: /\.json$/i.test(file.name) });
  };
  const drop = (event: DragEvent) => {
    event.preventDefault();
    setOver(false);
    void take(event.dataTransfer.files[0]);
  };
  return (
    <section
      id="file"
      aria-label="The catalogue as a file"
      className="grid gap-6 border-t border-strong-line pt-4 md:grid-cols-2"
    >
      <div className="space-y-2">
        <h2>Take it out</h2>
        <p className="text-soft-ink">
          CSV opens in any spreadsheet and comes back in exactly; JSON has parts, joints and drawings too.
        </p>
        <div className="flex flex-wrap gap-3">
          <a className="plain-button" href="/api/catalogue.csv" download>
            <TakeOutIcon aria-hidden size={18} /> Catalogue as CSV
          </a>
          <a className="plain-button" href="/api/catalogue.json" download>
            <TakeOutIcon aria-hidden size={18} /> Catalogue as JSON
          </a>
        </div>
      </div>
      <div className="space-y-2">
        <h2>Bring one in</h2>
        <label
          className={`block border-2 border-dashed p-3 ${isOver ? 'border-ink bg-sunk' : 'border-strong-line'}`}
          onDragOver={(event) => {
            event.preventDefault();
            setOver(true);
          }}
          onDragLeave={() => setOver(false)}
          onDrop={drop}
        >
          <span className="block font-semibold">A catalogue as CSV or JSON: choose it or drop it here</span>
          <span className="block text-note text-soft-ink">
            It adds and changes, and deletes nothing. With one bad row nothing is taken.
          </span>
          <input
            type="file"
            accept=".csv,.json,text/csv,application/json"
            onChange={(event) => {
              void take(event.target.files?.[0]);
              event.target.value = '';
            }}
          />
        </label>
        {error !== undefined && <ErrorNote error={readAppError(error)} />}
        {begun && <ImportState key={begun.id} begun={begun} />}
      </div>
    </section>
  );
}

const STATE_WORDS: Readonly<Record<ImportReport['state'], string>> = {
  reading: 'Reading the rows',
  checking: 'Checking them against the catalogue',
  writing: 'Writing',
  done: 'Done',
  refused: 'Nothing was taken',
  cancelled: 'Cancelled; nothing was taken',
};

const isOver = ({ state }: ImportReport) => state === 'done' || state === 'refused' || state === 'cancelled';

function ImportState({ begun }: { readonly begun: ImportReport }) {
  const [isEnded, setEnded] = useState(false);
  const { data } = useGetImportQuery(begun.id, { pollingInterval: isEnded ? 0 : POLL_MS });
  const [cancel] = useCancelImportMutation();
  const dispatch = useAppDispatch();
  const report = data ?? begun;
  const ended = isOver(report);
  useEffect(() => {
    if (!ended) return;
    setEnded(true);
    if (report.state === 'done') dispatch(api.util.invalidateTags(['Catalogue', 'Job', 'Bench']));
  }, [ended, report.state, dispatch]);
  return (
    <div role="status" className="space-y-2">
      <p className="font-semibold">
        {ended && STATE_WORDS[report.state]}
        {report.state === 'done' &&
          `: ${report.added} rows added, ${report.changed} changed, ${report.unchanged} as they were.`}
        {report.state === 'refused' &&
          `: ${report.problemCount} ${report.problemCount === 1 ? 'problem' : 'problems'}.`}
      </p>
      {!ended && (
        <Progress what={STATE_WORDS[report.state]} share={report.progress} onEnd={() => void cancel(begun.id)} />
      )}
      {report.problems.length > 0 && (
        <div
          className="max-h-72 overflow-auto border border-strong-line bg-sheet"
          tabIndex={0}
          role="region"
          aria-label="Problems by line"
        >
          <table className="w-full border-collapse text-note">
            <thead>
              <tr className="text-left">
                <th className="p-1.5">Line</th>
                <th className="p-1.5">Column</th>
                <th className="p-1.5">What is wrong</th>
              </tr>
            </thead>
            <tbody>
              {report.problems.map((problem, i) => (
                <tr key={i} className="border-t border-hairline align-top">
                  <td className="figure p-1.5">{problem.line || '–'}</td>
                  <td className="figure p-1.5">{problem.column ?? '–'}</td>
                  <td className="p-1.5">{problem.message}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      )}
    </div>
  );
}
