import { LABEL_SHEET, layLabels, type Label } from '@sardonyx/core';
import type { PDFPage } from 'pdf-lib';
import { create } from 'qrcode';

const PT_PER_MM = 72 / 25.4;
const INNER_MM = 2;
const TITLE_PT = 12;
const LINE_PT = 7.5;

/** A sheet of labels at true size, each with a code that opens its page. */
export async function printLabels(labels: readonly Label[]): Promise<Uint8Array> {
  const { PDFDocument, StandardFonts, rgb } = await import('pdf-lib');
  const pdf = await PDFDocument.create();
  pdf.setTitle('Labels');
  const bold = await pdf.embedFont(StandardFonts.HelveticaBold);
  const plain = await pdf.embedFont(StandardFonts.Helvetica);
  const { width, height, labelWidth, labelHeight, code } = LABEL_SHEET;
  for (const laid of layLabels(labels)) {
    const page = pdf.addPage([width * PT_PER_MM, height * PT_PER_MM]);
    /** Of the paper's lower left corner, as PDF counts. */
    const at = (x: number, y: number) => ({ x: x * PT_PER_MM, y: (height - y) * PT_PER_MM });
    for (const { title, lines, address, x, y } of laid) {
      page.drawRectangle({
        ...at(x, y + labelHeight),
        ...{ width: labelWidth * PT_PER_MM, height: labelHeight * PT_PER_MM },
        ...{ borderWidth: 0.4, borderColor: rgb(0.6, 0.6, 0.6) },
      });
      drawCode(page, address, { left: x + INNER_MM, top: y + INNER_MM, side: code }, height);
      const textX = x + code + 2 * INNER_MM;
      const room = (labelWidth - code - 3 * INNER_MM) * PT_PER_MM;
      const write = (text: string, down: number, font: typeof plain, size: number) =>
        page.drawText(
          shorten(printable(text), (part) => font.widthOfTextAtSize(part, size) <= room),
          {
            ...at(textX, y + down),
            ...{ font, size, color: rgb(0.05, 0.05, 0.05) },
          },
        );
      write(title, 6.5, bold, TITLE_PT);
      lines.forEach((line, i) => write(line, 11 + 3.6 * i, plain, LINE_PT));
    }
  }
  return pdf.save();
}

interface Square {
  readonly left: number;
  readonly top: number;
  readonly side: number;
}

/** The code's dark modules, each a square of the paper. */
function drawCode(page: PDFPage, text: string, { left, top, side }: Square, height: number): void {
  const { modules } = create(text, { errorCorrectionLevel: 'M' });
  const module = side / modules.size;
  for (let row = 0; row < modules.size; row++)
    for (let column = 0; column < modules.size; column++)
      if (modules.get(row, column))
        page.drawRectangle({
          x: (left + column * module) * PT_PER_MM,
          y: (height - top - (row + 1) * module) * PT_PER_MM,
          ...{ width: module * PT_PER_MM, height: module * PT_PER_MM },
        });
}

/** The standard fonts know Latin letters only; anything else becomes a question mark rather than an error. */
const printable = (text: string): string => text.replace(/×/g, 'x').replace(/[^\x20-\x7e\xa0-\xff]/g, '?');

function shorten(text: string, fits: (part: string) => boolean): string {
  if (fits(text)) return text;
  let end = text.length;
  while (end > 1 && !fits(`${text.slice(0, end)}...`)) end--;
  return `${text.slice(0, end)}...`;
}
