import { outlineWithArches, type Drawing } from '@sardonyx/core';
import { addWheels, corners, createModelDrawing, disc, poly, rect } from './createModelDrawing.ts';

/** Airport tug: low, square, an open seat. */
export function drawBaggageTug(): Drawing {
  const size = {
    lengthMm: 46,
    widthMm: 24,
    heightMm: 24,
    axlesMm: [10, 36],
    wheelRadiusMm: 5,
    postsMm: [22],
    hasTyres: false,
  };
  return createModelDrawing(size, (side) => {
    side
      .add('base', 'coat', rect(3, 17.6, 40, 2.6, 0.8))
      .add('base', 'metal', poly('43 16.4 0.3, 45.6 16.4 0.8, 45.6 19.4 0.8, 43 18.6 0.3'));
    side.add(
      'body',
      'coat',
      outlineWithArches(corners('1.5 11 2, 3 8 1.4, 20 7 1, 22.4 14.4 1, 32 14.4 0.8, 32.6 10 1, 43 10 1.6'), 18.8, [
        { x: 10, radius: 5.9 },
        { x: 36, radius: 5.9 },
      ]),
    );
    side.add('seat', 'coat', poly('26 12.6 0.5, 30.6 12.6 0.4, 31.2 5.6 1, 32.8 5.6 0.8, 32.6 14.4 0.3, 26 14.4 0.3'));
    side
      .add('steering', 'metal', poly('20.4 8, 21 7.6, 24.4 4, 23.8 3.6'))
      .add('steering', 'dark', poly('21.8 2.4 0.4, 26 5 0.4, 25.6 5.8 0.3, 21.4 3.2 0.3'));
    side
      .add('body', 'dark', rect(2, 10.4, 1.4, 5, 0.4))
      .add('body', 'light', disc(4.8, 10.4, 1.1))
      .add('body', 'shade', rect(4, 15.8, 38, 0.6, 0.2));
    side.add('body', 'line', rect(14, 8.6, 0.3, 5));
    addWheels(side, size);
    side.anchor('body-colour', 17, 12).anchor('decal', 9, 11.6).anchor('sheltered-colour', 23, 18.4);
  });
}
