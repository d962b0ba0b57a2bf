import { createPaperDates, pairPhotos, writeRecord } from '@sardonyx/core';
import { useMemo } from 'react';
import { Link, useParams } from 'react-router';
import { useGetJobQuery } from '../../shared/api/api.ts';
import { useGetRecordQuery } from '../../shared/api/recordApi.ts';
import { Pending } from '../../shared/ui/Pending.tsx';
import { BeforeAfter } from './BeforeAfter.tsx';
import { Blocks } from './Blocks.tsx';
import { TakePapers } from './TakePapers.tsx';

/** The whole record of a job, to be read from top to bottom as it is printed. */
export function RecordPage() {
  const { jobId = '' } = useParams();
  const { data: record, error } = useGetRecordQuery(jobId);
  const { data: view } = useGetJobQuery(jobId);
  const zone = view?.house.zone;
  const read = useMemo(() => {
    if (!record || zone === undefined) return null;
    const dates = createPaperDates(zone);
    return { paper: writeRecord(record, dates), pairs: pairPhotos(record, dates) };
  }, [record, zone]);
  if (!read) return <Pending what="the record" error={error} />;
  const { paper, pairs } = read;
  return (
    <div className="mx-auto max-w-[72rem] space-y-6 px-4 py-4">
      <header className="space-y-3">
        <div className="flex flex-wrap items-baseline gap-x-5">
          <h1>{paper.title}: the record</h1>
          <Link className="underline underline-offset-4" to={`/jobs/${jobId}/sign-off`}>
            Back to Sign off
          </Link>
        </div>
        <TakePapers jobId={jobId} />
      </header>
      <div className="grid gap-6 min-[1000px]:grid-cols-[13rem_1fr]">
        <nav aria-label="Contents" className="min-[1000px]:sticky min-[1000px]:top-4 min-[1000px]:self-start">
          <ol className="columns-2 space-y-1 min-[1000px]:columns-1">
            {paper.sections.map(({ heading }, i) => (
              <li key={i}>
                <a className="underline underline-offset-4" href={`#part-${i}`}>
                  {heading}
                </a>
              </li>
            ))}
          </ol>
        </nav>
        <div className="min-w-0 space-y-8">
          {pairs.length > 0 && <BeforeAfter pairs={pairs} />}
          {paper.sections.map(({ heading, blocks }, i) => (
            <section key={i} id={`part-${i}`} aria-label={heading} className="scroll-mt-4 space-y-3">
              <h2 className="border-b border-hairline pb-1">{heading}</h2>
              <Blocks blocks={blocks} />
            </section>
          ))}
        </div>
      </div>
    </div>
  );
}
