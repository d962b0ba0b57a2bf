import type { PlanRule } from './planRule.ts';

/** Sign off: the picture and the paper that stay with it. */
export const SIGN_OFF_RULES: readonly PlanRule[] = [
  {
    id: 'after-photographs',
    when: 'always',
    serves: ['N20'],
    create: () => [{ act: 'sign-off-photos', station: 'sign-off', partKeys: [], tags: ['sign off'], handsOnMin: 10 }],
  },
  {
    id: 'box-card',
    when: 'always',
    serves: ['N11', 'N52', 'S22'],
    create: () => [{ act: 'box-card', station: 'sign-off', partKeys: [], tags: ['sign off'], handsOnMin: 10 }],
  },
];
