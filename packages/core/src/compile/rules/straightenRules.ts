import type { PlanFinding, PlanPart } from '../../facts/specimenFacts.ts';
import { isReplaced } from '../../facts/chooseTreatment.ts';
import { traitsOf } from '../../model/material.ts';
import { uses } from '../../model/supply.ts';
import { BENDING, planStraightening, type BendPlan } from '../../process/planStraightening.ts';
import type { PlanContext } from '../planContext.ts';
import type { TaskDraft } from '../planTypes.ts';
import { findFinding, type PlanRule } from './planRule.ts';

/** Strip & mend, what is bent or twisted. */
export const STRAIGHTEN_RULES: readonly PlanRule[] = [
  {
    id: 'hold-crack',
    when: 'a part that is bent is cracked too',
    serves: ['O13', 'N37'],
    create: (context) =>
      context.workable.flatMap((part): TaskDraft[] => {
        const crack = findFinding(part, 'cracked');
        if (!crack || planBend(part, context)?.kind !== 'steps') return [];
        return [
          {
            act: 'hold-crack',
            station: 'strip',
            partKeys: [part.key],
            tags: ['crack held', 'clamp'],
            handsOnMin: 8,
            uses: uses(['padded jaws']),
            detail: { finding: crack },
          },
        ];
      }),
  },
  {
    id: 'straighten',
    when: 'a part is bent or twisted',
    serves: ['O13', 'O12', 'O38', 'S17'],
    create: (context) => context.workable.flatMap((part) => createStraightening(part, context)),
  },
];

const findBend = (part: PlanPart): PlanFinding | undefined => findFinding(part, 'twisted') ?? findFinding(part, 'bent');

/**
 * The half that it is screwed to while a twist is judged and bent out: both twist together. One that bends in another way, or
 * stays in one piece with more than this one, is left out of it.
 */
function findPair(part: PlanPart, { workable, input, pieces }: PlanContext): PlanPart | null {
  if (findBend(part)?.kind !== 'twisted' || (part.role !== 'body' && part.role !== 'base')) return null;
  const beside = new Set(
    input.opening.filter((joint) => joint.partKeys.includes(part.key)).flatMap((joint) => joint.partKeys),
  );
  const isHalf = (other: PlanPart) => other.role === (part.role === 'body' ? 'base' : 'body');
  return (
    workable.find(
      (other) =>
        beside.has(other.key) &&
        isHalf(other) &&
        !isReplaced(other) &&
        traitsOf(other.material).bends === traitsOf(part.material).bends &&
        pieces.neighboursOf(other.key).length === 0,
    ) ?? null
  );
}

function createStraightening(part: PlanPart, context: PlanContext): TaskDraft[] {
  const finding = findBend(part);
  const plan = planBend(part, context);
  if (!finding || plan?.kind !== 'steps') return [];
  const pair = findPair(part, context);
  // Both halves twisted: the body's step is for both.
  if (pair && part.role === 'base' && findBend(pair)?.kind === 'twisted') return [];
  const common = {
    act: 'straighten' as const,
    station: 'strip' as const,
    partKeys: [part.key, ...(pair ? [pair.key] : [])],
    cannotBeUndone: 'a casting that cracks',
    detail: { plan, finding, pair: pair?.name ?? null },
  };
  const asPair = pair ? (['straighten pair'] as const) : [];
  if (!plan.isWarm)
    return [
      {
        ...common,
        method: 'cold',
        tags: ['straighten', ...asPair, 'repair', 'clamp'],
        hazards: traitsOf(part.material).isLead ? ['lead-alloy'] : [],
        handsOnMin: 5 + 4 * plan.steps,
        uses: uses(['padded jaws']),
      },
    ];
  return [
    {
      ...common,
      method: 'warm',
      tags: ['straighten', ...asPair, 'straighten hot', 'repair', 'clamp', 'heat', 'flame'],
      process: 'heat gun',
      atC: BENDING.stopC,
      hazards: ['hot-air'],
      handsOnMin: 10 + 5 * plan.steps,
      watchedMin: 15,
      uses: uses(['hot-air gun'], ['contact probe'], ['padded jaws']),
    },
  ];
}

/** null where it is neither bent nor twisted, or goes; otherwise steps, or why it stays as it is. */
export function planBend(part: PlanPart, context: PlanContext): BendPlan | null {
  const { option, materialsOf, pieces } = context;
  const bent = findBend(part);
  if (!bent || isReplaced(part)) return null;
  const isCold = option('S17') === 'cold squeeze';
  const pair = findPair(part, context);
  const both = pair ? [part, pair] : [part];
  if (!isCold && both.some((one) => traitsOf(one.material).bends === 'warm' && one.painted && !context.isStripped(one)))
    return { kind: 'refused', reason: 'it keeps its old paint, and heated paint gives off fumes' };
  return planStraightening({
    materials: both.flatMap((one) => materialsOf(one)),
    degrees: bent.degrees,
    isJoined: both.some((one) => pieces.neighboursOf(one.key).length > 0),
    isCold,
  });
}
