import { selectTappedPosts } from '../selectTappedPosts.ts';
import { uses } from '../../model/supply.ts';
import type { TaskDraft } from '../planTypes.ts';
import { isReplaced } from '../../facts/chooseTreatment.ts';
import type { PlanPart } from '../../facts/specimenFacts.ts';
import { judgePart } from '../../process/judgePart.ts';
import { isGlued, POST_FAULTS, recoverPost, type PostRecovery } from '../../process/recoverPost.ts';
import { isPowdered } from './isPowdered.ts';
import { selectWants, type PlanRule } from './planRule.ts';

/** Strip & mend, what must be bored, tried and fitted while the metal is bare. */
export const THREAD_RULES: readonly PlanRule[] = [
  {
    id: 'recover-post',
    when: 'the hole of a post is too wide, out of the middle or slanted',
    serves: ['O16', 'N7'],
    create: (context) =>
      context.workable
        .filter((part) => !isReplaced(part) && judgePart(context.materialsOf(part), 'drilling').verdict !== 'never')
        .flatMap((part): TaskDraft[] => {
          const recoveries = listRecoveries(part, isPowdered(part, context));
          if (recoveries.length === 0) return [];
          const setsGlue = recoveries.some(({ method }) => isGlued(method));
          return [
            {
              act: 'recover-post',
              station: 'strip',
              partKeys: [part.key],
              method: recoveries[0]!.method,
              tags: ['recover post', 'repair', 'drill', ...(setsGlue ? (['fill', 'glue'] as const) : [])],
              process: 'drilling',
              hazards: setsGlue ? ['drilling', 'cyanoacrylate'] : ['drilling'],
              cannotBeUndone: 'metal drilled from the post',
              handsOnMin: 25 * recoveries.length,
              passiveMin: setsGlue ? 1440 : 0,
              uses: setsGlue
                ? uses(['bench drill'], ['brass tube or rod', 10], ['two-part resin', 1])
                : uses(['bench drill'], ['tap and its drill'], ['cutting oil', 0.5]),
              detail: { recoveries },
            },
          ];
        }),
  },
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
        // Nor is a part that is mended instead of replaced.
        const isMended = part.state === 'damaged' && part.newPart === null;
        const wants = selectWants(part).filter((want) => want.kind !== 'decal' && !(want.kind === 'part' && isMended));
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
            detail: { wants: wants.map((want) => want.what), isPiece: wants.every((want) => want.kind === 'feature') },
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

const listRecoveries = (part: PlanPart, isBakedLater: boolean): PostRecovery[] =>
  part.findings.flatMap(({ kind, severity, feature, note }) => {
    const fault = POST_FAULTS.find((one) => one === kind);
    return fault ? [recoverPost(fault, severity, [feature, note].filter(Boolean).join(', '), isBakedLater)] : [];
  });
