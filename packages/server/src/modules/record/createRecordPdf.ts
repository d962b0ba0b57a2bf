import { sayCoats, type JobRecord } from '@sardonyx/core';
import type { Color, PDFFont, PDFPage } from 'pdf-lib';

const PAGE = { width: 595, height: 842, margin: 48 };
const BODY_PT = 9.5;

/** One plain A4 page: what it is, what was done, what is on it, and the disclosure. What does not fit is counted. */
export async function createRecordPdf(record: JobRecord): Promise<Uint8Array> {
  // A tenth of the server's start, for a page that is seldom asked for.
  const { PDFDocument, StandardFonts, rgb } = await import('pdf-lib');
  const pdf = await PDFDocument.create();
  const page = pdf.addPage([PAGE.width, PAGE.height]);
  const plain = await pdf.embedFont(StandardFonts.Helvetica);
  const bold = await pdf.embedFont(StandardFonts.HelveticaBold);
  pdf.setTitle(`${record.job.number} ${record.job.title}`);
  const column = createColumn(page, plain, bold, { ink: rgb(0.1, 0.1, 0.1), faint: rgb(0.35, 0.35, 0.35) });

  column.heading(`${record.job.number}  ${record.job.title}`, 18);
  column.text(
    `Came in ${record.job.intakeOn}. ${record.job.signedOffAt ? `Signed off ${record.job.signedOffAt.slice(0, 10)} by ${record.job.signedOffBy}.` : 'Not signed off yet.'} Target: ${record.job.target}.`,
  );
  column.text(record.disclosure);
  for (const specimen of record.specimens) {
    column.heading(specimen.name, 13);
    column.text(`${specimen.casting}. ${specimen.verdict}`);
    for (const part of specimen.parts) {
      const coats = sayCoats(part.coatsApplied);
      const pieces = [
        part.origin === 'unknown' ? 'origin not known' : part.origin,
        ...part.findings,
        ...part.cameOff.map((how) => `came off ${how}`),
        ...part.wants,
        ...(coats ? [`coats: ${coats}`] : []),
      ];
      column.text(`${part.name} (${part.material}): ${pieces.join('; ')}`, true);
    }
  }
  if (record.colours.length + record.mixes.length > 0) column.heading('Colours', 13);
  for (const { part, place, lab, method } of record.colours)
    column.text(`${part}, ${place}: L* a* b* ${lab.map((one) => one.toFixed(1)).join(' ')} (${method})`, true);
  for (const mix of record.mixes.filter((one) => one.isKept))
    column.text(`${mix.name}: ${mix.paints.map(({ name, ml }) => `${ml.toFixed(2)} ml ${name}`).join(', ')}`, true);
  column.heading('Work', 13);
  const done = record.work.filter((entry) => entry.act === 'done');
  column.text(
    `${done.length} tasks done, ${record.handsOnMinutesPlanned} minutes planned at the hands, ${record.photos.length} photos.`,
  );
  for (const entry of done)
    column.text(`${entry.at.slice(0, 10)}  ${entry.task} (${entry.who})${entry.note ? `: ${entry.note}` : ''}`, true);
  column.finish();
  return pdf.save();
}

function createColumn(page: PDFPage, plain: PDFFont, bold: PDFFont, { ink, faint }: Record<'ink' | 'faint', Color>) {
  let y = PAGE.height - PAGE.margin;
  let dropped = 0;
  const floor = PAGE.margin + 16;
  const line = (text: string, font: PDFFont, size: number, indent: number) => {
    if (y - size < floor) {
      dropped++;
      return;
    }
    y -= size * 1.35;
    page.drawText(text, { x: PAGE.margin + indent, y, size, font, color: ink });
  };
  return {
    heading(text: string, size: number) {
      y -= 6;
      for (const part of wrap(printable(text), bold, size, PAGE.width - 2 * PAGE.margin)) line(part, bold, size, 0);
    },
    text(text: string, indented = false) {
      const indent = indented ? 12 : 0;
      for (const part of wrap(printable(text), plain, BODY_PT, PAGE.width - 2 * PAGE.margin - indent))
        line(part, plain, BODY_PT, indent);
    },
    finish() {
      const note = dropped
        ? `${dropped} more lines are in the JSON record.`
        : 'The full record is in the JSON file of the same name.';
      page.drawText(note, { x: PAGE.margin, y: PAGE.margin, size: 8, font: plain, color: faint });
    },
  };
}

/** The standard fonts know Latin letters only; anything else becomes a question mark rather than an error. */
const printable = (text: string) => text.replace(/[←→]/g, '<-').replace(/[^\x20-\x7e\xa0-\xff]/g, '?');

function wrap(text: string, font: PDFFont, size: number, width: number): string[] {
  const lines: string[] = [];
  let current = '';
  for (const word of text.split(' ')) {
    const longer = current ? `${current} ${word}` : word;
    if (current && font.widthOfTextAtSize(longer, size) > width) {
      lines.push(current);
      current = word;
    } else current = longer;
  }
  return current ? [...lines, current] : lines;
}
