import { outlineWithArches, type Drawing } from '@sardonyx/core';
import { addWheels, corners, createModelDrawing, disc, poly, rect } from './createModelDrawing.ts';

/** Double-ended harbour tram: clerestory roof, platform ends, a lamp bracket on the dash. */
export function drawHarbourTram(): Drawing {
  const size = {
    lengthMm: 92,
    widthMm: 30,
    heightMm: 50,
    axlesMm: [33, 59],
    wheelRadiusMm: 6,
    postsMm: [18, 74],
    hasTyres: false,
  };
  return createModelDrawing(size, (side) => {
    side.add('base', 'coat', rect(16, 40.6, 60, 3.6, 0.8));
    side.add('roof', 'coat', poly('4 10 1.5, 10 6 3, 82 6 3, 88 10 1.5, 88 12 0.5, 4 12 0.5'));
    side.add('roof', 'coat', poly('20 6 0.5, 23 2 1.5, 69 2 1.5, 72 6 0.5'), { mask: 'clerestory' });
    for (const x of [26, 36, 46, 56]) side.add('roof', 'light', rect(x, 3.2, 7, 1.6, 0.3));
    side
      .add('figures', 'coat', poly('8.4 25 1.4, 9 17.4 1.6, 11.6 17.4 1.6, 12.4 25 1.4, 11.8 33 0.6, 8.8 33 0.6'))
      .add('figures', 'coat', disc(10.3, 15.8, 1.9), { mask: 'face' })
      .add('figures', 'dark', rect(8.6, 13.2, 3.6, 1.3, 0.4));
    side.add(
      'body',
      'coat',
      outlineWithArches(corners('3 25 1, 14.6 25 0.4, 14.6 12 0.4, 77.4 12 0.4, 77.4 25 0.4, 89 25 1'), 41.8, [
        { x: 33, radius: 7 },
        { x: 59, radius: 7 },
      ]),
    );
    for (const x of [17, 29.2, 41.4, 53.6, 65.8]) side.add('body', 'glass', rect(x, 14.4, 9.6, 9.4, 1.2));
    side
      .add('trim', 'coat', rect(14.6, 25.6, 62.8, 1.6, 0.3))
      .add('trim', 'coat', rect(3, 36.4, 86, 1.2, 0.3))
      .add('trim', 'metal', rect(13.6, 12, 1, 13.4, 0.3))
      .add('trim', 'metal', rect(77.4, 12, 1, 13.4, 0.3));
    side.add('trim', 'metal', rect(4, 12, 0.9, 13, 0.3)).add('trim', 'metal', rect(87.2, 12, 0.9, 13, 0.3));
    side
      .add('lamp', 'metal', rect(0.6, 29, 2.6, 0.9, 0.2))
      .add('lamp', 'light', disc(1.8, 27.4, 1.7))
      .add('lamp', 'line', disc(1.8, 27.4, 0.9));
    side.add('body', 'shade', rect(18, 31, 56, 0.7, 0.2)).add('body', 'line', rect(45.8, 28, 0.3, 8));
    addWheels(side, size);
    side
      .anchor('body-colour', 54, 33)

      .anchor('decal', 32, 33)
      .anchor('sheltered-colour', 46, 41)
      .anchor('lamp', 2, 28);
  });
}
