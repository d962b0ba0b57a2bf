import type { PlanRule } from './planRule.ts';

/** Sign off: the picture and the paper that stay with it. */
export const SIGN_OFF_RULES: readonly PlanRule[] = [
  {
    id: 'after-photographs',
    when: 'always',
    serves: ['N20'],
    create: () => [
      {
        key: 'sign-off-photos',
        station: 'sign-off',
        title: 'Photograph it finished, in the poses of the first photos',
        partKeys: [],
        tags: ['sign off'],
        handsOnMin: 10,
        how: 'Same sides, same light as the before-set.',
        because: 'Before and after belong in the record.',
      },
    ],
  },
  {
    id: 'box-card',
    when: 'always',
    serves: ['N11', 'N52', 'S22'],
    create: ({ input: { scope }, because }) => [
      {
        key: 'box-card',
        station: 'sign-off',
        title:
          scope === 'full' ? 'Read the record through, card into the box' : 'Note what was cleaned, card into the box',
        partKeys: [],
        tags: ['sign off'],
        handsOnMin: 10,
        how:
          scope === 'full'
            ? 'What is original, mended, replaced, added, and from where; colours with their recipe. It says plainly that it is restored, and that it is no toy for a child (old lead paint, small parts).'
            : 'Untouched but for dust: what was done, when, and how it is handled.',
        because:
          scope === 'full' ? `End state: ${because('S22')}` : 'Whoever holds it next must know that it is as it was.',
      },
    ],
  },
];
