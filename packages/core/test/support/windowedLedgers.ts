import { MOVES, type Movement, type StockUnit } from '../../src/model/stock.ts';
import { appendMovement, checkMovement, EMPTY_STOCK, foldMovements, type StockState } from '../../src/stock/ledger.ts';
import { createSeededRandom, type RandomSource } from '../../src/numeric/seededRandom.ts';

const ACTS = 40;

type Line = Omit<Movement, 'id' | 'thingId' | 'taskId' | 'who' | 'note'>;

export interface LedgerCount {
  readonly broken: number;
  readonly lines: number;
  /** Turned down when they were looked at again. */
  readonly refused: number;
}

/** Random logs that two windows write at once, each by what it last saw, counted over by hand. */
export function countBrokenLedgers(logs: number, seed: number): LedgerCount {
  const random = createSeededRandom(seed);
  let [broken, lines, refused] = [0, 0, 0];
  for (let i = 0; i < logs; i++) {
    const unit: StockUnit = random() < 0.5 ? 'pieces' : 'mm';
    const { log, state, turnedDown } = writeLog(unit, random);
    lines += log.length;
    refused += turnedDown;
    if (!isSound(log) || JSON.stringify(state) !== JSON.stringify(foldMovements(log))) broken++;
    else if (!agrees(log, state)) broken++;
  }
  return { broken, lines, refused };
}

/** Two windows: each proposes what it may by what it saw last, and sees what became of it now and then. */
function writeLog(unit: StockUnit, random: RandomSource) {
  const log: Line[] = [];
  let state: StockState = EMPTY_STOCK;
  const seen: [StockState, StockState] = [EMPTY_STOCK, EMPTY_STOCK];
  let turnedDown = 0;
  for (let act = 0; act < ACTS; act++) {
    const window = random() < 0.5 ? 0 : 1;
    if (random() < 0.3) seen[window] = state;
    const line = propose(act, unit, random);
    if (checkMovement(seen[window], line, unit).length > 0) continue;
    // The one who writes looks again.
    if (checkMovement(state, line, unit).length > 0) {
      turnedDown++;
      continue;
    }
    log.push(line);
    state = appendMovement(state, line);
  }
  return { log, state, turnedDown };
}

function propose(act: number, unit: StockUnit, random: RandomSource): Line {
  const move = random() < 0.25 ? 'bought' : MOVES[Math.floor(MOVES.length * random())]!;
  const size = move === 'counted' ? 12 : 6;
  const amount =
    unit === 'pieces' ? Math.floor(size * random()) + (move === 'counted' ? 0 : 1) : size * random() + 0.01;
  const isOfJob = ['reserved', 'released', 'put back'].includes(move) || random() < 0.6;
  return {
    ...{ move, amount, jobId: isOfJob ? 'abc'[Math.floor(3 * random())]! : null },
    ...{ price: random() < 0.5 ? null : 10 * random(), batch: '' },
    at: new Date(Date.UTC(2026, 0, 1) + act * 3_600_000).toISOString(),
  };
}

interface Books {
  there: number;
  readonly held: Record<string, number>;
  readonly out: Record<string, number>;
}

const NEAR = 1e-4;
/** What brings something into the house, in words of this checker's own. */
const COMING_IN: ReadonlySet<string> = new Set(['bought', 'made', 'from a donor']);

/** Line by line with plain sums; a count that leaves less than is held is settled by whoever asked last. */
function keepBooks(log: readonly Line[], look: (books: Books) => boolean): boolean {
  const books: Books = { there: 0, held: {}, out: {} };
  const queue: string[] = [];
  for (const { move, amount, jobId } of log) {
    const job = jobId ?? '';
    const add = (to: Record<string, number>, by: number) => (to[job] = (to[job] ?? 0) + by);
    if (COMING_IN.has(move)) books.there += amount;
    else if (move === 'reserved') {
      if (!(books.held[job]! > NEAR / 100)) queue.push(job);
      add(books.held, amount);
    } else if (move === 'released') add(books.held, -amount);
    else if (move === 'counted') {
      books.there = amount;
      let over = Object.values(books.held).reduce((sum, one) => sum + one, 0) - amount;
      // Who asked anew after holding nothing stands at the end.
      for (const last of [...new Set([...queue].reverse())]) {
        const lost = Math.max(0, Math.min(over, books.held[last] ?? 0));
        books.held[last] = (books.held[last] ?? 0) - lost;
        over -= lost;
      }
    } else if (move === 'put back') {
      books.there += amount;
      add(books.out, -amount);
    } else {
      books.there -= amount;
      if (jobId) {
        add(books.held, -Math.min(books.held[job] ?? 0, amount));
        if (move === 'taken') add(books.out, amount);
      }
    }
    if (!look(books)) return false;
  }
  return true;
}

const isSound = (log: readonly Line[]): boolean =>
  keepBooks(log, ({ there, held, out }) => {
    const all = Object.values(held);
    return (
      there >= -NEAR &&
      all.every((one) => one >= -NEAR) &&
      Object.values(out).every((one) => one >= -NEAR) &&
      all.reduce((sum, one) => sum + one, 0) <= there + NEAR
    );
  });

function agrees(log: readonly Line[], state: StockState): boolean {
  let last: Books = { there: 0, held: {}, out: {} };
  keepBooks(log, (books) => {
    last = { there: books.there, held: { ...books.held }, out: { ...books.out } };
    return true;
  });
  const isNear = (a: number, b: number) => Math.abs(a - b) < NEAR;
  const inLots = state.lots.reduce((sum, { amount }) => sum + amount, 0);
  return (
    isNear(state.onHand, last.there) &&
    isNear(inLots, last.there) &&
    state.jobs.every(
      ({ jobId, reserved, taken }) => isNear(reserved, last.held[jobId] ?? 0) && isNear(taken, last.out[jobId] ?? 0),
    )
  );
}
