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
