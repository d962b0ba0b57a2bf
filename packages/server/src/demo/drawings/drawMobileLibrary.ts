import { outlineWithArches, type Drawing } from '@sardonyx/core';
import { addWheels, corners, createModelDrawing, disc, poly, rect } from './createModelDrawing.ts';

/** Library van: long windowed body with a drop-flap and a rear step. */
export function drawMobileLibrary(): Drawing {
  const size = { lengthMm: 74, widthMm: 28, heightMm: 34, axlesMm: [14, 57], wheelRadiusMm: 5.6, postsMm: [10, 65] };
  return createModelDrawing(size, (side) => {
    side.add('interior', 'coat', rect(22, 12, 44, 13, 0.5), { hidden: true });
    for (const x of [26, 36, 46, 56]) side.add('interior', 'line', rect(x, 13, 0.4, 11), { hidden: true });
    side.add('base', 'coat', rect(4, 27, 66, 2.8, 0.8));
    side
      .add('step', 'coat', poly('70.4 25.4 0.3, 73.6 25.4 0.4, 73.6 28.6 0.4, 70.4 28.6 0.3'))
      .add('step', 'line', rect(70.8, 26.8, 2.6, 0.3));
    side.add(
      'body',
      'coat',
      outlineWithArches(corners('1.5 20 3, 4 6.4 4, 9 3.4 3, 70 3.4 4, 71.4 10 1'), 28.4, [
        { x: 14, radius: 6.6 },
        { x: 57, radius: 6.6 },
      ]),
    );
    side.add('body', 'coat', rect(9, 2.2, 58, 2, 1), { mask: 'roof' });
    side.add('body', 'coat', poly('1.7 19 0.6, 2 17.4 0.4, 71.3 17.4 0.2, 71.3 19.8 0.2, 1.6 19.8 0.6'), {
      mask: 'waistband',
    });
    side.add('glazing', 'glass', poly('4.4 15.8 0.5, 6.4 7.8 1.6, 12 7.4 0.5, 12 15.8 0.5'));
    for (const x of [14, 44, 57.4]) side.add('glazing', 'glass', rect(x, 7.4, x === 14 ? 7 : 11.6, 8.4, 0.8));
    side
      .add('flap', 'coat', rect(23, 6.8, 19.4, 10, 0.6))
      .add('flap', 'line', rect(24, 7.8, 17.4, 0.3))
      .add('flap', 'metal', rect(31.4, 15, 2.6, 0.8, 0.3));
    side.add('flap', 'shade', rect(23, 16.4, 19.4, 0.5, 0.2));
    side
      .add('body', 'shade', rect(2, 25.4, 69, 0.6, 0.2))
      .add('body', 'light', disc(3.4, 22.6, 1.3))
      .add('body', 'line', rect(13, 20.4, 0.3, 5));
    addWheels(side, size);
    side
      .anchor('body-colour', 49, 23)
      .anchor('glazing-colour', 9, 11.6)
      .anchor('decal', 33, 18.6)
      .anchor('sheltered-colour', 36, 28.4);
    side.anchor('load-fixing', 72, 27);
  });
}
