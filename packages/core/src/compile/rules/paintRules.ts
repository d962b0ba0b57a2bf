import { computeLuminance } from '../../facts/chooseTreatment.ts';
import type { PlanContext } from '../planContext.ts';
import type { PlanCoat, PlanPart, TaskDraft } from '../planTypes.ts';
import { uses } from '../../supply/supplies.ts';
import { isPowdered } from './bakeRules.ts';
import { isSolderedFirst } from './closingRules.ts';
import { hasDecal, isSlowInk } from './decalsAndInk.ts';
import { isPrimed } from './mendingRules.ts';
import { listNames, nameOf, type PlanRule } from './planRule.ts';

const PRIMER_HOW: Readonly<Record<string, string>> = {
  'thin light grey': 'One thin coat so that lettering survives.',
  'thin white': 'One thin white coat: pale and weak colours need the light ground.',
  grey: 'One coat of grey, thin enough that lettering survives.',
  'thicker to smooth': 'Two coats, rubbed between; relief fills in, so leave lettering with one.',
  'none under powder': 'One thin coat so that lettering survives (powder alone goes without).',
};

const SPRAY_HOW: Readonly<Record<string, string>> = {
  airbrush: 'Airbrush, a hand away, moving before the trigger.',
  'spray can': 'Can warmed in lukewarm water, shaken two minutes, from two hands away; it builds up fast.',
  powder: 'What takes no powder is sprayed with the airbrush.',
};

const COLOUR_TAGS = ['colour', 'paint', 'spray', 'vapour', 'handling'] as const;
const TRIM_TAGS = [...COLOUR_TAGS, 'trim colour'] as const;
const HIDDEN_TAGS = [...COLOUR_TAGS, 'hidden faces'] as const;
const OUTSIDE_TAGS = [...COLOUR_TAGS, 'outside faces', 'body colour'] as const;
const MIST_TAGS = ['mist coat', 'spray', 'vapour', 'handling'] as const;
const HIDDEN_MIST_TAGS = [...MIST_TAGS, 'hidden faces'] as const;
const OUTSIDE_MIST_TAGS = [...MIST_TAGS, 'outside faces'] as const;
const SPRAYING = ['spraying'];
const TRIM_USES = uses(['body colour', 0.7], ['masking tape', 100]);
const BODY_USES = uses(['body colour', 2]);

const GLOSS: Readonly<Record<string, string>> = { matt: 'matt', 'semi-gloss': 'semi-gloss' };

/** Coats that are sprayed or brushed at Finish; decals and slow chrome ink wait for Close. */
export const paintedCoats = (part: PlanPart): PlanCoat[] =>
  part.coats.filter((coat) => ['primer', 'colour', 'clear', 'brightwork'].includes(coat.kind));

const selectPainted = ({ workable }: PlanContext) => workable.filter((part) => paintedCoats(part).length > 0);
const isSprayed = (coat: PlanCoat) => coat.kind === 'colour' || coat.kind === 'clear';

