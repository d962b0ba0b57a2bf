import { createSeededRandom, measureLength } from '@sardonyx/core';
import { tryLengths } from '../packages/core/test/support/simulatedPhotos.ts';
import type { Topic } from './figure.ts';

const POINT_SETS = 2500;

export const photo: Topic = {
  names: ['photo.coverage95'],
  measure: () => {
    const { coverage } = tryLengths(POINT_SETS, createSeededRandom(95), (control, a, b, pixelSd) =>
      measureLength(control, a, b, { pixelSd, controlMmSd: 0 }),
    );
    return Promise.resolve([
      {
        name: 'photo.coverage95',
        value: coverage,
        unit: '',
        goal: { kind: 'within', least: 0.93, most: 0.97 },
        yardstick: `true lengths in the stated 95 % interval, ${POINT_SETS} simulated point sets: a card, tilts up to 20 degrees, pointing by 0.4 to 1.4 px`,
      },
    ]);
  },
};
