import { PassThrough, type Writable } from 'node:stream';
import { buffer } from 'node:stream/consumers';
import { writeBeforeAfter, writeCard, writeHandOn, writeRecord, type JobRecord, type PaperDates } from '@sardonyx/core';
import type { Hands } from '../../aside/asideTask.ts';
import { openPictures } from './pdf/pictures.ts';
import { printBoxLabel } from './pdf/printBoxLabel.ts';
import { printPaper } from './pdf/printPaper.ts';
import { readRecordToSay } from './readRecord.ts';

/** Papers of a job, by the name under which they are asked for. */
export const PAPERS = {
  card: { kind: 'Record card', write: writeCard, hasContents: false, isOnePage: true },
  record: { kind: 'Full record', write: writeRecord, hasContents: true },
  'hand-on': { kind: 'Hand-on sheet', write: writeHandOn, hasContents: false },
  'before-after': { kind: 'Before and after', write: writeBeforeAfter, hasContents: false },
} as const;
export type PaperName = keyof typeof PAPERS | 'label';

export interface PaperOrder {
  readonly jobId: string;
  readonly paper: PaperName;
  readonly folder: string;
  /** Of the bench as it was asked, for the code on the label. */
  readonly base: string;
  readonly at: string;
}

/** A paper of a job as PDF. */
export async function printPaperOf(order: PaperOrder, hands: Hands): Promise<Uint8Array> {
  const said = await hands.look((manager) => readRecordToSay(manager, order.jobId, new Date(order.at)));
  const through = new PassThrough();
  const [bytes] = await Promise.all([buffer(through), printPaperFrom(said, order, through)]);
  return bytes;
}

/** The same, from a record that was read already, to where it shall go. */
export function printPaperFrom(
  { record, dates }: { readonly record: JobRecord; readonly dates: PaperDates },
  { paper, folder, base, jobId, at: madeAt }: PaperOrder,
  to: Writable,
): Promise<void> {
  const at = new Date(madeAt);
  if (paper === 'label')
    return printBoxLabel(record, dates, { address: `${base}/jobs/${encodeURIComponent(jobId)}`, at }, to);
  const { write, ...options } = PAPERS[paper];
  return printPaper(write(record, dates), { ...options, pictures: openPictures(folder), at }, to);
}
