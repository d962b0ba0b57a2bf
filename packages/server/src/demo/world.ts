import type { BenchSession, Maker, Restorer, ToyRange } from '@sardonyx/core';

/** The invented world of the demo: a volunteer workshop, its makers and its people. */
export const BENCH_NAME = 'The Saltgate Mending Bench';

type Plain<T> = Omit<T, 'version'>;

export const MAKERS: readonly Plain<Maker>[] = [
  {
    id: 'ostrel',
    name: 'Ostrel Works',
    fromYear: 1951,
    toYear: 1979,
    about: 'The factory of Saltgate; its order books survive in part.',
  },
  {
    id: 'brindle',
    name: 'Brindle & Daughters',
    fromYear: 1929,
    toYear: 1941,
    about: 'Lead alloy and tinplate, some zinc that is prone to pest.',
  },
  {
    id: 'kestrova',
    name: 'Kestrova',
    fromYear: 1966,
    toYear: 1988,
    about: '1:43 with opening parts, vacuum-plated trim and glued glazing.',
  },
];

export const RANGES: readonly Plain<ToyRange>[] = [
  {
    id: 'hand-span',
    makerId: 'ostrel',
    name: 'Hand-Span',
    about: 'Small zinc-alloy vehicles numbered 1 to 60; a renewed tool got a new stroke.',
  },
  { id: 'quayside', makerId: 'brindle', name: 'Quayside', about: 'Harbour subjects in lead alloy with tinplate trim.' },
  { id: 'k-series', makerId: 'kestrova', name: 'K series', about: 'Family cars with opening parts.' },
];

const evening = (weekday: number): BenchSession => ({ weekday, startHour: 18, minutes: 150 });

export const RESTORERS: readonly Plain<Restorer>[] = [
  {
    id: 'imke',
    name: 'Imke Varga',
    does: 'Sprays',
    exceptions: [],
    leaves: ['decals'],
    sessions: [evening(2), evening(4), { weekday: 6, startHour: 9, minutes: 180 }],
  },
  {
    id: 'osric',
    name: 'Osric Bell',
    does: 'Metal work and decals',
    exceptions: [],
    leaves: ['spraying'],
    sessions: [evening(1), evening(3)],
  },
];
