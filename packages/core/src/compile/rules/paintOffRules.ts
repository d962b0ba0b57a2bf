import { isMetal } from '../../model/material.ts';
import type { StripMethod } from '../../model/workshop.ts';
import type { StripAdvice } from '../../process/chooseStripping.ts';
import { STRIP_METHOD_FACTS } from '../../process/stripMethods.ts';
import type { PlanPart } from '../../facts/specimenFacts.ts';
import { uses } from '../../model/supply.ts';
import type { PlanContext } from '../planContext.ts';
import type { TaskDraft } from '../planTypes.ts';
import type { PlanRule } from './planRule.ts';

/** Old paint comes off wet, what plastic keeps it is keyed wet. */
export const PAINT_OFF_RULES: readonly PlanRule[] = [
  {
    id: 'hidden-spot',
    when: 'nobody knows whether the plastic stands what takes the paint off',
    serves: ['N2', 'S18'],
    create: (context) =>
      context.stripped.flatMap(({ part, advice }): TaskDraft[] => {
        const { verdict, method } = advice.best!;
        // Plastic is always tried first: nobody knows which one it is.
        if (isMetal(part.material) && verdict.verdict !== 'test first') return [];
        return [
          {
            act: 'test',
            station: 'strip',
            partKeys: [part.key],
            method,
            tags: ['hidden test', 'chemical', 'vapour'],
            hazards: STRIP_METHOD_FACTS[method].hazards,
            handsOnMin: 4,
            passiveMin: 15,
            detail: { verdict },
          },
        ];
      }),
  },
  {
    id: 'strip',
    when: 'a part wears old paint that must come off',
    serves: ['O38', 'S11', 'S18', 'S22', 'N2', 'N18'],
    create: (context) => context.stripped.flatMap(({ part, advice }) => createStripTasks(part, advice, context)),
  },
  {
    id: 'wash-and-inspect',
    when: 'paint came off',
    serves: ['O14', 'O15', 'N44'],
    create: (context) => context.stripped.flatMap(({ part }) => createAfterTasks(part)),
  },
  {
    id: 'key-wet',
    when: 'plastic stays inside, or nothing may take the paint off, and it is painted over',
    serves: ['O9', 'N2'],
    create: (context) =>
      context.workable.flatMap((part): TaskDraft[] => {
        const advice = context.strippingOf(part);
        if (!advice || part.done.stripped) return [];
        const sheltered = context.pieces.findSheltered(part.key);
        const isKept = sheltered !== null && isMetal(part.material);
        if (!isKept && (advice.best || part.coats.length === 0)) return [];
        return [
          {
            act: 'key',
            station: 'strip',
            partKeys: [part.key],
            tags: ['wash', 'wet paint removal'],
            hazards: ['old-paint'],
            handsOnMin: 25,
            passiveMin: 20,
            uses: uses(['wet abrasive paper', 0.5], ['gloves']),
            detail: { advice, sheltered: isKept ? sheltered.name : null },
          },
        ];
      }),
  },
];

function createStripTasks(part: PlanPart, advice: StripAdvice, context: PlanContext): TaskDraft[] {
  const { method } = advice.best!;
  const isBlasted =
    context.option('S11') === 'blast' && [advice.best!, ...advice.alternatives].some((one) => one.method === 'blast');
  if (!isBlasted) return [createStripTask(part, method, advice, context)];
  // Leaded paint goes wet; grit only finishes what is bare.
  const wet =
    method !== 'blast' ? method : (advice.alternatives.find((one) => one.method === 'gel')?.method ?? 'mild slow');
  const { process, hazards, handsOnMin, uses: taken } = STRIP_METHOD_FACTS.blast;
  return [
    createStripTask(part, wet, advice, context),
    {
      act: 'blast',
      station: 'strip',
      partKeys: [part.key],
      method: 'blast',
      tags: ['blast', 'dry abrade'],
      process,
      hazards,
      cannotBeUndone: 'lettering and edges that the grit takes',
      handsOnMin,
      uses: taken,
    },
  ];
}

function createStripTask(part: PlanPart, method: StripMethod, advice: StripAdvice, context: PlanContext): TaskDraft {
  const { process, isImmersed, hazards, handsOnMin, uses: taken, ...facts } = STRIP_METHOD_FACTS[method];
  const watchedMin = Math.min(facts.watchedMin, Math.max(0, context.input.sessionMin - handsOnMin));
  return {
    act: 'strip',
    station: 'strip',
    partKeys: [part.key],
    method,
    tags: ['strip', 'chemical', 'wet paint removal', 'vapour', ...(isImmersed ? (['bath'] as const) : [])],
    process,
    hazards: [...hazards, 'old-paint'],
    cannotBeUndone: 'the original paint',
    handsOnMin,
    ...(watchedMin > 0 ? { watchedMin } : {}),
    uses: taken,
    detail: { advice, layers: countPaint(part) },
  };
}

/** Layers of paint as found, in the place that has most of them. */
const countPaint = ({ found }: Pick<PlanPart, 'found'>): number =>
  found.filter((kind) => kind === 'colour' || kind === 'primer' || kind === 'clear').length;

function createAfterTasks(part: PlanPart): TaskDraft[] {
  return [
    {
      act: 'wash',
      station: 'strip',
      partKeys: [part.key],
      tags: ['wash', 'wet paint removal'],
      hazards: ['old-paint'],
      handsOnMin: 10,
      passiveMin: 20,
      uses: uses(['gloves']),
    },
    { act: 'inspect', station: 'strip', partKeys: [part.key], tags: ['inspect'], handsOnMin: 5 },
  ];
}
