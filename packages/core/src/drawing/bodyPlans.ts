import type { BodyType } from '../model/catalogue.ts';
import type { ViewBuilder } from './createView.ts';
import { outlineRectangle, type Corner } from './paths.ts';

/** Shape of a body type as shares of length (x) and height (y, downwards). */
export interface BodyPlan {
  readonly heightShare: number;
  readonly roof: readonly Corner[];
  readonly windows: readonly (readonly Corner[])[];
  readonly wheelShare: number;
  readonly extras?: (view: ViewBuilder, at: Scale) => void;
}

export interface Scale {
  readonly x: (share: number) => number;
  readonly y: (share: number) => number;
}

export const BODY_PLANS: Readonly<Record<BodyType, BodyPlan>> = {
  saloon: {
    heightShare: 0.33,
    roof: [
      [0.01, 0.56, 3],
      [0.24, 0.46, 2],
      [0.36, 0.06, 4],
      [0.66, 0.05, 4],
      [0.8, 0.44, 2],
      [0.99, 0.52, 3],
    ],
    windows: [
      [
        [0.3, 0.44, 0.6],
        [0.385, 0.14, 1.4],
        [0.5, 0.13, 0.6],
        [0.5, 0.44, 0.6],
      ],
      [
        [0.53, 0.44, 0.6],
        [0.53, 0.13, 0.6],
        [0.64, 0.14, 1.4],
        [0.73, 0.44, 0.6],
      ],
    ],
    wheelShare: 0.2,
  },
  sports: {
    heightShare: 0.28,
    roof: [
      [0.01, 0.66, 3],
      [0.3, 0.5, 2],
      [0.42, 0.12, 3],
      [0.58, 0.12, 3],
      [0.76, 0.46, 3],
      [0.99, 0.56, 3],
    ],
    windows: [
      [
        [0.37, 0.48, 0.5],
        [0.45, 0.2, 1],
        [0.57, 0.2, 1],
        [0.66, 0.48, 0.5],
      ],
    ],
    wheelShare: 0.24,
  },
  van: {
    heightShare: 0.45,
    roof: [
      [0.01, 0.52, 2],
      [0.13, 0.46, 2],
      [0.24, 0.1, 3],
      [0.97, 0.06, 3],
      [0.99, 0.5, 1],
    ],
    windows: [
      [
        [0.2, 0.44, 0.6],
        [0.27, 0.17, 1.2],
        [0.38, 0.17, 0.6],
        [0.38, 0.44, 0.6],
      ],
    ],
    wheelShare: 0.17,
  },
  lorry: {
    heightShare: 0.42,
    roof: [
      [0.01, 0.5, 2],
      [0.05, 0.14, 3],
      [0.26, 0.1, 2],
      [0.28, 0.62, 0],
      [0.99, 0.62, 0],
    ],
    windows: [
      [
        [0.05, 0.44, 0.6],
        [0.085, 0.2, 1],
        [0.22, 0.19, 0.6],
        [0.22, 0.44, 0.6],
      ],
    ],
    wheelShare: 0.18,
    extras: (view, { x, y }) => {
      view.add('load', 'coat', outlineRectangle(x(0.3), y(0.3), x(0.69), y(0.34), 0.8));
      for (const share of [0.42, 0.54, 0.66, 0.78, 0.9])
        view.add('load', 'line', outlineRectangle(x(share), y(0.31), 0.4, y(0.32)));
      view.add('load', 'light', outlineRectangle(x(0.31), y(0.31), x(0.67), y(0.04)));
    },
  },
  tanker: {
    heightShare: 0.4,
    roof: [
      [0.01, 0.5, 2],
      [0.05, 0.14, 3],
      [0.26, 0.1, 2],
      [0.28, 0.64, 0],
      [0.99, 0.64, 0],
    ],
    windows: [
      [
        [0.05, 0.44, 0.6],
        [0.085, 0.2, 1],
        [0.22, 0.19, 0.6],
        [0.22, 0.44, 0.6],
      ],
    ],
    wheelShare: 0.18,
    extras: (view, { x, y }) => {
      view.add('load', 'coat', outlineRectangle(x(0.3), y(0.16), x(0.68), y(0.46), 4));
      view.add('load', 'light', outlineRectangle(x(0.33), y(0.22), x(0.6), y(0.05), 0.8));
      for (const share of [0.44, 0.6, 0.76])
        view.add('load', 'shade', outlineRectangle(x(share), y(0.1), x(0.06), y(0.07), 0.6));
    },
  },
  bus: {
    heightShare: 0.4,
    roof: [
      [0.01, 0.4, 3],
      [0.04, 0.08, 4],
      [0.96, 0.06, 4],
      [0.99, 0.4, 3],
    ],
    windows: [0, 1, 2, 3, 4].map((i): Corner[] => {
      const left = 0.07 + i * 0.176;
      return [
        [left, 0.42, 0.8],
        [left, 0.18, 0.8],
        [left + 0.15, 0.18, 0.8],
        [left + 0.15, 0.42, 0.8],
      ];
    }),
    wheelShare: 0.16,
    extras: (view, { x, y }) => view.add('body', 'shade', outlineRectangle(x(0.02), y(0.52), x(0.96), y(0.04), 0.3)),
  },
  tractor: {
    heightShare: 0.6,
    roof: [
      [0.02, 0.48, 2],
      [0.4, 0.42, 1],
      [0.46, 0.08, 2],
      [0.84, 0.08, 2],
      [0.9, 0.5, 2],
    ],
    windows: [
      [
        [0.48, 0.42, 0.6],
        [0.52, 0.15, 0.8],
        [0.78, 0.15, 0.8],
        [0.8, 0.42, 0.6],
      ],
    ],
    wheelShare: 0.2,
    extras: (view, { x, y }) => view.add('body', 'dark', outlineRectangle(x(0.24), y(0.12), x(0.03), y(0.32), 0.4)),
  },
  trailer: {
    heightShare: 0.34,
    roof: [
      [0.08, 0.2, 1],
      [0.99, 0.2, 1],
    ],
    windows: [],
    wheelShare: 0.2,
    extras: (view, { x, y }) => {
      view.add('base', 'metal', outlineRectangle(0, y(0.6), x(0.12), y(0.06), 0.5));
      for (const share of [0.26, 0.44, 0.62, 0.8])
        view.add('body', 'line', outlineRectangle(x(share), y(0.24), 0.4, y(0.4)));
    },
  },
};