/** Finish: gun, degrease, mask, prime, judge, hidden faces, outside, trim. One task per part and area. */
export const PAINT_RULES: readonly PlanRule[] = [
  {
    id: 'gun-ready',
    when: 'something is sprayed',
    serves: ['O35', 'S6', 'N19'],
    create: (context) => {
      if (!selectPainted(context).some((part) => part.coats.some((coat) => coat.kind !== 'brightwork'))) return [];
      const isCan = context.option('S6') === 'spray can';
      return [
        {
          key: 'gun-ready',
          station: 'finish',
          title: isCan ? 'Try the cans on card' : 'See that the gun is complete and clean',
          partKeys: [],
          tags: ['gun ready'],
          handsOnMin: 5,
          how: isCan
            ? 'Nozzle clear, can shaken, a stripe on card: no spitting, right shade.'
            : 'Needle, nozzle, cup and hose there, water through it: an even fan. Its state stands in Workshop.',
          because: `Found out now, not with paint mixed. Putting paint on: ${context.because('S6')}`,
          uses: isCan ? uses(['spray booth']) : uses(['airbrush'], ['spray booth']),
        },
      ];
    },
  },
  {
    id: 'degrease',
    when: 'a part is painted',
    serves: ['O15', 'O26', 'S21', 'N36'],
    create: (context) =>
      selectPainted(context).map((part) => ({
        key: `degrease:${part.key}`,
        station: 'finish' as const,
        title: `Degrease the ${nameOf(part)}`,
        partKeys: [part.key],
        tags: ['degrease' as const, 'vapour' as const],
        hazards: ['degreaser'],
        handsOnMin: 5,
        how: `Clean wipe, fresh gloves. Held by ${context.option('S21') === 'hidden spot' ? 'a place nobody sees' : 'a pick through the axle hole'}. From now on no bare finger touches it.`,
        because: `It is about to be painted. Holding: ${context.because('S21')}`,
        uses: uses(['degreasing solvent', 3], ['gloves']),
      })),
  },
  {
    id: 'mask-joined',
    when: 'a part stays joined to one that gets another coat',
    serves: ['O23', 'O21'],
    create: (context) => {
      const painted = new Set(selectPainted(context));
      return [...context.pieces.masked, ...listSoldered(context)].flatMap(({ part, against }): TaskDraft[] => {
        const neighbours = against.filter((other) => painted.has(other));
        if (neighbours.length === 0) return [];
        return [
          {
            key: `mask:${part.key}`,
            station: 'finish',
            title: `Mask the ${nameOf(part)}`,
            // It names what is painted beside it: the mask is on before that is.
            partKeys: [part.key, ...neighbours.map((other) => other.key)],
            tags: ['mask'],
            handsOnMin: 12,
            how: 'Tape pressed down along the edge with a wooden pick, the rest wrapped. Off again, warmed, before the coat is fully hard.',
            because: `It stays joined to the ${listNames(neighbours.map(nameOf))}, which gets another coat.`,
            uses: uses(['masking tape', 150]),
          },
        ];
      });
    },
  },
  {
    id: 'prime',
    when: 'primer is planned and powder does not go on',
    serves: ['O15', 'O18', 'S12', 'N36'],
    create: (context) => selectPrimed(context).map((part) => createPrimerTask(part, context)),
  },
  {
    id: 'judge-primer',
    when: 'a part was primed',
    serves: ['O18', 'O23', 'N36'],
    create: (context) =>
      selectPrimed(context).map((part) => ({
        key: `judge:${part.key}`,
        station: 'finish' as const,
        title: `Judge the ${nameOf(part)} in primer`,
        partKeys: [part.key],
        tags: ['judge fill' as const],
        handsOnMin: 5,
        how: 'Raking light. A flaw is filled and primed again; then judge again. Scratch a hidden spot: the primer must hold before tape goes on it.',
        because: 'Primer shows what bare metal hides.',
      })),
  },
  {
    id: 'mix-colour',
    when: 'a colour is planned',
    serves: ['O35', 'S9', 'S10', 'N5'],
    create: (context) => listColours(context).map((colour) => createMixTask(colour, context)),
  },
  {
    id: 'colour',
    when: 'a colour or clear coat is planned for an area',
    serves: ['O21', 'O22', 'O24', 'O25', 'O23', 'S6', 'S8', 'N35'],
    // What shares a colour is sprayed together, mist coats first: one cleaning of the gun for each.
    create: (context) => {
      const tasks = selectPainted(context).flatMap((part) => createColourTasks(part, context));
      const names = [...new Set(tasks.map((task) => task.colours?.[0] ?? ''))];
      const lightest = (name: string) =>
        Math.max(...tasks.filter((task) => (task.colours?.[0] ?? '') === name).map((task) => task.luminance ?? 0));
      const rank = new Map(names.sort((a, b) => lightest(b) - lightest(a)).map((name, i) => [name, i]));
      // Trim lies over the body colours, whatever its own.
      const place = (task: TaskDraft) =>
        (task.tags.includes('trim colour') ? 2 * names.length : 0) +
        2 * rank.get(task.colours?.[0] ?? '')! +
        (task.tags.includes('mist coat') ? 0 : 1);
      return tasks.sort((a, b) => place(a) - place(b));
    },
  },
  {
    id: 'brightwork',
    when: 'brightwork is planned in an ink that dries quickly',
    serves: ['O25', 'S7'],
    create: (context) =>
      selectPainted(context).flatMap((part) =>
        part.coats
          .filter((coat) => coat.kind === 'brightwork' && !isSlowInk(coat, context))
          .map((coat) => ({
            key: `bright:${part.key}:${coat.areaName}`,
            station: 'finish' as const,
            title: `Silver the ${coat.areaName === 'outside' ? '' : `${coat.areaName} of the `}${nameOf(part)}`,
            partKeys: [part.key],
            tags: ['trim colour' as const, 'paint' as const, 'handling' as const],
            hazards: ['degreaser'],
            handsOnMin: 10,
            passiveMin: 30,
            how: `${coat.name}, brushed from a decanted drop so that it flows in the relief. Overruns touched in with body colour when dry.`,
            because: `Only where the issue had it. Brightwork: ${context.because('S7')}`,
            uses: uses(['brightwork ink', 0.3]),
          })),
      ),
  },
  {
    id: 'gloss-under-decal',
    when: 'a decal is planned and the school clears under it',
    serves: ['O32', 'S13'],
    create: ({ workable, option, because }) => {
      const school = option('S13');
      if (school === 'none' || school === 'seal decals') return [];
      return workable
        .filter((part) => hasDecal(part) && part.coats.every((coat) => coat.kind !== 'clear'))
        .map((part) => ({
          key: `gloss:${part.key}`,
          station: 'finish' as const,
          title: `${GLOSS[school] ? 'Clear' : 'Gloss'} coat on the ${nameOf(part)} where the decals go`,
          partKeys: [part.key],
          tags: ['gloss coat' as const, 'spray' as const, 'vapour' as const, 'handling' as const],
          hazards: ['spraying'],
          handsOnMin: 8,
          passiveMin: 240,
          how: `${GLOSS[school] ? `Thin ${GLOSS[school]} clear` : 'Thin gloss'} over dry colour, the whole panel: an edge shows. Never a two-part clear without the equipment for it.`,
          because: `Clear coat: ${because('S13')}`,
          uses: uses(['clear coat', 1]),
        }));
    },
  },
  {
    id: 'clean-gun',
    when: 'something was sprayed',
    serves: ['O35', 'N40'],
    create: (context) => {
      const names = selectPainted(context).flatMap((part) => part.coats.filter(isSprayed).map((coat) => coat.name));
      if (names.length === 0 || context.option('S6') === 'spray can') return [];
      return [
        {
          key: 'clean-gun',
          station: 'finish',
          title: 'Strip the gun and clean it for the night',
          partKeys: [],
          tags: ['gun cleaned', 'vapour'],
          hazards: ['degreaser'],
          handsOnMin: 12,
          how: `Between colours too: ${new Set(names).size} on this model. Thinner through it until it comes clear, needle out, nozzle in the jar, needle back with a drop of oil.`,
          because: 'Paint dried in the nozzle costs the next evening; what shares a colour is sprayed together.',
          uses: uses(['thinner', 15]),
        },
      ];
    },
  },
];

