import type { PlanInput, PlannedTask } from '../../src/compile/planTypes.ts';

/**
 * The order rules of the craft, written anew from what restorers ask for and not from the tables of the plan: by the acts of
 * the steps, never by their tags. A later step must be held back by its links, near or far; standing after it in the list is
 * not enough. Names each pair that nothing holds in order.
 */
export function checkByNeeds(input: PlanInput, tasks: readonly PlannedTask[]): string[] {
  const world = describeWorld(input);
  const waits = closeLinks(tasks);
  const broken: string[] = [];
  for (const [rule, first, then, together] of CRAFT) {
    const early = tasks.filter((task) => first(task, world));
    if (early.length === 0) continue;
    for (const late of tasks.filter((task) => then(task, world)))
      for (const one of early)
        if (one !== late && together(one, late, world) && !waits.get(late.key)!.has(one.key))
          broken.push(`${rule}: nothing holds ${late.key} until ${one.key} is done`);
  }
  return broken;
}

interface World {
  readonly kindOf: (task: PlannedTask) => string;
  readonly roleOf: (task: PlannedTask) => string;
  readonly areaKindOf: (task: PlannedTask) => string;
  /** Where its area stands in the order of the part's colours; -1 where it has no turn. */
  readonly turnOf: (task: PlannedTask) => number;
  readonly school: (key: string) => string | undefined;
  readonly isFormed: (task: PlannedTask) => boolean;
  readonly isAxle: (task: PlannedTask) => boolean;
  readonly crossesSeam: (task: PlannedTask) => boolean;
}

type Which = (task: PlannedTask, world: World) => boolean;
type Together = (a: PlannedTask, b: PlannedTask, world: World) => boolean;

const act =
  (...acts: readonly PlannedTask['act'][]): Which =>
  ({ act: own }) =>
    acts.includes(own);
const all: Together = () => true;
const samePart = (a: PlannedTask, b: PlannedTask): boolean => a.partKeys.some((key) => b.partKeys.includes(key));
const firstPart = (a: PlannedTask, b: PlannedTask): boolean => a.partKeys[0] === b.partKeys[0];
const sameJoint = (a: PlannedTask, b: PlannedTask): boolean =>
  a.of.jointKey !== undefined && a.of.jointKey === b.of.jointKey;
const sameArea = (a: PlannedTask, b: PlannedTask): boolean => firstPart(a, b) && a.of.area === b.of.area;
const sameWant = (a: PlannedTask, b: PlannedTask): boolean => b.partKeys[0] === a.partKeys[0];
const both =
  (a: Which, b: Which): Which =>
  (task, world) =>
    a(task, world) && b(task, world);

const DRILLED: Which = ({ act: own, uses }) =>
  own === 'pilot' || own === 'tap' || (own === 'open' && uses.some((use) => use.what === 'bench drill'));
const isHot: Which = ({ act: own, method }) =>
  ['empty-bake', 'cure', 'low-bake', 'anneal'].includes(own) || (own === 'straighten' && method === 'warm');
const isPainted = act('prime', 'mist', 'colour', 'powder', 'bright', 'gloss', 'reprime');
const isWetted = act('strip', 'wash', 'wash-bare', 'plating-off', 'plating-rinse');
const onArea =
  (...kinds: readonly string[]): Which =>
  (task, { areaKindOf }) =>
    task.act === 'colour' && kinds.includes(areaKindOf(task));
/** The mist of a field is sprayed as well: what is beside it is on by then, and masked. */
const isSprayed: Which = (task, { areaKindOf }) =>
  (task.act === 'colour' || task.act === 'mist') && ['outside', 'mask'].includes(areaKindOf(task));
const inTurn: Together = (a, b, { turnOf }) => firstPart(a, b) && turnOf(a) >= 0 && turnOf(a) < turnOf(b);
/** Put in by itself, or by closing the one joint that holds it. */
const isFitting: Which = (task) => task.act === 'fit' || (task.act === 'close' && task.tags.includes('fit part'));
const fits = (role: string): Which => both(isFitting, (task, { roleOf }) => roleOf(task) === role);

