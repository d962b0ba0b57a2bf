import { isMetal } from '../../model/material.ts';
import { listNames, nameOf, selectWants, type PlanRule } from './planRule.ts';
import { uses } from '../../supply/supplies.ts';

/** Identify and Survey: what must be known before anything is touched. */
export const INTAKE_RULES: readonly PlanRule[] = [
  {
    id: 'identify',
    when: 'always',
    serves: ['O1', 'N1'],
    create: ({ because }) => [
      {
        key: 'identify',
        station: 'identify',
        title: 'Settle which issue it is',
        partKeys: [],
        tags: ['identify'],
        handsOnMin: 15,
        how: 'Answer the look-points until one variant leads clearly, or say that it cannot be told.',
        because: `Everything later (colours, wheels, decals) follows from the issue. To match: ${because('S10')}`,
      },
    ],
  },
  {
    id: 'photograph',
    when: 'always',
    serves: ['O1', 'N20'],
    create: () => [
      {
        key: 'photograph',
        station: 'survey',
        title: 'Photograph every side',
        partKeys: [],
        tags: ['photograph'],
        handsOnMin: 10,
        how: 'Left, right, front, rear, top and base, on neutral grey with the rule in the picture. From each end with both axles in line: a twist shows there.',
        because: 'It is the only record of how it came in.',
      },
    ],
  },
  {
    id: 'know-materials',
    when: 'it is worked on',
    serves: ['O4', 'N2'],
    create: ({ input: { scope, parts } }) => {
      if (scope === 'clean only') return [];
      const unsure = parts.filter((part) => part.materialCertainty === 'unsure');
      const others = parts.filter((part) => !isMetal(part.material)).length;
      return [
        {
          key: 'know-materials',
          station: 'survey',
          title: 'Write down what each part is made of',
          partKeys: [],
          tags: ['know material'],
          handsOnMin: 10,
          how: 'Weight, magnet, ring and look; a part nobody is sure of is "unknown plastic" or "plated or unknown wire".',
          because: `${parts.length} parts, ${others} of them not metal${unsure.length ? `; nobody is sure of the ${listNames(unsure.map(nameOf))}` : ''}.`,
        },
      ];
    },
  },
  {
    id: 'pest-check',
    when: 'a casting is of zinc',
    serves: ['O12', 'N2'],
    create: ({ input: { parts } }) =>
      parts.some((part) => part.material === 'zinc alloy' || part.material === 'pest-suspect zinc')
        ? [
            {
              key: 'pest-check',
              station: 'survey',
              title: 'Look every zinc casting over for pest',
              partKeys: [],
              tags: ['pest check'],
              handsOnMin: 8,
              how: 'Magnifier and raking light: fine crazing, swollen or bowed faces, cracks at corners and posts, flakes that lift the paint from below. Weigh it. Zinc of any age, most before about 1950. Found any? Write the finding "pest" on that part: it is then left dry and cold.',
              because: 'Pest-suspect zinc stands no wash, bath, heat, clamp, blasting or drilling.',
            },
          ]
        : [],
  },
  {
    id: 'lead-look',
    when: 'a part is of lead alloy',
    serves: ['O4', 'N9'],
    create: ({ input: { parts } }) => {
      const lead = parts.filter((part) => part.material === 'lead alloy' && part.state !== 'missing');
      return lead.length
        ? [
            {
              key: 'lead-look',
              station: 'survey',
              title: `Look for white powder on the ${listNames(lead.map(nameOf))}`,
              partKeys: [],
              tags: ['know material'],
              hazards: ['lead-alloy'],
              handsOnMin: 5,
              how: 'Gloves on. White bloom is poisonous carbonate: do not brush, blow or sand it. Bag the part, wash hands, write it down.',
              because: `Lead alloy: ${listNames(lead.map(nameOf))}. It melts early and its dust is poison.`,
              uses: uses(['gloves']),
            },
          ]
        : [];
    },
  },
  {
    id: 'capture-colour',
    when: 'old paint will go',
    serves: ['O3', 'N4'],
    create: ({ input: { scope, parts } }) =>
      scope === 'full' && parts.some((part) => part.painted)
        ? [
            {
              key: 'capture-colour',
              station: 'survey',
              title: 'Capture the old colour, sheltered and exposed',
              partKeys: [],
              tags: ['capture colour'],
              handsOnMin: 15,
              how: 'One photo or reading from a sheltered place (inside, under the base), one from an exposed face. Keep flakes in a labelled bag.',
              because: 'Painted parts will be stripped.',
            },
          ]
        : [],
  },
  {
    id: 'list-wants',
    when: 'something is wanted that is not on order yet',
    serves: ['O2', 'N6'],
    create: ({ input: { scope, parts }, because }) => {
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
          key: 'list-wants',
          station: 'survey',
          title: 'Go through the wants with their small parts',
          partKeys: [],
          tags: ['list wants'],
          handsOnMin: 8,
          how: `Under each want: what holds it, what turns it, what closes it.${bits.length ? ` So far: ${bits.join('; ')}.` : ''}${decals.length ? ` Decals: ${decals.map((coat) => coat.name).join(', ')}; ${because('S20')}` : ''} And a spare of whatever breaks.`,
          because: 'A jib without its wire, an axle without its end: it is noticed when the parcel is open.',
        },
        {
          key: 'order-wants',
          station: 'survey',
          title: 'Send the orders off',
          partKeys: [],
          tags: ['order'],
          handsOnMin: 10,
          how: 'Whatever cannot be made here, in one go; the day it is promised for goes on the want.',
          because: `Waiting for the post runs while paint comes off. A broken part: ${because('S15')}`,
          uses: decals.length ? uses(['decal set', decals.length]) : [],
        },
      ];
    },
  },
  {
    id: 'get-want',
    when: 'a want is not waived',
    serves: ['O2', 'N13'],
    create: ({ input: { scope, parts } }) =>
      scope === 'clean only'
        ? []
        : parts.flatMap((part) =>
            selectWants(part).map((want) => ({
              key: `get:${want.id}`,
              station: 'survey' as const,
              title: `Get ${want.what}`,
              partKeys: [part.key],
              tags: ['receive' as const],
              handsOnMin: 10,
              how: 'Order, make, print or take it from a donor; mark the want solved when it lies on the bench.',
              because: `Want: ${want.what}.`,
            })),
          ),
  },
  {
    id: 'clean-only',
    when: 'it is only cleaned',
    serves: ['O36', 'S23', 'N38'],
    create: ({ input: { scope, parts }, because, option }) => {
      if (scope === 'full') return [];
      const partKeys = parts.filter((part) => part.state !== 'missing').map((part) => part.key);
      const [hands, clear] = option('S23').includes(',')
        ? ['gloves', 'brush on clear parts']
        : readCleaning(option('S23'));
      return [
        {
          key: 'brush-ready',
          station: 'strip',
          title: 'Shake brush and cloth out',
          partKeys: [],
          tags: ['clean brush'],
          handsOnMin: 2,
          how: 'Outdoors or over a damp rag. Grit of the last model scratches this one.',
          because: 'The brush was on another model before.',
          uses: uses(['soft brush']),
        },
        {
          key: 'dust',
          station: 'strip',
          title: 'Dust it with a soft brush',
          partKeys,
          tags: ['clean part', 'handling', 'dusting'],
          handsOnMin: 20,
          how: `${hands === 'gloves' ? 'Gloves on.' : 'Bare, freshly washed hands, held by the axles.'} Soft dry brush along the relief, soft cloth in two passes, ${clear === 'brush on clear parts' ? 'brush only on clear parts' : 'soft cloth on clear parts'}. No water, no polish, no paper tissue.`,
          because: `Clean only: a sound survivor is worth more as it is. ${because('S23')}`,
          uses: uses(['gloves']),
        },
        {
          key: 'raking-light',
          station: 'strip',
          title: 'Look along every face in raking light',
          partKeys: [],
          tags: ['after dusting'],
          handsOnMin: 5,
          how: 'Finger marks and what the dust hid show now: flaking paint, a tyre that softens into something, white powder. Write it down in Survey; do not mend it.',
          because: 'What is found now stays known, and nothing is done about it here.',
        },
      ];
    },
  },
];

const readCleaning = (option: string): [string, string] =>
  option === 'bare hands' ? ['bare hands', 'brush on clear parts'] : ['gloves', 'cloth on clear parts'];
