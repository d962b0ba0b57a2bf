import { traitsOf } from '../../model/material.ts';
import type { SchoolOption } from '../../model/school.ts';
import { uses } from '../../model/supply.ts';
import type { PlanContext } from '../planContext.ts';
import type { TaskDetails, TaskDraft } from '../planTypes.ts';
import { selectWants, type PlanRule } from './planRule.ts';

/** Identify and Survey: what must be known before anything is touched. */
export const INTAKE_RULES: readonly PlanRule[] = [
  {
    id: 'identify',
    when: 'always',
    serves: ['O1', 'N1'],
    create: () => [{ act: 'identify', station: 'identify', partKeys: [], tags: ['identify'], handsOnMin: 15 }],
  },
  {
    id: 'photograph',
    when: 'always',
    serves: ['O1', 'N20'],
    create: () => [{ act: 'photograph', station: 'survey', partKeys: [], tags: ['photograph'], handsOnMin: 10 }],
  },
  {
    id: 'know-materials',
    when: 'it is worked on',
    serves: ['O4', 'N2'],
    create: ({ input: { scope } }) =>
      scope === 'clean only'
        ? []
        : [{ act: 'know-materials', station: 'survey', partKeys: [], tags: ['know material'], handsOnMin: 10 }],
  },
  {
    id: 'pest-check',
    when: 'a casting is of zinc',
    serves: ['O12', 'N2'],
    create: ({ input: { parts } }) =>
      parts.some((part) => traitsOf(part.material).isZinc)
        ? [{ act: 'pest-check', station: 'survey', partKeys: [], tags: ['pest check'], handsOnMin: 8 }]
        : [],
  },
  {
    id: 'lead-look',
    when: 'a part is of lead alloy',
    serves: ['O4', 'N9'],
    create: ({ input: { parts } }) => {
      const lead = parts.filter((part) => traitsOf(part.material).isLead && part.state !== 'missing');
      if (lead.length === 0) return [];
      return [
        {
          act: 'lead-look',
          station: 'survey',
          partKeys: [],
          tags: ['know material'],
          hazards: ['lead-alloy'],
          handsOnMin: 5,
          uses: uses(['gloves']),
          detail: { names: lead.map((part) => part.name) },
        },
      ];
    },
  },
  {
    id: 'capture-colour',
    when: 'old paint will go',
    serves: ['O3', 'N4'],
    create: ({ input: { scope, parts } }) =>
      scope === 'full' && parts.some((part) => part.painted)
        ? [{ act: 'capture-colour', station: 'survey', partKeys: [], tags: ['capture colour'], handsOnMin: 15 }]
        : [],
  },
  {
    id: 'list-wants',
    when: 'something is wanted that is not on order yet',
    serves: ['O2', 'N6'],
    create: createOrderTasks,
  },
  {
    id: 'get-want',
    when: 'a want is not waived',
    serves: ['O2', 'N13'],
    create: ({ input: { scope, parts } }) =>
      scope === 'clean only'
        ? []
        : parts.flatMap((part) =>
            selectWants(part).map((want): TaskDraft => ({
              act: 'get',
              station: 'survey',
              partKeys: [part.key],
              of: { wantId: want.id },
              tags: ['receive'],
              handsOnMin: 10,
              detail: { what: want.what },
            })),
          ),
  },
  {
    id: 'clean-only',
    when: 'it is only cleaned',
    serves: ['O36', 'S23', 'N38'],
    create: createCleanOnlyTasks,
  },
];

function createOrderTasks({ input: { scope, parts } }: PlanContext): TaskDraft[] {
  if (scope !== 'full') return [];
  // What is on order was listed already; a decal that nobody wants yet is not.
  const wanting = parts.filter((part) => part.wants.some((want) => want.state === 'open'));
  const decals = parts.flatMap((part) =>
    selectWants(part).length ? [] : part.coats.filter((coat) => coat.kind === 'decal'),
  );
  if (wanting.length + decals.length === 0) return [];
  const bits = wanting.flatMap((part) => selectWants(part).map((want) => want.dependentBits)).filter(Boolean);
  return [
    {
      act: 'list-wants',
      station: 'survey',
      partKeys: [],
      tags: ['list wants'],
      handsOnMin: 8,
      detail: { bits, decals: decals.map((coat) => coat.name) },
    },
    {
      act: 'order-wants',
      station: 'survey',
      partKeys: [],
      tags: ['order'],
      handsOnMin: 10,
    },
  ];
}

const CLEANING: Readonly<Record<SchoolOption<'S23'>, TaskDetails['dust']>> = {
  'gloves, brush on clear parts': { hands: 'gloved', clear: 'brush' },
  'bare hands': { hands: 'bare', clear: 'brush' },
  'cloth on clear parts': { hands: 'gloved', clear: 'cloth' },
};

function createCleanOnlyTasks({ input: { scope, parts }, option }: PlanContext): TaskDraft[] {
  if (scope === 'full') return [];
  return [
    {
      act: 'brush-ready',
      station: 'strip',
      partKeys: [],
      tags: ['clean brush'],
      handsOnMin: 2,
      uses: uses(['soft brush']),
    },
    {
      act: 'dust',
      station: 'strip',
      partKeys: parts.filter((part) => part.state !== 'missing').map((part) => part.key),
      method: option('S23'),
      tags: ['clean part', 'handling', 'dusting'],
      handsOnMin: 20,
      uses: uses(['gloves']),
      detail: CLEANING[option('S23')],
    },
    { act: 'raking-light', station: 'strip', partKeys: [], tags: ['after dusting'], handsOnMin: 5 },
  ];
}
