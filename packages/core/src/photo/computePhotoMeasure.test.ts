import { expect } from 'chai';
import { createCamera } from '../../test/support/simulatedPhotos.ts';
import type { InvalidInputError } from '../model/errors.ts';
import type { PhotoMeasure } from '../model/workpiece.ts';
import { createSeededRandom } from '../numeric/seededRandom.ts';
import { CARD_DOTS } from './benchCard.ts';
import { computePhotoMeasure, countPointsNeeded, preparePlane } from './computePhotoMeasure.ts';

const SIZE = { widthPx: 4000, heightPx: 3000 };

describe('computePhotoMeasure', () => {
  const camera = createCamera(createSeededRandom(17));
  const card = {
    name: 'bench card',
    points: CARD_DOTS.map((mm) => ({ mm, pixel: camera(mm.x, mm.y) })),
  };
  const corners = { name: 'rectangle', points: card.points.slice(0, 4) };
  const measure = (changes: Partial<PhotoMeasure>) =>
    computePhotoMeasure(card, SIZE, {
      ...{ kind: 'length', points: [camera(10, 20), camera(46, 20)], nearerMm: 0, distanceMm: null },
      ...changes,
    });
  const codeOf = (changes: Partial<PhotoMeasure>) => {
    try {
      measure(changes);
      return null;
    } catch (error) {
      return (error as InvalidInputError).code;
    }
  };

  it('reads each kind off the same points as the restorer sets them', () => {
    expect(measure({}).value).closeTo(36, 1e-4);
    const rim = [0, 80, 200, 290].map((degrees) => {
      const angle = (degrees * Math.PI) / 180;
      return camera(40 + 5 * Math.cos(angle), 25 + 5 * Math.sin(angle));
    });
    expect(measure({ kind: 'diameter', points: rim }).value).closeTo(10, 1e-4);
    expect(measure({ kind: 'angle', points: [camera(20, 20), camera(40, 20), camera(20, 40)] }).value).closeTo(
      90,
      1e-3,
    );
    const line = (y: number, slope: number) => [10, 30, 50, 70].map((x) => camera(x, y + slope * (x - 40)));
    const twist = measure({ kind: 'twist', points: [...line(20, 0), ...line(30, Math.tan(Math.PI / 90))] });
    expect(twist.value).closeTo(2, 1e-3);
  });

  it('is surer with the card, whose dots are found, than with four corners pointed at', () => {
    const ends = { kind: 'length', points: [camera(10, 20), camera(46, 20)], nearerMm: 0, distanceMm: null } as const;
    const byCorners = computePhotoMeasure(corners, SIZE, ends);
    expect(measure({}).sd).lessThan(byCorners.sd);
    expect(preparePlane(corners, SIZE).lens).equal(null);
    expect(preparePlane(card, SIZE).lens!.k).closeTo(0, 1e-4);
  });

  it('gives a twist of more points a smaller spread', () => {
    const line = (y: number, count: number) =>
      Array.from({ length: count }, (_, i) => camera(10 + (60 * i) / (count - 1), y));
    const sd = (count: number) => measure({ kind: 'twist', points: [...line(20, count), ...line(30, count)] }).sd;
    expect(sd(6)).lessThan(sd(2));
  });

  it('corrects a nearer plane, less surely, and leaves angles as they are', () => {
    const nearer = measure({ nearerMm: 10, distanceMm: 300 });
    expect(nearer.value).closeTo((36 * 290) / 300, 1e-3);
    expect(nearer.sd).greaterThan(measure({}).sd);
    expect(nearer.high - nearer.value).closeTo(1.96 * nearer.sd, 0.001);
    expect(measure({ nearerMm: -10, distanceMm: 300 }).value).closeTo((36 * 310) / 300, 1e-3);
    const angle = { kind: 'angle', points: [camera(20, 20), camera(40, 20), camera(20, 40)] } as const;
    expect(measure({ ...angle, nearerMm: 10 })).deep.equal(measure(angle));
  });

  it('refuses a nearer plane without the distance, or in front of the lens, and too few points', () => {
    expect(codeOf({ nearerMm: 10 })).equal('depth-unknown');
    expect(codeOf({ nearerMm: 10, distanceMm: 10 })).equal('depth-unknown');
    for (const kind of ['length', 'diameter', 'angle', 'twist'] as const) {
      expect(
        codeOf({ kind, points: card.points.slice(0, countPointsNeeded(kind) - 1).map(({ pixel }) => pixel) }),
      ).equal('too-few-points');
    }
  });
});
