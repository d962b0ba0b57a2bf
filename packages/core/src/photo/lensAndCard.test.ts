import { expect } from 'chai';
import fc from 'fast-check';
import { createCamera, pointAt } from '../../test/support/simulatedPhotos.ts';
import type { InvalidInputError } from '../model/errors.ts';
import type { Point } from '../model/plane.ts';
import { createSeededRandom } from '../numeric/seededRandom.ts';
import { BENCH_CARD, CARD_DOTS, drawBenchCard } from './benchCard.ts';
import { computePhotoMeasure } from './computePhotoMeasure.ts';
import { findCard } from './findCard.ts';
import { centreDot, refineDot } from './refineDot.ts';
import { refineEdge } from './refineEdge.ts';
import { bendPoint, createLens, solveLens, straightenPoint } from './lens.ts';
import type { Picture } from './picture.ts';
import { findRegion, rectifyPicture } from './rectifyPicture.ts';
import { invertHomography, mapPoint, solveHomography } from './solveHomography.ts';

const SIZE = { widthPx: 4000, heightPx: 3000 };

/** White paper with dark discs, the edge pixels shaded by how much of them is covered. */
function drawDots(
  width: number,
  height: number,
  dots: readonly Point[],
  radius: number,
  shade = (x: number) => 0 * x,
): Picture {
  const data = new Uint8ClampedArray(width * height * 4).fill(255);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const near = Math.min(...dots.map((dot) => Math.hypot(x - dot.x, y - dot.y)));
      const cover = Math.min(1, Math.max(0, radius + 0.5 - near));
      const grey = (230 - 200 * cover) * (1 - shade(x));
      for (let channel = 0; channel < 3; channel++) data[(y * width + x) * 4 + channel] = grey;
    }
  return { width, height, data };
}

const codeOf = (act: () => unknown): string | null => {
  try {
    act();
    return null;
  } catch (error) {
    return (error as InvalidInputError).code;
  }
};

describe('lens', () => {
  it('bends back what it straightens (property)', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -0.3, max: 0.2, noNaN: true }),
        fc.double({ min: 0, max: 4000, noNaN: true }),
        fc.double({ min: 0, max: 3000, noNaN: true }),
        (k, x, y) => {
          const lens = createLens(k, SIZE);
          const back = bendPoint(lens, straightenPoint(lens, { x, y }));
          expect(back.x).closeTo(x, 1e-6);
          expect(back.y).closeTo(y, 1e-6);
        },
      ),
    );
  });

  it('is found from the card’s dots, and says nothing for fewer than eight', () => {
    const random = createSeededRandom(12);
    for (const k of [-0.15, -0.04, 0, 0.08]) {
      const camera = createCamera(random);
      const lens = createLens(k, SIZE);
      const points = CARD_DOTS.map((mm) => ({ mm, pixel: bendPoint(lens, camera(mm.x, mm.y)) }));
      expect(solveLens(points, SIZE)!.k).closeTo(k, 0.002);
      expect(solveLens(points.slice(0, 7), SIZE)).equal(null);
    }
  });

  it('is taken out of a measure: 75 mm read within 0.05 mm through a barrel', () => {
    const random = createSeededRandom(5);
    const camera = createCamera(random);
    const lens = createLens(-0.12, SIZE);
    const see = (x: number, y: number) => bendPoint(lens, camera(x, y));
    const points = CARD_DOTS.map((mm) => ({ mm, pixel: pointAt(see(mm.x, mm.y), 0.1, random) }));
    const measure = { kind: 'length', points: [see(2, -20), see(77, -20)], nearerMm: 0, distanceMm: null } as const;
    expect(computePhotoMeasure({ name: 'card', points }, SIZE, measure).value).closeTo(75, 0.1);
    const four = computePhotoMeasure({ name: 'card', points: points.slice(0, 4) }, SIZE, measure).value;
    expect(Math.abs(four - 75)).greaterThan(0.1);
  });
});

describe('the bench card', () => {
  it('has its dots on it, corners first, and prints at true size', () => {
    expect(CARD_DOTS).length(12);
    for (const { x, y } of CARD_DOTS) {
      expect(x).within(BENCH_CARD.dotMm, BENCH_CARD.widthMm - BENCH_CARD.dotMm);
      expect(y).within(BENCH_CARD.dotMm, BENCH_CARD.heightMm - BENCH_CARD.dotMm);
    }
    expect(drawBenchCard()).match(/^<svg [^>]*width="85mm" height="54mm" viewBox="0 0 85 54">/);
    expect(drawBenchCard().match(/<circle/g)).length(12);
  });
});

