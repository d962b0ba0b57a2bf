import { outlineWithArches, type Drawing } from '@sardonyx/core';
import { addWheels, corners, createModelDrawing, disc, poly, rect } from './createModelDrawing.ts';

/** Coastal saloon: three-box, two-tone along the waist, plated bumpers and grille. */
export function drawCoastalSaloon(): Drawing {
  const size = { lengthMm: 98, widthMm: 40, heightMm: 33, axlesMm: [19, 75], wheelRadiusMm: 7, postsMm: [14, 84] };
  return createModelDrawing(size, (side) => {
    side.add(
      'interior',
      'coat',
      poly('38 18 1, 42 12 1, 45 12 1, 46 19 0.6, 58 19 0.6, 60 11.4 1, 63 11.4 1, 66 20 1, 66 23 0.5, 38 23 0.5'),
      { hidden: true },
    );
    side.add('base', 'coat', rect(5, 25.8, 88, 2.8, 1));
    side.add(
      'body',
      'coat',
      outlineWithArches(corners('1.6 17.6 2.5, 28 14.4 2, 40 3.6 4, 64 3 5, 75 13 3, 95 14.6 3, 96.6 18 1.5'), 27, [
        { x: 19, radius: 8.2 },
        { x: 75, radius: 8.2 },
      ]),
    );
    side.add('body', 'coat', poly('28.4 14.2 0.5, 40.2 3.4 4, 64 2.8 5, 74.8 13 1'), { mask: 'roof' });
    side.add('glazing', 'glass', poly('33.4 13.6 0.6, 41.4 5.6 1.4, 51 5 0.6, 51 13.6 0.6'));
    side.add('glazing', 'glass', poly('53 13.6 0.6, 53 5 0.6, 62.6 4.8 2, 70.4 13.2 0.6'));
    side
      .add('trim', 'light', rect(3, 18.6, 92, 0.9, 0.3))
      .add('trim', 'light', poly('0.4 23.4 0.8, 9.4 22.6 0.6, 9.4 25 0.6, 0.4 26 0.8'))
      .add('trim', 'light', poly('89 22.6 0.6, 97.6 23.2 0.8, 97.6 25.8 0.8, 89 25 0.6'));
    side.add('trim', 'metal', rect(1.2, 19.6, 1.6, 3.2, 0.4));
    side.add('body', 'light', disc(4, 19.8, 1.5)).add('body', 'dark', rect(94, 18.8, 1.6, 2.8, 0.4));
    side
      .add('doors', 'coat', poly('33 14.6 0.5, 51.6 14.6 0.5, 51.6 25 0.6, 34 25 0.6'))
      .add('doors', 'line', rect(33.4, 17.6, 18, 0.25))
      .add('doors', 'metal', rect(46.6, 15.8, 3, 0.8, 0.3));
    side.add('body', 'line', rect(52, 14.6, 0.3, 10.4)).add('body', 'shade', rect(27.4, 25.4, 40, 0.6, 0.2));
    addWheels(side, size);
    side
      .anchor('body-colour', 60, 21.6)
      .anchor('glazing-colour', 45, 9.6)
      .anchor('decal', 84, 17)
      .anchor('sheltered-colour', 47, 26.4)
      .anchor('trim-plating', 5, 24.4);
  });
}
