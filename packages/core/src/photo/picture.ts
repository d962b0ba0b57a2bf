/** A picture as it comes from a canvas: red, green, blue, alpha, row by row, 0 to 255. */
export interface Picture {
  readonly width: number;
  readonly height: number;
  readonly data: Uint8ClampedArray | Uint8Array;
}

/** Lightness of a pixel, 0 to 255: Rec. 709 weights on the stored values; what lies outside is white. */
export function readGrey({ width, height, data }: Picture, x: number, y: number): number {
  if (x < 0 || y < 0 || x >= width || y >= height) return 255;
  const at = (y * width + x) * 4;
  return 0.2126 * data[at]! + 0.7152 * data[at + 1]! + 0.0722 * data[at + 2]!;
}

/** The same between pixels, bilinear; pixel (0, 0) has its middle at (0, 0). */
export function sampleGrey(picture: Picture, x: number, y: number): number {
  const [x0, y0] = [Math.floor(x), Math.floor(y)];
  const [fx, fy] = [x - x0, y - y0];
  return (
    (1 - fy) * ((1 - fx) * readGrey(picture, x0, y0) + fx * readGrey(picture, x0 + 1, y0)) +
    fy * ((1 - fx) * readGrey(picture, x0, y0 + 1) + fx * readGrey(picture, x0 + 1, y0 + 1))
  );
}
