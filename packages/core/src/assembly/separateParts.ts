import type { OpeningModel } from './openingModel.ts';

/** What may be done with a joint: its least price when opened, and whether it must or must not be. */
export interface JointTerms {
  readonly price: number;
  readonly mustOpen: boolean;
  readonly mayOpen: boolean;
}

export interface Separation {
  readonly price: number;
  /** Joints that are opened, as indices. */
  readonly open: readonly number[];
}

interface Factor {
  readonly scope: readonly number[];
  /** Price for every combination of labels, the last of the scope running fastest. */
  readonly table: Float64Array;
}

/** More labels in one table than this are not worked out. */
const LARGEST_TABLE = 1 << 22;

/**
 * The cheapest way to take parts apart when every joint can be reached at its least price: the lower bound of the plan.
 *
 * A piece is described by the set of treatments in it; every part of it bears that set as its label. Parts pay for the
 * treatments of their label that are not their own, an unopened joint wants the same label on all its parts. The least sum
 * is found exactly by eliminating part after part (R. Dechter, Bucket elimination, Artificial Intelligence 113, 1999); the
 * work grows with the loops of the model, not with its size. Price Infinity: it cannot be done.
 */
export function separateParts(model: OpeningModel, terms: readonly JointTerms[]): Separation {
  const { parts, joints } = model;
  const treatments = [...new Set(parts.map((part) => part.treatment))];
  const partIndex = new Map(parts.map((part, i) => [part.key, i]));
  const labels = parts.map((part) => {
    const own = 1 << treatments.indexOf(part.treatment);
    return Array.from({ length: 1 << treatments.length }, (_, set) => set).filter((set) => set & own);
  });
  const prices = parts.map((part, i) =>
    Float64Array.from(labels[i]!, (set) =>
      treatments.reduce(
        (sum, treatment, t) =>
          set & (1 << t) && treatment !== part.treatment ? sum + (part.maskPrice[treatment] ?? Infinity) : sum,
        0,
      ),
    ),
  );
  let constant = 0;
  let factors: Factor[] = prices.map((table, i) => ({ scope: [i], table }));
  joints.forEach((joint, j) => {
    const { price, mustOpen, mayOpen } = terms[j]!;
    if (mustOpen) constant += mayOpen ? price : Infinity;
    else
      factors.push(
        createJointFactor(
          joint.partKeys.map((key) => partIndex.get(key)!),
          labels,
          mayOpen ? price : Infinity,
        ),
      );
  });
  if (constant === Infinity) return { price: Infinity, open: [] };
  const order: { readonly part: number; readonly joined: Factor }[] = [];
  const left = new Set(parts.keys());
  while (left.size > 0) {
    const part = choosePart(left, factors);
    const mine = factors.filter((factor) => factor.scope.includes(part));
    const joined = joinFactors(part, mine, labels);
    order.push({ part, joined });
    factors = [...factors.filter((factor) => !factor.scope.includes(part)), eliminate(joined, labels)];
    left.delete(part);
  }
  const price = constant + factors.reduce((sum, factor) => sum + factor.table[0]!, 0);
  if (price === Infinity) return { price, open: [] };
  const chosen = new Int32Array(parts.length);
  for (const { part, joined } of order.reverse()) chosen[part] = chooseLabel(part, joined, chosen, labels);
  const labelOf = (key: string) => labels[partIndex.get(key)!]![chosen[partIndex.get(key)!]!];
  const open = joints.flatMap(({ partKeys }, j) =>
    terms[j]!.mustOpen || partKeys.some((key) => labelOf(key) !== labelOf(partKeys[0]!)) ? [j] : [],
  );
  return { price, open };
}

function createJointFactor(scope: readonly number[], labels: readonly number[][], price: number): Factor {
  const own = [...new Set(scope)];
  const table = new Float64Array(own.reduce((size, part) => size * labels[part]!.length, 1));
  walkLabels(own, labels, (at, chosen) => {
    const first = labels[own[0]!]![chosen[0]!];
    table[at] = own.every((part, i) => labels[part]![chosen[i]!] === first) ? 0 : price;
  });
  return { scope: own, table };
}

/** The part whose elimination ties the fewest others together. */
function choosePart(left: ReadonlySet<number>, factors: readonly Factor[]): number {
  let best = -1;
  let fewest = Infinity;
  for (const part of left) {
    const around = new Set(factors.flatMap((factor) => (factor.scope.includes(part) ? factor.scope : [])));
    if (around.size < fewest) [best, fewest] = [part, around.size];
  }
  return best;
}

/** The sum of all factors of a part over everything they speak of; the part itself runs fastest. */
function joinFactors(part: number, factors: readonly Factor[], labels: readonly number[][]): Factor {
  const others = [...new Set(factors.flatMap((factor) => factor.scope))].filter((other) => other !== part);
  const scope = [...others, part];
  const size = scope.reduce((product, one) => product * labels[one]!.length, 1);
  if (size > LARGEST_TABLE) throw new Error('This model has too many loops to be taken apart exactly.');
  const table = new Float64Array(size);
  const places = factors.map((factor) => factor.scope.map((one) => scope.indexOf(one)));
  walkLabels(scope, labels, (at, chosen) => {
    let sum = 0;
    for (let f = 0; f < factors.length; f++) {
      const { scope: own, table: prices } = factors[f]!;
      let index = 0;
      for (let i = 0; i < own.length; i++) index = index * labels[own[i]!]!.length + chosen[places[f]![i]!]!;
      sum += prices[index]!;
    }
    table[at] = sum;
  });
  return { scope, table };
}

function eliminate({ scope, table }: Factor, labels: readonly number[][]): Factor {
  const count = labels[scope.at(-1)!]!.length;
  const least = new Float64Array(table.length / count).fill(Infinity);
  for (let at = 0; at < table.length; at++) {
    const to = Math.floor(at / count);
    if (table[at]! < least[to]!) least[to] = table[at]!;
  }
  return { scope: scope.slice(0, -1), table: least };
}

function chooseLabel(part: number, { scope, table }: Factor, chosen: Int32Array, labels: readonly number[][]): number {
  let base = 0;
  for (const other of scope.slice(0, -1)) base = base * labels[other]!.length + chosen[other]!;
  const count = labels[part]!.length;
  let best = 0;
  for (let label = 1; label < count; label++)
    if (table[base * count + label]! < table[base * count + best]!) best = label;
  return best;
}

/** Every combination of labels of a scope, with its place in the table. */
function walkLabels(
  scope: readonly number[],
  labels: readonly number[][],
  visit: (at: number, chosen: Int32Array) => void,
): void {
  const chosen = new Int32Array(scope.length);
  const size = scope.reduce((product, one) => product * labels[one]!.length, 1);
  for (let at = 0; at < size; at++) {
    visit(at, chosen);
    for (let i = scope.length - 1; i >= 0; i--) {
      if (++chosen[i]! < labels[scope[i]!]!.length) break;
      chosen[i] = 0;
    }
  }
}
