import { selectTappedPosts } from '../selectTappedPosts.ts';
import { uses } from '../../model/supply.ts';
import type { TaskDraft } from '../planTypes.ts';
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
    create: ({ input: { parts, opening } }) =>
      parts.flatMap((part): TaskDraft[] => {
        // A sheet of decals is tried on the paint, not on the metal.
        const wants = selectWants(part).filter((want) => want.kind !== 'decal');
        if (wants.length === 0) return [];
        const isHere = wants.every((want) => want.state === 'solved');
        const beside = opening.filter((joint) => joint.partKeys.includes(part.key)).flatMap((joint) => joint.partKeys);
        return [
          {
            act: 'trial-fit',
            station: 'strip',
            // It names what it is tried on: that is not painted before, and all else need not wait for the post.
            partKeys: [...new Set([part.key, ...beside])],
            tags: [isHere ? 'trial fit' : 'late trial fit'],
            handsOnMin: 10,
            detail: { wants: wants.map((want) => want.what) },
          },
        ];
      }),
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
