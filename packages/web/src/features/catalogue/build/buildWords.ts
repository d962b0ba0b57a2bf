import { PART_SIZES, type JointKind, type PartShape, type PartSize } from '@sardonyx/core';
import { capitalise } from '../../../shared/format.ts';
import type { Option } from '../../../shared/ui/options.ts';

const SHAPE_WORDS: Readonly<Record<PartShape, string>> = {
  ...{ shell: 'body shell', cab: 'cab', bed: 'load bed', tank: 'tank', box: 'box body', plate: 'base plate' },
  ...{ chassis: 'chassis', windows: 'glazing', seats: 'interior', mechanism: 'motor or gear', wheel: 'wheel' },
  ...{ tyre: 'tyre', axle: 'axle', door: 'door', bonnet: 'bonnet', 'boot lid': 'boot lid', bumper: 'bumper' },
  ...{ grille: 'grille', strip: 'trim strip', lamp: 'lamp', hook: 'hook', drawbar: 'drawbar', rack: 'roof rack' },
  ...{ load: 'load', figure: 'figure', arm: 'jib or arm', blade: 'blade', spring: 'spring', pin: 'pin' },
};

const GROUPS: readonly (readonly [string, readonly PartShape[]])[] = [
  ['Bodies and bases', ['shell', 'cab', 'bed', 'tank', 'box', 'plate', 'chassis']],
  ['Wheels', ['wheel', 'tyre', 'axle']],
  ['Inside', ['windows', 'seats', 'figure', 'mechanism', 'spring', 'pin']],
  ['What opens', ['door', 'bonnet', 'boot lid']],
  ['Outside', ['bumper', 'grille', 'strip', 'lamp', 'hook', 'drawbar', 'rack', 'load', 'arm', 'blade']],
];

export const SHAPE_OPTIONS: readonly Option<PartShape>[] = GROUPS.flatMap(([group, shapes]) =>
  shapes.map((value) => ({ value, label: SHAPE_WORDS[value], group })),
);

/** What such a part is held by more often than not. */
export const usualKind = (shape: PartShape): JointKind =>
  shape === 'axle' || shape === 'wheel'
    ? 'formed axle'
    : shape === 'hook' || shape === 'drawbar'
      ? 'peened pin'
      : 'push fit';

/** What can be measured on a part of that look. */
export const sizesOf = (shape: PartShape): readonly PartSize[] =>
  shape === 'wheel' || shape === 'tyre'
    ? ['diameter', 'width', 'bore']
    : shape === 'axle' || shape === 'pin'
      ? ['length', 'diameter']
      : shape === 'shell' || shape === 'cab' || shape === 'box' || shape === 'tank' || shape === 'bed'
        ? ['length', 'width', 'height', 'wall', 'post']
        : shape === 'plate' || shape === 'chassis'
          ? ['length', 'width', 'wall', 'hole']
          : PART_SIZES.slice(0, 3);

export const SIZE_WORDS: Readonly<Record<PartSize, string>> = {
  ...{ length: 'Length', width: 'Width', height: 'Height', diameter: 'Diameter', bore: 'Bore', wall: 'Wall' },
  ...{ post: 'Post, across', hole: 'Hole for the post' },
};

/** A part that nobody has named yet is called by its look. */
export const nameOfShape = (shape: PartShape) => capitalise(SHAPE_WORDS[shape]);
