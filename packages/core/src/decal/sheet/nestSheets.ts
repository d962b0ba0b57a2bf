import type { RandomSource } from '../../numeric/seededRandom.ts';
import { GAIN, PITCH, SheetBench, type Laid, type LayingList, type Turned } from './sheetBench.ts';
import type { Nest, NestQuestion } from './nestQuestion.ts';

export interface NestStep {
  readonly round: number;
  readonly rounds: number;
  readonly best: Nest;
}

/** Of a search that nobody ends. */
export const USUAL_ROUNDS = 300;

/** A list of late costs so long that about twenty of them pass in a search (Burke and Bykov 2017). */
const PASSES = 20;
const LEAST_LATE = 5;

/**
 * Lays pieces on sheets: the fewest new ones, then the least of the last. Anytime: each step yields the best so far, and may be the last.
 *
 * A list of pieces is laid one by one (SheetBench.lay). Lists begin with the large ones, the long ones, the broad ones; then two are
 * exchanged, or one is moved or held to one way, and a list is kept that is no worse than the present or a late one.
 */
export function* nestSheets(
  question: NestQuestion,
  random: RandomSource,
  rounds: number,
): Generator<NestStep, Nest, undefined> {
  const bench = new SheetBench(question);
  const all = question.pieces.map((piece) => bench.turn(piece));
  const pieces = all.filter(({ ways }) => ways.length > 0);
  const tooLarge = all.filter(({ ways }) => ways.length === 0).map(({ id }) => id);
  const toNest = ({ spots, sheets, lengthMm }: Laid): Nest => ({
    placements: spots.map((spot) => bench.toPlacement(pieces, spot)),
    ...{ lengthMm, tooLarge },
    newSheets: Math.max(0, sheets - question.begun.length),
  });
  const starts = listStarts(pieces);
  let list = starts[0]!;
  let now = bench.lay(pieces, list, Infinity)!;
  for (const start of starts.slice(1)) {
    const laid = bench.lay(pieces, start, now.cost - GAIN);
    if (laid) [list, now] = [start, laid];
  }
  let best = now;
  const late = new Float64Array(Math.max(LEAST_LATE, Math.floor(rounds / PASSES))).fill(now.cost);
  for (let round = 0; round < rounds && pieces.length > 1; round++) {
    const { next, same } = changeList(pieces, list, random);
    const slot = round % late.length;
    const laid = bench.lay(pieces, next, Math.max(now.cost, late[slot]!), now.spots, same);
    if (laid) [list, now] = [next, laid];
    if (now.cost < best.cost) best = now;
    late[slot] = now.cost;
    yield { round: round + 1, rounds, best: toNest(best) };
  }
  return toNest(best);
}

function listStarts(pieces: readonly Turned[]): LayingList[] {
  const onlyWay = new Int8Array(pieces.length).fill(-1);
  const by = (value: (width: number, height: number) => number) => {
    const sizes = pieces.map(({ ways }) => value(ways[0]!.runs.width, ways[0]!.runs.rows.length * PITCH));
    return { order: pieces.map((_, i) => i).sort((a, b) => sizes[b]! - sizes[a]! || a - b), onlyWay };
  };
  return [by((w, h) => w * h), by(Math.max), by(Math.min)];
}

/** Another list, and how many pieces at its beginning are as they were. */
function changeList(
  pieces: readonly Turned[],
  { order, onlyWay }: LayingList,
  random: RandomSource,
): { readonly next: LayingList; readonly same: number } {
  const pick = () => Math.floor(random() * order.length);
  const [from, to, kind] = [pick(), pick(), random()];
  if (kind >= 0.8) {
    const held = Int8Array.from(onlyWay);
    const piece = order[from]!;
    held[piece] = Math.floor(random() * (pieces[piece]!.ways.length + 1)) - 1;
    return { next: { order, onlyWay: held }, same: from };
  }
  const changed = [...order];
  if (kind < 0.5) [changed[from], changed[to]] = [changed[to]!, changed[from]!];
  else changed.splice(to, 0, ...changed.splice(from, 1));
  return { next: { order: changed, onlyWay }, same: Math.min(from, to) };
}
