import type { JobRecord } from '../jobRecord.ts';
import { writeCoats, writeFailures } from './coatSections.ts';
import { writeColours } from './colourSection.ts';
import { writeDecals } from './decalSection.ts';
import { writeDecisions, writeNotDone, writePlanChanges, writeWork } from './workSections.ts';
import { writeJob, writeHandsOn } from './jobSections.ts';
import { writeJoints, writeModel } from './modelSections.ts';
import type { WrittenPaper, PaperDates, PaperSection } from './paper.ts';
import { writeParts } from './partSection.ts';
import { writePhotos } from './photoSections.ts';
import { writeCost, writeUsed } from './usedSections.ts';

/** The whole record in words, section by section; a section with nothing to say is left out. */
export function writeRecord(record: JobRecord, dates: PaperDates): WrittenPaper {
  const many = record.models.length > 1;
  const sections = [
    writeJob(record, dates),
    ...record.models.flatMap((model) => {
      const of = many ? `: ${model.name}` : '';
      return [
        writeModel(model, of),
        writeJoints(model, of),
        writeParts(model, dates, of),
        writeCoats(model, dates, of),
      ];
    }),
    writeColours(record, dates),
    writeDecals(record, dates),
    writeFailures(record, dates),
    writeWork(record, dates),
    writeNotDone(record),
    writeDecisions(record),
    writePlanChanges(record, dates),
    writeHandsOn(record),
    writeUsed(record, dates),
    writeCost(record),
    writePhotos(record, dates),
  ];
  return {
    title: `${record.job.number} ${record.job.title}`,
    sections: sections.filter((section): section is PaperSection => section.blocks.length > 0),
  };
}
