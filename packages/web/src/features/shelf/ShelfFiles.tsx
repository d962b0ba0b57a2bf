import type { Geometry } from '@sardonyx/core';
import { useState } from 'react';
import { TakeOutIcon } from '../../shared/ui/icons.ts';
import { ChooseGeometry } from '../../shared/form/ChooseGeometry.tsx';
import { useBringShelfFileMutation } from '../../shared/api/api.ts';
import { readAppError } from '../../shared/api/appError.ts';
import { ErrorNote } from '../../shared/ui/Notice.tsx';

const SHOWN = 8;

/** The shelf as files: pots as CSV, spectra as CGATS text, out and in. */
export function ShelfFiles() {
  const [bring, { data: report, error, isLoading }] = useBringShelfFileMutation();
  const [geometry, setGeometry] = useState<Geometry>('gloss left out');
  const read = async (file: File | undefined) => {
    if (!file) return;
    const text = await file.text();
    const isCgats = /BEGIN_DATA_FORMAT/i.test(text);
    await bring({ format: isCgats ? 'cgats' : 'csv', text, geometry });
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
        <label>
          <span className="block text-note">Bring in CSV or CGATS text</span>
          <input
            type="file"
            accept=".csv,.txt,.cgats,text/csv,text/plain"
            disabled={isLoading}
            onChange={(event) => {
              void read(event.target.files?.[0]);
              event.target.value = '';
            }}
          />
        </label>
        <ChooseGeometry label="Spectra measured with" geometry={geometry} onChoose={setGeometry} />
      </div>
      {report && (
        <div role="status">
          <p>
            <strong>
              {report.added} added, {report.changed} changed
            </strong>
            {report.problems.length > 0 && `, ${report.problems.length} left out:`}
          </p>
          <ul className="text-note">
            {report.problems.slice(0, SHOWN).map(({ line, message }) => (
              <li key={`${line} ${message}`}>
                {line > 0 && `Line ${line}: `}
                {message}
              </li>
            ))}
            {report.problems.length > SHOWN && <li>and {report.problems.length - SHOWN} more</li>}
          </ul>
        </div>
      )}
      {error !== undefined && <ErrorNote error={readAppError(error)} />}
      <p className="text-note text-soft-ink">
        Adds and changes, removes nothing. A spectrum goes to the pot of its line and name; tints need a SHARE.
      </p>
    </section>
  );
}
