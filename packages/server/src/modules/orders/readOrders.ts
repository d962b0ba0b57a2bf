import type { OrderLineView, OrdersView, OrderView } from '@sardonyx/contract';
import {
  expectArrival,
  gatherOrders,
  isSettled,
  listLacking,
  listSupplies,
  toDay,
  toIsoDay,
  type OrderedFrom,
} from '@sardonyx/core';
import { In, IsNull, type EntityManager } from 'typeorm';
import type { OrderLineRow, StockOrderRow } from '../../entities/order.ts';
import { PaintProductRow } from '../../entities/paint.ts';
import { SupplierRow } from '../../entities/stock.ts';
import { JobRow, TaskRow } from '../../entities/work.ts';
import { SpecimenRow } from '../../entities/workpiece.ts';
import { readHousehold } from '../stock/readHousehold.ts';
import { readStoredFacts } from '../tasks/recompilePlan.ts';
import { readDonors } from './readDonors.ts';
import { describeSupplier, readOrderBook, type OrderBook } from './supplierWords.ts';

/** Where nobody says what it takes (planning estimate). */
const USUAL_DAYS = 10;

/** What is lacking over all open jobs, what is on its way, and what the suppliers' word is worth. */
export async function readOrders(manager: EntityManager, now: Date): Promise<OrdersView> {
  const today = toDay(now.toISOString());
  const book = await readOrderBook(manager, today);
  const suppliers = await manager.find(SupplierRow, { order: { name: 'ASC' } });
  const jobs = await manager.find(JobRow, { order: { number: 'ASC' } });
  const views = book.orders.map((order) => describeOrder(order, book, jobs, today));
  const isOpen = ({ lines }: OrderView) => lines.some(({ arrivedOn }) => arrivedOn === null);
  const lines = await listAllLacking(manager, { book, suppliers, today, now });
  return {
    today: toIsoDay(today),
    donors: await readDonors(manager),
    lacking: gatherOrders(lines, book.delayOf, today),
    open: views.filter(isOpen),
    past: views.filter((view) => !isOpen(view)).reverse(),
    suppliers: suppliers.map((supplier) => describeSupplier(supplier, book)),
  };
}

function describeOrder(order: StockOrderRow, book: OrderBook, jobs: readonly JobRow[], today: number): OrderView {
  const lines = book.linesOf(order.id);
  const arrival = expectArrival(
    { orderedDay: toDay(order.orderedOn), promisedDay: toDay(order.promisedOn) },
    book.delayOf(order.supplierId),
    today,
  );
  return {
    ...order,
    lines: lines.map((line) => describeLine(line, jobs)),
    arrival: lines.every(({ arrivedOn }) => arrivedOn !== null)
      ? null
      : {
          ...{ likelyOn: toIsoDay(arrival.likely), surelyOn: toIsoDay(arrival.surely) },
          isOverdue: arrival.isOverdue,
        },
  };
}

/** What was sent for by a job that is signed off since is for the drawer. */
function describeLine(line: OrderLineRow, jobs: readonly JobRow[]): OrderLineView {
  const job = jobs.find(({ id }) => id === line.jobId);
  if (job?.signedOffAt && line.arrivedOn === null) return { ...line, wantId: null, jobId: null, jobNumber: null };
  return { ...line, jobNumber: job?.number ?? null };
}

interface Lacking {
  readonly book: OrderBook;
  readonly suppliers: readonly SupplierRow[];
  readonly today: number;
  readonly now: Date;
}

async function listAllLacking(manager: EntityManager, { book, suppliers, today, now }: Lacking) {
  const house = await readHousehold(manager, now, 'all');
  const things = new Map(house.things.map((thing) => [thing.id, thing]));
  const lines = [...book.orders].flatMap((order) => book.linesOf(order.id).map((line) => ({ line, order })));
  const paints = new Map((await manager.find(PaintProductRow)).map((paint) => [`${paint.line} ${paint.name}`, paint]));
  const sentLast = (isSuch: (line: OrderLineRow) => boolean) => lines.filter(({ line }) => isSuch(line)).at(-1);
  /** The supplier that is written on the thing; else who sent that pot, a pot of its line, or such a thing last. */
  const sourceOf = ({ thingId, serves, pot }: Pick<OrderLineRow, 'thingId' | 'serves' | 'pot'>): OrderedFrom => {
    const thing = things.get(thingId ?? '');
    const paint = paints.get(pot ?? '');
    const last = paint
      ? (sentLast((line) => line.pot === pot) ??
        sentLast((line) => line.pot !== null && paints.get(line.pot)?.line === paint.line))
      : sentLast((line) => line.serves !== null && line.serves === serves);
    const supplier = suppliers.find(({ id }) => id === (thing?.supplierId ?? last?.order.supplierId));
    const unitPrice = thing?.state.lots.at(-1)?.unitPrice ?? paint?.pricePerMl ?? null;
    return { supplierId: supplier?.id ?? '', promisedDays: supplier?.promisedDays ?? USUAL_DAYS, unitPrice };
  };
  return listLacking(await readLackingJobs(manager, now), house, sourceOf, today, now);
}

/** What every open job still takes. */
async function readLackingJobs(manager: EntityManager, now: Date) {
  const jobs = await manager.findBy(JobRow, { signedOffAt: IsNull() });
  const specimens = await manager.findBy(SpecimenRow, { jobId: In(jobs.map(({ id }) => id)) });
  const found = [];
  for (const job of jobs) {
    const models = [];
    let sessionMin = 0;
    for (const specimen of specimens.filter(({ jobId }) => jobId === job.id)) {
      const { facts } = await readStoredFacts(manager, job, specimen);
      const tasks = await manager.find(TaskRow, { where: { specimenId: specimen.id }, order: { seq: 'ASC' } });
      models.push({ open: tasks.filter((task) => !isSettled(task)), parts: facts.parts });
      sessionMin = facts.sessionMin;
    }
    found.push({ id: job.id, number: job.number, lines: listSupplies(models, now, sessionMin) });
  }
  return found;
}
