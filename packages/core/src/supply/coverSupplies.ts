import { serviceOf, STOCK_KINDS, type StockThing } from '../model/stock.ts';
import type { OrderedFor } from '../model/order.ts';
import { POURED, type Supply } from '../model/supply.ts';
import type { PaintProduct } from '../model/work.ts';
import type { Tool } from '../model/workshop.ts';
import { findUsable } from '../gates/checkTools.ts';
import type { Lot, StockState } from '../stock/ledger.ts';
import { countFree } from '../stock/ledger.ts';
import type { SupplyLine } from './listSupplies.ts';

/** Something in a drawer, and what is left of it. */
export type HouseholdThing = Pick<
  StockThing,
  'id' | 'kind' | 'name' | 'drawer' | 'traits' | 'keepsDays' | 'isLocked'
> & {
  readonly state: StockState;
};

/** A paint of the shelf with all that is left of it, in its own unit. */
export interface HouseholdPot {
  readonly name: string;
  readonly kind: PaintProduct['kind'];
  readonly left: number;
}

/** On its way: for a want, or of what a plan asks for by name. */
export interface HouseholdOrder extends OrderedFor {
  readonly amount: number;
  /** The day on which it is likely to come, ISO. */
  readonly arrivesOn: string;
}

/** All that is in the house, or on its way there. */
export interface Household {
  readonly tools: readonly Tool[];
  readonly things: readonly HouseholdThing[];
  readonly pots: readonly HouseholdPot[];
  readonly orders: readonly HouseholdOrder[];
}

/** Where enough or some of it lies. */
export interface FoundPlace {
  readonly thingId: string | null;
  readonly name: string;
  readonly drawer: string;
  readonly amount: number;
}

/**
 * One line of what must be in hand, and how it stands. "ready": enough is here. "short": some is. "not right": here, but lent,
 * worn or incomplete. "ordered": on its way, enough. "missing": neither. "not written down": a tool of which nobody keeps a record.
 */
export interface InHandLine extends SupplyLine {
  readonly stand: 'ready' | 'short' | 'not right' | 'ordered' | 'missing' | 'not written down';
  readonly places: readonly FoundPlace[];
  /** Still to be come by, in its unit; 0 when enough is here or ordered; null where it is not counted. */
  readonly lacks: number | null;
  /** Of a tool that is not right: which, and what is the matter. */
  readonly trouble: string;
  /** When it is likely to come, ISO day; null where nothing is on its way. */
  readonly arrivesOn: string | null;
}

const DAY_MS = 86_400_000;
const round = (amount: number): number => Math.round(amount * 1e6) / 1e6;

/**
 * How all that one job still takes stands, one line a thing: a line is ready or it is missing, never both.
 * What other jobs hold is not here for this one; what has gone off is not here for anybody.
 */
export function coverSupplies(
  lines: readonly SupplyLine[],
  house: Household,
  job: { readonly id: string; readonly now: Date },
): InHandLine[] {
  return lines.map((line) => {
    switch (line.kind) {
      case 'tool':
        return coverTool(line, house, job.now);
      case 'part':
        return line.bit ? coverBit(line, line.bit, house, job) : coverWant(line, house, job.now);
      case 'material':
        return coverMaterial(line, house, job);
    }
  });
}

const NOTHING = { places: [], lacks: null, trouble: '', arrivesOn: null } as const;

function coverTool(line: SupplyLine, { tools, orders }: Household, now: Date): InHandLine {
  // Who wrote no tool down at all has some all the same: nobody restores with bare hands.
  if (line.toolKind === null || tools.length === 0) return { ...line, ...NOTHING, stand: 'not written down' };
  const own = tools.filter(({ kind }) => kind === line.toolKind);
  if (findUsable(own)) return { ...line, ...NOTHING, leadDays: 0, stand: 'ready' };
  const order = orders.find(({ toolKind }) => toolKind === line.toolKind);
  if (order) return { ...line, ...NOTHING, ...onItsWay([order], now), stand: 'ordered' };
  const [first] = own;
  if (!first) return { ...line, ...NOTHING, stand: 'missing' };
  return { ...line, ...NOTHING, leadDays: 0, stand: 'not right', trouble: `${first.name}: ${first.state}` };
}

function coverWant(line: SupplyLine, { orders }: Household, now: Date): InHandLine {
  const order =
    orders.find(({ wantId, bitId }) => wantId !== null && wantId === line.wantId && bitId === null) ??
    // Ordered by hand, where nobody wrote an order down.
    (line.want?.isOrdered && line.want.dueOn ? { arrivesOn: line.want.dueOn } : undefined);
  return order
    ? { ...line, ...NOTHING, ...onItsWay([order], now), stand: 'ordered' }
    : { ...line, ...NOTHING, stand: 'missing' };
}

