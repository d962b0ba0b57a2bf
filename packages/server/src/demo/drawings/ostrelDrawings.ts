import { outlineWithArches, type Drawing } from '@sardonyx/core';
import { addSlats, addWheels, createModelDrawing, disc, poly, rect } from './createModelDrawing.ts';

/** Electric float: narrow cab, open deck under a roof, crates on the deck. */
export function drawMilkFloat(): Drawing {
  const size = {
    lengthMm: 62,
    widthMm: 25,
    heightMm: 33,
    axlesMm: [12, 48],
    wheelRadiusMm: 5,
    postsMm: [7, 55],
    hasTyres: false,
  };
  return createModelDrawing(size, (side) => {
    side.add('base', 'coat', rect(3, 26.4, 56, 3, 0.8));
    side.add('load', 'coat', rect(21, 15.5, 37, 8.5, 0.5));
    for (const x of [24, 30, 36, 42, 48, 54]) {
      side
        .add('load', 'light', rect(x - 1.6, 12.2, 1.3, 3.3, 0.4))
        .add('load', 'light', rect(x + 0.6, 12.2, 1.3, 3.3, 0.4));
      side.add('load', 'line', rect(x - 2.8, 15.8, 0.3, 8));
    }
    side.add('load', 'line', rect(21.3, 19.4, 36.4, 0.3));
    side.add(
      'canopy',
      'coat',
      poly([
        [2, 6, 2],
        [5, 2, 2.5],
        [58, 2, 2],
        [60, 5.4, 0.5],
        [60, 6.6, 0.3],
        [2, 6.6, 0.3],
      ]),
    );
    side.add('canopy', 'coat', rect(57, 6.6, 1.4, 16));
    side.add(
      'body',
      'coat',
      outlineWithArches(
        [
          [2.5, 12, 3],
          [5, 6.6, 0.4],
          [19, 6.6, 0.4],
          [19, 23, 0.4],
          [60, 23, 0.6],
        ],
        28,
        [
          { x: 12, radius: 6 },
          { x: 48, radius: 6 },
        ],
      ),
    );
    side.add(
      'glazing',
      'glass',
      poly([
        [4.4, 14.6, 0.5],
        [6.3, 8.6, 0.8],
        [10.4, 8.6, 0.4],
        [10.4, 14.6, 0.4],
      ]),
    );
    side.add('body', 'dark', rect(11.8, 8.4, 5.6, 14.2, 0.8)).add('body', 'shade', rect(12.6, 17.5, 4, 1.6, 0.5));
    side.add('body', 'shade', rect(20, 24.2, 39, 0.7, 0.2)).add('body', 'light', disc(4, 20.4, 1.2));
    side.add('body', 'line', rect(3, 17, 8.2, 0.3));
    addWheels(side, size);
    side.anchor('body-colour', 40, 25.6).anchor('glazing-colour', 7.6, 11.6).anchor('decal', 8, 18.6);
    side.anchor('sheltered-colour', 30, 28).anchor('load-fixing', 40, 18);
  });
}

