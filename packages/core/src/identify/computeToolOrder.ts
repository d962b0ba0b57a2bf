import type { IdentifyCatalogue, IdentifyFeature, IdentifyVariant } from './catalogue.ts';
import { computeSpanDensity, createQuarterAxis, quarterMiddle, type QuarterAxis } from './quarters.ts';

export interface ToolOrder {
  /** Chance that the first tool was made before the second. */
  readonly firstIsEarlier: number;
  /** What speaks for it or against it, strongest first. */
  readonly reasons: readonly ToolOrderReason[];
}

export interface ToolOrderReason {
  readonly feature: IdentifyFeature;
  /** The same chance from this feature alone. */
  readonly firstIsEarlier: number;
  readonly states: readonly [string, string];
}

/** How much of a state's use may lie outside its range-wide dates (planning estimate). */
const OUTSIDE = 0.05;
const WORTH_NAMING = 0.1;

/**
 * Which of two tools came first, from what is known of their features: each tool's date density is the product of its
 * states' range-wide dates (and of its production span, where there is one); the chance is the mass where one lies before
 * the other, halves counted for the same quarter. Tools are given by their variants; both must have some.
 */
export function computeToolOrder(
  { features, variants }: IdentifyCatalogue,
  firstIds: readonly string[],
  secondIds: readonly string[],
): ToolOrder {
  const pick = (ids: readonly string[]) => variants.filter((variant) => ids.includes(variant.id));
  const [first, second] = [pick(firstIds), pick(secondIds)];
  const axis = createDatedAxis(features, [...first, ...second]);
  const densityOf = (tool: readonly IdentifyVariant[], of: readonly IdentifyFeature[], withSpans: boolean) =>
    mix(tool.map((variant) => datesOf(variant, of, axis, withSpans)));
  const reasons = features.flatMap((feature): ToolOrderReason[] => {
    const chance = earlier(densityOf(first, [feature], false), densityOf(second, [feature], false));
    const states: [string, string] = [describeStates(first, feature), describeStates(second, feature)];
    return Math.abs(chance - 0.5) < WORTH_NAMING ? [] : [{ feature, firstIsEarlier: chance, states }];
  });
  return {
    firstIsEarlier: earlier(densityOf(first, features, true), densityOf(second, features, true)),
    reasons: reasons.sort((a, b) => Math.abs(b.firstIsEarlier - 0.5) - Math.abs(a.firstIsEarlier - 0.5)),
  };
}

function createDatedAxis(features: readonly IdentifyFeature[], variants: readonly IdentifyVariant[]): QuarterAxis {
  const years = [
    ...features.flatMap(({ states }) => states.flatMap(({ fromYear, toYear }) => [fromYear, toYear])),
    ...variants.flatMap(({ span }) => (span ? [span.startEarliest, span.endLatest] : [])),
  ].filter((year) => year !== null);
  if (years.length === 0) return createQuarterAxis([]);
  const [from, to] = [Math.min(...years), Math.max(...years)];
  return createQuarterAxis([{ startEarliest: from, startLatest: from, endEarliest: to, endLatest: to }]);
}

function datesOf(
  variant: IdentifyVariant,
  features: readonly IdentifyFeature[],
  axis: QuarterAxis,
  withSpans: boolean,
) {
  const density =
    withSpans && variant.span ? computeSpanDensity(axis, variant.span) : new Float64Array(axis.count).fill(1);
  for (const feature of features) {
    const shares = variant.states[feature.id];
    if (!shares) continue;
    for (let q = 0; q < axis.count; q++) {
      const year = quarterMiddle(axis, q);
      let weight = 0;
      for (const { id, fromYear, toYear } of feature.states) {
        const isInside = year >= (fromYear ?? -Infinity) && year <= (toYear ?? Infinity);
        weight += (shares[id] ?? 0) * (isInside ? 1 : OUTSIDE);
      }
      density[q]! *= weight;
    }
  }
  return density;
}

function mix(densities: readonly Float64Array[]): Float64Array {
  const mixed = new Float64Array(densities[0]?.length ?? 1);
  for (const density of densities) {
    const total = density.reduce((a, b) => a + b, 0);
    density.forEach((mass, q) => (mixed[q]! += total > 0 ? mass / total / densities.length : 0));
  }
  return mixed;
}

function earlier(first: Float64Array, second: Float64Array): number {
  let before = 0;
  let passed = 0;
  for (let q = 0; q < second.length; q++) {
    before += second[q]! * (passed + first[q]! / 2);
    passed += first[q]!;
  }
  return before;
}

function describeStates(tool: readonly IdentifyVariant[], feature: IdentifyFeature): string {
  const ids = new Set(tool.flatMap((variant) => Object.keys(variant.states[feature.id] ?? {})));
  return feature.states
    .filter((state) => ids.has(state.id))
    .map((state) => state.label.toLowerCase())
    .join(' or ');
}
