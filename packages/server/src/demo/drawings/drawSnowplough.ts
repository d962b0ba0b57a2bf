import { outlineWithArches, type Drawing } from '@sardonyx/core';
import { addSlats, addWheels, corners, createModelDrawing, disc, poly, rect } from './createModelDrawing.ts';

/** Snowplough: lorry with a wedge blade in front and a grit body; chevrons on the blade. */
export function drawSnowplough(): Drawing {
  const size = { lengthMm: 76, widthMm: 30, heightMm: 35, axlesMm: [26, 62], wheelRadiusMm: 6.4, postsMm: [20, 68] };
  return createModelDrawing(size, (side) => {
    side.add('base', 'coat', rect(12, 27.4, 60, 3, 0.8));
    side.add('base', 'metal', rect(8.4, 26.4, 8, 1.6, 0.4));
    side.add('blade', 'coat', poly('1 32 0.8, 6 14 1.5, 10.4 13 1, 12 30 0.8, 10 33 0.8'));
    for (const y of [16, 22, 28]) {
      side.add(
        'blade',
        'coat',
        poly(
          `${6.4 - (y - 14) * 0.26} ${y} 0.2, 10.8 ${y - 1.6} 0.2, 11 ${y + 1} 0.2, ${5.8 - (y - 14) * 0.26} ${y + 2.4} 0.2`,
        ),
        { mask: 'chevrons' },
      );
    }
    side.add('load', 'coat', poly('36 11 1, 73 11 1, 71 23 0.8, 38 23 0.8'));
    addSlats(side, 'load', { x: 37, y: 12.4, width: 34, height: 9.6 }, 6);
    side.add('load', 'light', poly('38 11 0.4, 46 7.4 2, 60 6.8 3, 71 11 0.4'));
    side.add(
      'body',
      'coat',
      outlineWithArches(
        corners('13.6 22 2, 15.4 8 2.6, 19 5.4 2, 33 5.4 2, 34.4 8 0.6, 34.4 23.6 0.2, 73.6 24 0.4'),
        28.6,
        [
          { x: 26, radius: 7.4 },
          { x: 62, radius: 7.4 },
        ],
      ),
    );
    side.add('glazing', 'glass', poly('16.2 15.6 0.5, 18.2 8.6 1, 23.4 8.2 0.5, 23.4 15.6 0.5'));
    side.add('glazing', 'glass', rect(24.8, 8.2, 7.4, 7.4, 0.8));
    side
      .add('body', 'dark', rect(22.4, 3, 5, 2.6, 1))
      .add('body', 'light', disc(15.4, 20.6, 1.2))
      .add('body', 'line', rect(24, 16.4, 0.3, 6));
    addWheels(side, size);
    side
      .anchor('body-colour', 29, 19)
      .anchor('glazing-colour', 20.4, 12)
      .anchor('decal', 6.6, 22)
      .anchor('sheltered-colour', 46, 28)
      .anchor('load-fixing', 55, 17);
  });
}
