import type { ShelfReport, StockFile } from '@sardonyx/contract';
import { useState } from 'react';
import { useBringStockFileMutation } from '../../shared/api/stockApi.ts';
import { readAppError } from '../../shared/api/appError.ts';
import { FileReport } from '../../shared/form/FileReport.tsx';
import { FilePick } from '../../shared/ui/FilePick.tsx';
import { TakeOutIcon } from '../../shared/ui/icons.ts';
import { ErrorNote } from '../../shared/ui/Notice.tsx';
import { useWho } from '../../shared/ui/useWho.ts';

const LABELS = [
  ['drawers', 'drawers'],
  ['pots', 'pots'],
  ['boxes', 'the boxes of jobs'],
] as const;

/** The drawers as CSV, out and in. What comes in is looked at before it is taken. */
export function DrawerFiles() {
  const [who] = useWho();
  const [bring, { error, isLoading }] = useBringStockFileMutation();
  const [text, setText] = useState<string | null>(null);
  const [report, setReport] = useState<ShelfReport | null>(null);
  const send = async (brought: string, take: StockFile['take']) => {
    const { data } = await bring({ text: brought, take, who: who.trim() || 'a file' });
    setReport(data ?? null);
    // What could not be taken is still there to be taken.
    setText(data?.isTaken ? null : brought);
  };
  const leave = () => {
    setText(null);
    setReport(null);
  };
  return (
    <section aria-label="The drawers as a file" className="space-y-3">
      <h2>The drawers as a file</h2>
      <p>
        <a className="plain-button" href="/api/stock.csv" download>
          <TakeOutIcon aria-hidden size={18} /> All things as CSV
        </a>
      </p>
      <p className="flex flex-wrap gap-2">
        {LABELS.map(([of, words]) => (
          <a key={of} className="plain-button" href={`/api/labels/${of}`} download>
            <TakeOutIcon aria-hidden size={18} /> Labels of {words}
          </a>
        ))}
      </p>
      <p className="text-note text-soft-ink">
        PDF at true size, 63 × 24 mm: print without scaling. The code opens the drawer, pot or model on this bench.
      </p>
      <FilePick
        label="Bring in CSV"
        accept=".csv,text/csv"
        isDisabled={isLoading}
        onFile={(file) => void file.text().then((read) => send(read, 'look'))}
      />
      {report && (
        <FileReport
          report={report}
          isBusy={isLoading}
          onTake={text === null ? null : (take) => void send(text, take)}
          onLeave={leave}
        />
      )}
      {error !== undefined && <ErrorNote error={readAppError(error)} />}
      <p className="text-note text-soft-ink">
        Adds and changes, removes nothing. A thing is known by its kind, name and drawer; what is there already is
        counted anew.
      </p>
    </section>
  );
}
