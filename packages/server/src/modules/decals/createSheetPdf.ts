import { flattenLines, flattenPath, type InkShape, type Point, type SheetDrawing } from '@sardonyx/core';
import type { Color, PDFOperator } from 'pdf-lib';

const PT_PER_MM = 72 / 25.4;
const HAIR_MM = 0.1;

/** A sheet of decals as a page of its own size, lengths true; words stand in the strip of the rules. */
export async function createSheetPdf(drawing: SheetDrawing, words: string): Promise<Uint8Array> {
  const lib = await import('pdf-lib');
  const pdf = await lib.PDFDocument.create();
  pdf.setTitle('Decals');
  const { lengthMm, widthMm, inks, lines, rules } = drawing;
  const page = pdf.addPage([lengthMm * PT_PER_MM, widthMm * PT_PER_MM]);
  const font = await pdf.embedFont(lib.StandardFonts.Helvetica);
  const operator = (name: 'FillNonZero' | 'FillEvenOdd') => lib.PDFOperator.of(lib.PDFOperatorNames[name]);
  const colourOf = (hex: string): Color => {
    const [r, g, b] = [1, 3, 5].map((i) => parseInt(hex.slice(i, i + 2), 16) / 255);
    return lib.rgb(r!, g!, b!);
  };
  const trace = (line: readonly Point[]): PDFOperator[] =>
    line.map(({ x, y }, i) => (i === 0 ? lib.moveTo : lib.lineTo)(x * PT_PER_MM, (widthMm - y) * PT_PER_MM));
  const draw = ({ d, fill, isEvenOdd, stroke, strokeMm }: InkShape) => {
    if (fill !== null)
      page.pushOperators(
        lib.setFillingColor(colourOf(fill)),
        ...flattenPath(d).flatMap((ring) => [...trace(ring), lib.closePath()]),
        operator(isEvenOdd ? 'FillEvenOdd' : 'FillNonZero'),
      );
    if (stroke !== null)
      page.pushOperators(
        lib.setStrokingColor(colourOf(stroke)),
        lib.setLineWidth(strokeMm * PT_PER_MM),
        ...flattenLines(d).flatMap(trace),
        lib.stroke(),
      );
  };
  inks.forEach(draw);
  for (const { from, to } of lines)
    page.drawLine({
      start: { x: from.x * PT_PER_MM, y: (widthMm - from.y) * PT_PER_MM },
      end: { x: to.x * PT_PER_MM, y: (widthMm - to.y) * PT_PER_MM },
      thickness: HAIR_MM * PT_PER_MM,
    });
  const note = `${rules.along.mm} mm along, ${rules.down.mm} mm down. ${words}`;
  page.drawText(note.replace(/[^\x20-\x7e\xa0-\xff]/g, '?'), {
    ...{ x: rules.along.fromX * PT_PER_MM, y: (widthMm - rules.along.fromY - 2.2) * PT_PER_MM, font, size: 5 },
    color: lib.rgb(0.3, 0.3, 0.3),
  });
  return pdf.save();
}
