import { BANDS, FIRST_NM, STEP_NM } from '../../src/colour/cieTables.ts';
import { computeLab } from '../../src/colour/colorimetry.ts';
import { mixOptics, predictMix, type PaintOptics } from '../../src/colour/kubelkaMunk.ts';
import type { MatchTarget } from '../../src/colour/match/polish.ts';
import { createShelf, type Shelf, type ShelfPaint } from '../../src/colour/match/shelfOptics.ts';
import { createSeededRandom, pickOne, type RandomSource } from '../../src/numeric/seededRandom.ts';

const bands = (at: (nm: number) => number) =>
  Float64Array.from({ length: BANDS }, (_, i) => at(FIRST_NM + i * STEP_NM));

const WHITE: PaintOptics = {
  k: bands((nm) => 0.003 + 0.03 * Math.exp(-(((nm - 400) / 18) ** 2))),
  s: bands((nm) => 1.05 - 0.0003 * (nm - 400)),
};
const BLACK: PaintOptics = { k: bands((nm) => 22 - 0.01 * (nm - 400)), s: bands(() => 0.35) };

/** One pigment: one or two smooth absorption bands, a weak ground, its own tinting strength (0.5 to 12) and scattering. */
function createPigment(random: RandomSource): PaintOptics {
  const strength = 0.5 * 24 ** random();
  const peaks = Array.from({ length: random() < 0.5 ? 1 : 2 }, () => ({
    at: 400 + 300 * random(),
    wide: 30 + 60 * random(),
    high: 0.4 + 0.6 * random(),
  }));
  const ground = 0.01 + 0.05 * random();
  const scatter = 0.15 + 0.5 * random();
  const tilt = (random() - 0.5) * 0.4;
  return {
    k: bands(
      (nm) =>
        strength *
        (ground + peaks.reduce((sum, { at, wide, high }) => sum + high * Math.exp(-(((nm - at) / wide) ** 2)), 0)),
    ),
    s: bands((nm) => scatter * (1 + (tilt * (nm - 550)) / 150)),
  };
}

/** The world of the colour figures: white, black, about 25 chromatic pigments, the rest tints, shades and greys of them. */
export function createSimulatedShelf(seed: number, count = 60): Shelf {
  const random = createSeededRandom(seed);
  const pigments = Array.from({ length: Math.round(count * 0.42) }, () => createPigment(random));
  const optics: PaintOptics[] = [WHITE, BLACK, ...pigments];
  while (optics.length < count) {
    const kind = random();
    const pigment = pickOne(pigments, random);
    if (kind < 0.5) optics.push(mixOptics([pigment, WHITE], [0.03 + 0.4 * random(), 1]));
    else if (kind < 0.75) optics.push(mixOptics([pigment, BLACK], [1, 0.01 + 0.1 * random()]));
    else optics.push(mixOptics([WHITE, BLACK], [1, 0.005 + 0.2 * random() ** 2]));
  }
  return createShelf(
    optics
      .slice(0, count)
      .map((one, i): ShelfPaint => ({ ...one, id: `p${i}`, family: '', leftMl: 15, pricePerMl: 0.2 })),
  );
}

/** A colour that two to four paints of a shelf can make. */
export function createTarget(shelf: Shelf, random: RandomSource, weightA = 0.3): MatchTarget {
  const size = 2 + Math.floor(random() * 3);
  const paints = Array.from({ length: size }, () => pickOne(shelf.paints, random));
  const shares = paints.map((paint) => Math.exp((random() - 0.5) * 5) / shelf.strength[shelf.paints.indexOf(paint)]!);
  const spectrum = predictMix(paints, shares);
  return { d65: computeLab(spectrum, 'D65'), a: computeLab(spectrum, 'A'), weightA };
}
