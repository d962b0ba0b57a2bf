import { create } from 'qrcode';
import type { JobRecord, PaperDates } from '@sardonyx/core';
import { closePdf, measure, mm, openPdf, SOFT, write, type Pdf } from './openPdf.ts';

/** Of the label, mm: it fits the side of a usual box. */
const BOX_LABEL = { width: 80, height: 40, margin: 3, code: 26 } as const;

/** A label for the box, on a page of its own true size, with a code that opens the job. */
export async function printBoxLabel(
  { job, models }: JobRecord,
  dates: PaperDates,
  { address, at }: { readonly address: string; readonly at: Date },
): Promise<Buffer> {
  const { width, height, margin, code } = BOX_LABEL;
  const pdf = openPdf({ title: `${job.number}: box label`, widthMm: width, heightMm: height, marginMm: margin, at });
  drawCode(pdf, address, { x: margin, y: margin, side: code });
  const x = mm(2 * margin + code);
  const room = mm(width - code - 3 * margin);
  const floor = mm(height - margin);
  const line = (text: string, size: number, face: 'plain' | 'bold' = 'plain', colour?: string) => {
    const set = { size, face, width: room, x, y: pdf.y, ...(colour ? { colour } : {}) };
    if (pdf.y + measure(pdf, text, set) <= floor) write(pdf, text, set);
  };
  pdf.y = mm(margin);
  line(job.number, 13, 'bold');
  line(job.title, 9, 'bold');
  for (const { casting } of models.slice(0, 2))
    if (casting) line(`${casting.maker}, ${casting.range} ${casting.number} ${casting.name}`, 7.5);
  line(
    job.signedOffAt ? `Signed off ${dates.day(job.signedOffAt)}, ${job.signedOffBy}` : 'Not finished',
    7,
    'plain',
    SOFT,
  );
  line('A collector’s piece, not a toy: small parts, old paint.', 7, 'plain', SOFT);
  return closePdf(pdf);
}

interface Square {
  readonly x: number;
  readonly y: number;
  readonly side: number;
}

/** The dark modules of a code, each a square of the paper. */
function drawCode(pdf: Pdf, text: string, { x, y, side }: Square): void {
  const { modules } = create(text, { errorCorrectionLevel: 'M' });
  const one = side / modules.size;
  for (let row = 0; row < modules.size; row++)
    for (let column = 0; column < modules.size; column++)
      if (modules.get(row, column)) pdf.rect(mm(x + column * one), mm(y + row * one), mm(one), mm(one));
  pdf.fill('#000');
}
