import { serviceOf, STOCK_KINDS } from '../model/stock.ts';
import { POURED, type Supply } from '../model/supply.ts';
import type { ToolKind } from '../model/workshop.ts';
import { countGood, countHeld, selectComing, type Household, type HouseholdThing } from '../supply/coverSupplies.ts';
import type { SupplyLine } from '../supply/listSupplies.ts';
import { callThing } from './callThing.ts';
import { countFree } from './ledger.ts';
import type { LackingLine } from './gatherOrders.ts';

/** An open job and all it still takes. */
export interface LackingJob {
  readonly id: string;
  readonly number: string;
  readonly lines: readonly SupplyLine[];
}

/** A thing of a drawer with its mark: fewer free than that, and it is to be ordered. */
export type MarkedThing = HouseholdThing & { readonly reorderAt: number | null };

export interface WholeHousehold extends Omit<Household, 'things'> {
  readonly things: readonly MarkedThing[];
}

/** Where something would be ordered, and what it would cost. */
export type OrderedFrom = Pick<LackingLine, 'supplierId' | 'promisedDays' | 'unitPrice'>;
export type FindSource = (of: Pick<LackingLine, 'thingId' | 'wantId' | 'serves' | 'pot'>) => OrderedFrom;

const NOBODY = {
  thingId: null,
  wantId: null,
  bitId: null,
  serves: null,
  pot: null,
  toolKind: null,
  jobId: null,
  jobNumber: null,
} as const;
/** A drawer that is filled up is filled to so many times its mark. */
const FILL_UP = 2;
const round = (amount: number): number => Math.round(amount * 1e6) / 1e6;

/**
 * What all open jobs together lack, and what drawers lack by their marks, when what is in the house goes to whom it is needed by
 * first. What is on its way is not ordered twice; what is wanted of donors, printed or made here is not ordered at all.
 *
 * @param today days since 1970: evenings are counted from it
 */
export function listLacking(
  jobs: readonly LackingJob[],
  house: WholeHousehold,
  sourceOf: FindSource,
  today: number,
  now: Date,
): LackingLine[] {
  const asked = jobs
    .flatMap(({ id, number, lines }) => lines.map((line) => ({ id, number, line })))
    .sort((a, b) => a.line.evening - b.line.evening || a.number.localeCompare(b.number));
  const pools = new Map<string, number>();
  const poolOf = (line: SupplyLine) => {
    const key = `${line.what} ${line.pot ?? ''}`;
    if (!pools.has(key)) pools.set(key, countPool(line, house, now));
    return { key, left: pools.get(key)! };
  };
  const tools = new Set<ToolKind>();
  const lacking = asked.flatMap(({ id, number, line }): LackingLine[] => {
    const { what, unit, evening } = line;
    const common = { ...NOBODY, unit, jobId: id, jobNumber: number, neededDay: today + evening };
    if (line.bit) return listBit(line, line.bit, common, { house, sourceOf, now, pools });
    if (line.kind === 'part') {
      const isToBuy = line.want?.by === 'buy' && !line.want.isOrdered;
      const isComing = house.orders.some(({ wantId, bitId }) => wantId === line.wantId && bitId === null);
      if (!isToBuy || isComing) return [];
      const of = { ...common, wantId: line.wantId };
      return [{ ...of, ...sourceOf(of), what, amount: 1, unit: 'pieces' }];
    }
    if (line.kind === 'tool') {
      // A workshop that nobody wrote down is not an empty one.
      if (line.toolKind === null || house.tools.length === 0 || isThere(line.toolKind, house)) return [];
      const of = { ...common, toolKind: line.toolKind };
      // One serves every job.
      const amount = tools.has(line.toolKind) ? 0 : 1;
      tools.add(line.toolKind);
      return [{ ...of, ...sourceOf(of), what, amount, unit: 'pieces' }];
    }
    const held = countOwn(line, house.things, { id, now });
    const { key, left } = poolOf(line);
    const wanted = Math.max(0, round((line.amount ?? 0) - held));
    const given = Math.min(left, wanted);
    pools.set(key, round(left - given));
    if (given === wanted) return [];
    const serves = what as Supply;
    const thing = house.things.find((one) => serviceOf(one) === serves && STOCK_KINDS[one.kind].unit === unit);
    const of = { ...common, serves, pot: line.pot, thingId: thing?.id ?? null };
    return [
      { ...of, ...sourceOf(of), what: line.pot ?? (thing ? callThing(thing) : what), amount: round(wanted - given) },
    ];
  });
  return [...lacking, ...listMarked(house, sourceOf, lacking)];
}

