import type { Writable } from 'node:stream';
import type { PaperBlock, WrittenPaper } from '@sardonyx/core';
import { closePdf, HAIRLINE, mm, openPdf, SOFT, write, type Pdf } from './openPdf.ts';
import { floorOf, innerWidth, makeRoom } from './pageRoom.ts';
import type { Pictures } from './pictures.ts';
import { setBlocks } from './setBlocks.ts';

const TITLE = 19;
const CONTENTS = 10;

export interface PrintOptions {
  /** What kind of paper it is: "Full record". */
  readonly kind: string;
  readonly hasContents: boolean;
  /** Where it must go on one page: what does not is told to stand in the full record. */
  readonly isOnePage?: boolean;
  readonly pictures: Pictures;
  readonly at: Date;
}

/** Sizes of text; smaller only where all of it must go on one page. */
const SIZES = [9, 8, 7];

/** A paper on A4 pages: title, contents where they are wanted, sections, and a foot with the number of each page. */
export async function printPaper(paper: WrittenPaper, options: PrintOptions, to: Writable): Promise<void> {
  const [fitting, size] = options.isOnePage ? await fitOnPage(paper, options) : [paper, SIZES[0]!];
  await closePdf(await setPaper(fitting, options, size, to), to);
}

/** As it goes on one page: set smaller, and if that is not enough without its last lines. */
async function fitOnPage(paper: WrittenPaper, options: PrintOptions): Promise<readonly [WrittenPaper, size: number]> {
  const fits = async (tried: WrittenPaper, size: number) =>
    (await setPaper(tried, options, size)).bufferedPageRange().count === 1;
  for (const size of SIZES) if (await fits(paper, size)) return [paper, size];
  const smallest = SIZES.at(-1)!;
  // The fewest lines to leave out, by halves.
  let [tooFew, enough] = [0, countLines(paper)];
  while (enough - tooFew > 1) {
    const lines = Math.floor((tooFew + enough) / 2);
    if (await fits(leaveOut(paper, lines), smallest)) enough = lines;
    else tooFew = lines;
  }
  return [leaveOut(paper, enough), smallest];
}

const countLines = ({ sections }: WrittenPaper): number =>
  sections
    .flatMap(({ blocks }) => blocks)
    .reduce((sum, block) => {
      if (block.kind === 'table') return sum + block.rows.length;
      return sum + (block.kind === 'list' ? block.items.length : block.kind === 'facts' ? block.facts.length : 0);
    }, 0);

/** Without its last rows and lines, so many of them; the last section says so. */
function leaveOut({ title, sections }: WrittenPaper, lines: number): WrittenPaper {
  let toGo = lines;
  const shorten = (block: PaperBlock): PaperBlock => {
    if (block.kind !== 'table' && block.kind !== 'list' && block.kind !== 'facts') return block;
    const take = <T>(some: readonly T[]): readonly T[] => {
      const kept = some.slice(0, Math.max(0, some.length - toGo));
      toGo -= some.length - kept.length;
      return kept;
    };
    if (block.kind === 'table') return { ...block, rows: take(block.rows) };
    return block.kind === 'list' ? { ...block, items: take(block.items) } : { ...block, facts: take(block.facts) };
  };
  const kept = [...sections].reverse().map(({ heading, blocks }) => ({
    heading,
    blocks: [...blocks].reverse().map(shorten).reverse(),
  }));
  const text = `${lines} more ${lines === 1 ? 'line is' : 'lines are'} in the full record.`;
  return { title, sections: [...kept.reverse(), { heading: 'More', blocks: [{ kind: 'text', text }] }] };
}

async function setPaper(
  { title, sections }: WrittenPaper,
  { kind, hasContents, pictures, at }: PrintOptions,
  body: number,
  to?: Writable,
): Promise<Pdf> {
  const pdf = openPdf({
    ...{ title: `${title}: ${kind.toLowerCase()}`, widthMm: 210, heightMm: 297, marginMm: 18, at, to },
  });
  pdf.page.margins.bottom = mm(20);
  pdf.on('pageAdded', () => (pdf.page.margins.bottom = mm(20)));
  const width = innerWidth(pdf);
  write(pdf, kind, { size: 10, width, colour: SOFT });
  write(pdf, title, { face: 'bold', size: TITLE, width });
  pdf.y += 6;
  const contentsAt = pdf.y;
  if (hasContents) pdf.y += (sections.length + 1) * CONTENTS * 1.6 + 8;
  const found: { heading: string; page: number }[] = [];
  for (const { heading, blocks } of sections) {
    makeRoom(pdf, mm(22));
    setHeading(pdf, heading, body);
    found.push({ heading, page: pdf.bufferedPageRange().count - 1 });
    await setBlocks({ pdf, pictures, body }, blocks);
  }
  if (hasContents) setContents(pdf, found, contentsAt);
  numberPages(pdf, title);
  return pdf;
}

function setHeading(pdf: Pdf, heading: string, body: number): void {
  const { left } = pdf.page.margins;
  const width = innerWidth(pdf);
  pdf.y += body;
  write(pdf, heading, { face: 'bold', size: body * 1.45, width, x: left });
  pdf
    .moveTo(left, pdf.y + 1)
    .lineTo(left + width, pdf.y + 1)
    .lineWidth(0.6)
    .strokeColor(HAIRLINE)
    .stroke();
  pdf.y += 6;
  pdf.outline.addItem(heading);
}

function setContents(pdf: Pdf, found: readonly { heading: string; page: number }[], top: number): void {
  pdf.switchToPage(0);
  const { left } = pdf.page.margins;
  const width = innerWidth(pdf);
  write(pdf, 'Contents', { face: 'bold', size: CONTENTS, width, x: left, y: top });
  found.forEach(({ heading, page }, i) => {
    const y = top + (i + 1) * CONTENTS * 1.6;
    write(pdf, heading, { size: CONTENTS, width: width - mm(12), x: left, y });
    write(pdf, String(page + 1), { size: CONTENTS, width: mm(10), x: left + width - mm(10), y });
  });
}

/** Below the margin, where nothing else is set. */
function numberPages(pdf: Pdf, title: string): void {
  const { count } = pdf.bufferedPageRange();
  for (let page = 0; page < count; page++) {
    pdf.switchToPage(page);
    const y = floorOf(pdf) + mm(4);
    pdf.page.margins.bottom = 0;
    const { left } = pdf.page.margins;
    write(pdf, title, { size: 8, width: innerWidth(pdf) * 0.8, x: left, y, colour: SOFT });
    write(pdf, `${page + 1} of ${count}`, {
      size: 8,
      width: mm(30),
      x: left + innerWidth(pdf) - mm(16),
      y,
      colour: SOFT,
    });
  }
}
