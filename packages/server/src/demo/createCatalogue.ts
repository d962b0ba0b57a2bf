import {
  isSchoolOption,
  shapeOfRole,
  type Casting,
  type CastingPart,
  type Feature,
  type FeatureState,
  type Joint,
  type JointWay,
  type SchoolKey,
  type Source,
  type Variant,
  type VariantState,
} from '@sardonyx/core';
import { readCastingNotes, type CastingNote, type VariantNote } from './castingNotes.ts';
import { createRangeFeatures } from './features.ts';
import { createGeneratedCastings } from './generatedCastings.ts';
import { RANGES } from './world.ts';

export interface Catalogue {
  readonly features: Feature[];
  readonly states: FeatureState[];
  readonly castings: Casting[];
  readonly parts: CastingPart[];
  readonly joints: Joint[];
  readonly variants: Variant[];
  readonly variantStates: VariantState[];
  readonly sources: Source[];
}

/** The whole catalogue of the demo as rows: hand-written castings, then generated ones. Always the same. */
export function createCatalogue(): Catalogue {
  const perRange = RANGES.map((range) => createRangeFeatures(range.id));
  const features = perRange.flatMap((range) => range.features);
  const states = perRange.flatMap((range) => range.states);
  const stateIds = new Set(states.map((state) => state.id));
  const notes = [...readCastingNotes(), ...createGeneratedCastings(features, states)];
  return {
    features,
    states,
    castings: notes.map(createCasting),
    parts: notes.flatMap(createParts),
    joints: notes.flatMap(createJoints),
    variants: notes.flatMap((note) => note.variants.map((variant, i) => createVariant(note, variant, i))),
    variantStates: notes.flatMap((note) =>
      note.variants.flatMap((variant, i) => createVariantStates(note, variant, i, stateIds)),
    ),
    sources: notes.flatMap(createSources),
  };
}

function createCasting({
  id,
  rangeId,
  number,
  name,
  bodyType,
  lengthMm,
  wheelbaseMm,
  construction,
  history = '',
  drawing,
}: CastingNote): Casting {
  return {
    ...{ id, version: 1, rangeId, number, name, bodyType, lengthMm, wheelbaseMm, construction, history, drawing },
    builtAs: null,
    listed: 'all',
    traces: {},
  };
}

function createParts(note: CastingNote): CastingPart[] {
  return note.parts.map(([key, name, role, material, count = 1, dependentBits = '']) => ({
    id: `${note.id}.${key}`,
    version: 1,
    castingId: note.id,
    key,
    name,
    role,
    material,
    count,
    dependentBits,
    shape: shapeOfRole(role),
    sizes: {},
  }));
}

function createJoints(note: CastingNote): Joint[] {
  return note.joints.map(({ key, label, kind, parts, ways }) => ({
    id: `${note.id}.${key}`,
    version: 1,
    castingId: note.id,
    key,
    label,
    kind,
    behind: null,
    partKeys: parts,
    ways: ways.map(([wayLabel, tool, minutes, risk, destroys = '', behindJoints = [], school], i) => ({
      key: `way-${i + 1}`,
      label: wayLabel,
      tool,
      minutes,
      risk,
      destroys,
      behindJoints,
      ...(school ? { school: toAnswer(school) } : {}),
    })),
  }));
}

/** "S4: grind one head", as the notes write it; checked, since a misspelt answer would steer nothing. */
function toAnswer(text: string): NonNullable<JointWay['school']> {
  const [key, option] = text.split(': ') as [SchoolKey, string];
  if (!isSchoolOption(key, option)) throw new Error(`No school has the answer "${text}"`);
  return { key, option } as NonNullable<JointWay['school']>;
}

const variantId = (note: CastingNote, index: number) => `${note.id}.v${String(index + 1).padStart(2, '0')}`;

function createVariant(note: CastingNote, variant: VariantNote, index: number): Variant {
  const [from, to] = variant.years;
  const fuzz = Math.min(0.5, (to - from) / 4);
  return {
    id: variantId(note, index),
    version: 1,
    castingId: note.id,
    key: `v${index + 1}`,
    name: variant.name,
    startEarliest: from,
    startLatest: from + fuzz,
    endEarliest: to - fuzz,
    endLatest: to + 0.25,
    rarity: variant.rarity ?? 1,
    rarityEvidence: variant.evidence ?? '',
    foundOnId: null,
  };
}

function createVariantStates(
  note: CastingNote,
  variant: VariantNote,
  index: number,
  known: ReadonlySet<string>,
): VariantState[] {
  // What lies lowest under later paint is what the sheltered places show.
  const under = /sheltered-colour:(\S+)/.exec(variant.states)?.[1];
  const words = variant.states.split(' ');
  if (under && note.rangeId === 'hand-span') words.push(`under-colour:${under}`);
  return words.flatMap((word) => {
    const [featureKey, list = ''] = word.split(':');
    const keys = list.split('/');
    return keys.map((key) => {
      const featureId = `${note.rangeId}.${featureKey}`;
      const stateId = `${featureId}.${key}`;
      if (!known.has(stateId)) throw new Error(`${note.number} ${variant.name}: there is no state ${stateId}`);
      const id = variantId(note, index);
      return {
        id: `${id}.${featureKey}.${key}`,
        version: 1,
        variantId: id,
        featureId,
        stateId,
        share: 1 / keys.length,
        origin: '',
      };
    });
  });
}

function createSources(note: CastingNote): Source[] {
  return (note.sources ?? []).map(([statement, fromYear, toYear, origin, certainty], i) => ({
    id: `${note.id}.source-${i + 1}`,
    version: 1,
    castingId: note.id,
    variantId: null,
    specimenId: null,
    statement,
    fromYear,
    toYear,
    origin,
    certainty,
  }));
}
