import { groupBy } from '../groupBy.ts';
import type { Feature, FeatureState } from '../model/catalogue.ts';
import type { IdentifyFeature, IdentifyState } from './catalogue.ts';

type Named = Pick<Feature, 'label' | 'group' | 'destroys'>;
type Asked = Named & Pick<Feature, 'id' | 'rangeId' | 'howToLook' | 'effort'>;

/** Two ranges that know one look by the same words, altered together and at the same price, know the same look. */
export const isSameLook = (a: Named, b: Named): boolean => nameLook(a) === nameLook(b);

const nameLook = ({ label, group, destroys }: Named) => JSON.stringify([fold(label), group, destroys]);
const fold = (label: string) => label.trim().toLowerCase();

/** Looks as they are asked: once, whichever ranges know them. */
export interface MergedFeatures {
  readonly features: readonly IdentifyFeature[];
  /** Id of a feature or a state of any range -> the id under which it is asked; itself where it is left out. */
  readonly sameAs: Readonly<Record<string, string>>;
}

/**
 * Features as they are asked. Those of several ranges that are the same look are asked as one, with the states of all;
 * states of one name are one, unless their colours or sizes are known to differ: those carry the name of their range and are easily
 * taken for each other. What is asked bears the ids of the first; `isAsked` says of which features some issue is known by,
 * the others are there for what was answered on them before anybody knew the casting.
 */
export function mergeFeatures(
  features: readonly Asked[],
  states: readonly FeatureState[],
  rangeNames: ReadonlyMap<string, string>,
  isAsked: (feature: Asked) => boolean,
): MergedFeatures {
  const statesOf = groupBy(states, (state) => state.featureId);
  const sameAs: Record<string, string> = {};
  const looks = [...groupBy(features, nameLook).values()].flatMap(partWithinRange);
  const merged = looks.flatMap((twins): IdentifyFeature[] => {
    const asked = twins.filter(isAsked);
    const first = asked[0];
    if (!first) return [];
    const nameRange = (id: string) => rangeNames.get(id) ?? id;
    const own = asked.flatMap((feature) =>
      (statesOf.get(feature.id) ?? []).map((state) => ({ state, range: nameRange(feature.rangeId) })),
    );
    const groups = [...groupBy(own, ({ state }) => fold(state.label)).values()].flatMap(partByMeasure);
    const sizeOf = groupBy(groups, ([one]) => fold(one!.state.label));
    const idOf = new Map(groups.flatMap((group) => group.map(({ state }) => [state.id, group[0]!.state.id] as const)));
    for (const feature of twins) {
      if (feature !== first) sameAs[feature.id] = first.id;
      for (const state of statesOf.get(feature.id) ?? []) {
        const namesakes = sizeOf.get(fold(state.label));
        const id = idOf.get(state.id) ?? namesakes?.[0]![0]!.state.id;
        if (id !== undefined && id !== state.id) sameAs[state.id] = id;
      }
    }
    const { id, label, howToLook, effort, destroys, group } = first;
    const merge = (alike: (typeof groups)[number]): IdentifyState => {
      const namesakes = sizeOf.get(fold(alike[0]!.state.label))!;
      const takenFor = alike.flatMap(({ state }) =>
        state.lookAlikes.flatMap((key) =>
          (statesOf.get(state.featureId) ?? [])
            .filter((other) => other.key === key)
            .map((other) => idOf.get(other.id)!),
        ),
      );
      const others = namesakes.filter((other) => other !== alike).map((other) => other[0]!.state.id);
      return {
        ...mergeState(alike.map(({ state }) => state)),
        ...(others.length ? { label: `${alike[0]!.state.label} (${alike[0]!.range})` } : {}),
        lookAlikes: [...new Set([...takenFor, ...others])].filter((other) => other !== alike[0]!.state.id),
      };
    };
    return [{ id, label, howToLook, effort, destroys, group, states: groups.map(merge) }];
  });
  return { features: merged, sameAs };
}

/** Two of one name in one range are two looks: somebody told them apart. */
const partWithinRange = (twins: readonly Asked[]): (readonly Asked[])[] =>
  new Set(twins.map(({ rangeId }) => rangeId)).size < twins.length ? twins.map((one) => [one]) : [twins];

interface Ranged {
  readonly state: FeatureState;
  readonly range: string;
}

/** States of one name, parted where their colours or sizes are known and are not the same. */
function partByMeasure(namesakes: readonly Ranged[]): Ranged[][] {
  const groups: Ranged[][] = [];
  for (const one of namesakes) {
    const home = groups.find((group) => group.every(({ state }) => isAlike(state, one.state)));
    if (home) home.push(one);
    else groups.push([one]);
  }
  return groups;
}

const isAlike = (a: FeatureState, b: FeatureState): boolean =>
  isSameOrUnknown(a.colourHex, b.colourHex) && isSameOrUnknown(a.colour, b.colour) && isSameOrUnknown(a.size, b.size);

const isSameOrUnknown = (a: unknown, b: unknown): boolean =>
  a === null || b === null || JSON.stringify(a) === JSON.stringify(b);

/** Range-wide dates of several ranges reach from the first to the last, and nowhere where one of them has none. */
function mergeState(states: readonly FeatureState[]): Omit<IdentifyState, 'lookAlikes'> {
  const { id, label } = states[0]!;
  const reach = (years: readonly (number | null)[], pick: (...years: number[]) => number) =>
    years.includes(null) ? null : pick(...(years as number[]));
  return {
    ...{ id, label },
    fromYear: reach(
      states.map(({ fromYear }) => fromYear),
      Math.min,
    ),
    toYear: reach(
      states.map(({ toYear }) => toYear),
      Math.max,
    ),
    colour: states.find(({ colour }) => colour)?.colour ?? null,
    colourHex: states.find(({ colourHex }) => colourHex)?.colourHex ?? null,
    size: states.find(({ size }) => size)?.size ?? null,
  };
}
