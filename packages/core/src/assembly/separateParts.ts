import type { groupTreatments } from './groupTreatments.ts';
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
  /** False: treatments were taken together, and the price is a bound only. */
  readonly isExact: boolean;
  /** Combinations that were looked at. */
  readonly work: number;
}

interface Factor {
  readonly scope: readonly number[];
  /** Price for every combination of labels, the last of the scope running fastest. */
  readonly table: Float64Array;
}

/** Parts that are joined for good, and what masking them costs for every set of groups of treatments in their piece. */
interface Cluster {
  readonly labels: readonly number[];
  readonly prices: Float64Array;
}

/** More combinations in one table than this are not worked out: then treatments are taken together. */
const LARGEST_TABLE = 1 << 12;

/**
 * The cheapest way to take parts apart when every joint can be reached at its least price: the lower bound of the plan.
 *
 * A piece is described by the set of treatments in it; every part of it bears that set as its label. Parts pay for the
 * treatments of their label that are not their own, an unopened joint wants the same label on all its parts. The least sum
 * is found exactly by eliminating part after part (R. Dechter, Bucket elimination, Artificial Intelligence 113, 1999); the
 * work grows with the loops of the model and with two to the number of treatments, not with its size. Where that is too
 * much, treatments that seldom meet are taken as one group, whose presence costs what its cheapest member would: the price
 * is then a lower bound. Price Infinity: it cannot be done. Groupings are those of the model (groupTreatments), finest first.
 */
export function separateParts(
  model: OpeningModel,
  terms: readonly JointTerms[],
  groupings: ReturnType<typeof groupTreatments>,
  largestTable = LARGEST_TABLE,
): Separation {
  const impossible: Separation = { price: Infinity, open: [], isExact: true, work: 0 };
  const must = terms.flatMap(({ mustOpen }, j) => (mustOpen ? [j] : []));
  if (must.some((j) => !terms[j]!.mayOpen)) return impossible;
  const constant = must.reduce((sum, j) => sum + terms[j]!.price, 0);
  const clusterOf = joinForGood(model, terms);
  const scopes = model.joints.map(({ partKeys }) => [...new Set(partKeys.map((key) => clusterOf.get(key)!))]);
  const free = model.joints.flatMap((_, j) =>
    !terms[j]!.mustOpen && terms[j]!.mayOpen && scopes[j]!.length > 1 ? [j] : [],
  );
  const count = new Set(clusterOf.values()).size;
  const steps = planElimination(
    count,
    free.map((j) => scopes[j]!),
  );
  for (const groups of groupings) {
    if (computeLargest(countLabels(model, clusterOf, count, groups), steps) > largestTable) continue;
    const clusters = createClusters(model, clusterOf, count, groups);
    if (clusters === null) return impossible;
    const factors = [
      ...clusters.map(({ prices }, i): Factor => ({ scope: [i], table: prices })),
      ...free.map((j) => createJointFactor(scopes[j]!, clusters, terms[j]!.price)),
    ];
    const { price, chosen, work } = eliminateAll(clusters, factors, steps);
    const labelOf = (cluster: number) => clusters[cluster]!.labels[chosen[cluster]!];
    const open = model.joints.flatMap((_, j) =>
      terms[j]!.mustOpen || (price < Infinity && scopes[j]!.some((one) => labelOf(one) !== labelOf(scopes[j]![0]!)))
        ? [j]
        : [],
    );
    return { price: constant + price, open, isExact: groups.every((group) => group.length === 1), work };
  }
  // Not even two groups can be worked out: what must be opened costs its price, and nothing more is known.
  return { price: constant, open: must, isExact: false, work: 0 };
}

/** Which parts hang together by joints that stay closed: the number of its cluster by part. */
function joinForGood({ parts, joints }: OpeningModel, terms: readonly JointTerms[]): Map<string, number> {
  const parent = new Map(parts.map(({ key }) => [key, key]));
  const find = (key: string): string => (parent.get(key) === key ? key : find(parent.get(key)!));
  joints.forEach(({ partKeys }, j) => {
    if (terms[j]!.mayOpen || terms[j]!.mustOpen) return;
    for (const key of partKeys.slice(1)) parent.set(find(key), find(partKeys[0]!));
  });
  const roots = [...new Set(parts.map(({ key }) => find(key)))];
  return new Map(parts.map(({ key }) => [key, roots.indexOf(find(key))]));
}

