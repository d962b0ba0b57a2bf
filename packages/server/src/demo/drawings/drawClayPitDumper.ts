import type { Drawing } from '@sardonyx/core';
import { addSlats, addWheels, createModelDrawing, disc, poly, rect } from './createModelDrawing.ts';

/** Dumper: bonnet and seat behind a tipping skip; large cleated tyres. */
export function drawClayPitDumper(): Drawing {
  const size = { lengthMm: 58, widthMm: 30, heightMm: 36, axlesMm: [16, 46], wheelRadiusMm: 8, postsMm: [24, 52] };
  return createModelDrawing(size, (side) => {
    side.add('base', 'coat', poly('8 25 0.5, 54 25 0.5, 55 29 0.8, 8 29 0.8'));
    side.add('pin', 'metal', disc(26, 24.4, 1.6)).add('pin', 'line', disc(26, 24.4, 0.7));
    side.add(
      'spring',
      'metal',
      poly('27.6 23.6, 29 21.6, 30 24.4, 31.2 21.6, 32.2 24.4, 33.4 21.8, 34.4 23.6, 33.6 25, 28 25'),
    );
    side.add('skip', 'coat', poly('1.5 7 1, 31 5 1.2, 33 8 1, 29 22 3, 12 22.6 3, 5 15 2'));
    side.add('skip', 'shade', poly('3.6 8.6 0.4, 30.4 6.8 0.4, 30.2 8 0.3, 4.2 9.8 0.3'));
    for (const x of [11, 18, 25]) side.add('skip', 'line', rect(x, 10.6, 0.35, 10));
    side.add(
      'body',
      'coat',
      poly(
        '32 16 1.5, 36.4 15.6 0.8, 37.2 19.6 0.6, 41 19.6 0.6, 41.6 13 1.4, 55 14 2.4, 56.4 18 1, 56 26 0.8, 31 26 0.8',
      ),
    );
    side
      .add('body', 'dark', rect(53.4, 16.4, 2.2, 6.6, 0.4))
      .add('body', 'shade', rect(43, 19.6, 9, 0.7, 0.3))
      .add('body', 'light', disc(51.6, 15.6, 1));
    addSlats(side, 'body', { x: 43, y: 21, width: 9, height: 3.6 }, 5);
    side.add(
      'seat',
      'coat',
      poly('36.6 17.4 0.6, 40.4 17.4 0.4, 40.4 11.4 1, 41.8 11.4 0.8, 41.8 19.4 0.3, 36.6 19.4 0.4'),
    );
    side
      .add('steering', 'metal', poly('34.4 16 0.1, 35 15.8 0.1, 37 11.2 0.1, 36.4 11 0.1'))
      .add('steering', 'dark', poly('34.8 10.2 0.4, 38.8 11.6 0.4, 38.4 12.4 0.3, 34.6 11 0.3'));
    addWheels(side, size);
    side
      .anchor('body-colour', 47, 17.4)
      .anchor('decal', 22, 12)
      .anchor('sheltered-colour', 30, 27.6)
      .anchor('load-fixing', 26, 24.4);
  });
}
