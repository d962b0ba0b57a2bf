import { outlineWithArches, type Drawing } from '@sardonyx/core';
import { addWheels, corners, createModelDrawing, disc, poly, rect } from './createModelDrawing.ts';

/** Lifeboat carrier: a launching trailer with a boat, seen with its low tractor unit. */
export function drawLifeboatCarrier(): Drawing {
  const size = { lengthMm: 88, widthMm: 28, heightMm: 38, axlesMm: [12, 30, 74], wheelRadiusMm: 6, postsMm: [20, 66] };
  return createModelDrawing(size, (side) => {
    side.add('base', 'coat', poly('26 28 0.5, 84 28 0.5, 84 31 0.6, 26 31 0.6'));
    side.add('load', 'coat', poly('36 10 2, 84 7 4, 86.6 10 1, 80 21 4, 44 22 5'));
    side.add('load', 'coat', poly('36.6 11.6 0.8, 85.8 9.2 0.8, 84.6 12 0.5, 38.4 14 0.5'), { mask: 'rubbing band' });
    side
      .add('load', 'light', rect(56, 3.6, 13, 5.4, 1.2))
      .add('load', 'glass', rect(58, 4.8, 3, 2, 0.4))
      .add('load', 'glass', rect(63, 4.6, 3, 2, 0.4));
    side.add('load', 'line', poly('48 16 0.1, 78 14.4 0.1, 78 14.8 0.1, 48 16.4 0.1'));
    for (const x of [48, 64, 78])
      side.add(
        'cradle',
        'coat',
        poly(
          `${x - 4} 20 0.6, ${x - 2.6} 20 0.4, ${x} 25 0.6, ${x + 2.6} 19.6 0.4, ${x + 4} 19.6 0.6, ${x + 1.6} 28.4 0.4, ${x - 1.6} 28.4 0.4`,
        ),
      );
    side.add(
      'body',
      'coat',
      outlineWithArches(corners('1.6 18 2, 14 15.6 1.6, 16 7 2, 28 7 2, 29.6 18 1, 35 20 1'), 30.6, [
        { x: 12, radius: 7 },
        { x: 30, radius: 7 },
      ]),
    );
    side.add('glazing', 'glass', rect(17.4, 9, 9.4, 6.4, 0.8));
    side
      .add('body', 'dark', rect(2, 19.4, 1.4, 6.4, 0.4))
      .add('body', 'light', disc(5, 19.4, 1.3))
      .add('body', 'shade', rect(5.6, 22.2, 8, 0.7, 0.3));
    addWheels(side, size);
    side
      .anchor('body-colour', 21, 20)
      .anchor('glazing-colour', 22, 12)
      .anchor('decal', 70, 18.6)
      .anchor('sheltered-colour', 56, 29.6)
      .anchor('load-fixing', 64, 24);
  });
}
