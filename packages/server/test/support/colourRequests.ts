/** What a restorer sends while capturing, mixing and painting patches; each test changes what it is about. */
export const WHO = 'Imke Varga';
export const WHITE = 'paint-marlstone-bright-white';
export const BLUE = 'paint-marlstone-ultramarine';
export const CAPTURE = {
  ...{ specimenPartId: 'sg-03-1.body', place: 'sheltered', note: 'behind the flap' },
  ...{ lab: [41, -3, -14], sd: [0.5, 0.6, 0.6], spectrum: null, geometry: 'gloss left out', method: 'typed' },
  ...{ photoId: null, point: null, who: WHO },
};
export const MIX = {
  ...{ jobId: 'sg-03', specimenPartId: 'sg-03-1.body', captureId: null, name: 'Slate blue' },
  ...{ target: [41, -3, -14], targetA: [39, -6, -16], geometry: 'gloss left out', needMl: 2, tolerance: 1 },
  ...{
    dosing: 'scales',
    doseMl: 0.01,
    way: 'light end',
    recipe: [{ productId: WHITE, name: 'Marlstone Bright white', ml: 2 }],
  },
};
export const PATCH = { lab: [60, -5, -25], sd: [0.2, 0.3, 0.3], how: 'spectrophotometer', words: null, who: WHO };