const CRAFT: readonly (readonly [rule: string, first: Which, then: Which, together: Together])[] = [
  [
    '1',
    act('identify', 'photograph'),
    act('open', 'pilot', 'separate', 'meltables-out', 'strip', 'dust', 'dress-lines', 'mend', 'straighten'),
    all,
  ],
  ['2', act('list-wants'), act('order-wants'), all],
  ['2', act('order-wants'), act('strip'), all],
  ['2', act('get'), act('trial-fit'), sameWant],
  ['3', act('capture-colour'), act('strip'), all],
  ['4', act('know-materials'), act('strip', 'test', 'plating-off', 'plating-test'), all],
  ['4', act('know-materials'), isHot, all],
  ['4', act('test'), act('strip'), firstPart],
  ['5', act('pilot'), act('open'), sameJoint],
  ['6', act('tool'), act('open'), (tool, open, { kindOf }) => kindOf(open) === tool.of.jointKind],
  [
    '7',
    act('open'),
    act('separate'),
    (open, apart) => open.partKeys.filter((key) => apart.partKeys.includes(key)).length > 1,
  ],
  [
    '8',
    both(act('open'), (task, world) => world.isAxle(task) && world.school('S4') !== 'leave and mask'),
    act('strip', 'prime', 'colour'),
    all,
  ],
  ['9', act('meltables-out'), act('strip'), all],
  ['9', act('meltables-out'), isHot, all],
  ['9', act('open'), act('meltables-out'), samePart],
  ['10', both(act('open'), (task, world) => world.isAxle(task)), act('anneal'), all],
  ['11', act('axle-in-hand'), act('open'), sameJoint],
  ['12', act('pest-check'), isWetted, all],
  ['12', act('pest-check'), isHot, all],
  ['12', act('pest-check'), DRILLED, all],
  ['12', act('pest-check'), act('straighten', 'blast', 'dress-lines'), all],
  ['13', act('strip'), both(act('straighten'), isHot), firstPart],
  ['13', both(act('straighten'), isHot), act('mend'), firstPart],
  ['14', act('strip', 'wash', 'blast'), act('inspect'), firstPart],
  ['14', act('inspect'), act('mend', 'dress-lines', 'straighten'), firstPart],
  ['15', act('strip'), act('wash'), firstPart],
  ['15', act('wash'), act('degrease'), firstPart],
  ['15', act('degrease'), act('prime', 'empty-bake', 'mist', 'powder'), samePart],
  ['16', act('tap'), act('degrease', 'prime'), samePart],
  ['17', act('dry-fit'), isPainted, all],
  ['17', act('trial-fit'), act('prime', 'mist', 'powder'), samePart],
  ['18', act('mend'), act('prime', 'powder'), firstPart],
  ['18', act('prime'), act('judge'), firstPart],
  ['18', act('judge'), act('refill', 'mist', 'colour'), firstPart],
  ['18', act('refill'), act('reprime'), firstPart],
  ['18', act('reprime'), act('mist', 'colour'), firstPart],
  ['19', act('empty-bake'), act('powder', 'wipe-again'), samePart],
  ['19', act('powder'), act('clear-relief'), firstPart],
  ['19', act('clear-relief'), act('cure'), samePart],
  ['20', act('empty-bake', 'cure'), act('mend', 'refill'), samePart],
  ['22', act('mist'), act('colour'), sameArea],
  ['24', onArea('inside', 'underside'), onArea('outside'), firstPart],
  [
    '25',
    onArea('outside'),
    onArea('mask'),
    (body, field, { turnOf }) => firstPart(body, field) && !(turnOf(field) >= 0 && turnOf(field) < turnOf(body)),
  ],
  ['21', onArea('outside', 'mask'), isSprayed, inTurn],
  ['25', onArea('outside'), act('bright'), firstPart],
  ['26', act('clean', 'wash', 'soap', 'degrease'), isFitting, samePart],
  ['27', act('check'), act('close'), sameJoint],
  ['28', act('anneal'), both(act('close'), (task, world) => world.isFormed(task)), sameJoint],
  [
    '29',
    both(
      act('close'),
      (task, world) => world.isFormed(task) || ['bent tab', 'peened pin'].includes(world.kindOf(task)),
    ),
    act('touch-in'),
    all,
  ],
  [
    '30',
    act('close'),
    both(act('decal'), (task, world) => world.crossesSeam(task)),
    (close) => close.station === 'close',
  ],
  ['30', fits('mechanism'), both(act('decal'), (task, world) => world.crossesSeam(task)), all],
  ['31', fits('glazing'), fits('interior'), all],
  ['31', fits('interior'), fits('base'), all],
  ['31', fits('mechanism'), fits('base'), all],
  ['32', act('gloss'), act('decal'), firstPart],
  ['32', act('decal'), act('seal'), firstPart],
  ['33', act('decal-fit'), act('decal'), sameArea],
  [
    '34',
    act('close', 'fit', 'decal', 'seal', 'touch-in', 'colour', 'check-motion'),
    act('chrome'),
    (one) => one.station !== 'strip',
  ],
  ['35', act('gun-ready'), act('prime', 'mist', 'colour', 'gloss', 'mix'), all],
  ['35', act('prime', 'mist', 'colour', 'gloss'), act('clean-gun'), all],
  ['36', act('brush-ready'), act('dust'), all],
  ['36', act('dust'), act('wash-once'), all],
  ['36', act('dust', 'wash-once'), act('raking-light'), all],
  ['12', act('pest-check'), act('wash-once'), all],
  ['38', act('strip', 'wash'), act('blast', 'dress', 'anneal'), firstPart],
  ['38', act('strip', 'wash'), both(act('straighten'), isHot), firstPart],
];

