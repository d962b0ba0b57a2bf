import { computeLuminance } from '../../facts/chooseTreatment.ts';
import type { PlanCoat, PlanPart } from '../../facts/specimenFacts.ts';
import { isEarlyField } from '../../film/isEarlyField.ts';
import { groupBy } from '../../groupBy.ts';
import { uses } from '../../model/supply.ts';
import type { TaskTag } from '../../model/taskTags.ts';
import { judgePart } from '../../process/judgePart.ts';
import type { PlanContext } from '../planContext.ts';
import type { DraftOf, TaskDraft } from '../planTypes.ts';
import { isPowderCoat, isPowdered } from './isPowdered.ts';
import { isSolderedFirst } from './closingRules.ts';
import {
  dryingOf,
  hasBrightworkOn,
  hasDecal,
  isSlowInk,
  ofCoat,
  ofRound,
  paintOf,
  paintedCoats,
  roundOf,
} from './coats.ts';
import { isPrimed } from './mendingRules.ts';
import type { PlanRule } from './planRule.ts';

const COLOUR_TAGS = ['colour', 'paint', 'spray', 'vapour', 'handling'] as const;
const TRIM_TAGS = [...COLOUR_TAGS, 'trim colour'] as const;
const EARLY_TAGS = [...COLOUR_TAGS, 'outside faces', 'early field'] as const;
const HIDDEN_TAGS = [...COLOUR_TAGS, 'hidden faces'] as const;
const OUTSIDE_TAGS = [...COLOUR_TAGS, 'outside faces', 'body colour'] as const;
const MIST_TAGS = ['mist coat', 'spray', 'vapour', 'handling'] as const;
const HIDDEN_MIST_TAGS = [...MIST_TAGS, 'hidden faces'] as const;
const OUTSIDE_MIST_TAGS = [...MIST_TAGS, 'outside faces'] as const;
const SPRAYING = ['spraying'];
/** Of a wet coat whose pot or surface nobody knows, ml (planning estimates). */
const USUAL_TRIM_ML = 0.7;
const USUAL_BODY_ML = 2;
const USUAL_PRIMER_ML = 2;
const NONE_MASKED: readonly string[] = [];
const MASK_USES = uses(['masking tape', 100]);
/** Fields that have their colour are masked and wrapped before the next one (planning estimate). */
const MASK_MIN = 12;

/** Light over dark shows through where the one is so much lighter (of 1). */
const PALE_ON_DARK = 0.25;

export const selectPainted = ({ workable }: PlanContext) => workable.filter((part) => paintedCoats(part).length > 0);

/** Finish: ground, colour, brightwork and clear, in the order in which they go on. */
export const PAINT_RULES: readonly PlanRule[] = [
  {
    id: 'take-coat-off',
    when: 'a coat was rejected and is still on',
    serves: ['N63', 'N17'],
    create: (context) => context.workable.flatMap((part) => createTakeOffTasks(part, context)),
  },
  {
    id: 'degrease',
    when: 'a part is painted',
    serves: ['O15', 'O26', 'S21', 'N36'],
    create: (context) =>
      selectPainted(context).map((part) => ({
        act: 'degrease',
        station: 'finish',
        partKeys: [part.key],
        of: ofRound(roundOf(part, ['primer', 'colour', 'clear'])),
        method: context.option('S21'),
        tags: ['degrease', 'vapour'],
        hazards: ['degreaser'],
        handsOnMin: 5,
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
            act: 'mask',
            station: 'finish',
            // It names what is painted beside it: the mask is on before that is.
            partKeys: [part.key, ...neighbours.map((other) => other.key)],
            tags: ['mask'],
            handsOnMin: 12,
            uses: uses(['masking tape', 150]),
            detail: { beside: neighbours.map((other) => other.name) },
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
        act: 'judge',
        station: 'finish',
        partKeys: [part.key],
        of: ofRound(roundOf(part, ['primer'])),
        tags: ['judge fill'],
        handsOnMin: 5,
      })),
  },
  {
    id: 'mix-colour',
    when: 'a colour is planned',
    serves: ['O35', 'S9', 'S10', 'N5'],
    create: (context) => listColours(context).map((colour) => createMixTask(colour)),
  },
  {
    id: 'colour',
    when: 'a colour is planned for an area',
    serves: ['O21', 'O22', 'O24', 'O25', 'O23', 'S6', 'S8', 'N35'],
    create: listColourTasks,
  },
  {
    id: 'brightwork',
    when: 'brightwork is planned in an ink that dries quickly',
    serves: ['O25', 'S7', 'S24'],
    create: (context) =>
      selectPainted(context).flatMap((part) => {
        const isLate = hasDecal(part) && context.option('S24') === 'decals first';
        return part.coats
          .filter((coat) => coat.kind === 'brightwork' && !isSlowInk(coat, context))
          .filter((coat) => !hasBrightworkOn(part, coat.areaName))
          .map((coat) => ({
            act: 'bright',
            station: isLate ? 'close' : 'finish',
            partKeys: [part.key],
            of: ofCoat(part, coat),
            method: context.option('S7'),
            tags: isLate ? ['silver after decals', 'handling'] : ['trim colour', 'paint', 'handling'],
            hazards: ['degreaser'],
            handsOnMin: 10,
            passiveMin: dryingOf(coat).recoatMin,
            uses: uses(['brightwork ink', 0.3]),
            detail: { name: coat.name },
          }));
      }),
  },
];

