import { expect } from 'chai';
import { outlineCircle, outlineRectangle } from './paths.ts';
import { computeOutlineArea } from './computeOutlineArea.ts';

describe('what a path encloses', () => {
  it('is length by height of a rectangle, wherever it lies and whichever way round', () => {
    expect(computeOutlineArea(outlineRectangle(-7, 12, 30, 10).d)).closeTo(300, 1e-6);
    expect(computeOutlineArea('M0 0V10H30V0Z')).closeTo(300, 1e-6);
    expect(computeOutlineArea('m5 5l30 0l0 10l-30 0z')).closeTo(300, 1e-6);
  });

  it('is pi r squared of a circle of arcs, and loses the corners of rounded ones', () => {
    expect(computeOutlineArea(outlineCircle(40, 40, 10).d)).closeTo(Math.PI * 100, 0.6);
    // A quadratic corner of 6 mm leaves a sixth of its square outside.
    expect(computeOutlineArea(outlineRectangle(0, 0, 40, 20, 6).d)).closeTo(800 - (4 * 36) / 6, 0.2);
  });

  it('leaves out a hole that runs the other way round', () =>
    expect(computeOutlineArea('M0 0H20V20H0ZM5 5V10H10V5Z')).closeTo(375, 1e-6));

  it('is nothing of a line', () => expect(computeOutlineArea('M0 0L10 10Z')).equal(0));
});
