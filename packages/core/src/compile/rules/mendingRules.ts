import { dryingOf } from './coats.ts';
import { isMetal, traitsOf } from '../../model/material.ts';
import { createLadder } from '../../process/abrasiveLadder.ts';
import type { MendMethod } from '../../model/mend.ts';
import { chooseMend, type Damage } from '../../process/chooseMend.ts';
import { judgePart } from '../../process/judgePart.ts';
import { isReplaced } from '../../facts/chooseTreatment.ts';
import type { PlanFinding, PlanPart } from '../../facts/specimenFacts.ts';
import { comesOffWithPaint } from '../../model/process.ts';
import { groupBy } from '../../groupBy.ts';
import { uses, type Use } from '../../model/supply.ts';
import type { TaskSubject } from '../../model/taskActs.ts';
import type { PlanContext } from '../planContext.ts';
import type { Mend, TaskDraft } from '../planTypes.ts';
import { isPowdered } from './isPowdered.ts';
import { findFinding, selectWants, type PlanRule } from './planRule.ts';

const DAMAGE: Partial<Record<PlanFinding['kind'], Damage>> = {
  cracked: 'crack',
  broken: 'break',
  pitted: 'pits',
  'earlier repair': 'crack',
  missing: 'loss',
};

const MEND_USES: Readonly<Record<MendMethod, readonly Use[]>> = {
  'glue and powder': uses(['thin cyanoacrylate', 0.5], ['powder filler', 1], ['fine square file']),
  gel: uses(['gel adhesive', 0.5]),
  splint: uses(['half-round wire', 20], ['gel adhesive', 0.5]),
  solder: uses(['solder and flux', 1], ['copper tab', 1], ['soldering iron']),
  resin: uses(['two-part resin', 2]),
  'filler on primer': uses(['fine filler', 1], ['wet abrasive paper', 0.5]),
  'new piece': uses(['gel adhesive', 0.5], ['pin wire', 10], ['powder filler', 0.5]),
};

export const isPrimed = (part: PlanPart) => part.coats.some((coat) => coat.kind === 'primer');

/** Strip & mend, what is cracked, broken, gone, rusted or cast with a line. */
export const MENDING_RULES: readonly PlanRule[] = [
  {
    id: 'mend',
    when: 'a part is cracked, broken or was mended badly',
    serves: ['S16', 'S15', 'N37'],
    create: (context) => context.workable.flatMap((part) => createMends(part, selectMends(part, context))),
  },
  {
    id: 'refill',
    when: 'pits only need to look right',
    serves: ['O18', 'S16', 'N36'],
    create: (context) =>
      context.workable.flatMap((part) => {
        const pits = selectMends(part, context).find(({ advice }) => advice.best === 'filler on primer');
        return pits ? createRefill(part, pits) : [];
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
            traitsOf(part.material).isZinc &&
            !isReplaced(part) &&
            judgePart(context.materialsOf(part), 'abrasive').verdict !== 'never' &&
            part.coats.length > 0 &&
            (context.isStripped(part) || !part.painted) &&
            (school === 'dress all' || part.role !== 'base'),
        )
        .map((part) => ({
          act: 'dress-lines',
          station: 'strip',
          partKeys: [part.key],
          method: school,
          tags: ['repair'],
          process: 'abrasive',
          cannotBeUndone: 'metal that the factory left',
          handsOnMin: 20,
          uses: uses(['wet abrasive paper', 1], ['fine square file']),
          detail: { grits },
        }));
    },
  },
];

/** Every damage of a part with how it is mended; pits of the factory stay where the school keeps its flaws. */
export function selectMends(part: PlanPart, context: PlanContext): Mend[] {
  if (isReplaced(part)) return [];
  const { input, option, materialsOf } = context;
  const isSolderedAnew = input.opening.some((joint) => joint.kind === 'solder' && joint.partKeys.includes(part.key));
  return part.findings.flatMap((finding) => {
    const damage = DAMAGE[finding.kind];
    if (!damage || (damage === 'loss' && finding.feature === '')) return [];
    // An earlier bond comes off with the old paint, and is made anew; where the paint stays it stays too.
    if (finding.kind === 'earlier repair' && !context.strippingOf(part)?.best) return [];
    if (finding.kind === 'broken' && isSolderedAnew) return [];
    if (damage === 'pits' && (option('S22') === 'factory flaws kept' || !isPrimed(part))) return [];
    const usually =
      damage === 'break' || damage === 'loss'
        ? finding.severity > 1
        : ['axle', 'mechanism', 'wheel'].includes(part.role);
    const carriesLoad = finding.carriesLoad ?? usually;
    const advice = chooseMend({
      materials: materialsOf(part).filter((one) => one === 'water-slide decal' || !comesOffWithPaint(one)),
      damage,
      carriesLoad,
      isReached: part.role !== 'interior' && part.role !== 'glazing',
      isJoined: context.pieces.neighboursOf(part.key).length > 0,
      keepsPaint: part.painted && !context.isStripped(part),
      isBakedLater: isPowdered(part, context),
      hasPiece: (damage === 'loss' || damage === 'break') && hasPieceFor(part, finding),
      chosen: finding.mend,
      school: option('S16'),
    });
    return [{ finding, carriesLoad, advice }];
  });
}

