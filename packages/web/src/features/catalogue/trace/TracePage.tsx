import type { CastingPhoto, CastingView } from '@sardonyx/contract';
import { VIEW_KINDS, type ViewKind } from '@sardonyx/core';
import { Link, useParams } from 'react-router';
import { useGetCastingPhotosQuery, useGetCastingQuery } from '../../../shared/api/api.ts';
import { Pending } from '../../../shared/ui/Pending.tsx';
import { TraceBench } from './TraceBench.tsx';
import { VIEW_WORDS } from './traceWords.ts';

/** One view of a casting, traced over a photograph. */
export function TracePage() {
  const { castingId = '', view = 'side' } = useParams();
  const { data, error } = useGetCastingQuery(castingId);
  const photos = useGetCastingPhotosQuery(castingId);
  if (!data || !photos.data) return <Pending what="the casting" error={error ?? photos.error} />;
  const kind = VIEW_KINDS.find((one) => one === view) ?? 'side';
  return (
    <div className="space-y-3 px-4 py-3">
      <Head view={data} kind={kind} />
      <TraceBench
        key={kind}
        view={data}
        kind={kind}
        photos={selectStraight(photos.data)}
        hasPhotos={photos.data.length > 0}
      />
    </div>
  );
}

const selectStraight = (photos: readonly CastingPhoto[]) => photos.filter(({ photo }) => photo.control !== null);

function Head({ view: { casting }, kind }: { readonly view: CastingView; readonly kind: ViewKind }) {
  const to = `/catalogue/${encodeURIComponent(casting.id)}`;
  return (
    <div className="flex flex-wrap items-baseline gap-x-6 gap-y-1">
      <h1 className="text-lead! leading-6">
        <Link className="underline underline-offset-4" to={to}>
          {casting.number} {casting.name}
        </Link>
        : trace the {VIEW_WORDS[kind]}
      </h1>
      <nav aria-label="Views" className="flex gap-4">
        {VIEW_KINDS.map((one) => (
          <Link
            key={one}
            to={`${to}/trace/${one}`}
            aria-current={one === kind ? 'page' : undefined}
            className={`inline-flex min-h-11 items-center border-b-4 ${one === kind ? 'border-ink font-semibold' : 'border-transparent'}`}
          >
            {VIEW_WORDS[one]}
            {casting.traces[one] && <span className="text-note text-soft-ink">, traced</span>}
          </Link>
        ))}
      </nav>
    </div>
  );
}
