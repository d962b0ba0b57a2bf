import { decodeLab, encodeLab } from './labCurve.ts';
import { BANDS, ILLUMINANTS, OBSERVER, type Illuminant } from './cieTables.ts';

/** Reflectance 0 to 1 on 31 bands, 400 to 700 nm. */
export type Spectrum = ArrayLike<number>;
export type Xyz = readonly [x: number, y: number, z: number];
export type Lab = readonly [l: number, a: number, b: number];

/** Weights of one illuminant, so that the perfect reflector has Y = 100 on the bands that are there. */
export interface Weights {
  readonly x: Float64Array;
  readonly y: Float64Array;
  readonly z: Float64Array;
  /** The sums: the white of Lab. A table's built-in white would shift neutrals by 0.2. */
  readonly white: Xyz;
}

function createWeights(illuminant: Illuminant): Weights {
  const power = ILLUMINANTS[illuminant];
  const scale = 100 / power.reduce((sum, one, i) => sum + one * OBSERVER.y[i]!, 0);
  const weigh = (observer: readonly number[]) => Float64Array.from(power, (one, i) => one * observer[i]! * scale);
  const [x, y, z] = [weigh(OBSERVER.x), weigh(OBSERVER.y), weigh(OBSERVER.z)];
  const sum = (list: Float64Array) => list.reduce((total, one) => total + one, 0);
  return { x, y, z, white: [sum(x), sum(y), sum(z)] };
}

export const WEIGHTS: Readonly<Record<Illuminant, Weights>> = { D65: createWeights('D65'), A: createWeights('A') };

/** Tristimulus values of a reflectance under an illuminant. Throws RangeError when it has not 31 bands. */
export function computeXyz(spectrum: Spectrum, illuminant: Illuminant = 'D65'): Xyz {
  if (spectrum.length !== BANDS) throw new RangeError(`A spectrum has ${BANDS} bands, not ${spectrum.length}`);
  const weights = WEIGHTS[illuminant];
  let x = 0;
  let y = 0;
  let z = 0;
  for (let i = 0; i < BANDS; i++) {
    const r = spectrum[i]!;
    x += weights.x[i]! * r;
    y += weights.y[i]! * r;
    z += weights.z[i]! * r;
  }
  return [x, y, z];
}

export function convertXyzToLab([x, y, z]: Xyz, illuminant: Illuminant = 'D65'): Lab {
  const { white } = WEIGHTS[illuminant];
  const [fx, fy, fz] = [encodeLab(x / white[0]), encodeLab(y / white[1]), encodeLab(z / white[2])];
  return [116 * fy - 16, 500 * (fx - fy), 200 * (fy - fz)];
}

export function convertLabToXyz([l, a, b]: Lab, illuminant: Illuminant = 'D65'): Xyz {
  const { white } = WEIGHTS[illuminant];
  const fy = (l + 16) / 116;
  return [white[0] * decodeLab(fy + a / 500), white[1] * decodeLab(fy), white[2] * decodeLab(fy - b / 200)];
}

export const computeLab = (spectrum: Spectrum, illuminant: Illuminant = 'D65'): Lab =>
  convertXyzToLab(computeXyz(spectrum, illuminant), illuminant);
