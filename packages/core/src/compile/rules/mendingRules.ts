import { isMetal } from '../../model/material.ts';
import { createLadder } from '../../process/abrasiveLadder.ts';
import { chooseMend, MEND_HOW, type Damage, type MendAdvice, type MendMethod } from '../../process/chooseMend.ts';
import { judgePart } from '../../process/judgePart.ts';
import { planStraightening, type BendPlan } from '../../process/planStraightening.ts';
import type { PlanContext } from '../planContext.ts';
import type { PlanFinding, PlanPart, TaskDraft } from '../planTypes.ts';
import { uses, type Use } from '../../supply/supplies.ts';
import { isPowdered } from './bakeRules.ts';
import { isReplaced, nameOf, sayFinding, type PlanRule } from './planRule.ts';

const DAMAGE: Partial<Record<PlanFinding['kind'], Damage>> = {
  cracked: 'crack',
  broken: 'break',
  pitted: 'pits',
  'earlier repair': 'crack',
};

const MEND_TITLES: Readonly<Record<MendMethod, string>> = {
  'glue and powder': 'with glue and powder',
  gel: 'with gel adhesive',
  splint: 'with a metal splint',
  solder: 'with solder',
  resin: 'with resin',
  'filler on primer': 'with filler on the primer',
};

const MEND_USES: Readonly<Record<MendMethod, readonly Use[]>> = {
  'glue and powder': uses(['thin cyanoacrylate', 0.5], ['powder filler', 1], ['fine square file']),
  gel: uses(['gel adhesive', 0.5]),
  splint: uses(['half-round wire', 20], ['gel adhesive', 0.5]),
  solder: uses(['solder and flux', 1], ['copper tab', 1], ['soldering iron']),
  resin: uses(['two-part resin', 2]),
  'filler on primer': uses(['fine filler', 1], ['wet abrasive paper', 0.5]),
};

export const isPrimed = (part: PlanPart) => part.coats.some((coat) => coat.kind === 'primer');

/** Strip & mend, what is bent, cracked, rusted or cast with a line. */
export const MENDING_RULES: readonly PlanRule[] = [
  {
    id: 'straighten',
    when: 'a part is bent',
    serves: ['O13', 'O12', 'O38', 'S17'],
    create: (context) => context.workable.flatMap((part) => createStraightening(part, context)),
  },
  {
    id: 'mend',
    when: 'a part is cracked, broken or was mended badly',
    serves: ['S16', 'S15', 'N37'],
    create: (context) =>
      context.workable.flatMap((part) =>
        mergeByKey(selectMends(part, context).flatMap(({ finding, advice }) => createMend(part, finding, advice))),
      ),
  },
  {
    id: 'refill',
    when: 'pits only need to look right',
    serves: ['O18', 'S16', 'N36'],
    create: (context) =>
      context.workable.flatMap((part) => {
        const pits = selectMends(part, context).find(({ advice }) => advice.best === 'filler on primer');
        return pits ? createRefill(part, pits.finding, pits.advice) : [];
      }),
  },
  {
    id: 'take-rust-off',
    when: 'steel or tin has rust',
    serves: ['N48', 'O38'],
    create: (context) => context.workable.flatMap((part) => createRustTasks(part, context)),
  },
  {
    id: 'dress-lines',
    when: 'the school dresses parting lines',
    serves: ['S1', 'N44'],
    create: (context) => {
      const school = context.option('S1');
      if (school === 'leave as issued') return [];
      const { grits } = createLadder('parting line', 'for primer');
      return context.workable
        .filter(
          (part) =>
            part.material === 'zinc alloy' &&
            judgePart(context.materialsOf(part), 'abrasive').verdict !== 'never' &&
            part.coats.length > 0 &&
            (context.isStripped(part) || !part.painted) &&
            (school === 'dress all' || part.role !== 'base'),
        )
        .map((part) => ({
          key: `dress-lines:${part.key}`,
          station: 'strip' as const,
          title: `Dress the parting lines of the ${nameOf(part)}`,
          partKeys: [part.key],
          tags: ['repair' as const],
          process: 'abrasive' as const,
          cannotBeUndone: 'metal that the factory left',
          handsOnMin: 20,
          how: `Fine file with the curve, then wet ${grits.join(', ')}. Cast lettering, rivets and hinges are guarded with tape and left.`,
          because: `Parting lines: ${context.because('S1')}`,
          uses: uses(['wet abrasive paper', 1], ['fine square file']),
        }));
    },
  },
];

