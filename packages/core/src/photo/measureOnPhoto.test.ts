import { expect } from 'chai';
import fc from 'fast-check';
import { createCamera, markCard, pointAt, tryLengths } from '../../test/support/simulatedPhotos.ts';
import type { InvalidInputError } from '../model/errors.ts';
import { createSeededRandom } from '../numeric/seededRandom.ts';
import { smallestEigenvector } from '../numeric/symmetricEigen.ts';
import { correctForDepth, measureAngle, measureDiameter, measureLength, measureTwist } from './measureOnPhoto.ts';
import type { Point } from '../model/plane.ts';
import { mapPoint, solveHomography } from './solveHomography.ts';

const STILL = { pixelSd: 0, controlMmSd: 0 };
const HAND = { pixelSd: 1, controlMmSd: 0 };

describe('smallestEigenvector', () => {
  it('finds it by hand for a small matrix', () => {
    const [x, y] = smallestEigenvector([2, 1, 1, 2], 2);
    expect(Math.abs(x! + y!)).lessThan(1e-12);
    expect(x! * x! + y! * y!).closeTo(1, 1e-12);
  });

  it('gives no other unit vector a smaller form (property)', () => {
    const entry = fc.double({ min: -3, max: 3, noNaN: true });
    fc.assert(
      fc.property(
        fc.array(entry, { minLength: 16, maxLength: 16 }),
        fc.array(entry, { minLength: 4, maxLength: 4 }),
        (b, w) => {
          const a = Array.from({ length: 16 }, (_, at) =>
            [0, 1, 2, 3].reduce((sum, k) => sum + b[Math.floor(at / 4) * 4 + k]! * b[(at % 4) * 4 + k]!, 0),
          );
          const form = (v: ArrayLike<number>) =>
            [...a].reduce((sum, value, at) => sum + value * v[Math.floor(at / 4)]! * v[at % 4]!, 0);
          const length = Math.hypot(...w);
          fc.pre(length > 0.1);
          expect(form(smallestEigenvector(a, 4))).lessThan(form(w) / length ** 2 + 1e-9);
        },
      ),
    );
  });
});

describe('solveHomography', () => {
  it('maps every point of the plane back, whatever the camera (100 cameras)', () => {
    const random = createSeededRandom(4);
    for (let i = 0; i < 100; i++) {
      const camera = createCamera(random);
      const h = solveHomography(markCard(camera, 0, random));
      for (const mm of [
        { x: 3, y: 50 },
        { x: 70, y: -20 },
        { x: 110, y: 30 },
      ]) {
        const found = mapPoint(h, camera(mm.x, mm.y));
        expect(found.x).closeTo(mm.x, 1e-6);
        expect(found.y).closeTo(mm.y, 1e-6);
      }
    }
  });

  it('evens out more than four points', () => {
    const random = createSeededRandom(8);
    const camera = createCamera(random);
    const many = Array.from({ length: 40 }, (_, i) => ({ x: (i % 8) * 12, y: Math.floor(i / 8) * 13 })).map((mm) => ({
      mm,
      pixel: pointAt(camera(mm.x, mm.y), 1, random),
    }));
    const error = (points: typeof many) => {
      const found = mapPoint(solveHomography(points), camera(70, 40));
      return Math.hypot(found.x - 70, found.y - 40);
    };
    expect(error(many)).lessThan(0.08);
  });

  it('refuses too few points and points on a line', () => {
    const at = (x: number, y: number) => ({ pixel: { x, y }, mm: { x, y } });
    const refusal = (points: Parameters<typeof solveHomography>[0]) => {
      try {
        solveHomography(points);
        return null;
      } catch (error) {
        return (error as InvalidInputError).code;
      }
    };
    expect(refusal([at(0, 0), at(1, 0), at(1, 1)])).equal('too-few-points');
    expect(refusal([at(0, 0), at(1, 0), at(2, 0), at(1, 1)])).equal('flat-points');
    expect(refusal([at(0, 0), at(1, 0), at(2, 0), at(1, 1), at(0, 1)])).equal(null);
  });
});

describe('measuring on a photograph', () => {
  const random = createSeededRandom(21);
  const camera = createCamera(random);
  const card = markCard(camera, 0, random);

  it('reads lengths, angles and diameters off a tilted picture', () => {
    expect(measureLength(card, camera(5, 10), camera(41, 10), STILL).value).closeTo(36, 1e-6);
    expect(measureAngle(card, camera(20, 20), [camera(40, 20), camera(20, 50)], STILL).value).closeTo(90, 1e-6);
    const rim = [0, 70, 150, 230, 300].map((degrees) => {
      const angle = (degrees * Math.PI) / 180;
      return camera(40 + 6 * Math.cos(angle), 25 + 6 * Math.sin(angle));
    });
    expect(measureDiameter(card, rim, STILL).value).closeTo(12, 1e-6);
  });

  it('states a spread that grows with the trembling of the hand, and none for a still one', () => {
    const sd = (pixelSd: number) => measureLength(card, camera(5, 10), camera(41, 10), { pixelSd, controlMmSd: 0 }).sd;
    expect(sd(0)).equal(0);
    expect(sd(2)).closeTo(2 * sd(1), 0.01 * sd(1));
    const { low, value, high, sd: own } = measureLength(card, camera(5, 10), camera(41, 10), HAND);
    expect(high - value).closeTo(1.96 * own, 0.001);
    expect(value - low).closeTo(high - value, 1e-9);
  });

  it('covers the true length in 93 to 97 of 100 pictures (400 here, the whole in the bench)', () => {
    const { coverage, medianErrorMm } = tryLengths(400, createSeededRandom(5), (control, a, b, pixelSd) =>
      measureLength(control, a, b, { pixelSd, controlMmSd: 0 }),
    );
    expect(coverage).within(0.92, 0.98);
    expect(medianErrorMm).lessThan(0.15);
  });

  it('reads a twist between axles at different depths', () => {
    for (const twist of [-2, 0, 0.7, 3]) {
      const angle = (twist * Math.PI) / 180;
      const axle = (z: number, turned: number): [Point, Point] => [
        camera(40 - 12 * Math.cos(turned), 20 - 12 * Math.sin(turned), z),
        camera(40 + 12 * Math.cos(turned), 20 + 12 * Math.sin(turned), z),
      ];
      expect(measureTwist(card, axle(0, 0), axle(-36, angle), STILL).value).closeTo(twist, 1e-6);
    }
    const flipped = measureTwist(card, [camera(30, 20), camera(50, 20)], [camera(50, 30), camera(30, 30)], STILL);
    expect(flipped.value).closeTo(0, 1e-6);
  });

  it('corrects a plane that lies nearer to the lens', () => {
    // A straight camera 300 mm away reads a length 10 mm above the card as 300 / 290 of it.
    expect(correctForDepth((36 * 300) / 290, 10, 300)).closeTo(36, 1e-12);
    expect(correctForDepth(36, 0, 300)).equal(36);
  });
});
