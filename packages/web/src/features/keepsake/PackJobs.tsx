import { useState } from 'react';
import { useGetBenchQuery } from '../../shared/api/api.ts';
import { Checkbox } from '../../shared/ui/Checkbox.tsx';
import { Fold } from '../../shared/ui/Fold.tsx';
import { TakeOut } from '../../shared/ui/TakeOut.tsx';

/** Whole jobs as an open archive: all of them, or some. */
export function PackJobs() {
  const { data } = useGetBenchQuery();
  const [chosen, setChosen] = useState<readonly string[]>([]);
  const jobs = (data?.lanes ?? []).map(({ job }) => job);
  if (jobs.length === 0) return <p>There is no job to pack yet.</p>;
  const query = chosen.map((id) => `job=${encodeURIComponent(id)}`).join('&');
  return (
    <div className="space-y-3">
      <Fold title={chosen.length ? `${chosen.length} of ${jobs.length} jobs` : 'All jobs; choose some of them'}>
        <ul className="grid gap-1 pt-2 sm:grid-cols-2">
          {[...jobs]
            .sort((a, b) => a.number.localeCompare(b.number))
            .map(({ id, number, title }) => (
              <li key={id}>
                <Checkbox
                  checked={chosen.includes(id)}
                  onChange={(isChosen) =>
                    setChosen(isChosen ? [...chosen, id] : chosen.filter((other) => other !== id))
                  }
                >
                  {number} {title}
                </Checkbox>
              </li>
            ))}
        </ul>
      </Fold>
      <TakeOut address={`/api/archive.zip${query && `?${query}`}`} what="Packing records, papers and pictures">
        {chosen.length === 0 ? 'Pack all jobs' : chosen.length === 1 ? 'Pack this job' : `Pack these ${chosen.length}`}
      </TakeOut>
    </div>
  );
}
