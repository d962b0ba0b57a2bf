import type { Writable } from 'node:stream';
import { finished } from 'node:stream/promises';
import PDFDocument from 'pdfkit';
import { FACES, readFace, splitRuns, type Face } from './fonts.ts';

const PT_PER_MM = 72 / 25.4;
export const mm = (length: number): number => length * PT_PER_MM;

export interface PdfOptions {
  readonly title: string;
  readonly widthMm: number;
  readonly heightMm: number;
  readonly marginMm: number;
  readonly at: Date;
  /** Where it goes as it is set: pictures are not kept until the end. Without, it is only tried. */
  readonly to?: Writable | undefined;
}

/** A PDF whose pages are kept until it is closed, so that numbers and contents can be written at the end. */
export type Pdf = InstanceType<typeof PDFDocument>;

export function openPdf({ title, widthMm, heightMm, marginMm, at, to }: PdfOptions): Pdf {
  const pdf = new PDFDocument({
    size: [mm(widthMm), mm(heightMm)],
    margin: mm(marginMm),
    bufferPages: true,
    lang: 'en',
    displayTitle: true,
    info: { Title: title, CreationDate: at, ModDate: at, Creator: 'Sardonyx', Producer: 'Sardonyx' },
  });
  for (const face of Object.keys(FACES) as (keyof typeof FACES)[]) pdf.registerFont(face, readFace(face));
  if (to) pdf.pipe(to);
  return pdf;
}

/** Until all of it went where it was to go. */
export async function closePdf(pdf: Pdf, to: Writable): Promise<void> {
  pdf.end();
  await finished(to);
}

export interface Written {
  readonly face?: Face;
  readonly size: number;
  readonly width: number;
  readonly colour?: string;
  readonly x?: number;
  readonly y?: number;
}

const INK = '#1b1a18';
export const SOFT = '#57534c';
export const HAIRLINE = '#c9c3b8';

/** Writes text that wraps within a width, letter by letter in the file of the font that has it. */
export function write(pdf: Pdf, text: string, { face = 'plain', size, width, colour = INK, x, y }: Written): void {
  const runs = splitRuns(text, face);
  pdf.fontSize(size).fillColor(colour);
  if (x !== undefined) pdf.x = x;
  if (y !== undefined) pdf.y = y;
  runs.forEach((run, i) =>
    pdf.font(run.face).text(run.text, { width, continued: i < runs.length - 1, lineGap: size * 0.15 }),
  );
}

/** How high it becomes. Letters of the other file are about as wide. */
export function measure(pdf: Pdf, text: string, { face = 'plain', size, width }: Written): number {
  const said = splitRuns(text, face)
    .map((run) => (run.face === face ? run.text : 'n'.repeat(run.text.length)))
    .join('');
  return pdf
    .font(face)
    .fontSize(size)
    .heightOfString(said || ' ', { width, lineGap: size * 0.15 });
}