/** What lies on a rejected coat comes off with it: one task for all that are still on an area. */
function createTakeOffTasks(part: PlanPart, { materialsOf }: PlanContext): TaskDraft[] {
  const on = part.done.rejected.filter((coat) => !coat.isOff);
  return [...new Set(on.map((coat) => coat.areaName))].map((areaName) => {
    const own = on.filter((coat) => coat.areaName === areaName);
    const isWiped = judgePart(materialsOf(part), 'solvent wipe').verdict !== 'never';
    return {
      act: 'take-off',
      station: 'finish',
      partKeys: [part.key],
      of: { layerId: own[0]!.layerId, area: areaName },
      method: isWiped ? 'thinner wipe' : 'rubbed down wet',
      tags: ['take coat off', 'handling', ...(isWiped ? (['chemical', 'vapour'] as const) : [])],
      ...(isWiped ? { process: 'solvent wipe' as const } : {}),
      hazards: isWiped ? ['degreaser'] : [],
      cannotBeUndone: 'the coat that is taken off',
      handsOnMin: 20,
      passiveMin: 20,
      uses: isWiped ? uses(['thinner', 10], ['gloves']) : uses(['wet abrasive paper', 1]),
      detail: { names: own.map((coat) => coat.name), because: own[0]!.because },
    };
  });
}

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

export const selectPrimed = (context: PlanContext) =>
  selectPainted(context).filter((part) => isPrimed(part) && !isPowdered(part, context));

interface WornColour {
  readonly name: string;
  readonly parts: readonly PlanPart[];
}

function listColours(context: PlanContext): WornColour[] {
  const wearers = new Map<string, Set<PlanPart>>();
  for (const part of selectPainted(context))
    for (const coat of part.coats)
      // Powder is not stirred.
      if (coat.kind === 'colour' && !isPowderCoat(part, coat, context))
        wearers.set(coat.name, (wearers.get(coat.name) ?? new Set()).add(part));
  return [...wearers].map(([name, parts]) => ({ name, parts: [...parts] }));
}

const createMixTask = ({ name, parts }: WornColour): TaskDraft => ({
  act: 'mix',
  station: 'finish',
  partKeys: parts.map((part) => part.key),
  of: { colour: name },
  tags: ['mix paint'],
  colours: [name],
  hazards: ['degreaser'],
  handsOnMin: 8,
  detail: {
    wearers: parts.map((part) => part.name),
    isMixed: parts.some((part) => part.coats.some((coat) => coat.name === name && coat.dries === null)),
  },
});

export const primerOf = (part: PlanPart): PlanCoat => part.coats.find((coat) => coat.kind === 'primer')!;

function createPrimerTask(part: PlanPart, { option }: PlanContext): TaskDraft {
  const primer = primerOf(part);
  return {
    act: 'prime',
    station: 'finish',
    partKeys: [part.key],
    of: ofRound(roundOf(part, ['primer'])),
    method: option('S12'),
    tags: ['prime', 'paint', 'spray', 'vapour', 'handling'],
    colours: [primer.name],
    hazards: SPRAYING,
    handsOnMin: 12,
    passiveMin: dryingOf(primer).recoatMin,
    uses: [paintOf('primer', primer, USUAL_PRIMER_ML)],
    detail: { name: primer.name },
  };
}

const COLOUR_TASKS = new WeakMap<PlanContext, readonly ColourDraft[]>();

/** Asked by the coats and by the gun: worked out once for a plan. */
export function listColourTasks(context: PlanContext): readonly ColourDraft[] {
  const known = COLOUR_TASKS.get(context) ?? createColourTasks(context);
  COLOUR_TASKS.set(context, known);
  return known;
}

/** What shares a colour is sprayed together, mist coats first: one rinse of the gun for each. */
function createColourTasks(context: PlanContext): ColourDraft[] {
  const tasks = selectPainted(context).flatMap((part) => createPartColours(part, context));
  const firstColour = (task: ColourDraft) => task.colours?.[0] ?? '';
  const lightest = new Map<string, number>();
  for (const task of tasks) {
    const name = firstColour(task);
    lightest.set(name, Math.max(lightest.get(name) ?? 0, task.luminance ?? 0));
  }
  const names = sortColours(lightest, listTurns(context));
  const rank = new Map(names.map((name, i) => [name, i]));
  // Trim lies over the body colours, whatever its own.
  const place = (task: ColourDraft) =>
    (task.tags.includes('trim colour') ? 2 * names.length : 0) +
    2 * rank.get(firstColour(task))! +
    (task.act === 'mist' ? 0 : 1);
  return tasks.sort((a, b) => place(a) - place(b));
}

