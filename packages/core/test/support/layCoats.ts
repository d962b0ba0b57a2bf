import { computeLab } from '../../src/colour/colorimetry.ts';
import { computeDe00 } from '../../src/colour/difference.ts';
import type { RandomSource } from '../../src/numeric/seededRandom.ts';

/** A paint as it truly is, 1/mm by band. */
export interface TruePaint {
  readonly k: readonly number[];
  readonly s: readonly number[];
}

const STEPS_PER_COAT = 200;
/** What the surface gives back outside and inside (Saunderson), without gloss. */
const [OUTSIDE, INSIDE] = [0.04, 0.6];

const seen = (inner: number): number => ((1 - OUTSIDE) * (1 - INSIDE) * inner) / (1 - INSIDE * inner);
const inner = (measured: number): number => measured / ((1 - OUTSIDE) * (1 - INSIDE) + INSIDE * measured);

/**
 * Lays coat on coat, each as thick as it happens to be, by the two fluxes themselves: dR/dx = S - 2 (K + S) R + S R^2, in
 * small steps (Runge and Kutta). Returns after how many the ground no longer shows by one dE00; Infinity beyond thirty.
 */
export function layUntilHidden(paint: TruePaint, ground: readonly number[], thicknessMm: () => number): number {
  let film = ground.map(inner);
  const thick = computeLab(paint.k.map((k, band) => seen(grow(0, k, paint.s[band]!, 4, 8000))));
  for (let coat = 1; coat <= 30; coat++) {
    const x = thicknessMm();
    film = film.map((r, band) => grow(r, paint.k[band]!, paint.s[band]!, x, STEPS_PER_COAT));
    if (computeDe00(thick, computeLab(film.map(seen))) <= 1) return coat;
  }
  return Infinity;
}

function grow(from: number, k: number, s: number, x: number, steps: number): number {
  const h = x / steps;
  const slope = (r: number) => s - 2 * (k + s) * r + s * r * r;
  let r = from;
  for (let i = 0; i < steps; i++) {
    const a = slope(r);
    const b = slope(r + (h / 2) * a);
    const c = slope(r + (h / 2) * b);
    const d = slope(r + h * c);
    r += (h / 6) * (a + 2 * b + 2 * c + d);
  }
  return r;
}

/** A pigment with an absorption hump somewhere, in a medium that scatters more or less. */
export function drawPaint(random: RandomSource): TruePaint {
  const [centre, width] = [30 * random(), 3 + 7 * random()];
  const [floor, height] = [0.5 + 4 * random() ** 2, 20 + 120 * random()];
  const scattering = 25 + 95 * random();
  const bands = Array.from({ length: 31 }, (_, band) => band);
  return {
    k: bands.map((band) => floor + height * Math.exp(-(((band - centre) / width) ** 2))),
    s: bands.map((band) => scattering * (1.1 - 0.006 * band)),
  };
}

/** What lies below: grey, pale or dark, or another colour. */
export function drawGround(random: RandomSource): number[] {
  const [low, high, from] = [0.03 + 0.4 * random(), 0.1 + 0.75 * random(), 31 * random()];
  return Array.from({ length: 31 }, (_, band) => low + (high - low) / (1 + Math.exp((from - band) / 2)));
}
