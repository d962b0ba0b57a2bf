import type { ShelfFile, ShelfReport } from '@sardonyx/contract';
import type { Geometry } from '@sardonyx/core';
import { useState } from 'react';
import { TakeOutIcon } from '../../shared/ui/icons.ts';
import { ChooseGeometry } from '../../shared/form/ChooseGeometry.tsx';
import { useBringShelfFileMutation } from '../../shared/api/api.ts';
import { readAppError } from '../../shared/api/appError.ts';
import { ErrorNote } from '../../shared/ui/Notice.tsx';
import { FileReport } from '../../shared/form/FileReport.tsx';
import { useWho } from '../../shared/ui/useWho.ts';
import { FilePick } from '../../shared/ui/FilePick.tsx';

type Brought = Omit<ShelfFile, 'take'>;

/** The shelf as files: pots as CSV, spectra as CGATS text, out and in. What comes in is looked at before it is taken. */
export function ShelfFiles() {
  const [who] = useWho();
  const [bring, { error, isLoading }] = useBringShelfFileMutation();
  const [geometry, setGeometry] = useState<Geometry>('gloss left out');
  const [brought, setBrought] = useState<Brought | null>(null);
  const [report, setReport] = useState<ShelfReport | null>(null);
  const send = async (file: Brought, take: ShelfFile['take']) => {
    const { data } = await bring({ ...file, take, who: who.trim() });
    setReport(data ?? null);
    // What could not be taken is still there to be taken.
    setBrought(data?.isTaken ? null : file);
  };
  const read = async (file: File) => {
    const text = await file.text();
    await send({ format: /BEGIN_DATA_FORMAT/i.test(text) ? 'cgats' : 'csv', text, geometry }, 'look');
  };
  const leave = () => {
    setBrought(null);
    setReport(null);
  };
  return (
    <section aria-label="The shelf as files" className="space-y-3">
      <h2>The shelf as files</h2>
      <p className="flex flex-wrap gap-4">
        <a className="plain-button" href="/api/shelf.csv" download>
          <TakeOutIcon aria-hidden size={18} /> Pots as CSV
        </a>
        <a className="plain-button" href="/api/shelf.txt" download>
          <TakeOutIcon aria-hidden size={18} /> Spectra as CGATS text
        </a>
      </p>
      <div className="flex flex-wrap items-end gap-4">
        <FilePick
          label="Bring in CSV or CGATS text"
          accept=".csv,.txt,.cgats,text/csv,text/plain"
          isDisabled={isLoading}
          onFile={(file) => void read(file)}
        />
        <ChooseGeometry label="Spectra measured with" geometry={geometry} onChoose={setGeometry} />
      </div>
      {report && (
        <FileReport
          report={report}
          isBusy={isLoading}
          onTake={brought && ((take) => void send(brought, take))}
          onLeave={leave}
        />
      )}
      {error !== undefined && <ErrorNote error={readAppError(error)} />}
      <p className="text-note text-soft-ink">
        Adds and changes, removes nothing. A spectrum goes to the pot of its line and name; tints need a SHARE.
      </p>
    </section>
  );
}
