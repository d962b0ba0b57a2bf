import { outlineWithArches, type Drawing } from '@sardonyx/core';
import { addSlats, addWheels, corners, createModelDrawing, disc, poly, rect } from './createModelDrawing.ts';

/** Horse box: bonnet cab and a tall box with a rear ramp. */
export function drawHorseBox(): Drawing {
  const size = { lengthMm: 68, widthMm: 28, heightMm: 38, axlesMm: [14, 54], wheelRadiusMm: 6, postsMm: [9, 58] };
  return createModelDrawing(size, (side) => {
    side.add('base', 'coat', rect(4, 30.4, 60, 3, 0.8));
    side
      .add('ramp', 'coat', poly('64 7 0.8, 66.4 7 0.8, 66.4 31 0.6, 64 31 0.4'))
      .add('ramp', 'line', rect(64.8, 9, 0.3, 20))
      .add('ramp', 'metal', disc(65.2, 30, 1));
    side.add(
      'body',
      'coat',
      outlineWithArches(corners('1.5 20 2, 12 17.4 2, 15 8 2.4, 22 7.6 0.6, 22 3 2.4, 64 3 2.4, 64 20 0.2'), 31.6, [
        { x: 14, radius: 7 },
        { x: 54, radius: 7 },
      ]),
    );
    side.add('body', 'coat', rect(23, 2.1, 40, 2.2, 1), { mask: 'roof' });
    side.add('glazing', 'glass', poly('14.2 16.8 0.4, 16.4 10 1, 20.8 9.8 0.5, 20.8 16.8 0.4'));
    side.add('glazing', 'glass', rect(27, 8, 8, 4.6, 0.6)).add('glazing', 'glass', rect(50, 8, 8, 4.6, 0.6));
    side.add('body', 'shade', rect(23, 15.4, 40, 0.8, 0.2));
    addSlats(side, 'body', { x: 23, y: 17.4, width: 40, height: 8 }, 9);
    side
      .add('body', 'dark', rect(1.8, 21.6, 1.4, 6, 0.4))
      .add('body', 'light', disc(4.4, 21.4, 1.3))
      .add('body', 'line', rect(22.2, 8, 0.3, 20));
    addWheels(side, size);
    side
      .anchor('body-colour', 42, 13.6)
      .anchor('glazing-colour', 18, 13.4)
      .anchor('decal', 40, 20.6)
      .anchor('sheltered-colour', 34, 30.8);
    side.anchor('load-fixing', 65, 29);
  });
}
