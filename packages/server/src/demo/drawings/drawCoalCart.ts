import { outlineWithArches, type Drawing } from '@sardonyx/core';
import { addSlats, addWheels, corners, createModelDrawing, disc, poly, rect } from './createModelDrawing.ts';

/** Coal cart: bonnet lorry with a high-sided body and a heap of coal. */
export function drawCoalCart(): Drawing {
  const size = {
    lengthMm: 60,
    widthMm: 26,
    heightMm: 32,
    axlesMm: [13, 47],
    wheelRadiusMm: 5.6,
    postsMm: [8, 52],
    hasTyres: false,
  };
  return createModelDrawing(size, (side) => {
    side.add('base', 'coat', rect(4, 25, 53, 2.8, 0.8));
    side
      .add('load', 'dark', poly('26 13 1, 31 8.6 2, 37 10.4 1.6, 43 7.6 2, 50 10 2, 57 13 1'))
      .add('load', 'shade', disc(37, 11.6, 1.2))
      .add('load', 'shade', disc(46, 11, 1.4));
    side.add(
      'body',
      'coat',
      outlineWithArches(corners('1.6 16 2, 11.4 14 1.6, 13.6 5.6 2.2, 22.6 5.2 1.4, 23.4 13 0.6, 58 12.4 0.6'), 26.4, [
        { x: 13, radius: 6.6 },
        { x: 47, radius: 6.6 },
      ]),
    );
    side
      .add('body', 'dark', rect(15, 7.4, 6.4, 6, 0.8))
      .add('body', 'coat', rect(25, 14.6, 32, 6.4, 0.4), { mask: 'side board' });
    addSlats(side, 'body', { x: 25, y: 14.8, width: 32, height: 6 }, 7);
    side
      .add('body', 'light', disc(4.6, 17, 1.2))
      .add('body', 'dark', rect(2, 17.4, 1.2, 5, 0.3))
      .add('body', 'shade', rect(3, 23.4, 54, 0.6, 0.2));
    addWheels(side, size);
    side
      .anchor('body-colour', 18, 18)
      .anchor('decal', 41, 18)
      .anchor('sheltered-colour', 30, 25.8)
      .anchor('load-fixing', 41, 11);
  });
}
