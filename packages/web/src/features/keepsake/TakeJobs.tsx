import type { ArchiveReport } from '@sardonyx/contract';
import { useState } from 'react';
import { Link } from 'react-router';
import { useLookAtArchiveMutation, useTakeArchiveMutation } from '../../shared/api/recordApi.ts';
import { readAppError } from '../../shared/api/appError.ts';
import { Fold } from '../../shared/ui/Fold.tsx';
import { ErrorNote } from '../../shared/ui/Notice.tsx';
import { Progress } from '../../shared/ui/Progress.tsx';

/** Jobs of another bench come in: looked at first, then taken, all or nothing. */
export function TakeJobs() {
  const [file, setFile] = useState<File | null>(null);
  const [look, looked] = useLookAtArchiveMutation();
  const [take, taken] = useTakeArchiveMutation();
  const choose = (chosen: File | null) => {
    setFile(chosen);
    taken.reset();
    looked.reset();
    if (chosen) void look(chosen);
  };
  const error = taken.error ?? looked.error;
  const isNew = looked.data?.jobs.some(({ isHere }) => !isHere) ?? false;
  return (
    <div className="space-y-3">
      <label className="block">
        <span className="mb-1 block font-semibold">The archive to take in</span>
        <input
          type="file"
          accept=".zip,application/zip"
          onChange={(event) => choose(event.target.files?.[0] ?? null)}
        />
      </label>
      {looked.isLoading && <Progress what="Comparing every file with its checksum" share={null} />}
      {taken.isLoading && <Progress what="Taking it in" share={null} />}
      {error !== undefined && <ErrorNote error={readAppError(error)} />}
      {taken.data ? (
        <Report report={taken.data} />
      ) : (
        looked.data && (
          <>
            <Report report={looked.data} />
            {isNew && file && (
              <button type="button" className="main-button" disabled={taken.isLoading} onClick={() => void take(file)}>
                Take {looked.data.jobs.length === 1 ? 'it' : 'them'} in
              </button>
            )}
          </>
        )
      )}
    </div>
  );
}

/** What rows are called at a bench. */
const WORDS: Readonly<Record<string, string>> = {
  ...{
    casting: 'The casting',
    variant: 'The issue',
    toy_range: 'The range',
    maker: 'The maker',
    feature: 'The look-point',
  },
  ...{ paint_product: 'The paint', paint_pot: 'The pot', stock_thing: 'In the drawers', supplier: 'The supplier' },
  ...{ bath: 'The bath', vessel: 'The vessel', print: 'The part to print', decal_artwork: 'The artwork' },
};

function Report({ report }: { readonly report: ArchiveReport }) {
  const { isTaken, jobs, kept, stock, missingPictures } = report;
  return (
    <div role="status" className="space-y-2">
      <p className="font-semibold">{sayState(report)}</p>
      <ul className="divide-y divide-hairline border-y border-hairline">
        {jobs.map(({ id, number, title, numberHere, isHere }) => (
          <li key={id} className="py-2">
            {isTaken ? (
              <Link className="underline underline-offset-4" to={`/jobs/${id}`}>
                {numberHere} {title}
              </Link>
            ) : (
              `${number} ${title}`
            )}
            {isHere && ': is on this bench already, the same in every field'}
            {!isHere &&
              number !== numberHere &&
              `: ${isTaken ? 'came' : 'comes'} in as ${numberHere}, another job is ${number} here`}
          </li>
        ))}
      </ul>
      {kept.length > 0 && (
        <>
          <p>This bench says something else of these. Its own word stands:</p>
          <ul className="list-inside list-disc text-soft-ink">
            {kept.map(({ table, name, fields }) => (
              <li key={`${table} ${name} ${fields.join()}`}>
                {WORDS[table] ?? 'Of the house'}: {name}
                {fields.length === 0 && ', of which the archive has more than is here'}
              </li>
            ))}
          </ul>
        </>
      )}
      {stock.length > 0 && (
        <Fold title={`${stock.length} pots and things of its drawers ${isTaken ? 'came' : 'come'} along`}>
          <p className="pt-2">
            What went into the jobs was taken out of these, and they stand here with what the other bench has left of
            them. What did not come into this house can be counted down to nothing.
          </p>
          <p className="text-soft-ink">{stock.join('; ')}</p>
        </Fold>
      )}
      {missingPictures > 0 && (
        <p>
          {missingPictures === 1 ? 'One picture was' : `${missingPictures} pictures were`} gone already when it was
          packed.
        </p>
      )}
    </div>
  );
}

function sayState({ isTaken, rows }: ArchiveReport): string {
  if (rows === 0) return 'Whole, and all of it is here already: there is nothing to take.';
  return isTaken ? 'Taken in.' : 'Whole; nothing is taken yet.';
}