/** A want for a feature brings a piece for it; one that names none is for whatever is gone. */
const hasPieceFor = (part: PlanPart, { feature }: PlanFinding): boolean =>
  selectWants(part).some((want) => want.kind === 'feature' && (want.feature === '' || want.feature === feature));

/** Damages of a part that are mended in the same way are one task with all their reasons. */
function createMends(part: PlanPart, mends: readonly Mend[]): TaskDraft[] {
  const ways = groupBy(
    mends.filter(({ advice }) => advice.best !== null && advice.best !== 'filler on primer'),
    ({ advice }) => advice.best!,
  );
  return [...ways].map(([method, own], i) => createMend(part, method, own, i === 0 ? {} : { nth: i + 1 }));
}

function createMend(part: PlanPart, method: MendMethod, mends: readonly Mend[], of: TaskSubject): TaskDraft {
  const isSolder = method === 'solder';
  return {
    act: 'mend',
    station: 'strip',
    partKeys: [part.key],
    of,
    method,
    tags: [
      'repair',
      ...(isSolder ? (['heat', 'spark', 'solder'] as const) : (['fill', 'glue'] as const)),
      ...(method === 'new piece' ? (['set in'] as const) : []),
    ],
    ...(isSolder ? { process: 'soldering' as const } : method === 'resin' ? {} : { process: 'cyanoacrylate' as const }),
    hazards: [isSolder ? 'soldering-iron' : 'cyanoacrylate'],
    handsOnMin: isSolder || method === 'splint' || method === 'new piece' ? 30 : 20,
    passiveMin: method === 'resin' ? 1440 : isSolder ? 20 : 60,
    uses: MEND_USES[method],
    detail: { mends },
  };
}

function createRefill(part: PlanPart, pits: Mend): TaskDraft[] {
  return [
    {
      act: 'refill',
      station: 'finish',
      partKeys: [part.key],
      method: 'filler on primer',
      tags: ['refill', 'handling'],
      hazards: ['cyanoacrylate'],
      handsOnMin: 12,
      passiveMin: 60,
      uses: MEND_USES['filler on primer'],
      detail: pits,
    },
    {
      act: 'reprime',
      station: 'finish',
      partKeys: [part.key],
      tags: ['reprime', 'spray', 'vapour', 'handling'],
      hazards: ['spraying'],
      handsOnMin: 10,
      passiveMin: dryingOf(part.coats.find(({ kind }) => kind === 'primer') ?? { kind: 'primer', dries: null })
        .recoatMin,
      uses: uses(['primer', 1]),
    },
  ];
}

function createRustTasks(part: PlanPart, context: PlanContext): TaskDraft[] {
  const finding = findFinding(part, 'rust');
  const isBare = !part.painted || context.isStripped(part);
  if (!finding || isReplaced(part) || !isMetal(part.material)) return [];
  const common = { station: 'strip' as const, partKeys: [part.key] };
  const verdict = judgePart(context.materialsOf(part), 'abrasive');
  if (verdict.verdict === 'never')
    return [
      {
        ...common,
        act: 'wipe',
        tags: ['repair', 'oil'],
        hazards: ['oily-rags'],
        handsOnMin: 8,
        uses: uses(['penetrating oil', 1], ['gloves']),
        detail: { finding, verdict },
      },
    ];
  const { rustsOff } = traitsOf(part.material);
  if (!isBare || rustsOff === null) return [];
  const inChuck = part.role === 'axle' && rustsOff === 'in a chuck';
  const ladder = createLadder(
    finding.severity > 1 ? 'heavy rust' : 'light rust',
    part.role === 'axle' ? 'polished metal' : 'for primer',
  );
  const detail = { finding, ladder, isThin: rustsOff === 'thin, by hand' };
  if (inChuck)
    return [
      {
        ...common,
        act: 'dress',
        method: 'in a chuck',
        tags: ['repair', 'dry abrade', 'spark'],
        process: 'abrasive',
        hazards: ['grinding'],
        handsOnMin: 15,
        uses: uses(['rotary tool'], ['wet abrasive paper', 0.5], ['fine steel wool', 2]),
        detail,
      },
    ];
  return [
    {
      ...common,
      act: 'dress',
      method: 'wet',
      tags: ['repair'],
      process: 'abrasive',
      hazards: ['sharp-edges'],
      handsOnMin: 15,
      passiveMin: 20,
      uses: uses(['wet abrasive paper', 0.5]),
      detail,
    },
  ];
}
