import type { PaperPair, PaperPicture } from '@sardonyx/core';
import { HAIRLINE, measure, mm, SOFT, write, type Pdf } from './openPdf.ts';
import { floorOf, innerWidth, makeRoom } from './pageRoom.ts';
import type { Pictures } from './pictures.ts';

const CAPTION = 8;
const GAP = mm(4);
const HIGHEST = mm(75);

const GONE = 'The file of this picture is gone.';

/** Two in a row, each as it is, with what it shows below. */
export async function setPictures(pdf: Pdf, pictures: readonly PaperPicture[], open: Pictures): Promise<void> {
  for (let i = 0; i < pictures.length; i += 2) await setRow(pdf, pictures.slice(i, i + 2), open);
}

/** The same side before and after, side by side and as high. */
export async function setPairs(pdf: Pdf, pairs: readonly PaperPair[], open: Pictures): Promise<void> {
  for (const { before, after } of pairs)
    await setRow(
      pdf,
      [
        { ...before, caption: `Before: ${before.caption}` },
        { ...after, caption: `After: ${after.caption}` },
      ],
      open,
    );
}

async function setRow(pdf: Pdf, row: readonly PaperPicture[], open: Pictures): Promise<void> {
  const { left } = pdf.page.margins;
  const width = (innerWidth(pdf) - GAP) / 2;
  const heightOf = ({ widthPx, heightPx }: PaperPicture) => Math.min(HIGHEST, (width * heightPx) / widthPx);
  const height = Math.max(...row.map(heightOf));
  const caption = { size: CAPTION, width };
  const captions = Math.max(...row.map((one) => measure(pdf, one.caption, caption)));
  makeRoom(pdf, Math.min(height + captions + 10, floorOf(pdf) - pdf.page.margins.top));
  const { y } = pdf;
  let lowest = y;
  for (const [i, picture] of row.entries()) {
    const x = left + i * (width + GAP);
    const bytes = await open(picture.sha256);
    if (bytes) pdf.image(bytes, x, y, { fit: [width, height], align: 'center', valign: 'center' });
    else {
      pdf.rect(x, y, width, height).lineWidth(0.4).strokeColor(HAIRLINE).stroke();
      write(pdf, GONE, { ...caption, x: x + 4, y: y + 4, width: width - 8, colour: SOFT });
    }
    write(pdf, picture.caption, { ...caption, x, y: y + height + 2, colour: SOFT });
    lowest = Math.max(lowest, pdf.y);
  }
  pdf.y = lowest + 8;
}
