import { TakeOut } from '../../shared/ui/TakeOut.tsx';

const PAPERS = [
  ['papers/record.pdf', 'Full record (PDF)', 'Writing the full record'],
  ['papers/card.pdf', 'Record card (PDF)', 'Writing the record card'],
  ['papers/hand-on.pdf', 'Hand-on sheet (PDF)', 'Writing the hand-on sheet'],
  ['papers/before-after.pdf', 'Before and after (PDF)', 'Laying pictures side by side'],
  ['papers/label.pdf', 'Box label (PDF)', 'Drawing the label'],
  ['record.txt', 'Plain text', 'Writing the record as text'],
  ['record.json', 'Data (JSON)', 'Writing the record as data'],
  ['archive.zip', 'Whole job (ZIP)', 'Packing record, papers and pictures'],
] as const;

/** Every paper of a job, to print or to keep. */
export const TakePapers = ({ jobId }: { readonly jobId: string }) => (
  <div role="group" aria-label="Papers to take out" className="flex flex-wrap gap-3">
    {PAPERS.map(([path, name, what]) => (
      <TakeOut key={path} address={`/api/jobs/${encodeURIComponent(jobId)}/${path}`} what={what}>
        {name}
      </TakeOut>
    ))}
  </div>
);
