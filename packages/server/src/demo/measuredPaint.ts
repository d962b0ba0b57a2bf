import {
  BANDS,
  computeQ,
  convertHexToLab,
  createSeededRandom,
  fitPaint,
  mixOptics,
  predictMix,
  reconstructFromLab,
  removeSurface,
  surfaceOf,
  type OpticsRecord,
} from '@sardonyx/core';

const SURFACE = surfaceOf('gloss left out');
/** Volume shares of the drawdowns: the paint itself, and tints in white. */
const SHARES = [1, 0.4, 0.1] as const;
const NOISE = 0.0015;
/** Scattering of the white of every line, 1/mm. */
const WHITE_S = 120;

type Optics = { readonly k: Float64Array; readonly s: Float64Array };

/** What an invented paint truly is: its colour as a thick film, its scattering, and how strongly it acts in a mix. */
function inventPaint(hex: string, scatter: number, strength: number, tilt: number): Optics {
  const reflectance = reconstructFromLab(convertHexToLab(hex));
  const s = Float64Array.from({ length: BANDS }, (_, i) => strength * scatter * (1 + (tilt * (i - 15)) / 30));
  const k = Float64Array.from(reflectance, (one, i) => s[i]! * computeQ(removeSurface(one, SURFACE)));
  return { k, s };
}

export const WHITE_HEX = '#f1f0ea';
const WHITE = inventPaint(WHITE_HEX, WHITE_S, 1, 0);

/** K and S of an invented paint as its drawdowns would tell them: three films, a little noise, the usual fit. */
export function measurePaint(hex: string, seed: number): OpticsRecord {
  if (hex === WHITE_HEX) return { k: [...WHITE.k], s: [...WHITE.s], basis: 'drawdowns' };
  const random = createSeededRandom(seed);
  // Pale paints scatter, deep ones mostly absorb.
  const [light] = convertHexToLab(hex);
  const scatter = (12 + 100 * (light / 100) ** 2) * (0.7 + 0.6 * random());
  const truth = inventPaint(hex, scatter, 0.7 * 2 ** random(), 0.4 * (random() - 0.5));
  const drawdowns = SHARES.map((share) => {
    const film = mixOptics([truth, WHITE], [share, 1 - share]);
    const measured = predictMix([film], [1], SURFACE).map((one) => one + NOISE * (2 * random() - 1));
    return { share, measured };
  });
  const { k, s } = fitPaint(drawdowns, WHITE, SURFACE);
  return { k: [...k].map(round), s: [...s].map(round), basis: 'drawdowns' };
}

const round = (value: number) => Number(value.toPrecision(5));
