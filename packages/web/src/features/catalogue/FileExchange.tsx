import { useState, type DragEvent } from 'react';
import { TakeOutIcon } from '../../shared/ui/icons.ts';
import { useBeginImportMutation } from '../../shared/api/api.ts';
import { readAppError } from '../../shared/api/appError.ts';
import { ErrorNote } from '../../shared/ui/Notice.tsx';
import { ImportState } from './ImportState.tsx';

/** The catalogue as a file, out and in. A file is checked whole and shows what it would change; all of it is taken or nothing. */
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
            What it would change is shown first. It adds and changes, and deletes nothing; with one bad row nothing is
            taken.
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
