import type { JobRecord } from '../jobRecord.ts';
import { text } from './blocks.ts';
import type { PaperDates, WrittenPaper } from './paper.ts';
import { pairPhotos } from './photoSections.ts';

/** The same sides before and after, side by side. */
export function writeBeforeAfter(record: JobRecord, dates: PaperDates): WrittenPaper {
  const pairs = pairPhotos(record, dates);
  return {
    title: `${record.job.number} ${record.job.title}`,
    sections: [
      {
        heading: 'The same sides, before and after',
        blocks: pairs.length
          ? [{ kind: 'pairs', pairs }]
          : text('No side was photographed both before the work and after it.'),
      },
    ],
  };
}
