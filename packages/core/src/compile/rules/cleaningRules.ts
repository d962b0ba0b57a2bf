import { usualDrying } from '../../film/planDrying.ts';
import { isMetal, traitsOf } from '../../model/material.ts';
import { createLadder } from '../../process/abrasiveLadder.ts';
import { judgePart } from '../../process/judgePart.ts';
import { isReplaced } from '../../facts/chooseTreatment.ts';
import type { PlanFinding, PlanPart } from '../../facts/specimenFacts.ts';
import { uses } from '../../model/supply.ts';
import type { PlanContext } from '../planContext.ts';
import type { TaskDraft } from '../planTypes.ts';
import { findFinding, type PlanRule } from './planRule.ts';

/** What keeps what it wears: cleaned with what it stands, polished, aired; plating taken off. */
export const CLEANING_RULES: readonly PlanRule[] = [
  {
    id: 'wash-plastic',
    when: 'a part is not of metal and keeps what it wears',
    serves: ['S18', 'N2'],
    create: (context) =>
      context.workable
        .filter((part) => !isMetal(part.material) && !isReplaced(part))
        // Soap first: what it takes off needs nothing stronger.
        .filter((part) => !context.isStripped(part) || context.option('S18') === 'soap')
        .filter((part) => !losesPlating(part, context))
        .flatMap((part) => createCleaning(part, context)),
  },
  {
    id: 'wash-bare-metal',
    when: 'metal is neither painted nor to be painted',
    serves: ['O26', 'N2'],
    create: createBareWash,
  },
  {
    id: 'clean-kept',
    when: 'a painted part keeps its wear',
    serves: ['S22', 'S23', 'N2'],
    create: ({ workable, strippingOf, input, pieces }) =>
      [
        ...workable,
        ...input.parts.filter((part) => part.isKept && part.state !== 'missing' && !pieces.isLeftAlone(part.key)),
      ]
        .filter((part) => part.isKept || (isMetal(part.material) && part.painted && strippingOf(part) === null))
        .filter((part) => part.newPart === null || part.newPart.isHere)
        .map((part) => ({
          act: 'keep',
          station: 'strip',
          partKeys: [part.key],
          tags: ['inspect'],
          hazards: traitsOf(part.material).isLead ? ['lead-alloy'] : [],
          handsOnMin: 8,
        })),
  },
  {
    id: 'plating-off',
    when: 'vacuum-plated plastic gets a new coat',
    serves: ['N2', 'N9'],
    create: (context) =>
      context.workable.filter((part) => losesPlating(part, context)).flatMap((part) => createPlatingTasks(part)),
  },
  {
    id: 'polish-clear',
    when: 'a clear part is scuffed and stays',
    serves: ['N48', 'N2'],
    create: ({ workable, materialsOf, isStripped }) =>
      workable
        .filter((part) => part.role === 'glazing' && findFinding(part, 'scuffed') && !isReplaced(part))
        .filter((part) => !part.painted || isStripped(part))
        .filter((part) => judgePart(materialsOf(part), 'abrasive').verdict === 'with care')
        .map((part) => {
          const finding = findFinding(part, 'scuffed')!;
          const ladder = createLadder(finding.severity > 1 ? 'scuffed clear' : 'dull clear', 'clear');
          return {
            act: 'polish',
            station: 'strip',
            partKeys: [part.key],
            tags: ['repair'],
            process: 'abrasive',
            handsOnMin: 10 * ladder.grits.length,
            uses: uses(['wet abrasive paper', 1], ['plastic polish', 2]),
            detail: { ladder, finding },
          };
        }),
  },
  {
    id: 'wheels',
    when: 'wheels are worn, or the job treats them its own way',
    serves: ['S14'],
    create: (context) => context.workable.flatMap((part) => createWheelTasks(part, context)),
  },
  {
    id: 'air-smell',
    when: 'something smells',
    serves: ['N51'],
    create: ({ workable }) =>
      workable
        .filter((part) => findFinding(part, 'smell') && !isReplaced(part))
        .map((part) => ({
          act: 'air',
          station: 'strip',
          partKeys: [part.key],
          tags: ['airing'],
          handsOnMin: 3,
          passiveMin: 4320,
          detail: { finding: findFinding(part, 'smell')! },
        })),
  },
];