/** What was soldered on in bare metal and is not painted itself. */
function listSoldered(context: PlanContext): { readonly part: PlanPart; readonly against: readonly PlanPart[] }[] {
  return context.input.opening
    .filter((joint) => isSolderedFirst(joint, context))
    .flatMap((joint) => {
      const held = context.workable.filter((part) => joint.partKeys.includes(part.key));
      const bare = held.filter((part) => paintedCoats(part).length === 0);
      return bare.map((part) => ({ part, against: held.filter((other) => other !== part) }));
    })
    .filter(({ part }, i, all) => all.findIndex((one) => one.part === part) === i);
}

const selectPrimed = (context: PlanContext) =>
  selectPainted(context).filter((part) => isPrimed(part) && !isPowdered(part, context));

interface WornColour {
  readonly name: string;
  readonly parts: readonly PlanPart[];
}

function listColours(context: PlanContext): WornColour[] {
  const wearers = new Map<string, Set<PlanPart>>();
  for (const part of selectPainted(context))
    for (const { kind, name } of part.coats)
      if (kind === 'colour') wearers.set(name, (wearers.get(name) ?? new Set()).add(part));
  return [...wearers].map(([name, parts]) => ({ name, parts: [...parts] }));
}

const createMixTask = ({ name, parts }: WornColour, { because }: PlanContext): TaskDraft => ({
  key: `mix:${name}`,
  station: 'finish',
  title: `Have ${name} ready`,
  partKeys: parts.map((part) => part.key),
  tags: ['mix paint'],
  colours: [name],
  hazards: ['degreaser'],
  handsOnMin: 8,
  how: 'Stir to the bottom, thin as its sheet says, strain, a stripe on primed card and let it dry: it dries to another shade. No more than the parts need.',
  because: `On the ${listNames(parts.map(nameOf))}. Mixing: ${because('S9')} To match: ${because('S10')}`,
});

