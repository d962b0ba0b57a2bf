import type { IdentifyHistory } from './catalogue.ts';

/**
 * The histories every bench begins with. All numbers are planning estimates, except that an untouched model has nothing
 * altered by definition. A repaint changes the outer coat, often takes the decals with it and reaches the base;
 * it rarely gets into sheltered places. Decals wear off and are renewed on their own. Rebuilding from parts exchanges bases, with the lettering that is cast into them.
 */
export const DEFAULT_HISTORIES: readonly IdentifyHistory[] = [
  {
    key: 'untouched',
    label: 'untouched',
    prior: 0.55,
    rates: {
      'body casting': 0,
      'base casting': 0,
      'outer coat': 0,
      decals: 0,
      'base coat': 0,
      'sheltered coat': 0,
      wheels: 0,
      'fitted part': 0,
    },
  },
  {
    key: 'wheels-changed',
    label: 'wheels changed',
    prior: 0.2,
    rates: {
      'body casting': 0,
      'base casting': 0,
      'outer coat': 0.02,
      decals: 0.05,
      'base coat': 0.02,
      'sheltered coat': 0,
      wheels: 0.8,
      'fitted part': 0.05,
    },
  },
  {
    key: 'repainted',
    label: 'repainted',
    prior: 0.15,
    rates: {
      'body casting': 0,
      'base casting': 0,
      'outer coat': 0.92,
      decals: 0.6,
      'base coat': 0.4,
      'sheltered coat': 0.1,
      wheels: 0.1,
      'fitted part': 0.05,
    },
  },
  {
    key: 'rebuilt',
    label: 'rebuilt from parts',
    prior: 0.1,
    rates: {
      'body casting': 0,
      'base casting': 0.4,
      'outer coat': 0.5,
      decals: 0.4,
      'base coat': 0.5,
      'sheltered coat': 0.15,
      wheels: 0.6,
      'fitted part': 0.5,
    },
  },
];
