import { expect } from 'chai';
import { mapPoint, type Homography } from '../../photo/solveHomography.ts';
import { measurePanel } from './measurePanel.ts';

/** A plane as a phone held askew sees it: pixels from millimetres. */
const SEEN: Homography = [9, 0.8, 300, -0.5, 8.6, 250, 0.0009, 0.0006, 1];
const SIZE = { widthPx: 1600, heightPx: 1200 };
const control = {
  name: 'card',
  points: [
    { x: 0, y: 0 },
    { x: 85, y: 0 },
    { x: 85, y: 54 },
    { x: 0, y: 54 },
  ].map((mm) => ({ mm, pixel: mapPoint(SEEN, mm) })),
};
const flat = { nearerMm: 0, distanceMm: null };

describe('a panel on the straightened photograph', () => {
  it('is as large as its corners lie apart, whichever two are pressed, with the spread of pointing', () => {
    for (const corners of [
      [
        { x: 10, y: -20 },
        { x: 68.5, y: -14 },
      ],
      [
        { x: 68.5, y: -20 },
        { x: 10, y: -14 },
      ],
    ] as const) {
      const { width, height } = measurePanel(control, SIZE, corners, flat);
      expect(width.mm).closeTo(58.5, 1e-6);
      expect(height.mm).closeTo(6, 1e-6);
      expect(width.sd).within(0.05, 0.5);
    }
  });

  it('is smaller than it looks where it lies nearer to the lens', () => {
    const corners = [
      { x: 10, y: -20 },
      { x: 68.5, y: -14 },
    ] as const;
    const { width } = measurePanel(control, SIZE, corners, { nearerMm: 14, distanceMm: 350 });
    expect(width.mm).closeTo((58.5 * (350 - 14)) / 350, 1e-6);
    expect(() => measurePanel(control, SIZE, corners, { nearerMm: 14, distanceMm: null })).throw();
  });
});