/** How many sets of groups a cluster can lie among: those that hold its own. */
function countLabels(
  { parts }: OpeningModel,
  clusterOf: ReadonlyMap<string, number>,
  count: number,
  groups: readonly (readonly string[])[],
): number[] {
  const own = Array.from({ length: count }, () => new Set<number>());
  for (const { key, treatment } of parts)
    own[clusterOf.get(key)!]!.add(groups.findIndex((group) => group.includes(treatment)));
  return own.map((set) => 2 ** (groups.length - set.size));
}

/** null where parts that are joined for good may not be masked against each other. */
function createClusters(
  { parts }: OpeningModel,
  clusterOf: ReadonlyMap<string, number>,
  count: number,
  groups: readonly (readonly string[])[],
): Cluster[] | null {
  const clusters = Array.from({ length: count }, (_, i): Cluster => {
    const members = parts.filter(({ key }) => clusterOf.get(key) === i);
    const own = new Set(members.map(({ treatment }) => treatment));
    const priceOf = (treatment: string) =>
      members.reduce(
        (sum, part) => sum + (part.treatment === treatment ? 0 : (part.maskPrice[treatment] ?? Infinity)),
        0,
      );
    const base = [...own].reduce((sum, treatment) => sum + priceOf(treatment), 0);
    const ownGroups = groups.reduce((set, group, g) => (group.some((one) => own.has(one)) ? set | (1 << g) : set), 0);
    const more = groups.map((group, g) => (ownGroups & (1 << g) ? 0 : Math.min(...group.map(priceOf))));
    const labels = Array.from({ length: 1 << groups.length }, (_, set) => set).filter(
      (set) => (set & ownGroups) === ownGroups,
    );
    const prices = Float64Array.from(labels, (set) =>
      more.reduce((sum, price, g) => (set & (1 << g) ? sum + price : sum), base),
    );
    return { labels, prices };
  });
  return clusters.some(({ prices }) => prices[0] === Infinity) ? null : clusters;
}

function createJointFactor(scope: readonly number[], clusters: readonly Cluster[], price: number): Factor {
  const table = new Float64Array(scope.reduce((size, one) => size * clusters[one]!.labels.length, 1));
  walkLabels(scope, clusters, (at, chosen) => {
    const first = clusters[scope[0]!]!.labels[chosen[0]!];
    table[at] = scope.every((one, i) => clusters[one]!.labels[chosen[i]!] === first) ? 0 : price;
  });
  return { scope, table };
}

/** One cluster is taken out, over itself and all that it is tied to by then. */
interface EliminationStep {
  readonly cluster: number;
  readonly scope: readonly number[];
}

/** In which order clusters are taken out: always the one that is tied to the fewest others. */
function planElimination(count: number, joints: readonly (readonly number[])[]): EliminationStep[] {
  const ties = Array.from({ length: count }, () => new Set<number>());
  const tie = (scope: readonly number[]) => {
    for (const one of scope) for (const other of scope) if (one !== other) ties[one]!.add(other);
  };
  joints.forEach(tie);
  const left = new Set(ties.keys());
  const steps: EliminationStep[] = [];
  while (left.size > 0) {
    let cluster = -1;
    for (const one of left) if (cluster < 0 || ties[one]!.size < ties[cluster]!.size) cluster = one;
    const around = [...ties[cluster]!];
    steps.push({ cluster, scope: [cluster, ...around] });
    for (const other of around) ties[other]!.delete(cluster);
    tie(around);
    left.delete(cluster);
  }
  return steps;
}

/** Combinations of the largest table that the elimination would make. */
const computeLargest = (sizes: readonly number[], steps: readonly EliminationStep[]): number =>
  steps.reduce(
    (largest, { scope }) =>
      Math.max(
        largest,
        scope.reduce((size, one) => size * sizes[one]!, 1),
      ),
    0,
  );

