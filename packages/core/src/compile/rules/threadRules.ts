import { selectTappedPosts } from '../selectTappedPosts.ts';
import { uses } from '../../model/supply.ts';
import { selectWants, type PlanRule } from './planRule.ts';

/** Strip & mend, what must be bored, tried and fitted while the metal is bare. */
export const THREAD_RULES: readonly PlanRule[] = [
  {
    id: 'drill-and-tap',
    when: 'a post is closed with a screw',
    serves: ['O16', 'S2', 'N7'],
    create: ({ input, pieces, option }) => {
      const tapped = selectTappedPosts(input);
      return input.opening
        .filter((joint) => tapped.has(joint.key) && !joint.partKeys.some(pieces.isLeftAlone))
        .map((joint) => ({
          act: 'tap',
          station: 'strip',
          partKeys: joint.partKeys.slice(0, 1),
          of: { jointKey: joint.key },
          method: option('S2'),
          tags: ['drill and tap'],
          process: 'drilling',
          hazards: ['drilling'],
          cannotBeUndone: 'the thread stays in the post',
          handsOnMin: 20,
          uses: uses(['tap and its drill'], ['cutting oil', 1], ['closing screw', 1]),
        }));
    },
  },
  {
    id: 'trial-fit',
    when: 'a part is new to the model',
    serves: ['O17', 'N13'],
    create: ({ input: { parts } }) =>
      parts
        // A sheet of decals is tried on the paint, not on the metal.
        .filter((part) => selectWants(part).some((want) => want.kind !== 'decal'))
        .map((part) => ({
          act: 'trial-fit',
          station: 'strip',
          partKeys: [part.key],
          tags: ['trial fit'],
          handsOnMin: 10,
          detail: { wants: part.wants.map((want) => want.what) },
        })),
  },
  {
    id: 'dry-fit',
    when: 'something was opened',
    serves: ['O17'],
    create: ({ input }) =>
      input.opening.length === 0
        ? []
        : [{ act: 'dry-fit', station: 'strip', partKeys: [], tags: ['dry fit'], handsOnMin: 15 }],
  },
];