function createPrimerTask(part: PlanPart, { option, because }: PlanContext): TaskDraft {
  const primer = part.coats.find((coat) => coat.kind === 'primer')!;
  return {
    key: `prime:${part.key}`,
    station: 'finish',
    title: `Prime the ${nameOf(part)}`,
    partKeys: [part.key],
    tags: ['prime', 'paint', 'spray', 'vapour', 'handling'],
    hazards: ['spraying'],
    handsOnMin: 12,
    passiveMin: 60,
    how: `${PRIMER_HOW[option('S12')] ?? PRIMER_HOW['thin light grey']!} Bare zinc is primed the same day. Log the coat below.`,
    because: `Planned: ${primer.name}. Primer: ${because('S12')}`,
    uses: uses(['primer', 2]),
  };
}

function createColourTasks(part: PlanPart, context: PlanContext): TaskDraft[] {
  const groups = groupByArea(part.coats.filter(isSprayed));
  const powdered = isPowdered(part, context);
  return [...groups].flatMap(([area, coats]) => {
    const kind = coats[0]!.areaKind;
    // Powder is the coat of the outside; what lies over it is brushed or sprayed.
    if (powdered && kind !== 'mask') return [];
    return createAreaTasks(part, area, coats, context);
  });
}

function createAreaTasks(part: PlanPart, area: string, coats: readonly PlanCoat[], context: PlanContext): TaskDraft[] {
  const kind = coats[0]!.areaKind;
  const isTrim = kind === 'mask';
  const isHidden = kind === 'inside' || kind === 'underside';
  const names = coats.map((coat) => coat.name);
  const colours = coats.filter((coat) => coat.kind === 'colour').map((coat) => coat.name);
  const ground = part.coats.find((coat) => coat.kind === 'colour' && coat.areaKind === 'outside');
  const isPaleOnDark =
    isTrim && ground && computeLuminance(coats[0]!.colourHex) > computeLuminance(ground.colourHex) + 0.25;
  const light = isPaleOnDark ? ' Pale over dark: a thin light ground inside the mask first (O21).' : '';
  const wet: TaskDraft = {
    station: 'finish',
    partKeys: [part.key],
    area,
    colours,
    hazards: SPRAYING,
    key: `colour:${part.key}:${area}`,
    title: `Paint the ${nameOf(part)}, ${area}: ${names.join(', then ')}`,
    tags: isTrim ? TRIM_TAGS : isHidden ? HIDDEN_TAGS : OUTSIDE_TAGS,
    luminance: computeLuminance(coats[0]!.colourHex),
    handsOnMin: isTrim ? 15 : 12,
    passiveMin: 240,
    how: isTrim
      ? `Primer and colour must hold under tape first. Mask pressed down on dry paint; tape off, warmed, before the coat is fully hard. Overruns touched in when dry.${light}`
      : `${SPRAY_HOW[context.option('S6')] ?? ''} Wet coats over the mist, thin, until it covers. Log each coat below.`,
    because: `Planned for this area: ${names.join(', ')}. Order of colours: ${context.because('S8')}`,
    uses: isTrim ? TRIM_USES : BODY_USES,
  };
  if (isTrim) return [wet];
  return [
    {
      station: 'finish',
      partKeys: wet.partKeys,
      area,
      colours,
      hazards: SPRAYING,
      key: `mist:${part.key}:${area}`,
      title: `Mist coat on the ${nameOf(part)}, ${area}`,
      tags: isHidden ? HIDDEN_MIST_TAGS : OUTSIDE_MIST_TAGS,
      luminance: wet.luminance,
      handsOnMin: 4,
      passiveMin: 5,
      how: 'So thin that the ground shows through everywhere. Flash about 5 min: it no longer looks wet.',
      because: 'The wet coat holds on it and does not run.',
    },
    wet,
  ];
}

function groupByArea(coats: readonly PlanCoat[]): Map<string, PlanCoat[]> {
  const groups = new Map<string, PlanCoat[]>();
  for (const coat of coats) {
    const area = coat.areaName || coat.areaKind;
    groups.set(area, [...(groups.get(area) ?? []), coat]);
  }
  return groups;
}
