import { expect } from 'chai';
import { alignPairs, findDrawnWheels, findWheels, type Pair } from './alignPictures.ts';

const photo = (control: object | null) =>
  ({
    ...{ id: 'p', version: 1, jobId: 'j', specimenId: null, stage: 'before', side: 'left', caption: '', hash: '' },
    ...{ widthPx: 1000, heightPx: 800, takenAt: '' },
    control,
  }) as Parameters<typeof findWheels>[0];
const corner = (x: number, y: number) => ({ pixel: { x: 10 * x, y: 10 * y }, mm: { x, y } });
const control = { name: 'card', points: [corner(0, 0), corner(80, 0), corner(80, 60), corner(0, 60)] };
const measure = (label: string, points: { x: number; y: number }[]) =>
  ({
    id: 'm',
    version: 1,
    photoId: 'p',
    kind: 'length',
    label,
    points,
    nearerMm: 0,
    distanceMm: null,
    value: 0,
    sd: 0,
  }) as const;

describe('laying one picture over another', () => {
  it('turns and shifts one pair of wheels onto the other', () => {
    const from: Pair = [
      { x: 10, y: 20 },
      { x: 50, y: 20 },
    ];
    const onto: Pair = [
      { x: 100, y: 30 },
      { x: 100, y: 70 },
    ];
    const { turn, x, y } = alignPairs(from, onto);
    expect(turn).closeTo(90, 1e-9);
    const angle = (turn * Math.PI) / 180;
    from.forEach((point, i) => {
      expect(Math.cos(angle) * point.x - Math.sin(angle) * point.y + x).closeTo(onto[i]!.x, 1e-9);
      expect(Math.sin(angle) * point.x + Math.cos(angle) * point.y + y).closeTo(onto[i]!.y, 1e-9);
    });
  });

  it('knows the wheels of a photo from its measured wheelbase, left one first', () => {
    const points = [
      { x: 500, y: 300 },
      { x: 100, y: 310 },
    ];
    const [left, right] = findWheels(photo(control), [measure('wheelbase', points)])!;
    expect(left.x).closeTo(10, 1e-6);
    expect(left.y).closeTo(31, 1e-6);
    expect(right.x).closeTo(50, 1e-6);
    expect(findWheels(photo(control), [measure('length', points)])).equal(null);
    expect(findWheels(photo(null), [measure('wheelbase', points)])).equal(null);
  });

  it('knows the wheels of a drawing, and none of a view with one', () => {
    const wheel = (x: number) => ({
      partKey: 'wheels',
      surface: 'coat' as const,
      d: '',
      box: [x - 4, 20, x + 4, 28] as const,
    });
    const view = (shapes: ReturnType<typeof wheel>[]) => ({
      view: 'side' as const,
      widthMm: 70,
      heightMm: 30,
      shapes,
      anchors: [],
    });
    expect(findDrawnWheels(view([wheel(50), wheel(12)]))).deep.equal([
      { x: 12, y: 24 },
      { x: 50, y: 24 },
    ]);
    expect(findDrawnWheels(view([wheel(50)]))).equal(null);
  });
});
