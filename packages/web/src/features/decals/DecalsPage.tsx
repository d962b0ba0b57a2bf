import type { DecalsView } from '@sardonyx/contract';
import { Link, useSearchParams } from 'react-router';
import { useGetDecalsQuery } from '../../shared/api/decalApi.ts';
import { EmptyNote } from '../../shared/ui/Notice.tsx';
import { OneOfNames } from '../../shared/ui/OneOfNames.tsx';
import { Pending } from '../../shared/ui/Pending.tsx';
import { BringArtwork } from './BringArtwork.tsx';
import { ArtworkDetails } from './ArtworkDetails.tsx';
import { DecalList } from './DecalList.tsx';
import { FromSuppliers } from './FromSuppliers.tsx';
import { PrintedSheets } from './PrintedSheets.tsx';
import { NextSheet } from './NextSheet.tsx';

/** Decals over all jobs: which artwork each is, what it needs to show on its paint, and the sheets. */
export function DecalsPage() {
  const { data, error } = useGetDecalsQuery();
  const [params, setParams] = useSearchParams();
  if (!data) return <Pending what="the decals" error={error} />;
  const planned = data.decals.find(({ plan }) => plan?.artworkId)?.plan?.artworkId;
  const open = data.artworks.find(({ id }) => id === (params.get('artwork') ?? planned)) ?? data.artworks[0];
  const choose = (id: string) => setParams({ artwork: id }, { replace: true });
  return (
    <div className="mx-auto max-w-7xl space-y-6 p-6">
      <h1>{sayTitle(data)}</h1>
      <div className="grid items-start gap-6 min-[1100px]:grid-cols-[1fr_34rem]">
        <div className="space-y-6">
          {data.decals.length === 0 ? (
            <EmptyNote title="No open job plans a decal.">
              A decal is planned at Finish, among the coats of its area. Artwork can be brought in before that.
            </EmptyNote>
          ) : (
            <DecalList view={data} onOpen={choose} />
          )}
          <section aria-label="Artwork" className="space-y-2">
            <h2>Artwork</h2>
            <OneOfNames label="Artworks" of={data.artworks} value={open?.id} onChange={choose} />
            <BringArtwork onBrought={choose} />
            <p>
              <Link to="/decals/trace" className="quiet-button">
                Trace one after the old decal, or draw it to measure
              </Link>
            </p>
          </section>
          <NextSheet view={data} />
          <PrintedSheets view={data} />
          <FromSuppliers view={data} />
        </div>
        {open && (
          <div className="min-[1100px]:sticky min-[1100px]:top-4">
            <ArtworkDetails key={open.id} artwork={open} view={data} />
          </div>
        )}
      </div>
    </div>
  );
}

function sayTitle({ decals }: DecalsView): string {
  const waiting = decals.filter(({ isPlaced }) => !isPlaced);
  if (waiting.length === 0) return 'No decal is waiting';
  const jobs = new Set(waiting.map(({ jobNumber }) => jobNumber)).size;
  const bare = waiting.filter(({ plan }) => !plan?.artworkId).length;
  const toPrint = waiting.reduce((sum, decal) => sum + decal.toPrint, 0);
  const count = `${waiting.length} ${waiting.length === 1 ? 'decal' : 'decals'} on ${jobs} ${jobs === 1 ? 'job' : 'jobs'}`;
  const rest = [
    ...(toPrint > 0 ? [`${toPrint} ${toPrint === 1 ? 'piece' : 'pieces'} to print`] : []),
    ...(bare > 0 ? [`${bare} without artwork`] : []),
  ];
  return rest.length === 0 ? `${count}, none to print` : `${count}: ${rest.join(', ')}`;
}
