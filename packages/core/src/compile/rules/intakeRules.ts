import { traitsOf } from '../../model/material.ts';
import { listBits } from '../../model/wantBits.ts';
import type { SchoolOption } from '../../model/school.ts';
import { uses } from '../../model/supply.ts';
import type { PlanContext } from '../planContext.ts';
import type { DraftFields, TaskDetails, TaskDraft } from '../planTypes.ts';
import type { PlanPart, PlanWant } from '../../facts/specimenFacts.ts';
import type { WayToGet } from '../../model/workpiece.ts';
import { findWaterRefusals } from '../findWaterRefusals.ts';
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
    serves: ['O2', 'S15', 'N13', 'N43'],
    create: ({ input: { scope, parts }, option }) =>
      scope === 'clean only'
        ? []
        : parts.flatMap((part) =>
            selectAwaited(part, option('S15')).flatMap((want) => createGetTasks(part, want, option('S15'))),
          ),
  },
  {
    id: 'clean-only',
    when: 'it is only cleaned',
    serves: ['O36', 'S23', 'N38'],
    create: createCleanOnlyTasks,
  },
];

/** What is on the list for a broken part that is glued instead is not got: it stays there until somebody waives it. */
const selectAwaited = (part: PlanPart, school: SchoolOption<'S15'>): PlanWant[] =>
  selectWants(part).filter(
    (want) => !(school === 'glue' && part.state === 'damaged' && want.kind === 'part' && want.state === 'open'),
  );

/** How it is come by: as was said of it, else as the school answers. What is missing cannot be glued. */
function findWayToGet({ kind, getBy }: PlanWant, school: SchoolOption<'S15'>): WayToGet {
  if (getBy !== null) return getBy;
  if (kind !== 'part' && kind !== 'feature') return 'buy';
  return school === 'glue' ? 'donor' : school;
}

const GETTING: Readonly<Record<WayToGet, Pick<DraftFields, 'handsOnMin' | 'passiveMin' | 'hazards' | 'uses'>>> = {
  donor: { handsOnMin: 10 },
  buy: { handsOnMin: 10 },
  print: {
    ...{ handsOnMin: 25, passiveMin: 600, hazards: ['resin'] },
    uses: uses(['printing resin', 15], ['resin-wash alcohol', 100], ['gloves']),
  },
  make: { handsOnMin: 60, hazards: ['sharp-edges'], uses: uses(['brass sheet or wire', 1], ['fine square file']) },
};

function createGetTasks(part: PlanPart, want: PlanWant, school: SchoolOption<'S15'>): TaskDraft[] {
  const by = findWayToGet(want, school);
  const isBySchool = want.getBy === null && (want.kind === 'part' || want.kind === 'feature');
  const common = { station: 'survey' as const, partKeys: [part.key], of: { wantId: want.id }, method: by };
  return [
    ...(by === 'print' || by === 'make'
      ? [
          {
            act: 'draw' as const,
            ...common,
            tags: ['draw' as const],
            handsOnMin: 40,
            detail: { what: want.what, by, isBySchool },
          },
        ]
      : []),
    {
      act: 'get',
      ...common,
      // What is made here waits for no post.
      tags: [by === 'print' || by === 'make' ? 'made here' : 'receive'],
      ...GETTING[by],
      detail: { what: want.what, by, isBySchool },
    },
  ];
}

function createOrderTasks({ input: { scope, parts }, option }: PlanContext): TaskDraft[] {
  if (scope === 'clean only') return [];
  // What is on order was listed already; a decal that nobody wants yet is not.
  const wanting = parts.filter((part) => part.wants.some((want) => want.state === 'open'));
  const decals = parts.flatMap((part) =>
    selectWants(part).length ? [] : part.coats.filter((coat) => coat.kind === 'decal'),
  );
  if (wanting.length + decals.length === 0) return [];
  const bits = wanting.flatMap((part) => selectWants(part).map((want) => listBits(want.bits))).filter(Boolean);
  return [
    {
      act: 'list-wants',
      station: 'survey',
      partKeys: [],
      tags: ['list wants'],
      handsOnMin: 8,
      detail: { bits, decals: decals.map((coat) => coat.name) },
    },
    // What is made here is not sent for.
    ...(isSentFor(wanting, option('S15')) || decals.length
      ? [
          {
            act: 'order-wants' as const,
            station: 'survey' as const,
            partKeys: [],
            tags: ['order' as const],
            handsOnMin: 10,
          },
        ]
      : []),
  ];
}

const isSentFor = (parts: readonly PlanPart[], school: SchoolOption<'S15'>) =>
  parts.some((part) =>
    selectWants(part).some((want) => want.state === 'open' && ['buy', 'donor'].includes(findWayToGet(want, school))),
  );

const CLEANING: Readonly<Record<SchoolOption<'S23'>, TaskDetails['dust']>> = {
  'gloves, brush on clear parts': { hands: 'gloved', clear: 'brush' },
  'bare hands': { hands: 'bare', clear: 'brush' },
  'cloth on clear parts': { hands: 'gloved', clear: 'cloth' },
};

function createCleanOnlyTasks(context: PlanContext): TaskDraft[] {
  const {
    input: { scope, parts },
    option,
  } = context;
  if (scope !== 'clean only') return [];
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
    ...(isWashed(context) ? [createWashOnce(parts)] : []),
    { act: 'raking-light', station: 'strip', partKeys: [], tags: ['after dusting'], handsOnMin: 5 },
  ];
}

/** Smoke and cellar go no other way; where any part forbids water the model stays as it smells. */
const isWashed = (context: PlanContext) =>
  context.input.parts.some((part) => part.findings.some(({ kind }) => kind === 'smell')) &&
  findWaterRefusals(context).length === 0;

const createWashOnce = (parts: readonly PlanPart[]): TaskDraft => ({
  act: 'wash-once',
  station: 'strip',
  partKeys: parts.filter((part) => part.state !== 'missing').map((part) => part.key),
  tags: ['wash', 'wash once'],
  process: 'soap and water',
  handsOnMin: 15,
  passiveMin: 30,
  uses: uses(['soft brush']),
});