function createStraightening(part: PlanPart, context: PlanContext): TaskDraft[] {
  const bent = part.findings.find((finding) => finding.kind === 'bent');
  const plan = planBend(part, context);
  if (!bent || plan?.kind !== 'steps') return [];
  const name = nameOf(part);
  const because = `${sayFinding(bent)} Straightening: ${context.because('S17')}`;
  const how = plan.how.join(' ');
  const common = { key: `straighten:${part.key}`, station: 'strip' as const, partKeys: [part.key], because, how };
  if (!plan.isWarm)
    return [
      {
        ...common,
        title: `Straighten the ${name}, cold`,
        tags: ['repair', 'clamp'],
        ...(part.material === 'lead alloy' ? { hazards: ['lead-alloy'] } : {}),
        cannotBeUndone: 'a casting that cracks',
        handsOnMin: 5 + 4 * plan.steps,
        uses: uses(['padded jaws']),
      },
    ];
  return [
    {
      ...common,
      title: `Straighten the ${name}, warm`,
      tags: ['straighten hot', 'repair', 'clamp', 'heat', 'flame'],
      process: 'heat gun',
      atC: 150,
      hazards: ['hot-air'],
      cannotBeUndone: 'a casting that cracks',
      handsOnMin: 10 + 5 * plan.steps,
      watchedMin: 15,
      uses: uses(['hot-air gun'], ['contact probe'], ['padded jaws']),
    },
  ];
}

/** null where it is not bent or goes; otherwise steps, or why it stays as it is. */
export function planBend(part: PlanPart, context: PlanContext): BendPlan | null {
  const { option, materialsOf, pieces } = context;
  const bent = part.findings.find((finding) => finding.kind === 'bent');
  if (!bent || isReplaced(part)) return null;
  const isHot = part.material === 'zinc alloy' && option('S17') !== 'cold squeeze';
  if (isHot && part.painted && !context.isStripped(part))
    return { kind: 'refused', reason: 'it keeps its old paint, and heated paint gives off fumes (O38)' };
  return planStraightening({
    materials: materialsOf(part),
    degrees: bent.degrees,
    isJoined: pieces.neighboursOf(part.key).length > 0,
    isCold: option('S17') === 'cold squeeze',
  });
}

/** Every damage of a part with how it is mended; pits of the factory stay where the school keeps its flaws. */
export function selectMends(
  part: PlanPart,
  context: PlanContext,
): { readonly finding: PlanFinding; readonly advice: MendAdvice }[] {
  if (isReplaced(part)) return [];
  const { input, option, materialsOf } = context;
  const isSolderedAnew = input.opening.some((joint) => joint.kind === 'solder' && joint.partKeys.includes(part.key));
  return part.findings.flatMap((finding) => {
    const damage = DAMAGE[finding.kind];
    if (!damage) return [];
    // An earlier bond comes off with the old paint, and is made anew; where the paint stays it stays too.
    if (finding.kind === 'earlier repair' && !context.strippingOf(part)?.best) return [];
    if (finding.kind === 'broken' && isSolderedAnew) return [];
    if (damage === 'pits' && (option('S22') === 'factory flaws kept' || !isPrimed(part))) return [];
    const carriesLoad = damage === 'break' ? finding.severity > 1 : ['axle', 'mechanism', 'wheel'].includes(part.role);
    const advice = chooseMend({
      materials: materialsOf(part).filter((one) => one !== 'cyanoacrylate bond' && one !== 'two-part filler'),
      damage,
      carriesLoad,
      isReached: part.role !== 'interior' && part.role !== 'glazing',
      isJoined: context.pieces.neighboursOf(part.key).length > 0,
      isBakedLater: isPowdered(part, context),
      school: option('S16'),
    });
    return [{ finding, advice }];
  });
}

function createMend(part: PlanPart, finding: PlanFinding, advice: MendAdvice): TaskDraft[] {
  const { best } = advice;
  if (best === null || best === 'filler on primer') return [];
  const isSolder = best === 'solder';
  return [
    {
      key: `mend:${part.key}`,
      station: 'strip',
      title: `Mend the ${nameOf(part)} ${MEND_TITLES[best]}`,
      partKeys: [part.key],
      tags: ['repair', ...(isSolder ? (['heat', 'spark', 'solder'] as const) : (['fill', 'glue'] as const))],
      ...(isSolder ? { process: 'soldering' } : best === 'resin' ? {} : { process: 'cyanoacrylate' }),
      hazards: [isSolder ? 'soldering-iron' : 'cyanoacrylate'],
      handsOnMin: isSolder || best === 'splint' ? 30 : 20,
      passiveMin: best === 'resin' ? 1440 : isSolder ? 20 : 60,
      because: sayMend(finding, advice),
      how: MEND_HOW[best],
      uses: MEND_USES[best],
    },
  ];
}

