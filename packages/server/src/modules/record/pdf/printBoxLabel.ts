import type { Writable } from 'node:stream';
import { create } from 'qrcode';
import type { JobRecord, PaperDates } from '@sardonyx/core';
import { closePdf, measure, mm, openPdf, SOFT, write, type Pdf, type Written } from './openPdf.ts';

/** Of the label, mm: it fits the side of a usual box. */
const BOX_LABEL = { width: 80, height: 40, margin: 3, code: 26 } as const;

/** A label for the box, on a page of its own true size, with a code that opens the job. */
export async function printBoxLabel(
  { job, models }: JobRecord,
  dates: PaperDates,
  { address, at }: { readonly address: string; readonly at: Date },
  to: Writable,
): Promise<void> {
  const { width, height, margin, code } = BOX_LABEL;
  const pdf = openPdf({
    title: `${job.number}: box label`,
    widthMm: width,
    heightMm: height,
    marginMm: margin,
    at,
    to,
  });
  drawCode(pdf, address, { x: margin, y: margin, side: code });
  const x = mm(2 * margin + code);
  const room = mm(width - code - 3 * margin);
  const line = (text: string, most: number, set: { size: number; face?: 'plain' | 'bold'; colour?: string }) => {
    const written = { ...set, width: room, x, y: pdf.y };
    write(pdf, shorten(pdf, text, { ...written, lines: most }), written);
  };
  pdf.y = mm(margin);
  line(job.number, 1, { size: 13, face: 'bold' });
  line(job.title, 2, { size: 9, face: 'bold' });
  const castings = models.flatMap(({ casting }) =>
    casting ? [`${casting.range} ${casting.number} ${casting.name}`] : [],
  );
  if (castings.length) line([...new Set(castings)].join(', '), 2, { size: 7.5 });
  const state = job.signedOffAt ? `Signed off ${dates.day(job.signedOffAt)}, ${job.signedOffBy}` : 'Not finished';
  line(state, 1, { size: 7, colour: SOFT });
  line('A collector’s piece, not a toy: small parts, old paint.', 2, { size: 7, colour: SOFT });
  await closePdf(pdf, to);
}

/** As much of it as goes on so many lines. */
function shorten(pdf: Pdf, text: string, { lines, ...set }: Written & { readonly lines: number }): string {
  const isShort = (said: string) => measure(pdf, said, set) <= lines * measure(pdf, 'x', set) + 0.1;
  if (isShort(text)) return text;
  let end = text.length;
  while (end > 0 && !isShort(`${text.slice(0, end)}…`)) end--;
  return `${text.slice(0, end).trimEnd()}…`;
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