function createBareWash({ workable, materialsOf }: PlanContext): TaskDraft[] {
  const bare = workable.filter(
    (part) =>
      isMetal(part.material) &&
      !part.painted &&
      part.coats.length === 0 &&
      !isReplaced(part) &&
      part.role !== 'axle' &&
      judgePart(materialsOf(part), 'soap and water').verdict !== 'never',
  );
  if (bare.length === 0) return [];
  const { limit } = judgePart(
    bare.flatMap((part) => materialsOf(part)),
    'soap and water',
  );
  return [
    {
      act: 'wash-bare',
      station: 'strip',
      partKeys: bare.map((part) => part.key),
      tags: ['wash'],
      process: 'soap and water',
      hazards: bare.some((part) => traitsOf(part.material).isLead) ? ['lead-alloy'] : [],
      handsOnMin: 4 + 3 * bare.length,
      passiveMin: 20,
      detail: { limit, materials: [...new Set(bare.map((part) => part.material))] },
    },
  ];
}

/** It gets a new coat, lies alone, and nothing on it is harmed by a few minutes of caustic. */
const losesPlating = (part: PlanPart, { materialsOf, pieces }: PlanContext) =>
  traitsOf(part.material).isPlated &&
  part.coats.length > 0 &&
  !isReplaced(part) &&
  pieces.neighboursOf(part.key).length === 0 &&
  judgePart(materialsOf(part), 'caustic bath').verdict !== 'never';

function createPlatingTasks(part: PlanPart): TaskDraft[] {
  return [
    {
      act: 'plating-test',
      station: 'strip',
      partKeys: [part.key],
      tags: ['hidden test', 'chemical', 'bath'],
      hazards: ['caustic-bath'],
      handsOnMin: 4,
    },
    {
      act: 'plating-off',
      station: 'strip',
      partKeys: [part.key],
      method: 'caustic',
      tags: ['strip', 'chemical', 'bath', 'vapour'],
      process: 'caustic bath',
      hazards: ['caustic-bath'],
      cannotBeUndone: 'the plating',
      handsOnMin: 8,
      watchedMin: 5,
      uses: uses(['pure sodium hydroxide', 20], ['caustic vessel with a resting lid'], ['gloves']),
      detail: { coats: part.coats.map((coat) => coat.name), finding: findFinding(part, 'scuffed') ?? null },
    },
    { act: 'plating-rinse', station: 'strip', partKeys: [part.key], tags: ['wash'], handsOnMin: 4, passiveMin: 30 },
  ];
}

function createCleaning(part: PlanPart, { materialsOf, isStripped }: PlanContext): TaskDraft[] {
  const verdict = judgePart(materialsOf(part), 'soap and water');
  const isFirst = isStripped(part);
  const common = {
    station: 'strip' as const,
    partKeys: [part.key],
    tags: [isFirst ? ('soap first' as const) : ('wash' as const)],
  };
  const isBrittle = findFinding(part, 'brittle') !== undefined;
  if (verdict.verdict === 'never' || isBrittle)
    return isFirst ? [] : [{ act: 'brush', ...common, detail: { verdict, isBrittle }, handsOnMin: 6 }];
  return [
    {
      act: 'soap',
      ...common,
      ...(verdict.verdict === 'test first' ? {} : { process: 'soap and water' as const }),
      handsOnMin: 8,
      passiveMin: 30,
      detail: { verdict, isFirst },
    },
  ];
}

/** Wheels that are worn, or that the job treats its own way; null where there is nothing to do to them. */
export function findWornWheel(part: PlanPart, { input }: PlanContext): { readonly finding: PlanFinding | null } | null {
  if (part.role !== 'wheel' || isReplaced(part)) return null;
  const finding = part.findings.find(({ kind }) => kind !== 'seized' && kind !== 'missing') ?? null;
  return finding || input.decisions.S14 !== undefined ? { finding } : null;
}

function createWheelTasks(part: PlanPart, context: PlanContext): TaskDraft[] {
  const { option, input } = context;
  const worn = findWornWheel(part, context);
  if (!worn) return [];
  const method = option('S14');
  const { finding } = worn;
  const common = { act: 'wheels' as const, partKeys: [part.key], method, detail: { finding } };
  switch (method) {
    case 'best of two sets':
      if (!input.hasSecondWheels) return [];
      return [{ ...common, station: 'strip', tags: ['trial fit'], handsOnMin: 8 }];
    case 'repaint':
      if (part.coats.length) return [];
      return [
        {
          ...common,
          station: 'finish',
          tags: ['colour', 'paint', 'vapour', 'handling'],
          hazards: ['degreaser'],
          handsOnMin: 15,
          passiveMin: usualDrying('colour').recoatMin,
          uses: uses(['body colour', 1]),
        },
      ];
    case 'stain':
    case 'polish dip':
      return [
        {
          ...common,
          station: 'finish',
          tags: ['paint', 'handling'],
          handsOnMin: 8,
          passiveMin: usualDrying('clear').recoatMin,
          uses: method === 'stain' ? uses(['dark wash', 1]) : uses(['floor polish', 5]),
        },
      ];
    case 'patina':
      return [];
  }
}