function eliminateAll(clusters: readonly Cluster[], all: readonly Factor[], steps: readonly EliminationStep[]) {
  let factors = [...all];
  let work = factors.reduce((sum, { table }) => sum + table.length, 0);
  const order: { readonly cluster: number; readonly joined: Factor }[] = [];
  for (const { cluster } of steps) {
    const joined = joinFactors(
      cluster,
      factors.filter((factor) => factor.scope.includes(cluster)),
      clusters,
    );
    work += joined.table.length;
    order.push({ cluster, joined });
    factors = [...factors.filter((factor) => !factor.scope.includes(cluster)), eliminate(joined, clusters)];
  }
  const price = factors.reduce((sum, factor) => sum + factor.table[0]!, 0);
  const chosen = new Int32Array(clusters.length);
  for (const { cluster, joined } of order.reverse()) chosen[cluster] = chooseLabel(joined, chosen, clusters);
  return { price, chosen, work };
}

/**
 * The sum of all factors of a cluster over everything they speak of; the cluster itself runs fastest. Each factor's place in
 * its own table moves along with the labels: looked up anew for every combination it would take three times as long.
 */
function joinFactors(cluster: number, factors: readonly Factor[], clusters: readonly Cluster[]): Factor {
  const others = [...new Set(factors.flatMap((factor) => factor.scope))].filter((other) => other !== cluster);
  const scope = [...others, cluster];
  const sizes = scope.map((one) => clusters[one]!.labels.length);
  const table = new Float64Array(sizes.reduce((product, size) => product * size, 1));
  const steps = factors.map((factor) => scope.map((one) => computeStep(factor, one, clusters)));
  const tables = factors.map((factor) => factor.table);
  const places = new Int32Array(factors.length);
  const chosen = new Int32Array(scope.length);
  for (let at = 0; at < table.length; at++) {
    let sum = 0;
    for (let f = 0; f < tables.length; f++) sum += tables[f]![places[f]!]!;
    table[at] = sum;
    for (let i = scope.length - 1; i >= 0; i--) {
      if (++chosen[i]! < sizes[i]!) {
        for (let f = 0; f < steps.length; f++) places[f]! += steps[f]![i]!;
        break;
      }
      chosen[i] = 0;
      for (let f = 0; f < steps.length; f++) places[f]! -= steps[f]![i]! * (sizes[i]! - 1);
    }
  }
  return { scope, table };
}

/** How far the place in a factor's table moves when the label of a cluster is the next one; 0 where it is not of it. */
function computeStep({ scope }: Factor, cluster: number, clusters: readonly Cluster[]): number {
  const at = scope.indexOf(cluster);
  return at < 0 ? 0 : scope.slice(at + 1).reduce((product, one) => product * clusters[one]!.labels.length, 1);
}

function eliminate({ scope, table }: Factor, clusters: readonly Cluster[]): Factor {
  const count = clusters[scope.at(-1)!]!.labels.length;
  const least = new Float64Array(table.length / count).fill(Infinity);
  for (let at = 0; at < table.length; at++) {
    const to = Math.floor(at / count);
    if (table[at]! < least[to]!) least[to] = table[at]!;
  }
  return { scope: scope.slice(0, -1), table: least };
}

function chooseLabel({ scope, table }: Factor, chosen: Int32Array, clusters: readonly Cluster[]): number {
  let base = 0;
  for (const other of scope.slice(0, -1)) base = base * clusters[other]!.labels.length + chosen[other]!;
  const count = clusters[scope.at(-1)!]!.labels.length;
  let best = 0;
  for (let label = 1; label < count; label++)
    if (table[base * count + label]! < table[base * count + best]!) best = label;
  return best;
}

/** Every combination of labels of a scope, with its place in the table. */
function walkLabels(
  scope: readonly number[],
  clusters: readonly Cluster[],
  visit: (at: number, chosen: Int32Array) => void,
): void {
  const chosen = new Int32Array(scope.length);
  const size = scope.reduce((product, one) => product * clusters[one]!.labels.length, 1);
  for (let at = 0; at < size; at++) {
    visit(at, chosen);
    for (let i = scope.length - 1; i >= 0; i--) {
      if (++chosen[i]! < clusters[scope[i]!]!.labels.length) break;
      chosen[i] = 0;
    }
  }
}
