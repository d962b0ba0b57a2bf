import { isMetal } from '../../model/material.ts';
import type { StripMethod } from '../../model/workshop.ts';
import { METHOD_FACTS, type StripAdvice } from '../../process/chooseStripping.ts';
import { expectPasses, type ExpectedPasses } from '../../process/expectPasses.ts';
import { sessionOf, type PlanContext } from '../planContext.ts';
import type { PlanPart, TaskDraft } from '../planTypes.ts';
import { uses, type Use } from '../../supply/supplies.ts';
import { listNames, nameOf, type PlanRule } from './planRule.ts';

interface MethodWords {
  readonly title: string;
  readonly how: string;
  readonly handsOnMin: number;
  readonly watchedMin: number;
  readonly hazards: readonly string[];
  readonly uses: readonly Use[];
}

const WORDS: Readonly<Record<StripMethod, MethodWords>> = {
  gel: {
    title: 'Brush gel stripper on the',
    how: 'Thick coat, cover loosely, look every ten minutes. Lift the softened paint wet with a wooden pick.',
    handsOnMin: 10,
    watchedMin: 25,
    hazards: ['gel-stripper', 'old-paint'],
    uses: uses(['gel stripper', 15], ['gloves']),
  },
  dip: {
    title: 'Lay in dip stripper: the',
    how: 'Under to the last corner, lid resting, look every ten minutes. Lift the softened paint wet with a wooden pick.',
    handsOnMin: 8,
    watchedMin: 30,
    hazards: ['gel-stripper', 'old-paint'],
    uses: uses(['dip stripper', 40], ['gloves']),
  },
  caustic: {
    title: 'Caustic bath for the',
    how: 'Made up as reckoned below, cold when it goes in, covered everywhere. Look every five minutes: zinc darkens the longer it lies. Out, and plenty of water.',
    handsOnMin: 10,
    watchedMin: 20,
    hazards: ['caustic-bath', 'old-paint'],
    uses: uses(['pure sodium hydroxide', 40], ['citric acid', 5], ['caustic vessel with a resting lid'], ['gloves']),
  },
  blast: {
    title: 'Blast the corners of the',
    how: 'Only bare metal, mild grit, low pressure, on a dry day, outdoors or in a cabinet. Lettering goes first: keep moving.',
    handsOnMin: 15,
    watchedMin: 0,
    hazards: ['blasting'],
    uses: uses(['mild blasting grit', 200], ['gloves']),
  },
  'mild slow': {
    title: 'Lay in glycol-ether fluid: the',
    how: 'Under to the last corner, lid resting. Look every twenty minutes, brush what has lifted; another evening for what has not. It never soaks alone overnight.',
    handsOnMin: 10,
    watchedMin: 60,
    hazards: ['glycol-ether', 'old-paint'],
    uses: uses(['glycol-ether fluid', 60], ['gloves']),
  },
  'glycol-ether': {
    title: 'Glycol-ether fluid on the paint of the',
    how: 'Minutes, not more than an hour, looked at every ten. Cotton bud and wooden pick. Rinse with soap and water at once.',
    handsOnMin: 12,
    watchedMin: 40,
    hazards: ['glycol-ether', 'old-paint'],
    uses: uses(['glycol-ether fluid', 20], ['gloves']),
  },
  'thinner wipe': {
    title: 'Wipe the paint off the',
    how: 'Thinner on a bud, one wipe, a clean bud each time. Stop when the plastic turns dull.',
    handsOnMin: 20,
    watchedMin: 0,
    hazards: ['degreaser', 'old-paint'],
    uses: uses(['thinner', 10], ['gloves']),
  },
};

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
            key: `test:${part.key}`,
            station: 'strip',
            title: `Try it on a hidden spot of the ${nameOf(part)}`,
            partKeys: [part.key],
            tags: ['hidden test', 'chemical', 'vapour'],
            hazards: WORDS[method].hazards.filter((hazard) => hazard !== 'old-paint'),
            handsOnMin: 4,
            passiveMin: 15,
            how: 'One bud, where nobody looks, a quarter of an hour. Dull, soft or sticky: stop, and say so in Survey.',
            because: `${verdict.material}: ${verdict.reason}${verdict.limit ? ` (${verdict.limit})` : ''}.`,
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
    create: (context) => context.stripped.flatMap(({ part }) => createAfterTasks(part, context)),
  },
  {
    id: 'key-wet',
    when: 'plastic stays inside, or nothing may take the paint off, and it is painted over',
    serves: ['O9', 'N2'],
    create: (context) =>
      context.workable.flatMap((part): TaskDraft[] => {
        const advice = context.strippingOf(part);
        if (!advice) return [];
        const plastic = context.pieces.findShelteredPlastic(part.key);
        const isKept = plastic && isMetal(part.material);
        if (!isKept && (advice.best || part.coats.length === 0)) return [];
        const inside = plastic ? nameOf(plastic) : '';
        return [
          {
            key: `key:${part.key}`,
            station: 'strip',
            title: `Key the old paint of the ${nameOf(part)}, wet`,
            partKeys: [part.key],
            tags: ['wash', 'wet paint removal'],
            hazards: ['old-paint'],
            handsOnMin: 25,
            passiveMin: 20,
            how: `${isKept ? `Cover the ${inside}. ` : ''}Fine wet abrasive sponge until the gloss is gone, kept wet all the time, wiped up, never dry. Relief is filled by every coat that stays on.`,
            because: isKept
              ? `The ${inside} stays inside a closed joint: no stripper, no bath, no heat (O9).`
              : `Nothing may take its paint off. ${advice.refusals.map(({ method, reason }) => `${method}: ${reason}`).join('; ')}.`,
            uses: uses(['wet abrasive paper', 0.5], ['gloves']),
          },
        ];
      }),
  },
];

