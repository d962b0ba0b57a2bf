import { checkSignOff } from '@sardonyx/core';
import { Link } from 'react-router';
import { useNow } from '../../clocks/index.ts';
import { PhotoStrip } from '../../photos/index.ts';
import { TakePapers } from '../../record/index.ts';
import { ModelDrawing } from '../../../shared/drawing/ModelDrawing.tsx';
import { formatMoment } from '../../../shared/dates/sayDates.ts';
import { EmptyNote } from '../../../shared/ui/Notice.tsx';
import { useJob } from '../JobContext.tsx';
import { TaskList } from '../task/TaskList.tsx';
import { Verdict, Zones } from '../Zones.tsx';
import { CostTable } from './sign-off/CostTable.tsx';
import { HandWork } from './sign-off/HandWork.tsx';
import { CoatTable, LogTable } from './sign-off/RecordTables.tsx';
import { ReopenForm } from './sign-off/ReopenForm.tsx';
import { SignForm } from './sign-off/SignForm.tsx';
import { Signings } from './sign-off/Signings.tsx';
import { WantList } from './survey/WantList.tsx';

/** The record: what it was, what was done, what is on it now. Signed when nothing is left open. */
export function SignOffStation() {
  const { view, specimen, paint, isClosed } = useJob();
  const { job } = view;
  const now = useNow();
  const refusals = checkSignOff(
    view.specimens.flatMap((one) => one.wants),
    view.tasks,
    now,
  );
  const drawing = specimen.casting?.casting.drawing.views[0];
  return (
    <Zones
      model={
        <>
          {drawing ? (
            <ModelDrawing
              view={drawing}
              paint={paint}
              parts={specimen.parts}
              label={`${specimen.specimen.name} now`}
              className="h-56 w-full border border-hairline bg-paper"
            />
          ) : (
            <EmptyNote title="No drawing: the casting is not known." />
          )}
          <PhotoStrip jobId={job.id} photos={view.photos} stage="before" isClosed />
          <PhotoStrip jobId={job.id} photos={view.photos} stage="after" isClosed={isClosed} />
        </>
      }
      lead={
        <Verdict rest={isClosed ? 'Its record stands as it is.' : undefined}>
          {isClosed
            ? `Signed off ${formatMoment(job.signedOffAt!)} by ${job.signedOffBy}.`
            : refusals.length
              ? `Not yet: ${refusals.length} ${refusals.length === 1 ? 'thing is' : 'things are'} open.`
              : 'Everything is done. It can be signed.'}
        </Verdict>
      }
    >
      {!isClosed && refusals.length > 0 && (
        <ul aria-label="What is open" className="list-inside list-disc text-soft-ink">
          {refusals.slice(0, 6).map((refusal) => (
            <li key={refusal.message}>{refusal.message}</li>
          ))}
          {refusals.length > 6 && <li>and {refusals.length - 6} more</li>}
        </ul>
      )}
      <WantList />
      <TaskList station="sign-off" />
      {!isClosed && <SignForm jobId={job.id} />}
      <Signings signings={view.signings} />
      {isClosed && <ReopenForm jobId={job.id} />}
      <CostTable />
      <section aria-label="Record" className="space-y-2">
        <h2>Record</h2>
        <p className="text-soft-ink">
          What was found, decided, done and used, with who and when; what was planned and not done; and a plain
          statement of what it is now.
        </p>
        <p>
          <Link className="underline underline-offset-4" to={`/jobs/${job.id}/record`}>
            Read the whole record
          </Link>
        </p>
        <TakePapers jobId={job.id} />
        <CoatTable />
        <LogTable />
        <HandWork tasks={view.tasks} />
      </section>
    </Zones>
  );
}
