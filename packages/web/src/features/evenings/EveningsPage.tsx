import { useEffect, useMemo, useRef, useState } from 'react';
import { formatEvening } from '../../shared/dates/sayDates.ts';
import { formatHours, formatMinutes } from '../../shared/format.ts';
import { readAppError } from '../../shared/api/appError.ts';
import { EmptyNote, ErrorNote } from '../../shared/ui/Notice.tsx';
import { Pending } from '../../shared/ui/Pending.tsx';
import { Progress } from '../../shared/ui/Progress.tsx';
import { Sign } from '../../shared/ui/Sign.tsx';
import { Better } from './Better.tsx';
import { DragSteps, StepGrip } from './DragSteps.tsx';
import { Deciding } from './Deciding.tsx';
import { Hours } from './Hours.tsx';
import { Moves } from './Moves.tsx';
import { readNames } from './names.ts';
import { PutElsewhere } from './PutElsewhere.tsx';
import { Restorers } from './Restorers.tsx';
import { Run } from './Run.tsx';
import { sayDay, sayLeftOut, sayStep, sayVerdict } from './sayEvenings.ts';
import { useEvenings } from './useEvenings.ts';
import { Weather } from './Weather.tsx';
import { Weeks } from './Weeks.tsx';
import { WhatIf } from './WhatIf.tsx';

/** All jobs on the evenings that there are: what is late first, then the run of an evening, then the weeks. */
export function EveningsPage() {
  const evenings = useEvenings();
  const { view, input, now, better, share, problem } = evenings;
  const [chosen, setChosen] = useState<string | null>(null);
  const names = useMemo(() => input && readNames(input), [input]);
  // The first plan of all is only the best of a few orders.
  const isFirst = view?.kept?.version === 1 && now !== null && !now.isChanged;
  const wasSearched = useRef(false);
  const { search } = evenings;
  useEffect(() => {
    if (!isFirst || wasSearched.current) return;
    wasSearched.current = true;
    search();
  }, [isFirst, search]);
  if (!view || !input || !names) return <Pending what="the evenings" error={evenings.error} />;
  if (problem)
    return (
      <div className="p-6">
        <ErrorNote error={{ kind: 'fault', message: problem }} />
      </div>
    );
  const people = (
    <div className="grid items-start gap-6 min-[1000px]:grid-cols-2">
      <Restorers restorers={view.restorers} />
      <Weather weather={view.weather} now={input.now} />
    </div>
  );
  if (view.restorers.length === 0)
    return (
      <div className="mx-auto max-w-6xl space-y-6 p-6">
        <h1>Nobody is down for this bench yet.</h1>
        <p>
          Say who works here and when: then every open step gets its evening, and you see what is ready by which day.
        </p>
        {people}
      </div>
    );
  if (!now) return <Pending what="the plan of the evenings" error={undefined} />;
  const { report } = now;
  const lastDay = report.days.at(-1);
  const run = report.runs.find(({ on }) => on === chosen) ?? report.runs.find(({ steps }) => steps.length > 0) ?? null;
  return (
    <div className="mx-auto max-w-[84rem] space-y-6 px-6 py-5">
      <header className="flex flex-wrap items-start justify-between gap-4">
        <div className="max-w-3xl">
          <h1>{sayVerdict(report, names)}</h1>
          {lastDay && <p className="mt-1">{sayDay(lastDay, report.jobs.length, names)}</p>}
          {lastDay && lastDay.ready.length > 0 && <Deciding evenings={evenings} on={lastDay.on} names={names} />}
          <p className="mt-1 text-note text-soft-ink">
            {formatHours(report.handsMin)} of hands, the gun cleaned {report.cleanings} times. Minutes are planning
            estimates.
          </p>
        </div>
        {share === null && report.plan.starts.length > 0 && (
          <button type="button" className="plain-button" onClick={evenings.search}>
            Look for a better plan
          </button>
        )}
      </header>
      {evenings.notKept !== undefined && <ErrorNote error={readAppError(evenings.notKept)} />}
      {share !== null && <Progress what="Trying other evenings" share={share} onEnd={evenings.end} />}
      {better && <Better better={better} now={report} names={names} onTake={evenings.take} onLeave={evenings.leave} />}
      {view.kept && view.kept.moves.length > 0 && <Moves moves={view.kept.moves} names={names} />}
      {report.leftOut.length > 0 && (
        <section aria-label="Not planned">
          <h2>Not planned</h2>
          <ul>
            {report.leftOut
              .filter(({ because }) => because !== 'what goes before')
              .map(({ task, because }) => (
                <li key={task.id}>
                  <Sign of="warning" /> {sayStep(task.id, names)}: {sayLeftOut(because)}.
                </li>
              ))}
          </ul>
        </section>
      )}
      {report.plan.starts.length === 0 ? (
        <EmptyNote title="Nothing is open.">What a job still asks for comes up here with its evening.</EmptyNote>
      ) : (
        <DragSteps evenings={evenings} names={names}>
          <Weeks report={report} input={input} names={names} day={run?.on ?? null} onDay={setChosen} />
          <Hours />
          <WhatIf evenings={evenings} restorers={view.restorers} names={names} />
          {run && (
            <section aria-label={`The run of ${formatEvening(run.from)}`}>
              <h2>
                {formatEvening(run.from)}
                {': '}
                {run.sessions
                  .map(
                    ({ restorerId, from, to }) =>
                      `${names.restorers.get(restorerId)}, ${formatMinutes((to - from) / 60_000)}`,
                  )
                  .join('; ')}
              </h2>
              {run.steps.length === 0 ? (
                <p className="text-soft-ink">Nothing is planned that evening.</p>
              ) : (
                <Run
                  run={run}
                  names={names}
                  late={report.plan.late}
                  act={(step) => (
                    <>
                      <StepGrip step={step} />
                      <PutElsewhere step={step} evenings={evenings} names={names} />
                    </>
                  )}
                />
              )}
            </section>
          )}
        </DragSteps>
      )}
      {people}
    </div>
  );
}
