import type { JointCondition } from '../model/workpiece.ts';

const WORDS: Readonly<Record<JointCondition, string>> = {
  open: 'open, its fastener there',
  lost: 'open, its fastener lost',
  glued: 'glued by somebody',
  loose: 'loose in its slot',
  'never assembled': 'never assembled',
};

/** "found ...": how a joint was found; as the factory made it where nothing else is said. */
export const sayCondition = (condition: JointCondition | undefined): string =>
  condition === undefined ? 'as the factory made it' : WORDS[condition];