/** A small bit: in the drawer that somebody named for it, or on its way. */
function coverBit(
  line: SupplyLine,
  bit: NonNullable<SupplyLine['bit']>,
  { things, orders }: Household,
  job: { readonly id: string; readonly now: Date },
): InHandLine {
  const order = orders.find(({ wantId, bitId }) => wantId === line.wantId && bitId === bit.id);
  if (order) return { ...line, ...NOTHING, ...onItsWay([order], job.now), lacks: 0, stand: 'ordered' };
  const thing = bit.by === 'drawer' ? things.find(({ id }) => id === bit.thingId) : undefined;
  const here = thing ? countFor(thing, job.id, job.now) : 0;
  const places = thing && here > 0 ? [{ thingId: thing.id, name: thing.name, drawer: thing.drawer, amount: here }] : [];
  const lacks = Math.max(0, round((line.amount ?? 0) - here));
  if (lacks === 0) return { ...line, ...NOTHING, places, lacks, leadDays: 0, stand: 'ready' };
  return { ...line, ...NOTHING, places, lacks, stand: places.length ? 'short' : 'missing' };
}

function coverMaterial(
  line: SupplyLine,
  house: Household,
  job: { readonly id: string; readonly now: Date },
): InHandLine {
  const places = line.what in POURED ? findPots(line, house.pots) : findThings(line, house.things, job);
  const here = round(places.reduce((sum, { amount }) => sum + amount, 0));
  const lacks = Math.max(0, round((line.amount ?? 0) - here));
  if (lacks === 0) return { ...line, ...NOTHING, places, lacks, leadDays: 0, stand: 'ready' };
  const orders = selectComing(line, house.orders);
  const coming = orders.reduce((sum, { amount }) => sum + amount, 0);
  if (coming >= lacks) return { ...line, ...NOTHING, places, ...onItsWay(orders, job.now), lacks: 0, stand: 'ordered' };
  return { ...line, ...NOTHING, places, lacks: round(lacks - coming), stand: places.length ? 'short' : 'missing' };
}

/** Orders of what a line asks for; of paint the very pot, where the plan names it. */
export const selectComing = (
  { what, pot }: Pick<SupplyLine, 'what' | 'pot'>,
  orders: readonly HouseholdOrder[],
): HouseholdOrder[] => orders.filter((order) => order.serves === what && (pot === null || order.pot === pot));

/** The last of them decides. */
function onItsWay(orders: readonly Pick<HouseholdOrder, 'arrivesOn'>[], now: Date) {
  const arrivesOn = orders
    .map((order) => order.arrivesOn)
    .sort()
    .at(-1)!;
  const days = Math.ceil((Date.parse(`${arrivesOn}T12:00:00Z`) - now.getTime()) / DAY_MS);
  return { arrivesOn, leadDays: Math.max(0, days) };
}

/** The pot that the plan names; any of its kind where it names none. */
const findPots = ({ what, pot }: SupplyLine, pots: readonly HouseholdPot[]): FoundPlace[] =>
  pots
    .filter(({ name, kind, left }) => left > 0 && (pot === null ? kind === POURED[what as Supply] : name === pot))
    .map(({ name, left }) => ({ thingId: null, name, drawer: '', amount: left }));

function findThings(
  { what, unit }: SupplyLine,
  things: readonly HouseholdThing[],
  { id, now }: { readonly id: string; readonly now: Date },
): FoundPlace[] {
  return things
    .filter((thing) => serviceOf(thing) === what && STOCK_KINDS[thing.kind].unit === unit)
    .map((thing) => ({
      ...{ thingId: thing.id, name: thing.name, drawer: thing.drawer },
      amount: countFor(thing, id, now),
    }))
    .filter(({ amount }) => amount > 0);
}

/** What one job may have of a thing: what is free and what it holds, without what has gone off; nothing of what is kept back. */
export function countFor(thing: HouseholdThing, jobId: string, now: Date): number {
  const { state, isLocked } = thing;
  const held = countHeld(state, jobId);
  return Math.max(0, Math.min(countGood(thing, now), round((isLocked ? 0 : countFree(state)) + held)));
}

/** What is put by of a thing for a job. */
export const countHeld = ({ jobs }: StockState, jobId: string): number =>
  jobs.find((share) => share.jobId === jobId)?.reserved ?? 0;

/** What is left of a thing, without what has gone off. */
export function countGood({ state, kind, keepsDays }: HouseholdThing, now: Date): number {
  const keeps = keepsDays ?? STOCK_KINDS[kind].keepsDays;
  const isOff = ({ at }: Lot) => keeps !== null && Date.parse(at) + keeps * DAY_MS <= now.getTime();
  return round(state.onHand - state.lots.filter(isOff).reduce((sum, { amount }) => sum + amount, 0));
}
