import { WEIGHTS, convertLabToXyz, convertXyzToLab, type Lab, type Xyz } from './colorimetry.ts';
import { InvalidInputError } from '../model/errors.ts';

/** Red, green, blue of sRGB, 0 to 1, encoded. */
export type Rgb = readonly [r: number, g: number, b: number];

/** IEC 61966-2-1: linear sRGB to XYZ of D65 with its own white; rows are scaled so that white is the white of our bands. */
const TO_XYZ = (() => {
  const rows = [
    [0.4124564, 0.3575761, 0.1804375],
    [0.2126729, 0.7151522, 0.072175],
    [0.0193339, 0.119192, 0.9503041],
  ] as const;
  const { white } = WEIGHTS.D65;
  return rows.map((row, i) => row.map((one) => (one * white[i]!) / (row[0] + row[1] + row[2])));
})();
const FROM_XYZ = invert3(TO_XYZ);

export const decodeSrgb = (v: number): number => (v <= 0.04045 ? v / 12.92 : ((v + 0.055) / 1.055) ** 2.4);
export const encodeSrgb = (v: number): number => (v <= 0.0031308 ? 12.92 * v : 1.055 * v ** (1 / 2.4) - 0.055);

const convertLinearRgbToXyz = (rgb: Rgb): Xyz => apply(TO_XYZ, rgb);

const convertRgbToLab = (rgb: Rgb): Lab =>
  convertXyzToLab(convertLinearRgbToXyz([decodeSrgb(rgb[0]), decodeSrgb(rgb[1]), decodeSrgb(rgb[2])]));

/** How a colour is shown; channels beyond the screen are cut, and `isShown` says whether none had to be. */
export function convertLabToRgb(lab: Lab): { readonly rgb: Rgb; readonly isShown: boolean } {
  const linear = apply(FROM_XYZ, convertLabToXyz(lab));
  const isShown = linear.every((one) => one > -0.002 && one < 1.002);
  const [r, g, b] = linear.map((one) => encodeSrgb(Math.min(1, Math.max(0, one)))) as unknown as Rgb;
  return { rgb: [r, g, b], isShown };
}

const byte = (v: number) =>
  Math.round(v * 255)
    .toString(16)
    .padStart(2, '0');

export const convertLabToHex = (lab: Lab): string => `#${convertLabToRgb(lab).rgb.map(byte).join('')}`;

/** Throws InvalidInputError for anything but #rrggbb. */
export function convertHexToLab(hex: string): Lab {
  if (!/^#[0-9a-f]{6}$/i.test(hex)) throw new InvalidInputError('hex', `"${hex}" is not a colour like #4d6378.`, 'hex');
  const at = (from: number) => parseInt(hex.slice(from, from + 2), 16) / 255;
  return convertRgbToLab([at(1), at(3), at(5)]);
}

function apply(rows: readonly (readonly number[])[], v: readonly number[]): [number, number, number] {
  const [x, y, z] = rows.map((row) => row[0]! * v[0]! + row[1]! * v[1]! + row[2]! * v[2]!);
  return [x!, y!, z!];
}

function invert3(m: readonly (readonly number[])[]): number[][] {
  const at = (r: number, c: number) => m[r % 3]![c % 3]!;
  const minor = (r: number, c: number) => at(r + 1, c + 1) * at(r + 2, c + 2) - at(r + 1, c + 2) * at(r + 2, c + 1);
  const det = [0, 1, 2].reduce((sum, c) => sum + at(0, c) * minor(0, c), 0);
  return [0, 1, 2].map((r) => [0, 1, 2].map((c) => minor(c, r) / det));
}
