import { selectTappedPosts } from '../selectTappedPosts.ts';
import { uses } from '../../supply/supplies.ts';
import { nameOf, selectWants, type PlanRule } from './planRule.ts';

/** A sheet of decals is tried on the paint, not on the metal. */
const isDecal = (what: string) => /decal|transfer/i.test(what);

/** Strip & mend, what must be bored, tried and fitted while the metal is bare. */
export const THREAD_RULES: readonly PlanRule[] = [
  {
    id: 'drill-and-tap',
    when: 'a post is closed with a screw',
    serves: ['O16', 'S2', 'N7'],
    create: ({ input, because, pieces }) => {
      const tapped = selectTappedPosts(input);
      return input.opening
        .filter((joint) => tapped.has(joint.key) && !joint.partKeys.some(pieces.isLeftAlone))
        .map((joint) => ({
          key: `tap:${joint.key}`,
          station: 'strip' as const,
          title: `Drill and tap the post: ${joint.label}`,
          partKeys: joint.partKeys.slice(0, 1),
          jointKey: joint.key,
          tags: ['drill and tap' as const],
          process: 'drilling' as const,
          hazards: ['drilling'],
          cannotBeUndone: 'the thread stays in the post',
          handsOnMin: 20,
          how: 'Depth stop set, cutting oil, half a turn on and a quarter back. Clear the swarf, run the screw in once, take it out again.',
          because: `Closing: ${because('S2')}`,
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
        .filter((part) => selectWants(part).some((want) => !isDecal(want.what)))
        .map((part) => ({
          key: `trial-fit:${part.key}`,
          station: 'strip' as const,
          title: `Trial-fit the ${nameOf(part)}`,
          partKeys: [part.key],
          tags: ['trial fit' as const],
          handsOnMin: 10,
          how: 'Dry, in bare metal, with its neighbours in place. File now, not after paint.',
          because: `The part is new to this model: ${part.wants.map((want) => want.what).join(', ')}.`,
        })),
  },
  {
    id: 'dry-fit',
    when: 'something was opened',
    serves: ['O17'],
    create: ({ input }) =>
      input.opening.length === 0
        ? []
        : [
            {
              key: 'dry-fit',
              station: 'strip',
              title: 'Put it together dry, all of it',
              partKeys: [],
              tags: ['dry fit'],
              handsOnMin: 15,
              how: 'Screws, axles, glazing, moving parts, nothing glued or formed. Does it pull straight? Do all four wheels touch, does everything turn and tip? File and shim now.',
              because: 'The last look before paint: what does not fit now is filed through the new coat later.',
            },
          ],
  },
];