function createStripTasks(part: PlanPart, advice: StripAdvice, context: PlanContext): TaskDraft[] {
  const { method } = advice.best!;
  // O38: leaded paint goes wet; grit only finishes what is bare.
  if (method !== 'blast') return [createStripTask(`strip:${part.key}`, part, method, advice, context)];
  const wet = advice.alternatives.find((one) => one.method === 'gel')?.method ?? 'mild slow';
  const { title, how, handsOnMin, hazards } = WORDS.blast;
  return [
    createStripTask(`strip:${part.key}`, part, wet, advice, context),
    {
      key: `blast:${part.key}`,
      station: 'strip',
      title: `${title} ${nameOf(part)}`,
      partKeys: [part.key],
      tags: ['blast', 'dry abrade'],
      process: 'blasting',
      hazards,
      cannotBeUndone: 'lettering and edges that the grit takes',
      handsOnMin,
      how,
      because: `Stripping: ${context.because('S11')} Wet first: its paint may hold lead (O38).`,
      uses: WORDS.blast.uses,
    },
  ];
}

function createStripTask(
  key: string,
  part: PlanPart,
  method: StripMethod,
  advice: StripAdvice,
  context: PlanContext,
): TaskDraft {
  const words = WORDS[method];
  const { process, isImmersed } = METHOD_FACTS[method];
  const joined = context.pieces.neighboursOf(part.key).map(nameOf);
  const seam = joined.length
    ? ` It stays joined to the ${listNames(joined)}: brush on only, no bath; keep the seam as dry as you can.`
    : '';
  const paint = part.found.filter((kind) => kind === 'colour' || kind === 'primer' || kind === 'clear').length;
  const { expected, most, origin } = expectUsualPasses(Math.max(1, paint));
  const school = isMetal(part.material) ? 'S11' : 'S18';
  const refused = advice.insteadOf ? ` Not ${advice.insteadOf.method}: ${advice.insteadOf.reason}.` : '';
  const isBath = isImmersed && process !== 'gel stripper';
  const watchedMin = Math.min(words.watchedMin, Math.max(0, sessionOf(context.input) - words.handsOnMin));
  return {
    key,
    station: 'strip',
    title: `${words.title} ${nameOf(part)}`,
    partKeys: [part.key],
    tags: ['strip', 'chemical', 'wet paint removal', 'vapour', ...(isBath || isImmersed ? (['bath'] as const) : [])],
    process,
    hazards: words.hazards,
    cannotBeUndone: 'the original paint',
    handsOnMin: words.handsOnMin,
    ...(watchedMin > 0 ? { watchedMin } : {}),
    how: `${words.how} ${paint > 1 ? `${paint} layers: about` : 'About'} ${Math.max(1, Math.round(expected))} ${Math.round(expected) > 1 ? 'passes' : 'pass'}, hardly more than ${most} (${origin}).${seam}`,
    because: `Painted as found. ${isMetal(part.material) ? 'Stripping' : 'Plastics'}: ${context.because(school)}${refused}`,
    uses: words.uses,
  };
}

function createAfterTasks(part: PlanPart, { pieces }: PlanContext): TaskDraft[] {
  const joined = pieces.neighboursOf(part.key).length > 0;
  return [
    {
      key: `wash:${part.key}`,
      station: 'strip',
      title: `Neutralise, rinse and dry the ${nameOf(part)}`,
      partKeys: [part.key],
      tags: ['wash', 'wet paint removal'],
      hazards: ['old-paint'],
      handsOnMin: 10,
      passiveMin: 20,
      how: `As the product sheet says, then plenty of water and a toothbrush into every corner; the rinse water is old-paint waste. ${joined ? 'Rinse the closed seam for long, shake it out and let it dry by itself.' : 'Dry warm.'}`,
      because: 'Stripper left in a seam lifts the new paint.',
      uses: uses(['gloves']),
    },
    {
      key: `inspect:${part.key}`,
      station: 'strip',
      title: `Inspect the bare ${nameOf(part)}`,
      partKeys: [part.key],
      tags: ['inspect'],
      handsOnMin: 5,
      how: 'Under the lamp and magnifier: cracks, pits, earlier repairs. Leave cast lettering and cast rivets as they are. Add what you find in Survey.',
      because: `Bare ${isMetal(part.material) ? 'metal' : 'plastic'} shows what paint hid.`,
    },
  ];
}

/** By the number of layers; nothing else is known when the plan is made. */
const usualPasses = new Map<number, ExpectedPasses>();

function expectUsualPasses(layers: number): ExpectedPasses {
  const known = usualPasses.get(layers) ?? expectPasses(layers);
  usualPasses.set(layers, known);
  return known;
}

/** The method that a step of taking paint or plating off was planned with; null for every other step. */
export function readMethod({ key, title }: { readonly key: string; readonly title: string }): StripMethod | null {
  if (key.startsWith('plating-off:')) return 'caustic';
  if (!key.startsWith('strip:')) return null;
  const methods = Object.keys(WORDS) as StripMethod[];
  return methods.find((method) => title.startsWith(WORDS[method].title)) ?? null;
}
