import { outlineWithArches, type Drawing } from '@sardonyx/core';
import { addSlats, addWheels, corners, createModelDrawing, disc, poly, rect } from './createModelDrawing.ts';

/** Sweeper: cab in front, water tank behind it, tipping hopper, brush drum underneath. */
export function drawRoadSweeper(): Drawing {
  const size = { lengthMm: 66, widthMm: 27, heightMm: 36, axlesMm: [13, 51], wheelRadiusMm: 6, postsMm: [9, 58] };
  return createModelDrawing(size, (side) => {
    side.add('base', 'coat', rect(4, 28.4, 58, 3, 0.8));
    side
      .add('brush', 'coat', disc(32, 30, 5))
      .add('brush', 'line', disc(32, 30, 3.4))
      .add('brush', 'dark', disc(32, 30, 1.2));
    side.add('hopper', 'coat', poly('36 9 1.5, 60 6.6 3, 63 12 1.5, 60 25 1, 38 25 1'));
    side.add('hopper', 'shade', poly('38.6 11.6 0.5, 58.8 9.4 1, 58.8 10.6 0.3, 38.6 12.8 0.3'));
    addSlats(side, 'hopper', { x: 40, y: 14, width: 18, height: 9 }, 4);
    side.add('hopper', 'metal', disc(38.4, 24, 1.1));
    side.add('tank', 'coat', poly('22.4 8 3, 35 8 3, 35 25 1, 22.4 25 1'));
    side.add('tank', 'light', rect(24.4, 11, 8, 1.2, 0.5)).add('tank', 'metal', rect(27, 6.6, 3.4, 1.8, 0.5));
    side.add('hose', 'rubber', poly('33 20 0.4, 34.6 20 0.4, 36.4 29 1, 39 30.6 0.6, 38 32 0.4, 34.8 30 1'));
    side.add(
      'body',
      'coat',
      outlineWithArches(corners('2 20 2.5, 4.6 6 3, 20 5 2, 21.4 8 0.6, 21.4 25 0.2, 63 25.4 0.4'), 29.6, [
        { x: 13, radius: 7 },
        { x: 51, radius: 7 },
      ]),
    );
    side.add('glazing', 'glass', poly('4.8 16 0.5, 6.6 8.4 1, 12 8 0.5, 12 16 0.5'));
    side.add('glazing', 'glass', poly('13.4 16 0.5, 13.4 8 0.5, 18.6 7.8 0.8, 18.6 16 0.5'));
    side.add('body', 'line', rect(12.6, 17, 0.3, 7)).add('body', 'shade', rect(14, 19, 2.4, 0.8, 0.3));
    side.add('body', 'light', disc(3.8, 23, 1.2));
    addWheels(side, size);
    side
      .anchor('body-colour', 18, 21)
      .anchor('glazing-colour', 9, 12)
      .anchor('decal', 29, 17)
      .anchor('sheltered-colour', 42, 28);
    side.anchor('load-fixing', 37, 28);
  });
}
