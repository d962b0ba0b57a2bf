import {
  BODY_TYPES,
  createBodyTypeDrawing,
  createSeededRandom,
  pickOne,
  type BodyType,
  type Feature,
  type FeatureState,
  type RandomSource,
} from '@sardonyx/core';
import type { CastingNote, JointNote, PartNote, VariantNote } from './castingNotes.ts';

const COUNT_BY_RANGE: Readonly<Record<string, number>> = { 'hand-span': 40, quayside: 5, 'k-series': 8 };
const FIRST_YEARS: Readonly<Record<string, readonly [number, number]>> = {
  'hand-span': [1952, 1972],
  quayside: [1930, 1936],
  'k-series': [1967, 1980],
};
const LAST_YEAR: Readonly<Record<string, number>> = { 'hand-span': 1979, quayside: 1940, 'k-series': 1987 };

const NAMES: Readonly<Record<BodyType, readonly string[]>> = {
  saloon: ['Estuary Saloon', "Doctor's Car", "Harbourmaster's Car", 'Taxi', 'Estate Car', 'Ferry Saloon'],
  van: ['Bread Van', 'Post Van', 'Fish Van', 'Laundry Van', 'Museum Van', 'Ice-cream Van'],
  lorry: ['Timber Lorry', 'Brick Lorry', 'Rope Lorry', 'Salt Lorry', 'Cattle Lorry', 'Crane Lorry'],
  tanker: ['Tar Tanker', 'Water Tanker', 'Oil Tanker', 'Milk Tanker', 'Lamp-oil Tanker', 'Brine Tanker'],
  bus: ['Ferry Bus', 'School Bus', 'Works Bus', 'Seafront Coach', 'Mountain Coach', 'Night Bus'],
  tractor: ['Orchard Tractor', 'Dock Shunter', 'Road Roller', 'Peat Tractor', 'Forestry Tractor', 'Loader'],
  sports: ['Pier Roadster', 'Hill-climb Car', 'Beach Racer', 'Rally Coupe', 'Record Car', 'Regatta Roadster'],
  trailer: ['Boat Trailer', 'Hay Trailer', 'Pipe Trailer', 'Glider Trailer', 'Pulley Trailer', 'Searchlight Trailer'],
};

/** Castings that nobody has written by hand: a body type, a name, and variants that change along the years. */
export function createGeneratedCastings(features: readonly Feature[], states: readonly FeatureState[]): CastingNote[] {
  const random = createSeededRandom(1951);
  return Object.entries(COUNT_BY_RANGE).flatMap(([rangeId, count]) => {
    const own = features.filter((feature) => feature.rangeId === rangeId && feature.key !== 'under-colour');
    return Array.from({ length: count }, (_, i) => createCastingNote(rangeId, i, own, states, random));
  });
}

function createCastingNote(
  rangeId: string,
  index: number,
  features: readonly Feature[],
  states: readonly FeatureState[],
  random: RandomSource,
): CastingNote {
  const bodyType = BODY_TYPES[index % BODY_TYPES.length]!;
  const names = NAMES[bodyType];
  const lengthMm = Math.round(54 + random() * (rangeId === 'k-series' ? 50 : 26));
  const wheelbaseMm = Math.round(lengthMm * (0.5 + random() * 0.1));
  const number =
    rangeId === 'k-series'
      ? `K-${40 + index}`
      : rangeId === 'quayside'
        ? String(10 + index)
        : `${33 + (index % 28)}/${1 + Math.floor(index / 28)}`;
  return {
    id: `${rangeId}-${index + 1}`,
    rangeId,
    number,
    name: names[Math.floor(index / BODY_TYPES.length) % names.length]!,
    bodyType,
    lengthMm,
    wheelbaseMm,
    construction: rangeId === 'k-series' ? 'Two screws under the base.' : 'Two posts under the base.',
    drawing: createBodyTypeDrawing(bodyType, lengthMm, wheelbaseMm),
    parts: createParts(bodyType, rangeId),
    joints: createJoints(rangeId, bodyType !== 'trailer', hasLoad(bodyType)),
    variants: createVariants(rangeId, features, states, random),
  };
}

/** A trailer has none of these. */
const CABIN: readonly PartNote[] = [
  ['glazing', 'Glazing', 'glazing', 'clear styrene'],
  ['interior', 'Interior', 'interior', 'hard plastic'],
];

function createParts(bodyType: BodyType, rangeId: string): PartNote[] {
  const metal = rangeId === 'quayside' ? 'lead alloy' : 'zinc alloy';
  return [
    ['body', 'Body', 'body', metal],
    ['base', 'Base', 'base', 'tinplate'],
    ...(bodyType === 'trailer' ? [] : CABIN),
    ...(hasLoad(bodyType) ? ([['load', bodyType === 'lorry' ? 'Load bed' : 'Tank', 'load', metal]] as const) : []),
    ['wheels', 'Wheels', 'wheel', 'hard plastic', 4],
    ['tyres', 'Tyres', 'tyre', 'rubber', 4],
    ['axles', 'Axles', 'axle', 'steel', 2],
  ];
}

