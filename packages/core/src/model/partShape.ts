import type { PartRole } from './partRole.ts';

/** What a part looks like when nobody has drawn it. */
export const PART_SHAPES = [
  'shell',
  'cab',
  'bed',
  'tank',
  'box',
  'plate',
  'chassis',
  'windows',
  'seats',
  'mechanism',
  'wheel',
  'tyre',
  'axle',
  'door',
  'bonnet',
  'boot lid',
  'bumper',
  'grille',
  'strip',
  'lamp',
  'hook',
  'drawbar',
  'rack',
  'load',
  'figure',
  'arm',
  'blade',
  'spring',
  'pin',
] as const;
export type PartShape = (typeof PART_SHAPES)[number];

/** What such a part does on a model: its role, where nobody says otherwise. */
export const ROLE_OF_SHAPE: Readonly<Record<PartShape, PartRole>> = {
  ...{ shell: 'body', cab: 'cab', bed: 'load', tank: 'load', box: 'load', plate: 'base', chassis: 'base' },
  ...{ windows: 'glazing', seats: 'interior', mechanism: 'mechanism', wheel: 'wheel', tyre: 'tyre', axle: 'axle' },
  ...{ door: 'trim', bonnet: 'trim', 'boot lid': 'trim', bumper: 'trim', grille: 'trim', strip: 'trim', lamp: 'trim' },
  ...{ hook: 'trim', drawbar: 'trim', rack: 'load', load: 'load', figure: 'interior', arm: 'mechanism' },
  ...{ blade: 'mechanism', spring: 'mechanism', pin: 'mechanism' },
};

const SHAPE_OF_ROLE: Readonly<Record<PartRole, PartShape>> = {
  ...{ body: 'shell', base: 'plate', cab: 'cab', mechanism: 'mechanism', glazing: 'windows', interior: 'seats' },
  ...{ wheel: 'wheel', tyre: 'tyre', axle: 'axle', trim: 'strip', load: 'load' },
};

export const shapeOfRole = (role: PartRole): PartShape => SHAPE_OF_ROLE[role];

/** Sizes of a part, millimetres; each only where somebody measured it. */
export const PART_SIZES = ['length', 'width', 'height', 'diameter', 'bore', 'wall', 'post', 'hole'] as const;
export type PartSize = (typeof PART_SIZES)[number];
export type PartSizes = Readonly<Partial<Record<PartSize, number>>>;
