import type { Drawing } from '@sardonyx/core';
import { addWheels, createModelDrawing, poly, rect } from './createModelDrawing.ts';

/** Baggage trolley: a deck with end rails and two suitcases. */
export function drawBaggageTrolley(): Drawing {
  const size = {
    lengthMm: 40,
    widthMm: 20,
    heightMm: 20,
    axlesMm: [9, 32],
    wheelRadiusMm: 3.6,
    postsMm: [20],
    hasTyres: false,
  };
  return createModelDrawing(size, (side) => {
    side.add('base', 'metal', rect(0.6, 13.6, 8, 1.2, 0.4)).add('base', 'coat', rect(4, 14, 33, 1.8, 0.5));
    side
      .add('load', 'coat', rect(9, 5.4, 12, 6.6, 0.8))
      .add('load', 'coat', rect(22, 7, 10, 5, 0.8))
      .add('load', 'coat', rect(12, 2.4, 9, 3, 0.6));
    side
      .add('load', 'line', rect(9, 8.4, 12, 0.3))
      .add('load', 'dark', rect(26, 6.2, 2.4, 0.8, 0.3))
      .add('load', 'line', rect(22, 9.2, 10, 0.3));
    side.add(
      'body',
      'coat',
      poly('4 3.4 0.6, 5.6 3.4 0.6, 5.8 12 0.3, 35 12 0.3, 35.2 3.4 0.6, 36.8 3.4 0.6, 37 14.6 0.5, 3.8 14.6 0.5'),
    );
    side.add('body', 'shade', rect(5, 13, 31, 0.5, 0.2));
    addWheels(side, size);
    side
      .anchor('body-colour', 20, 13)
      .anchor('decal', 28, 13.2)
      .anchor('sheltered-colour', 20, 14.8)
      .anchor('load-fixing', 15, 9);
  });
}