const hasLoad = (bodyType: BodyType) => bodyType === 'lorry' || bodyType === 'tanker';

function createJoints(rangeId: string, hasCabin: boolean, isLoaded: boolean): JointNote[] {
  const closing = (key: string, label: string): JointNote =>
    rangeId === 'k-series'
      ? { key, label, kind: 'screw', parts: ['body', 'base'], ways: [['Undo the screw', 'hand', 2, 0.01]] }
      : {
          key,
          label,
          kind: 'rivet post',
          parts: ['body', 'base'],
          ways: [['Drill the head off', 'drill', 10, 0.05, 'the rivet head']],
        };
  const joints: JointNote[] = [
    closing('front-post', 'front post'),
    closing('rear-post', 'rear post'),
    {
      key: 'axle-ends',
      label: 'axle ends',
      kind: 'formed axle',
      parts: ['base', 'axles', 'wheels'],
      ways: [['Grind one head off each axle', 'rotary', 14, 0.05, 'one head of each axle']],
    },
    {
      ...{ key: 'tyres', label: 'tyres', kind: 'push fit', parts: ['wheels', 'tyres'] },
      ways: [['Roll the tyres off', 'hand', 4, 0.1]],
    },
  ];
  if (isLoaded)
    joints.push({
      ...{ key: 'load', label: 'load', kind: 'push fit', parts: ['body', 'load'] },
      ways: [['Push it up', 'hand', 3, 0.08, '', ['front-post', 'rear-post']]],
    });
  if (!hasCabin) return joints;
  return [
    ...joints,
    {
      key: 'interior',
      label: 'interior',
      kind: 'push fit',
      parts: ['body', 'interior'],
      ways: [['Lift it out', 'hand', 3, 0.05, '', ['front-post', 'rear-post']]],
    },
    {
      key: 'glazing',
      label: 'glazing',
      kind: 'push fit',
      parts: ['body', 'glazing'],
      ways: [['Lift it out', 'hand', 3, 0.08, '', ['interior']]],
    },
  ];
}

/** Seven or eight issues in a row; at each step a few features move on to what the range used in those years. */
function createVariants(
  rangeId: string,
  features: readonly Feature[],
  states: readonly FeatureState[],
  random: RandomSource,
): VariantNote[] {
  const [earliest, latest] = FIRST_YEARS[rangeId]!;
  const end = LAST_YEAR[rangeId]!;
  const count = 7 + Math.floor(random() * 2);
  const first = earliest + random() * Math.min(latest - earliest, 8);
  const step = Math.max(0.75, Math.min(2.2, (end - first) / count));
  const chosen = new Map<string, FeatureState>();
  return Array.from({ length: count }, (_, i): VariantNote => {
    const from = Math.min(end - 1, Math.round((first + i * step) * 4) / 4);
    const to = Math.min(end, Math.round((from + step * (0.9 + random() * 0.8)) * 4) / 4);
    for (const feature of features) {
      const inUse = states.filter(
        (state) => state.featureId === feature.id && (state.fromYear ?? 0) <= from && (state.toYear ?? 9999) >= to,
      );
      const before = chosen.get(feature.id);
      const mustChange = !before || !inUse.includes(before);
      if (inUse.length && (mustChange || (feature.key === 'body-colour' ? random() < 0.7 : random() < 0.2)))
        chosen.set(feature.id, pickOne(inUse, random));
    }
    const body = chosen.get(`${rangeId}.body-colour`);
    const sheltered = states.find(
      (state) => state.featureId === `${rangeId}.sheltered-colour` && state.key === body?.key,
    );
    if (sheltered) chosen.set(`${rangeId}.sheltered-colour`, sheltered);
    const rarity = random() < 0.12 ? 6 + Math.floor(random() * 3) : Math.floor(random() * 4);
    return {
      name: `${ORDINALS[i]} issue, ${body?.label.toLowerCase() ?? 'colour not recorded'}`,
      years: [from, Math.max(from + 0.5, to)],
      states: features
        .flatMap((feature) => (chosen.has(feature.id) ? [`${feature.key}:${chosen.get(feature.id)!.key}`] : []))
        .join(' '),
      rarity,
      ...(rarity > 5 ? { evidence: 'Seen by one collector only.' } : {}),
    };
  });
}

const ORDINALS = ['First', 'Second', 'Third', 'Fourth', 'Fifth', 'Sixth', 'Seventh', 'Eighth'];
