import type { JobView } from '@sardonyx/contract';
import { Link, Navigate, useParams } from 'react-router';
import { useGetColourQuery, useGetJobQuery, useGetShelfQuery } from '../../shared/api/api.ts';
import { Pending } from '../../shared/ui/Pending.tsx';
import { CaptureAct } from './capture/CaptureAct.tsx';
import { ColourContext, type ColourBench } from './ColourContext.tsx';
import { MatchAct } from './match/MatchAct.tsx';
import { MixAct } from './mix/MixAct.tsx';
import { useNeutral } from './swatch/useNeutral.ts';

const ACTS = ['capture', 'match', 'mix'] as const;
type Act = (typeof ACTS)[number];

/** The colour lab of one job: capture the old colour, match it from the shelf, mix it. */
export function ColourPage() {
  const { jobId = '', act } = useParams();
  const { data: view, error } = useGetJobQuery(jobId);
  const { data: colour, error: colourError } = useGetColourQuery(jobId);
  const { data: shelf, error: shelfError } = useGetShelfQuery();
  useNeutral(false);
  if (!view || !colour || !shelf) return <Pending what="the colours" error={error ?? colourError ?? shelfError} />;
  const parts = view.specimens.flatMap((specimen) => specimen.parts);
  const nameOfPart = (id: string | null) => {
    const specimen = view.specimens.find((one) => one.parts.some((part) => part.id === id));
    const name = specimen?.parts.find((part) => part.id === id)?.name ?? '';
    return view.specimens.length > 1 && specimen ? `${name}, ${specimen.specimen.name}` : name;
  };
  const bench: ColourBench = { view, colour, shelf, parts, nameOfPart, isClosed: view.job.signedOffAt !== null };
  const chosen = ACTS.find((one) => one === act);
  // Named in the address at once: keeping the first colour must not turn the page over.
  if (!chosen) return <Navigate replace to={`/jobs/${jobId}/colour/${colour.captures.length ? 'match' : 'capture'}`} />;
  return (
    <ColourContext.Provider value={bench}>
      <div className="space-y-4 px-4 py-3">
        <Head view={view} act={chosen} bench={bench} />
        {chosen === 'capture' && <CaptureAct />}
        {chosen === 'match' && <MatchAct />}
        {chosen === 'mix' && <MixAct />}
      </div>
    </ColourContext.Provider>
  );
}

function Head({ view, act, bench }: { readonly view: JobView; readonly act: Act; readonly bench: ColourBench }) {
  const { captures, mixes } = bench.colour;
  const running = mixes.filter((mix) => mix.endedAt === null).length;
  const words: Readonly<Record<Act, string>> = {
    capture: captures.length ? `${captures.length} kept` : 'nothing kept yet',
    match: captures.length ? 'from the shelf' : 'needs a colour',
    mix: running ? `${running} under way` : mixes.length ? 'none under way' : 'nothing mixed yet',
  };
  return (
    <div className="flex flex-wrap items-end gap-x-8 gap-y-2">
      <h1 className="text-lead! leading-6">
        <Link className="figure underline underline-offset-4" to={`/jobs/${view.job.id}`}>
          {view.job.number}
        </Link>{' '}
        {view.job.title}: colour
      </h1>
      <nav aria-label="Acts of the colour lab" className="flex flex-wrap gap-x-6">
        {ACTS.map((one) => (
          <Link
            key={one}
            to={`/jobs/${view.job.id}/colour/${one}`}
            aria-current={one === act ? 'page' : undefined}
            className={`inline-flex min-h-11 items-center gap-2 border-b-4 ${one === act ? 'border-ink font-semibold' : 'border-transparent'}`}
          >
            {one === 'capture' ? 'Capture' : one === 'match' ? 'Match' : 'Mix'}
            <span className="text-note font-normal text-soft-ink">{words[one]}</span>
          </Link>
        ))}
      </nav>
    </div>
  );
}
