import { writeInkShape } from '../artwork/writeDecalSvg.ts';
import type { SheetDrawing } from './drawSheet.ts';

/** A sheet as an SVG file at true size; `withCuts` draws where each piece is cut, for a plotter or for looking. */
export function writeSheetSvg({ lengthMm, widthMm, inks, cuts, lines }: SheetDrawing, withCuts: boolean): string {
  const n = (mm: number) => +mm.toFixed(4);
  const cutPaths = cuts.map((cut) => `  <path d="M${cut.map(({ x, y }) => `${n(x)} ${n(y)}`).join('L')}Z"/>`);
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${lengthMm}mm" height="${widthMm}mm" viewBox="0 0 ${lengthMm} ${widthMm}">`,
    ...inks.map((shape) => `  ${writeInkShape(shape)}`),
    '  <g fill="none" stroke="#000000" stroke-width="0.1">',
    ...lines.map(({ from, to }) => `  <path d="M${n(from.x)} ${n(from.y)}L${n(to.x)} ${n(to.y)}"/>`),
    '  </g>',
    ...(withCuts ? ['  <g fill="none" stroke="#888888" stroke-width="0.1">', ...cutPaths, '  </g>'] : []),
    '</svg>',
    '',
  ].join('\n');
}
