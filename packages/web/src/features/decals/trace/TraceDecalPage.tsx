import type { DecalsView } from '@sardonyx/contract';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { useGetJobQuery } from '../../../shared/api/api.ts';
import { useGetDecalsQuery } from '../../../shared/api/decalApi.ts';
import { Field } from '../../../shared/ui/Field.tsx';
import { Pending } from '../../../shared/ui/Pending.tsx';
import { Select } from '../../../shared/ui/Select.tsx';
import { DecalBench } from './DecalBench.tsx';

/** A decal is traced over the old one, or drawn to its measures. */
export function TraceDecalPage() {
  const { artworkId } = useParams();
  const { data, error } = useGetDecalsQuery();
  if (!data) return <Pending what="the decals" error={error} />;
  const artwork = data.artworks.find(({ id }) => id === artworkId) ?? null;
  if (artworkId !== undefined && !artwork?.drawn)
    return (
      <div className="space-y-3 p-6">
        <h1>This artwork was not traced here</h1>
        <p>
          It came as a file, or is gone. <Link to="/decals">Back to the decals</Link>
        </p>
      </div>
    );
  return (
    <div className="space-y-3 px-6 py-4">
      <h1 className="text-lead! leading-6">
        <Link className="underline underline-offset-4" to="/decals">
          Decals
        </Link>
        : {artwork ? `go on with ${artwork.name}` : 'trace a new one'}
      </h1>
      <OverPhotograph key={artwork?.id ?? 'new'} view={data} artworkId={artwork?.id ?? null} />
    </div>
  );
}

/** Which model's photographs and colours lie at hand. */
function OverPhotograph({ view, artworkId }: { readonly view: DecalsView; readonly artworkId: string | null }) {
  const jobs = [...new Map(view.decals.map(({ jobId, jobNumber }) => [jobId, jobNumber]))];
  const user = view.decals.find(({ plan }) => artworkId !== null && plan?.artworkId === artworkId);
  const [jobId, setJobId] = useState<string | null>(user?.jobId ?? null);
  const { data: job } = useGetJobQuery(jobId ?? '', { skip: jobId === null });
  const artwork = view.artworks.find(({ id }) => id === artworkId) ?? null;
  return (
    <DecalBench artwork={artwork} job={jobId === null ? null : (job ?? null)}>
      {jobs.length > 0 && (
        <Field label="After the old one on" width="12rem">
          <Select
            value={jobId}
            options={[{ value: null, label: 'no model' }, ...jobs.map(([value, label]) => ({ value, label }))]}
            onChange={setJobId}
          />
        </Field>
      )}
    </DecalBench>
  );
}
