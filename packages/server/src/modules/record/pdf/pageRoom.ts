import type { Pdf } from './openPdf.ts';

export const innerWidth = (pdf: Pdf) => pdf.page.width - pdf.page.margins.left - pdf.page.margins.right;
export const floorOf = (pdf: Pdf) => pdf.page.height - pdf.page.margins.bottom;

/** Goes to the next page where so much has no room any more. */
export function makeRoom(pdf: Pdf, height: number): void {
  if (pdf.y + height > floorOf(pdf)) pdf.addPage();
}