interface BitSources {
  readonly house: WholeHousehold;
  readonly sourceOf: FindSource;
  readonly now: Date;
  /** What is left of each thing for whoever asks next. */
  readonly pools: Map<string, number>;
}

/** Of a thing: what is good, put by for nobody and not kept back. */
const countFreeGood = (thing: MarkedThing, now: Date): number =>
  thing.isLocked ? 0 : Math.max(0, Math.min(countFree(thing.state), countGood(thing, now)));

type Common = Omit<LackingLine, 'what' | 'amount' | keyof OrderedFrom>;

/** A small bit that is to be bought, or of which its drawer has too few. */
function listBit(
  { what, amount, wantId }: SupplyLine,
  { id: bitId, by, thingId }: NonNullable<SupplyLine['bit']>,
  common: Common,
  { house, sourceOf, now, pools }: BitSources,
): LackingLine[] {
  if (house.orders.some((order) => order.wantId === wantId && order.bitId === bitId)) return [];
  const thing = by === 'drawer' ? house.things.find(({ id }) => id === thingId) : undefined;
  if (by !== 'buy' && !thing) return [];
  let lacks = amount ?? 0;
  if (thing) {
    const key = `thing ${thing.id}`;
    const free = pools.get(key) ?? countFreeGood(thing, now);
    lacks = Math.max(0, round(lacks - Math.min(countHeld(thing.state, common.jobId!), countGood(thing, now))));
    const given = Math.min(free, lacks);
    pools.set(key, round(free - given));
    lacks = round(lacks - given);
  }
  if (lacks <= 0) return [];
  const of = thing ? { ...common, thingId: thing.id, serves: serviceOf(thing) } : { ...common, wantId, bitId };
  return [{ ...of, ...sourceOf(of), what: thing ? callThing(thing) : what, amount: lacks }];
}

/** However it stands: what is lent comes back, what is worn is put right. */
const isThere = (kind: ToolKind, { tools, orders }: WholeHousehold): boolean =>
  tools.some((tool) => tool.kind === kind) || orders.some(({ toolKind }) => toolKind === kind);

/** What no job holds, and what is on its way. */
function countPool({ what, unit, pot }: SupplyLine, { things, pots, orders }: WholeHousehold, now: Date): number {
  const coming = selectComing({ what, pot }, orders).reduce((sum, { amount }) => sum + amount, 0);
  const kind = POURED[what as Supply];
  const here = kind
    ? pots.filter((own) => (pot === null ? own.kind === kind : own.name === pot)).map(({ left }) => left)
    : selectServing(what, unit, things).map((thing) => countFreeGood(thing, now));
  return round(here.reduce((sum, amount) => sum + amount, 0) + coming);
}

const selectServing = (what: string, unit: string, things: readonly MarkedThing[]): MarkedThing[] =>
  things.filter((thing) => serviceOf(thing) === what && STOCK_KINDS[thing.kind].unit === unit);

/** What is put by for a job and still good. */
const countOwn = (
  { what, unit }: SupplyLine,
  things: readonly MarkedThing[],
  { id, now }: { readonly id: string; readonly now: Date },
): number =>
  selectServing(what, unit, things).reduce(
    (sum, thing) => sum + Math.min(countHeld(thing.state, id), Math.max(0, countGood(thing, now))),
    0,
  );

/** Drawers under their mark, unless so much of the thing is on its way or asked for already. */
function listMarked(
  { things, orders }: WholeHousehold,
  sourceOf: FindSource,
  lacking: readonly LackingLine[],
): LackingLine[] {
  const sumOf = (thing: MarkedThing, lines: readonly { readonly thingId: string | null; readonly amount: number }[]) =>
    lines.filter(({ thingId }) => thingId === thing.id).reduce((sum, { amount }) => sum + amount, 0);
  return things.flatMap((thing): LackingLine[] => {
    const { id, kind, reorderAt, state } = thing;
    const there = countFree(state) + sumOf(thing, orders);
    if (reorderAt === null || there >= reorderAt) return [];
    const amount = round(FILL_UP * reorderAt - there - sumOf(thing, lacking));
    if (amount <= 0) return [];
    const of = { ...NOBODY, thingId: id, serves: serviceOf(thing), neededDay: null };
    return [{ ...of, ...sourceOf(of), what: callThing(thing), amount, unit: STOCK_KINDS[kind].unit }];
  });
}