describe('refineDot', () => {
  it('finds the middle of a dot to a tenth of a pixel, pointed at roughly (60 dots, light falling off across them)', () => {
    const random = createSeededRandom(3);
    for (let i = 0; i < 60; i++) {
      const dot = { x: 40 + 20 * random(), y: 40 + 20 * random() };
      const radius = 5 + 7 * random();
      const picture = drawDots(100, 100, [dot], radius, (x) => 0.0008 * x);
      const found = refineDot(picture, pointAt(dot, 2, random), radius)!;
      expect(Math.hypot(found.x - dot.x, found.y - dot.y), `dot ${i}`).lessThan(0.1);
    }
  });

  it('finds nothing on plain paper', () => {
    expect(refineDot(drawDots(60, 60, [{ x: 500, y: 500 }], 5), { x: 30, y: 30 }, 6)).equal(null);
  });
});

describe('refineEdge', () => {
  /** Dark on one side of a line through (50, 50), its edge as soft as a lens makes it. */
  const drawEdge = (angle: number): Picture => {
    const data = new Uint8ClampedArray(100 * 100 * 4).fill(255);
    for (let y = 0; y < 100; y++)
      for (let x = 0; x < 100; x++) {
        const off = (x - 50) * Math.cos(angle) + (y - 50) * Math.sin(angle);
        for (let channel = 0; channel < 3; channel++)
          data[(y * 100 + x) * 4 + channel] = 30 + 180 / (1 + Math.exp(-2 * off));
      }
    return { width: 100, height: 100, data };
  };

  it('moves a point across the edge only, to a fifth of a pixel (40 edges)', () => {
    const random = createSeededRandom(31);
    for (let i = 0; i < 40; i++) {
      const angle = Math.PI * random();
      const at = pointAt({ x: 50, y: 50 }, 1.2, random);
      const found = refineEdge(drawEdge(angle), at)!;
      const off = (found.x - 50) * Math.cos(angle) + (found.y - 50) * Math.sin(angle);
      const along = (found.x - at.x) * -Math.sin(angle) + (found.y - at.y) * Math.cos(angle);
      expect(Math.abs(off), `edge ${i}`).lessThan(0.2);
      expect(Math.abs(along), `edge ${i}`).lessThan(0.1);
    }
  });

  it('finds none on plain paper, nor one that is too far', () => {
    expect(refineEdge(drawDots(60, 60, [{ x: 500, y: 500 }], 5), { x: 30, y: 30 })).equal(null);
    expect(refineEdge(drawEdge(0), { x: 75, y: 50 })).equal(null);
  });
});

describe('findCard', () => {
  const see = (x: number, y: number): Point => ({ x: 40 + 5.2 * x + 0.3 * y, y: 30 + 5 * y - 0.1 * x });
  const dots = CARD_DOTS.map(({ x, y }) => see(x, y));
  const picture = drawDots(560, 340, dots, 7.8);

  it('finds all twelve dots from four rough corners', () => {
    const found = findCard(
      picture,
      dots.slice(0, 4).map(({ x, y }) => ({ x: x + 4, y: y - 3 })),
    );
    expect(found).length(12);
    found.forEach(({ pixel, mm }, i) => {
      expect(mm).equal(CARD_DOTS[i]);
      expect(Math.hypot(pixel.x - dots[i]!.x, pixel.y - dots[i]!.y)).lessThan(0.1);
    });
  });

  it('leaves out what is covered, and says which corner has no dot', () => {
    const without = (hidden: readonly number[]) =>
      drawDots(
        560,
        340,
        dots.filter((_, i) => !hidden.includes(i)),
        7.8,
      );
    expect(findCard(without([6]), dots.slice(0, 4))).length(11);
    // The others say where the corner must be.
    expect(findCard(without([0]), dots.slice(0, 4))).length(11);
    expect(codeOf(() => findCard(without([0, 4, 5, 6]), dots.slice(0, 4)))).equal('no-dot');
  });

  it('leaves out a dot that is half covered: its middle would be wrong', () => {
    const half = { ...picture, data: picture.data.slice() };
    const { x: left, y: top } = dots[4]!;
    for (let y = Math.round(top) - 14; y < top + 14; y++)
      for (let x = Math.round(left); x < left + 14; x++) half.data.fill(60, (y * 560 + x) * 4, (y * 560 + x) * 4 + 3);
    expect(centreDot(half, dots[4]!, 7.8)).equal(null);
    expect(findCard(half).map(({ mm }) => mm)).not.include(CARD_DOTS[4]);
  });

  /** The card in the middle of a picture, turned about its own. */
  const turned = (degrees: number, hidden: readonly number[] = []) => {
    const [cos, sin] = [Math.cos((degrees * Math.PI) / 180), Math.sin((degrees * Math.PI) / 180)];
    const at = ({ x, y }: Point): Point => {
      const [u, v] = [4.4 * (x - 42.5), 4 * (y - 27)];
      return { x: 240 + cos * u - sin * v, y: 240 + sin * u + cos * v };
    };
    const shown = CARD_DOTS.filter((_, i) => !hidden.includes(i)).map(at);
    return { at, seen: drawDots(480, 480, shown, 6.3) };
  };
  const lengthOn = (control: ReturnType<typeof findCard>, points: readonly Point[]) =>
    computePhotoMeasure(
      { name: 'bench card', points: control },
      { widthPx: 480, heightPx: 480 },
      { kind: 'length', points, nearerMm: 0, distanceMm: null },
    ).value;

  it('is found by itself however it is turned, and measures the same', () => {
    for (let degrees = 0; degrees < 360; degrees += 40) {
      const { at, seen } = turned(degrees);
      const control = findCard(seen);
      expect(control, `${degrees}`).length(12);
      const ends = [at({ x: 10, y: 20 }), at({ x: 70, y: 20 })];
      expect(lengthOn(control, ends), `${degrees}`).closeTo(60, 0.1);
    }
  });

  it('is not taken for one that lies lengthwise when it lies crosswise, from whichever corner it was pointed at', () => {
    const { at, seen } = turned(90);
    for (let first = 0; first < 4; first++) {
      const corners = [0, 1, 2, 3].map((i) => at(CARD_DOTS[(first + i) % 4]!));
      const ends = [at({ x: 10, y: 20 }), at({ x: 70, y: 20 })];
      expect(lengthOn(findCard(seen, corners), ends), `from corner ${first}`).closeTo(60, 0.1);
    }
  });

  it('is not guessed: with eight dots that could lie both ways nothing is found', () => {
    // The corners and the middles of all sides: the same pattern lengthwise and crosswise.
    const { seen } = turned(20, [4, 5, 8, 9]);
    expect(codeOf(() => findCard(seen))).equal('no-card');
    expect(codeOf(() => findCard(drawDots(480, 480, [{ x: 900, y: 900 }], 6)))).equal('no-card');
  });
});