/** Sweeper: cab in front, water tank behind it, tipping hopper, brush drum underneath. */
export function drawRoadSweeper(): Drawing {
  const size = { lengthMm: 66, widthMm: 27, heightMm: 36, axlesMm: [13, 51], wheelRadiusMm: 6, postsMm: [9, 58] };
  return createModelDrawing(size, (side) => {
    side.add('base', 'coat', rect(4, 28.4, 58, 3, 0.8));
    side
      .add('brush', 'coat', disc(32, 30, 5))
      .add('brush', 'line', disc(32, 30, 3.4))
      .add('brush', 'dark', disc(32, 30, 1.2));
    side.add(
      'hopper',
      'coat',
      poly([
        [36, 9, 1.5],
        [60, 6.6, 3],
        [63, 12, 1.5],
        [60, 25, 1],
        [38, 25, 1],
      ]),
    );
    side.add(
      'hopper',
      'shade',
      poly([
        [38.6, 11.6, 0.5],
        [58.8, 9.4, 1],
        [58.8, 10.6, 0.3],
        [38.6, 12.8, 0.3],
      ]),
    );
    addSlats(side, 'hopper', { x: 40, y: 14, width: 18, height: 9 }, 4);
    side.add('hopper', 'metal', disc(38.4, 24, 1.1));
    side.add(
      'tank',
      'coat',
      poly([
        [22.4, 8, 3],
        [35, 8, 3],
        [35, 25, 1],
        [22.4, 25, 1],
      ]),
    );
    side.add('tank', 'light', rect(24.4, 11, 8, 1.2, 0.5)).add('tank', 'metal', rect(27, 6.6, 3.4, 1.8, 0.5));
    side.add(
      'hose',
      'rubber',
      poly([
        [33, 20, 0.4],
        [34.6, 20, 0.4],
        [36.4, 29, 1],
        [39, 30.6, 0.6],
        [38, 32, 0.4],
        [34.8, 30, 1],
      ]),
    );
    side.add(
      'body',
      'coat',
      outlineWithArches(
        [
          [2, 20, 2.5],
          [4.6, 6, 3],
          [20, 5, 2],
          [21.4, 8, 0.6],
          [21.4, 25, 0.2],
          [63, 25.4, 0.4],
        ],
        29.6,
        [
          { x: 13, radius: 7 },
          { x: 51, radius: 7 },
        ],
      ),
    );
    side.add(
      'glazing',
      'glass',
      poly([
        [4.8, 16, 0.5],
        [6.6, 8.4, 1],
        [12, 8, 0.5],
        [12, 16, 0.5],
      ]),
    );
    side.add(
      'glazing',
      'glass',
      poly([
        [13.4, 16, 0.5],
        [13.4, 8, 0.5],
        [18.6, 7.8, 0.8],
        [18.6, 16, 0.5],
      ]),
    );
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

/** Library van: long windowed body with a drop-flap and a rear step. */
export function drawMobileLibrary(): Drawing {
  const size = { lengthMm: 74, widthMm: 28, heightMm: 34, axlesMm: [14, 57], wheelRadiusMm: 5.6, postsMm: [10, 65] };
  return createModelDrawing(size, (side) => {
    side.add('interior', 'coat', rect(22, 12, 44, 13, 0.5), { hidden: true });
    for (const x of [26, 36, 46, 56]) side.add('interior', 'line', rect(x, 13, 0.4, 11), { hidden: true });
    side.add('base', 'coat', rect(4, 27, 66, 2.8, 0.8));
    side
      .add(
        'step',
        'coat',
        poly([
          [70.4, 25.4, 0.3],
          [73.6, 25.4, 0.4],
          [73.6, 28.6, 0.4],
          [70.4, 28.6, 0.3],
        ]),
      )
      .add('step', 'line', rect(70.8, 26.8, 2.6, 0.3));
    side.add(
      'body',
      'coat',
      outlineWithArches(
        [
          [1.5, 20, 3],
          [4, 6.4, 4],
          [9, 3.4, 3],
          [70, 3.4, 4],
          [71.4, 10, 1],
        ],
        28.4,
        [
          { x: 14, radius: 6.6 },
          { x: 57, radius: 6.6 },
        ],
      ),
    );
    side.add('body', 'coat', rect(9, 2.2, 58, 2, 1), { mask: 'roof' });
    side.add(
      'body',
      'coat',
      poly([
        [1.7, 19, 0.6],
        [2, 17.4, 0.4],
        [71.3, 17.4, 0.2],
        [71.3, 19.8, 0.2],
        [1.6, 19.8, 0.6],
      ]),
      { mask: 'waistband' },
    );
    side.add(
      'glazing',
      'glass',
      poly([
        [4.4, 15.8, 0.5],
        [6.4, 7.8, 1.6],
        [12, 7.4, 0.5],
        [12, 15.8, 0.5],
      ]),
    );
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

/** Dumper: bonnet and seat behind a tipping skip; large cleated tyres. */
export function drawClayPitDumper(): Drawing {
  const size = { lengthMm: 58, widthMm: 30, heightMm: 36, axlesMm: [16, 46], wheelRadiusMm: 8, postsMm: [24, 52] };
  return createModelDrawing(size, (side) => {
    side.add(
      'base',
      'coat',
      poly([
        [8, 25, 0.5],
        [54, 25, 0.5],
        [55, 29, 0.8],
        [8, 29, 0.8],
      ]),
    );
    side.add('pin', 'metal', disc(26, 24.4, 1.6)).add('pin', 'line', disc(26, 24.4, 0.7));
    side.add(
      'spring',
      'metal',
      poly([
        [27.6, 23.6],
        [29, 21.6],
        [30, 24.4],
        [31.2, 21.6],
        [32.2, 24.4],
        [33.4, 21.8],
        [34.4, 23.6],
        [33.6, 25],
        [28, 25],
      ]),
    );
    side.add(
      'skip',
      'coat',
      poly([
        [1.5, 7, 1],
        [31, 5, 1.2],
        [33, 8, 1],
        [29, 22, 3],
        [12, 22.6, 3],
        [5, 15, 2],
      ]),
    );
    side.add(
      'skip',
      'shade',
      poly([
        [3.6, 8.6, 0.4],
        [30.4, 6.8, 0.4],
        [30.2, 8, 0.3],
        [4.2, 9.8, 0.3],
      ]),
    );
    for (const x of [11, 18, 25]) side.add('skip', 'line', rect(x, 10.6, 0.35, 10));
    side.add(
      'body',
      'coat',
      poly([
        [32, 16, 1.5],
        [36.4, 15.6, 0.8],
        [37.2, 19.6, 0.6],
        [41, 19.6, 0.6],
        [41.6, 13, 1.4],
        [55, 14, 2.4],
        [56.4, 18, 1],
        [56, 26, 0.8],
        [31, 26, 0.8],
      ]),
    );
    side
      .add('body', 'dark', rect(53.4, 16.4, 2.2, 6.6, 0.4))
      .add('body', 'shade', rect(43, 19.6, 9, 0.7, 0.3))
      .add('body', 'light', disc(51.6, 15.6, 1));
    addSlats(side, 'body', { x: 43, y: 21, width: 9, height: 3.6 }, 5);
    side.add(
      'seat',
      'coat',
      poly([
        [36.6, 17.4, 0.6],
        [40.4, 17.4, 0.4],
        [40.4, 11.4, 1],
        [41.8, 11.4, 0.8],
        [41.8, 19.4, 0.3],
        [36.6, 19.4, 0.4],
      ]),
    );
    side
      .add(
        'steering',
        'metal',
        poly([
          [34.4, 16, 0.1],
          [35, 15.8, 0.1],
          [37, 11.2, 0.1],
          [36.4, 11, 0.1],
        ]),
      )
      .add(
        'steering',
        'dark',
        poly([
          [34.8, 10.2, 0.4],
          [38.8, 11.6, 0.4],
          [38.4, 12.4, 0.3],
          [34.6, 11, 0.3],
        ]),
      );
    addWheels(side, size);
    side
      .anchor('body-colour', 47, 17.4)
      .anchor('decal', 22, 12)
      .anchor('sheltered-colour', 30, 27.6)
      .anchor('load-fixing', 26, 24.4);
  });
}

/** Horse box: bonnet cab and a tall box with a rear ramp. */
export function drawHorseBox(): Drawing {
  const size = { lengthMm: 68, widthMm: 28, heightMm: 38, axlesMm: [14, 54], wheelRadiusMm: 6, postsMm: [9, 58] };
  return createModelDrawing(size, (side) => {
    side.add('base', 'coat', rect(4, 30.4, 60, 3, 0.8));
    side
      .add(
        'ramp',
        'coat',
        poly([
          [64, 7, 0.8],
          [66.4, 7, 0.8],
          [66.4, 31, 0.6],
          [64, 31, 0.4],
        ]),
      )
      .add('ramp', 'line', rect(64.8, 9, 0.3, 20))
      .add('ramp', 'metal', disc(65.2, 30, 1));
    side.add(
      'body',
      'coat',
      outlineWithArches(
        [
          [1.5, 20, 2],
          [12, 17.4, 2],
          [15, 8, 2.4],
          [22, 7.6, 0.6],
          [22, 3, 2.4],
          [64, 3, 2.4],
          [64, 20, 0.2],
        ],
        31.6,
        [
          { x: 14, radius: 7 },
          { x: 54, radius: 7 },
        ],
      ),
    );
    side.add('body', 'coat', rect(23, 2.1, 40, 2.2, 1), { mask: 'roof' });
    side.add(
      'glazing',
      'glass',
      poly([
        [14.2, 16.8, 0.4],
        [16.4, 10, 1],
        [20.8, 9.8, 0.5],
        [20.8, 16.8, 0.4],
      ]),
    );
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

/** Snowplough: lorry with a wedge blade in front and a grit body; chevrons on the blade. */
export function drawSnowplough(): Drawing {
  const size = { lengthMm: 76, widthMm: 30, heightMm: 35, axlesMm: [26, 62], wheelRadiusMm: 6.4, postsMm: [20, 68] };
  return createModelDrawing(size, (side) => {
    side.add('base', 'coat', rect(12, 27.4, 60, 3, 0.8));
    side.add('base', 'metal', rect(8.4, 26.4, 8, 1.6, 0.4));
    side.add(
      'blade',
      'coat',
      poly([
        [1, 32, 0.8],
        [6, 14, 1.5],
        [10.4, 13, 1],
        [12, 30, 0.8],
        [10, 33, 0.8],
      ]),
    );
    for (const y of [16, 22, 28]) {
      side.add(
        'blade',
        'coat',
        poly([
          [6.4 - (y - 14) * 0.26, y, 0.2],
          [10.8, y - 1.6, 0.2],
          [11, y + 1, 0.2],
          [5.8 - (y - 14) * 0.26, y + 2.4, 0.2],
        ]),
        { mask: 'chevrons' },
      );
    }
    side.add(
      'load',
      'coat',
      poly([
        [36, 11, 1],
        [73, 11, 1],
        [71, 23, 0.8],
        [38, 23, 0.8],
      ]),
    );
    addSlats(side, 'load', { x: 37, y: 12.4, width: 34, height: 9.6 }, 6);
    side.add(
      'load',
      'light',
      poly([
        [38, 11, 0.4],
        [46, 7.4, 2],
        [60, 6.8, 3],
        [71, 11, 0.4],
      ]),
    );
    side.add(
      'body',
      'coat',
      outlineWithArches(
        [
          [13.6, 22, 2],
          [15.4, 8, 2.6],
          [19, 5.4, 2],
          [33, 5.4, 2],
          [34.4, 8, 0.6],
          [34.4, 23.6, 0.2],
          [73.6, 24, 0.4],
        ],
        28.6,
        [
          { x: 26, radius: 7.4 },
          { x: 62, radius: 7.4 },
        ],
      ),
    );
    side.add(
      'glazing',
      'glass',
      poly([
        [16.2, 15.6, 0.5],
        [18.2, 8.6, 1],
        [23.4, 8.2, 0.5],
        [23.4, 15.6, 0.5],
      ]),
    );
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
    side.add('base', 'coat', rect(3, 17.6, 40, 2.6, 0.8)).add(
      'base',
      'metal',
      poly([
        [43, 16.4, 0.3],
        [45.6, 16.4, 0.8],
        [45.6, 19.4, 0.8],
        [43, 18.6, 0.3],
      ]),
    );
    side.add(
      'body',
      'coat',
      outlineWithArches(
        [
          [1.5, 11, 2],
          [3, 8, 1.4],
          [20, 7, 1],
          [22.4, 14.4, 1],
          [32, 14.4, 0.8],
          [32.6, 10, 1],
          [43, 10, 1.6],
        ],
        18.8,
        [
          { x: 10, radius: 5.9 },
          { x: 36, radius: 5.9 },
        ],
      ),
    );
    side.add(
      'seat',
      'coat',
      poly([
        [26, 12.6, 0.5],
        [30.6, 12.6, 0.4],
        [31.2, 5.6, 1],
        [32.8, 5.6, 0.8],
        [32.6, 14.4, 0.3],
        [26, 14.4, 0.3],
      ]),
    );
    side
      .add(
        'steering',
        'metal',
        poly([
          [20.4, 8],
          [21, 7.6],
          [24.4, 4],
          [23.8, 3.6],
        ]),
      )
      .add(
        'steering',
        'dark',
        poly([
          [21.8, 2.4, 0.4],
          [26, 5, 0.4],
          [25.6, 5.8, 0.3],
          [21.4, 3.2, 0.3],
        ]),
      );
    side
      .add('body', 'dark', rect(2, 10.4, 1.4, 5, 0.4))
      .add('body', 'light', disc(4.8, 10.4, 1.1))
      .add('body', 'shade', rect(4, 15.8, 38, 0.6, 0.2));
    side.add('body', 'line', rect(14, 8.6, 0.3, 5));
    addWheels(side, size);
    side.anchor('body-colour', 17, 12).anchor('decal', 9, 11.6).anchor('sheltered-colour', 23, 18.4);
  });
}

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
      poly([
        [4, 3.4, 0.6],
        [5.6, 3.4, 0.6],
        [5.8, 12, 0.3],
        [35, 12, 0.3],
        [35.2, 3.4, 0.6],
        [36.8, 3.4, 0.6],
        [37, 14.6, 0.5],
        [3.8, 14.6, 0.5],
      ]),
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

/** Lifeboat carrier: a launching trailer with a boat, seen with its low tractor unit. */
export function drawLifeboatCarrier(): Drawing {
  const size = { lengthMm: 88, widthMm: 28, heightMm: 38, axlesMm: [12, 30, 74], wheelRadiusMm: 6, postsMm: [20, 66] };
  return createModelDrawing(size, (side) => {
    side.add(
      'base',
      'coat',
      poly([
        [26, 28, 0.5],
        [84, 28, 0.5],
        [84, 31, 0.6],
        [26, 31, 0.6],
      ]),
    );
    side.add(
      'load',
      'coat',
      poly([
        [36, 10, 2],
        [84, 7, 4],
        [86.6, 10, 1],
        [80, 21, 4],
        [44, 22, 5],
      ]),
    );
    side.add(
      'load',
      'coat',
      poly([
        [36.6, 11.6, 0.8],
        [85.8, 9.2, 0.8],
        [84.6, 12, 0.5],
        [38.4, 14, 0.5],
      ]),
      { mask: 'rubbing band' },
    );
    side
      .add('load', 'light', rect(56, 3.6, 13, 5.4, 1.2))
      .add('load', 'glass', rect(58, 4.8, 3, 2, 0.4))
      .add('load', 'glass', rect(63, 4.6, 3, 2, 0.4));
    side.add(
      'load',
      'line',
      poly([
        [48, 16, 0.1],
        [78, 14.4, 0.1],
        [78, 14.8, 0.1],
        [48, 16.4, 0.1],
      ]),
    );
    for (const x of [48, 64, 78])
      side.add(
        'cradle',
        'coat',
        poly([
          [x - 4, 20, 0.6],
          [x - 2.6, 20, 0.4],
          [x, 25, 0.6],
          [x + 2.6, 19.6, 0.4],
          [x + 4, 19.6, 0.6],
          [x + 1.6, 28.4, 0.4],
          [x - 1.6, 28.4, 0.4],
        ]),
      );
    side.add(
      'body',
      'coat',
      outlineWithArches(
        [
          [1.6, 18, 2],
          [14, 15.6, 1.6],
          [16, 7, 2],
          [28, 7, 2],
          [29.6, 18, 1],
          [35, 20, 1],
        ],
        30.6,
        [
          { x: 12, radius: 7 },
          { x: 30, radius: 7 },
        ],
      ),
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

/** Coal cart: bonnet lorry with a high-sided body and a heap of coal. */
export function drawCoalCart(): Drawing {
  const size = {
    lengthMm: 60,
    widthMm: 26,
    heightMm: 32,
    axlesMm: [13, 47],
    wheelRadiusMm: 5.6,
    postsMm: [8, 52],
    hasTyres: false,
  };
  return createModelDrawing(size, (side) => {
    side.add('base', 'coat', rect(4, 25, 53, 2.8, 0.8));
    side
      .add(
        'load',
        'dark',
        poly([
          [26, 13, 1],
          [31, 8.6, 2],
          [37, 10.4, 1.6],
          [43, 7.6, 2],
          [50, 10, 2],
          [57, 13, 1],
        ]),
      )
      .add('load', 'shade', disc(37, 11.6, 1.2))
      .add('load', 'shade', disc(46, 11, 1.4));
    side.add(
      'body',
      'coat',
      outlineWithArches(
        [
          [1.6, 16, 2],
          [11.4, 14, 1.6],
          [13.6, 5.6, 2.2],
          [22.6, 5.2, 1.4],
          [23.4, 13, 0.6],
          [58, 12.4, 0.6],
        ],
        26.4,
        [
          { x: 13, radius: 6.6 },
          { x: 47, radius: 6.6 },
        ],
      ),
    );
    side
      .add('body', 'dark', rect(15, 7.4, 6.4, 6, 0.8))
      .add('body', 'coat', rect(25, 14.6, 32, 6.4, 0.4), { mask: 'side board' });
    addSlats(side, 'body', { x: 25, y: 14.8, width: 32, height: 6 }, 7);
    side
      .add('body', 'light', disc(4.6, 17, 1.2))
      .add('body', 'dark', rect(2, 17.4, 1.2, 5, 0.3))
      .add('body', 'shade', rect(3, 23.4, 54, 0.6, 0.2));
    addWheels(side, size);
    side
      .anchor('body-colour', 18, 18)
      .anchor('decal', 41, 18)
      .anchor('sheltered-colour', 30, 25.8)
      .anchor('load-fixing', 41, 11);
  });
}
