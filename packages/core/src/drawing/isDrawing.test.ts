import { expect } from 'chai';
import { BODY_TYPES } from '../model/catalogue.ts';
import { createBodyTypeDrawing } from './createBodyTypeDrawing.ts';
import { isDrawing } from './isDrawing.ts';

describe('isDrawing', () => {
  const drawing = createBodyTypeDrawing('van', 60, 34);
  const view = drawing.views[0]!;
  const withShape = (change: object) => ({
    views: [{ ...view, shapes: [{ ...view.shapes[0], ...change }] }],
  });

  it('knows every drawing of our own, also after a way through JSON', () => {
    for (const type of BODY_TYPES) {
      const own = createBodyTypeDrawing(type, 70, 40);
      expect(isDrawing(JSON.parse(JSON.stringify(own))), type).equal(true);
    }
  });

  it('refuses what is none', () => {
    for (const value of [null, 3, 'M0 0', {}, { views: [] }, { views: [{}] }, { views: [{ ...view, widthMm: NaN }] }])
      expect(isDrawing(value)).equal(false);
    expect(isDrawing({ views: [{ ...view, anchors: [{ featureKey: 'x', x: 'left', y: 0 }] }] })).equal(false);
  });

  it('lets nothing but path data into a path, and no surface of its own invention', () => {
    expect(isDrawing(withShape({}))).equal(true);
    expect(isDrawing(withShape({ d: 'M0 0<script>' }))).equal(false);
    expect(isDrawing(withShape({ d: 'url(#x)' }))).equal(false);
    expect(isDrawing(withShape({ surface: 'gold leaf' }))).equal(false);
    expect(isDrawing(withShape({ box: [0, 0, 1] }))).equal(false);
  });
});