/** Which colour goes on before which on some part. */
function listTurns(context: PlanContext): (readonly [before: string, after: string])[] {
  return selectPainted(context).flatMap((part) => {
    const names = part.colourOrder.map(
      (area) => part.coats.findLast((coat) => coat.kind === 'colour' && coat.areaName === area)?.name ?? '',
    );
    return names.slice(1).map((after, i) => [names[i]!, after] as const);
  });
}

/** The lightest first, but none before one that must be on when it comes; where they go in a ring the lightest begins. */
function sortColours(
  lightest: ReadonlyMap<string, number>,
  turns: readonly (readonly [before: string, after: string])[],
): string[] {
  const left = [...lightest].sort(([, a], [, b]) => b - a).map(([name]) => name);
  const sorted: string[] = [];
  while (left.length > 0) {
    const isFree = (name: string) =>
      turns.every(([before, after]) => after !== name || before === name || !left.includes(before));
    const [next] = left.splice(Math.max(0, left.findIndex(isFree)), 1);
    sorted.push(next!);
  }
  return sorted;
}

type ColourDraft = DraftOf<'mist'> | DraftOf<'colour'>;

function createPartColours(part: PlanPart, context: PlanContext): ColourDraft[] {
  const groups = groupBy(
    part.coats.filter((coat) => coat.kind === 'colour'),
    (coat) => coat.areaName,
  );
  return [...groups].flatMap(([area, coats]) => {
    if (isPowderCoat(part, coats[0]!, context)) return [];
    return createAreaTasks(part, area, coats, context);
  });
}

function createAreaTasks(
  part: PlanPart,
  area: string,
  coats: readonly PlanCoat[],
  { option }: PlanContext,
): ColourDraft[] {
  const [first] = coats;
  const { areaKind } = first!;
  const isEarly = isEarlyField(part, area);
  const isTrim = areaKind === 'mask' && !isEarly;
  const masked = areaKind === 'outside' ? part.colourOrder.filter((name) => isEarlyField(part, name)) : NONE_MASKED;
  const isHidden = areaKind === 'inside' || areaKind === 'underside';
  const ground = part.coats.find((coat) => coat.kind === 'colour' && coat.areaKind === 'outside');
  const partKeys = [part.key];
  const round = ofRound(roundOf(part, ['colour'], area));
  const method = option('S6');
  // Field by field: spread, these two made a whole plan of forty parts a fifth slower.
  const create = <Act extends ColourDraft['act']>(
    act: Act,
    { name, colourHex }: PlanCoat,
    nth: number,
    tags: readonly TaskTag[],
    handsOnMin: number,
    passiveMin: number,
  ) => ({
    act,
    station: 'finish' as const,
    partKeys,
    of: nth > 1 ? { area, nth, ...round } : { area, ...round },
    colours: [name],
    method,
    hazards: SPRAYING,
    luminance: computeLuminance(colourHex),
    tags,
    handsOnMin,
    passiveMin,
  });
  const wetTags = isTrim ? TRIM_TAGS : isEarly ? EARLY_TAGS : isHidden ? HIDDEN_TAGS : OUTSIDE_TAGS;
  let on = 0;
  const wet = coats.flatMap((coat) => {
    const isPaleOnDark =
      isTrim &&
      ground !== undefined &&
      computeLuminance(coat.colourHex) > computeLuminance(ground.colourHex) + PALE_ON_DARK;
    const { betweenMin, recoatMin } = dryingOf(coat);
    return Array.from({ length: coat.coats }, (_, i) =>
      Object.assign(
        create('colour', coat, ++on, wetTags, isTrim ? 15 : 12, i + 1 < coat.coats ? betweenMin : recoatMin),
        {
          // The mask stays on until the last of them.
          uses: [
            paintOf('body colour', coat, isTrim ? USUAL_TRIM_ML : USUAL_BODY_ML),
            ...(isTrim && on === 1 ? MASK_USES : []),
          ],
          detail: { name: coat.name, isTrim, isPaleOnDark, nth: i + 1, coats: coat.coats },
        },
      ),
    );
  });
  if (isTrim) return wet;
  const { flashMin } = dryingOf(first!);
  const mistTags = isHidden ? HIDDEN_MIST_TAGS : OUTSIDE_MIST_TAGS;
  const mist = create('mist', first!, 1, mistTags, masked.length ? 4 + MASK_MIN : 4, flashMin);
  return [Object.assign(mist, { ...(masked.length ? { uses: MASK_USES } : {}), detail: { flashMin, masked } }), ...wet];
}
