import type { Artwork, InkShape } from '../../model/decal.ts';

/** An artwork as an SVG file at its true size, mm. */
export function writeDecalSvg({ widthMm, heightMm, shapes }: Artwork): string {
  const [w, h] = [widthMm, heightMm].map((one) => +one.toFixed(4));
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${w}mm" height="${h}mm" viewBox="0 0 ${w} ${h}">`,
    ...shapes.map((shape) => `  ${writeInkShape(shape)}`),
    '</svg>',
    '',
  ].join('\n');
}

/** One shape as an SVG element; all that stands in it was read from numbers and colours. */
export function writeInkShape({ d, fill, isEvenOdd, stroke, strokeMm }: InkShape): string {
  const line = stroke === null ? '' : ` stroke="${stroke}" stroke-width="${+strokeMm.toFixed(4)}"`;
  return `<path fill="${fill ?? 'none'}"${isEvenOdd ? ' fill-rule="evenodd"' : ''}${line} d="${d}"/>`;
}