function describeWorld({ opening, parts, decisions }: PlanInput): World {
  const jointOf = (task: PlannedTask) => opening.find((one) => one.key === task.of.jointKey);
  const partOf = (task: PlannedTask) => parts.find((part) => part.key === task.partKeys[0]);
  return {
    kindOf: (task) => jointOf(task)?.kind ?? '',
    roleOf: (task) => partOf(task)?.role ?? '',
    turnOf: (task) => partOf(task)?.colourOrder.indexOf(task.of.area ?? '') ?? -1,
    areaKindOf: (task) => partOf(task)?.coats.find((coat) => coat.areaName === task.of.area)?.areaKind ?? '',
    school: (key) => (decisions as Readonly<Record<string, string | undefined>>)[key],
    isFormed: (task) =>
      jointOf(task)?.kind === 'formed axle' && task.method !== 'set back' && task.method !== 'pressed in',
    isAxle: (task) => task.partKeys.some((key) => parts.find((part) => part.key === key)?.role === 'axle'),
    crossesSeam: (task) => {
      const decals = partOf(task)?.coats.filter((coat) => coat.kind === 'decal' && coat.areaName === task.of.area);
      return decals?.[(task.of.nth ?? 1) - 1]?.crossesSeam ?? false;
    },
  };
}

/** Everything each task waits for, near and far. */
function closeLinks(tasks: readonly PlannedTask[]): Map<string, ReadonlySet<string>> {
  const closed = new Map<string, Set<string>>();
  const byKey = new Map(tasks.map((task) => [task.key, task]));
  for (const task of [...tasks].sort((a, b) => a.seq - b.seq)) {
    const own = new Set<string>();
    for (const { key } of task.after) {
      own.add(key);
      for (const far of closed.get(byKey.get(key)!.key) ?? []) own.add(far);
    }
    closed.set(task.key, own);
  }
  return closed;
}
