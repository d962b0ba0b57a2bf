import { outlineWithArches, type Drawing } from '@sardonyx/core';
import { addWheels, corners, createModelDrawing, disc, poly, rect } from './createModelDrawing.ts';

/** Electric float: narrow cab, open deck under a roof, crates on the deck. */
export function drawMilkFloat(): Drawing {
  const size = {
    lengthMm: 62,
    widthMm: 25,
    heightMm: 33,
    axlesMm: [12, 48],
    wheelRadiusMm: 5,
    postsMm: [7, 55],
    hasTyres: false,
  };
  return createModelDrawing(size, (side) => {
    side.add('base', 'coat', rect(3, 26.4, 56, 3, 0.8));
    side.add('load', 'coat', rect(21, 15.5, 37, 8.5, 0.5));
    for (const x of [24, 30, 36, 42, 48, 54]) {
      side
        .add('load', 'light', rect(x - 1.6, 12.2, 1.3, 3.3, 0.4))
        .add('load', 'light', rect(x + 0.6, 12.2, 1.3, 3.3, 0.4));
      side.add('load', 'line', rect(x - 2.8, 15.8, 0.3, 8));
    }
    side.add('load', 'line', rect(21.3, 19.4, 36.4, 0.3));
    side.add('canopy', 'coat', poly('2 6 2, 5 2 2.5, 58 2 2, 60 5.4 0.5, 60 6.6 0.3, 2 6.6 0.3'));
    side.add('canopy', 'coat', rect(57, 6.6, 1.4, 16));
    side.add(
      'body',
      'coat',
      outlineWithArches(corners('2.5 12 3, 5 6.6 0.4, 19 6.6 0.4, 19 23 0.4, 60 23 0.6'), 28, [
        { x: 12, radius: 6 },
        { x: 48, radius: 6 },
      ]),
    );
    side.add('glazing', 'glass', poly('4.4 14.6 0.5, 6.3 8.6 0.8, 10.4 8.6 0.4, 10.4 14.6 0.4'));
    side.add('body', 'dark', rect(11.8, 8.4, 5.6, 14.2, 0.8)).add('body', 'shade', rect(12.6, 17.5, 4, 1.6, 0.5));
    side.add('body', 'shade', rect(20, 24.2, 39, 0.7, 0.2)).add('body', 'light', disc(4, 20.4, 1.2));
    side.add('body', 'line', rect(3, 17, 8.2, 0.3));
    addWheels(side, size);
    side.anchor('body-colour', 40, 25.6).anchor('glazing-colour', 7.6, 11.6).anchor('decal', 8, 18.6);
    side.anchor('sheltered-colour', 30, 28).anchor('load-fixing', 40, 18);
  });
}