const sayMend = (finding: PlanFinding, { because, insteadOf }: MendAdvice) =>
  `${sayFinding(finding)} Cracks and gaps (S16): ${because}.${insteadOf ? ` Not ${insteadOf.method}: ${insteadOf.reason}.` : ''}`;

function createRefill(part: PlanPart, finding: PlanFinding, advice: MendAdvice): TaskDraft[] {
  const name = nameOf(part);
  return [
    {
      key: `refill:${part.key}`,
      station: 'finish',
      title: `Fill the pits of the ${name} on the primer`,
      partKeys: [part.key],
      tags: ['refill', 'handling'],
      hazards: ['cyanoacrylate'],
      handsOnMin: 12,
      passiveMin: 60,
      how: MEND_HOW['filler on primer'],
      because: sayMend(finding, advice),
      uses: MEND_USES['filler on primer'],
    },
    {
      key: `reprime:${part.key}`,
      station: 'finish',
      title: `Prime the ${name} again`,
      partKeys: [part.key],
      tags: ['reprime', 'spray', 'vapour', 'handling'],
      hazards: ['spraying'],
      handsOnMin: 10,
      passiveMin: 60,
      how: 'Thin, only over what was filled and rubbed. Raking light once more.',
      because: 'Filler drinks colour and shows through it.',
      uses: uses(['primer', 1]),
    },
  ];
}

function createRustTasks(part: PlanPart, context: PlanContext): TaskDraft[] {
  const rust = part.findings.find((finding) => finding.kind === 'rust');
  const isBare = !part.painted || context.isStripped(part);
  if (!rust || isReplaced(part) || !isMetal(part.material)) return [];
  const name = nameOf(part);
  const isAxle = part.role === 'axle';
  const { grits, finish, because } = createLadder(
    rust.severity > 1 ? 'heavy rust' : 'light rust',
    isAxle ? 'polished metal' : 'for primer',
  );
  const why = `${sayFinding(rust)} ${because}`;
  const common = { station: 'strip' as const, partKeys: [part.key] };
  const abrasive = judgePart(context.materialsOf(part), 'abrasive');
  if (abrasive.verdict === 'never')
    return [
      {
        ...common,
        key: `wipe:${part.key}`,
        title: `Wipe the rust off the ${name} with oil, no abrasive`,
        tags: ['repair', 'oil'],
        hazards: ['oily-rags'],
        handsOnMin: 8,
        how: 'Oil and a soft cloth, gloves; degrease afterwards. Never sanded, ground, wire-wheeled or heated.',
        because: `${sayFinding(rust)} No abrasive on ${abrasive.material}: ${abrasive.reason}.`,
        uses: uses(['penetrating oil', 1], ['gloves']),
      },
    ];
  if (!isBare) return [];
  if (isAxle && part.material === 'steel')
    return [
      {
        ...common,
        key: `dress:${part.key}`,
        title: `Clean up the ${name} in a chuck`,
        tags: ['repair', 'dry abrade', 'spark'],
        process: 'abrasive',
        hazards: ['grinding'],
        handsOnMin: 15,
        how: `Emery on a flat stick, never wrapped round finger and axle: ${grits.join(', then ')}; then ${finish}. Gloves off, nothing loose.`,
        because: why,
        uses: uses(['rotary tool'], ['wet abrasive paper', 0.5], ['fine steel wool', 2]),
      },
    ];
  if (part.material === 'steel' || part.material === 'tinplate')
    return [
      {
        ...common,
        key: `dress:${part.key}`,
        title: `Rub the rust off the ${name}, wet`,
        tags: ['repair'],
        process: 'abrasive',
        hazards: ['sharp-edges'],
        handsOnMin: 15,
        passiveMin: 20,
        how: `Only where it is rusted: wet ${grits.join(', ')}. Dried warm at once, primed the same day.`,
        because: `${why}${part.material === 'tinplate' ? ' The tin beside it is thin.' : ''}`,
        uses: uses(['wet abrasive paper', 0.5]),
      },
    ];
  return [];
}

/** Two findings that ask for the same work make one task with both reasons. */
function mergeByKey(tasks: readonly TaskDraft[]): TaskDraft[] {
  const merged = new Map<string, TaskDraft>();
  for (const task of tasks) {
    const before = merged.get(task.key);
    merged.set(task.key, before ? { ...before, because: `${before.because} ${task.because}` } : task);
  }
  return [...merged.values()];
}