describe('rectifyPicture', () => {
  const lens = createLens(-0.1, { widthPx: 400, heightPx: 300 });
  const control = [
    [30, 20],
    [360, 40],
    [340, 270],
    [50, 250],
  ].map(([x, y], i) => ({
    pixel: { x: x!, y: y! },
    mm: [
      { x: 0, y: 0 },
      { x: 40, y: 0 },
      { x: 40, y: 30 },
      { x: 0, y: 30 },
    ][i]!,
  }));
  const h = solveHomography(control);

  it('inverts the homography', () => {
    for (const { pixel, mm } of control) {
      const back = mapPoint(invertHomography(h), mm);
      expect(back.x).closeTo(pixel.x, 1e-8);
      expect(back.y).closeTo(pixel.y, 1e-8);
    }
  });

  it('puts every pixel where the plane says, through the lens', () => {
    // Each pixel's colour says where it is, so bilinear reading of it must return the place.
    const data = new Uint8ClampedArray(400 * 300 * 4);
    for (let y = 0; y < 300; y++) for (let x = 0; x < 400; x++) data.set([x / 2, y / 2, 0, 255], (y * 400 + x) * 4);
    const region = { left: 2, top: 3, widthMm: 30, heightMm: 20, pixelsPerMm: 4 };
    const flat = rectifyPicture({ width: 400, height: 300, data }, invertHomography(h), lens, region)!;
    expect([flat.width, flat.height]).deep.equal([120, 80]);
    for (const [column, row] of [
      [10, 10],
      [60, 40],
      [110, 70],
    ] as const) {
      const mm = { x: 2 + (column + 0.5) / 4, y: 3 + (row + 0.5) / 4 };
      const expected = bendPoint(lens, mapPoint(invertHomography(h), mm));
      const at = (row * 120 + column) * 4;
      expect(flat.data[at]!).closeTo(expected.x / 2, 1);
      expect(flat.data[at + 1]!).closeTo(expected.y / 2, 1);
      expect(flat.data[at + 3]).equal(255);
    }
  });

  it('leaves transparent what the picture does not show, reports its progress and can be ended', () => {
    const picture = { width: 400, height: 300, data: new Uint8ClampedArray(400 * 300 * 4).fill(200) };
    const region = { left: -100, top: 0, widthMm: 20, heightMm: 80, pixelsPerMm: 3 };
    const shares: number[] = [];
    const flat = rectifyPicture(picture, invertHomography(h), null, region, (share) => shares.push(share) > 0)!;
    expect(flat.data.every((value) => value === 0)).equal(true);
    expect(shares[0]).equal(0);
    expect(shares.at(-1)).equal(1);
    expect([...shares].sort((a, b) => a - b)).deep.equal(shares);
    expect(rectifyPicture(picture, invertHomography(h), null, region, () => false)).equal(null);
  });

  it('knows what of the plane a picture shows, and stops at its horizon', () => {
    const { left, top, widthMm, heightMm } = findRegion(h, null, { widthPx: 400, heightPx: 300 });
    expect(left).lessThan(0);
    expect(top).lessThan(0);
    expect(widthMm).within(40, 80);
    expect(heightMm).within(30, 60);
    const steep = solveHomography(
      control.map((point, i) => (i < 2 ? { ...point, pixel: { x: 190 + 20 * i, y: 140 } } : point)),
    );
    expect(findRegion(steep, null, { widthPx: 400, heightPx: 300 }).widthMm).most(500);
  });
});
