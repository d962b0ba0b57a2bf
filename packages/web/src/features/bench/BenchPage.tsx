import type { BenchLane, BenchView } from '@sardonyx/contract';
import { findNextSession, STATION_LABELS, STATIONS, type Station } from '@sardonyx/core';
import { lazy, Suspense } from 'react';
import { Link, useSearchParams } from 'react-router';
import { useGetBenchQuery } from '../../shared/api/api.ts';
import { formatMinutes } from '../../shared/format.ts';
import { Pending } from '../../shared/ui/Pending.tsx';
import { Lane } from './Lane.tsx';

// The bench opens with its lanes; the rest comes a moment later, or when it is asked for.
const LanesOrWants = lazy(() => import('./LanesOrWants.tsx').then((module) => ({ default: module.LanesOrWants })));
const Tonight = lazy(() => import('../evenings/index.ts').then((module) => ({ default: module.Tonight })));
const WantTable = lazy(() => import('./WantTable.tsx').then((module) => ({ default: module.WantTable })));

/** All models in work: what can be done in the next session, then a lane for each. */
export function BenchPage() {
  const { data, error } = useGetBenchQuery();
  const [params] = useSearchParams();
  if (!data) return <Pending what="the bench" error={error} />;
  if (data.lanes.length === 0) return <EmptyBench />;
  const open = data.lanes.filter((lane) => !lane.job.signedOffAt);
  const finished = data.lanes.filter((lane) => lane.job.signedOffAt);
  const now = new Date(data.now);
  const isWants = params.get('as') === 'wants';
  const wanted = open.reduce((sum, lane) => sum + lane.openWants.length, 0);
  const castings = new Map(data.castings.map((casting) => [casting.id, casting]));
  const lane = (one: BenchLane) => (
    <Lane key={one.job.id} lane={one} casting={castings.get(one.castingId ?? '')} now={now} />
  );
  return (
    <div className="mx-auto max-w-[84rem] px-4 py-4">
      <div className="mb-4 flex flex-wrap items-start justify-between gap-4">
        <Verdict view={data} />
        <div className="flex flex-wrap items-center gap-3">
          <Suspense fallback={<span className="min-h-11 w-44" />}>
            <LanesOrWants wanted={wanted} />
          </Suspense>
          <Link to="/put-on-bench" className="plain-button">
            Put a model on the bench
          </Link>
        </div>
      </div>
      {isWants ? (
        <Suspense fallback={<Pending what="the wants" error={undefined} />}>
          <WantTable lanes={open} />
        </Suspense>
      ) : (
        <>
          <Suspense fallback={<p className="mb-5 min-h-56" />}>
            <Tonight />
          </Suspense>
          {open.map(lane)}
          {finished.length > 0 && <h2 className="mt-8 mb-2">Signed off</h2>}
          {finished.map(lane)}
        </>
      )}
    </div>
  );
}

/** Who has the bench, or has it next, and for how long; what they do then is the run below. */
function Verdict({ view }: { readonly view: BenchView }) {
  const session = findNextSession(view.restorers, new Date(view.now), view.zone);
  if (!session)
    return (
      <div className="max-w-3xl">
        <h1>Nobody has bench hours this week.</h1>
        <p className="mt-1">
          <Link className="underline underline-offset-4" to="/evenings">
            Say who works here and when
          </Link>
          , and every open step gets its evening.
        </p>
      </div>
    );
  const when = new Intl.DateTimeFormat(undefined, { weekday: 'long', hour: '2-digit', minute: '2-digit' });
  const left = formatMinutes(session.minutesLeft);
  return (
    <div className="max-w-3xl">
      <h1>
        {session.underWay
          ? `${session.who} has the bench now, ${left} left.`
          : `${session.who} has the bench next: ${when.format(session.startsAt)}, ${left}.`}
      </h1>
      <p className="mt-1 text-soft-ink">Minutes are planning estimates.</p>
    </div>
  );
}

const FIRST_STEPS: Readonly<Record<Station, string>> = {
  identify: 'which issue it is and when it was made, from what you can see on it',
  survey: 'what is wrong, what is missing, how it looked when it came in',
  open: 'how it comes apart with the least risk, in which order',
  strip: 'paint off wet, mended, with the hazards before each step and clocks that ring',
  finish: 'the coats of each part, as planned beside what is on it',
  close: 'how it goes back so that nothing is opened twice',
  'sign-off': 'its record, to keep and to hand on',
};

/** The first run: what to do, and what will happen then. */
function EmptyBench() {
  return (
    <div className="mx-auto max-w-3xl space-y-6 p-8">
      <h1>The bench is empty. Put the first model on it.</h1>
      <p className="text-lead">
        You do not have to know what it is. Everything you write down stays in your own folder on this machine.
      </p>
      <Link to="/put-on-bench" className="main-button">
        Put a model on the bench
      </Link>
      <p>
        Or say first{' '}
        <Link className="underline underline-offset-4" to="/first-evening">
          what you have
        </Link>
        : tools, vessels and paints, ticked from a list.
      </p>
      <section>
        <h2 className="mb-2">Then it moves along the bench, from left to right</h2>
        <ol>
          {STATIONS.map((station, i) => (
            <li key={station} className="grid grid-cols-[2rem_9rem_1fr] items-baseline border-t border-hairline py-2">
              <span className="figure text-soft-ink">{i + 1}</span>
              <strong>{STATION_LABELS[station]}</strong>
              <span>{FIRST_STEPS[station]}</span>
            </li>
          ))}
        </ol>
      </section>
    </div>
  );
}
