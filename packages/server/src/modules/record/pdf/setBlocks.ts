import type { PaperBlock, PaperTable } from '@sardonyx/core';
import { HAIRLINE, measure, mm, SOFT, write, type Pdf } from './openPdf.ts';
import { floorOf, innerWidth, makeRoom } from './pageRoom.ts';
import type { Pictures } from './pictures.ts';
import { setPairs, setPictures } from './setPictures.ts';

const CELL_GAP = 6;

/** What blocks are set with. */
export interface Setting {
  readonly pdf: Pdf;
  readonly pictures: Pictures;
  /** Size of the text, pt. */
  readonly body: number;
}

/** Sets blocks one below the other, over as many pages as they need. */
export async function setBlocks(setting: Setting, blocks: readonly PaperBlock[]): Promise<void> {
  for (const block of blocks) await setBlock(setting, block);
}

async function setBlock(setting: Setting, block: PaperBlock): Promise<void> {
  const { pdf, pictures, body } = setting;
  const under = body * 1.15;
  const { left } = pdf.page.margins;
  const width = innerWidth(pdf);
  switch (block.kind) {
    case 'text':
      setLine(setting, block.text, width, left);
      pdf.y += 3;
      return;
    case 'under':
      // Not alone at the foot of a page.
      makeRoom(pdf, 3 * under + 3 * body);
      pdf.y += 5;
      write(pdf, block.text, { face: 'bold', size: under, width, x: left });
      pdf.y += 1;
      return;
    case 'facts':
      for (const [label, value] of block.facts) setFact(setting, label, value);
      pdf.y += 3;
      return;
    case 'list':
      for (const item of block.items) {
        makeRoom(pdf, measure(pdf, item, { size: body, width: width - 10 }));
        const { y } = pdf;
        write(pdf, '–', { size: body, width: 8, x: left, y });
        write(pdf, item, { size: body, width: width - 10, x: left + 10, y });
      }
      pdf.y += 3;
      return;
    case 'table':
      return setTable(setting, block);
    case 'pictures':
      return setPictures(pdf, block.pictures, pictures);
    case 'pairs':
      return setPairs(pdf, block.pairs, pictures);
  }
}

function setLine({ pdf, body }: Setting, text: string, width: number, x: number): void {
  makeRoom(pdf, 2 * body);
  write(pdf, text, { size: body, width, x });
}

const LABEL = mm(34);

function setFact({ pdf, body }: Setting, label: string, value: string): void {
  const { left } = pdf.page.margins;
  const width = innerWidth(pdf) - LABEL;
  makeRoom(pdf, measure(pdf, value, { size: body, width }));
  const { y } = pdf;
  write(pdf, label, { size: body, width: LABEL - 4, x: left, y, colour: SOFT });
  const after = pdf.y;
  write(pdf, value, { size: body, width, x: left + LABEL, y });
  pdf.y = Math.max(after, pdf.y);
}

/** Rows with a hairline between; the head comes again on every page. */
function setTable({ pdf, body }: Setting, { columns, rows }: PaperTable): void {
  const { left } = pdf.page.margins;
  const all = columns.reduce((sum, { width }) => sum + width, 0);
  const widths = columns.map(({ width }) => (innerWidth(pdf) * width) / all);
  const xs = widths.map((_, i) => left + widths.slice(0, i).reduce((sum, width) => sum + width, 0));
  const cell = (i: number) => ({ size: body - 0.5, width: widths[i]! - CELL_GAP, x: xs[i]! });
  const setRow = (cells: readonly string[], face: 'plain' | 'bold') => {
    const { y } = pdf;
    let lowest = y;
    cells.forEach((text, i) => {
      write(pdf, text, { ...cell(i), face, y });
      lowest = Math.max(lowest, pdf.y);
    });
    pdf.y = lowest + 2;
    pdf
      .moveTo(left, pdf.y)
      .lineTo(left + innerWidth(pdf), pdf.y)
      .lineWidth(0.4)
      .strokeColor(HAIRLINE)
      .stroke();
    pdf.y += 3;
  };
  const heightOf = (cells: readonly string[]) => Math.max(...cells.map((text, i) => measure(pdf, text, cell(i)))) + 5;
  const head = columns.map(({ title }) => title);
  makeRoom(pdf, heightOf(head) + (rows[0] ? heightOf(rows[0]) : 0));
  setRow(head, 'bold');
  for (const row of rows) {
    if (pdf.y + heightOf(row) > floorOf(pdf)) {
      pdf.addPage();
      setRow(head, 'bold');
    }
    setRow(row, 'plain');
  }
  pdf.y += 3;
}
