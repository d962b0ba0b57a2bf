import { countFree, type Lot, type StockState } from './ledger.ts';

/** What is said of a thing without being asked. */
export type StockNotice =
  | { readonly kind: 'reorder'; readonly free: number; readonly at: number }
  /** Its oldest lot has gone off, or does within the month. */
  | { readonly kind: 'gone off' | 'goes off'; readonly on: string; readonly amount: number };

export interface WatchedThing {
  readonly state: StockState;
  /** Fewer free than this, and it is to be ordered; null where nobody said. */
  readonly reorderAt: number | null;
  /** null where it keeps. */
  readonly keepsDays: number | null;
}

const DAY_MS = 86_400_000;
const SOON_DAYS = 30;

/** Reorder points and ages. */
export function watchStock({ state, reorderAt, keepsDays }: WatchedThing, now: Date): StockNotice[] {
  const free = countFree(state);
  const reorder: StockNotice[] =
    reorderAt !== null && free < reorderAt ? [{ kind: 'reorder', free, at: reorderAt }] : [];
  if (keepsDays === null) return reorder;
  const dayOf = ({ at }: Lot) => Date.parse(at) + keepsDays * DAY_MS;
  const sum = (lots: readonly Lot[]) => lots.reduce((total, { amount }) => total + amount, 0);
  const off = state.lots.filter((lot) => dayOf(lot) <= now.getTime());
  const soon = state.lots.filter((lot) => !off.includes(lot) && dayOf(lot) <= now.getTime() + SOON_DAYS * DAY_MS);
  const say = (kind: 'gone off' | 'goes off', lots: readonly Lot[]): StockNotice[] =>
    lots.length ? [{ kind, on: new Date(dayOf(lots[0]!)).toISOString().slice(0, 10), amount: sum(lots) }] : [];
  return [...reorder, ...say('gone off', off), ...say('goes off', soon)];
}
