import { JOINT_CONDITIONS } from '../../src/model/workpiece.ts';
import type { KnownJoint, PlanPart, SpecimenFacts } from '../../src/facts/specimenFacts.ts';
import type { Material } from '../../src/model/material.ts';
import { addWaysOfKind } from '../../src/assembly/usualWays.ts';
import { standAsFound } from '../../src/facts/listJoints.ts';
import { createSeededRandom, pickOne, type RandomSource } from '../../src/numeric/seededRandom.ts';
import { makeCoat, makeFinding, makeJoint, makePart, makeWant, makeWay } from './planWorld.ts';
import { createRandomFacts } from './randomPlanWorld.ts';

type Twist = (facts: SpecimenFacts, random: RandomSource) => SpecimenFacts;

const each =
  (change: (part: PlanPart, random: RandomSource) => Partial<PlanPart>): Twist =>
  (facts, random) => ({
    ...facts,
    parts: facts.parts.map((part) => {
      const { newPart, ...others } = { ...part, ...change(part, random) };
      // What takes its place follows from state and wants.
      const { newPart: own } = makePart(part.key, others);
      return { ...others, newPart: newPart?.origin === 'donor' ? newPart : own };
    }),
  });

const allOf = (material: Material, painted: boolean): Twist =>
  each((part) => ({
    material,
    painted,
    found: painted ? ['colour'] : [],
    findings: [...part.findings, makeFinding('cracked')],
  }));

/** Worlds that no demo has. */
const TWISTS: Readonly<Record<string, Twist>> = {
  'as it comes': (facts) => facts,
  'all missing': each((part, random) => ({
    state: 'missing',
    painted: false,
    found: [],
    wants: [makeWant(`${part.key}-w`, { state: pickOne(['open', 'ordered', 'solved', 'waived'] as const, random) })],
  })),
  'forty parts': (facts, random) => ({
    ...facts,
    ...createMany(40, random),
  }),
  'a trailer': (facts) => ({
    ...facts,
    parts: [
      ...facts.parts,
      makePart('trailer', { painted: true, coats: [makeCoat('primer'), makeCoat('colour')] }),
      makePart('trailer-base', { role: 'base', painted: true }),
    ],
    joints: [
      ...facts.joints,
      asKnown(makeJoint('hitch', 'push fit', ['body', 'trailer'])),
      asKnown(
        makeJoint('trailer-post', 'rivet post', ['trailer', 'trailer-base'], { tool: 'drill', destroys: 'the head' }),
      ),
    ],
  }),
  'all resin': allOf('resin print', true),
  'all pest': each((part) => ({ findings: [...part.findings, makeFinding('pest')], material: 'zinc alloy' })),
  'powder on what is mended': (facts, random) => ({
    ...each((part) => ({
      findings: [...part.findings, makeFinding(pickOne(['cracked', 'broken', 'pitted'] as const, random))],
    }))(facts, random),
    decisions: { ...facts.decisions, S6: 'powder' },
  }),
  'all tinplate': allOf('tinplate', true),
  'all celluloid': allOf('acetate or celluloid', true),
  'all lead': allOf('lead alloy', true),
  empty: (facts) => ({ ...facts, parts: [], joints: [] }),
  'a body and nothing else': (facts) => ({ ...facts, parts: facts.parts.slice(0, 1), joints: [] }),
  'every joint found otherwise': (facts, random) => ({
    ...facts,
    joints: facts.joints.map((joint) => {
      const condition = pickOne(JOINT_CONDITIONS, random);
      const { key, label, kind, partKeys } = joint;
      return { key, label, kind, partKeys, ...standAsFound([makeWay()], condition) };
    }),
  }),
  'both sides of each joint missing': (facts, random) => ({
    ...each(() => ({ state: 'missing', painted: false, found: [], wants: [] }))(facts, random),
    joints: facts.joints,
  }),
  'kept and brittle': each((part, random) =>
    random() < 0.4
      ? { isKept: true, coats: [], leftOff: ['a coat'] }
      : { findings: [...part.findings, makeFinding('brittle')] },
  ),
  'never opened': (facts) => ({
    ...facts,
    decisions: { ...facts.decisions, S2: 'never opened', S4: 'leave and mask' },
  }),
};

export const STRANGE_WORLDS = Object.keys(TWISTS);

/** A random survey in a strange world: which one, hangs on the seed. */
export function createStrangeFacts(seed: number): { readonly world: string; readonly facts: SpecimenFacts } {
  const random = createSeededRandom(seed + 0.75);
  const world = STRANGE_WORLDS[seed % STRANGE_WORLDS.length]!;
  return { world, facts: { ...TWISTS[world]!(createRandomFacts(seed), random), scope: 'full' } };
}

const asKnown = ({ way, ...joint }: ReturnType<typeof makeJoint>): KnownJoint => ({
  ...joint,
  ways: addWaysOfKind(joint.kind, [way]),
});

/** A model of many small parts on one body, some behind others. */
function createMany(count: number, random: RandomSource): Pick<SpecimenFacts, 'parts' | 'joints'> {
  const colours = ['#6a2330', '#222222', '#e6d9b4', '#2f5d3a', '#c8b020'];
  const parts = Array.from({ length: count }, (_, i) => {
    const colourHex = pickOne(colours, random);
    return makePart(i === 0 ? 'body' : `part-${i}`, {
      role: i === 0 ? 'body' : pickOne(['trim', 'glazing', 'interior', 'mechanism', 'wheel', 'load'] as const, random),
      material: pickOne(['zinc alloy', 'hard plastic', 'clear styrene', 'steel', 'rubber'] as const, random),
      painted: random() < 0.4,
      coats: random() < 0.6 ? [makeCoat('primer'), makeCoat('colour', { colourHex, name: colourHex })] : [],
    });
  });
  const joints = parts.slice(1).map((part, i) =>
    asKnown(
      makeJoint(`j${i}`, pickOne(['screw', 'push fit', 'rivet post', 'snap'] as const, random), ['body', part.key], {
        behindJoints: i > 3 && random() < 0.3 ? [`j${Math.floor(random() * 3)}`] : [],
      }),
    ),
  );
  return { parts, joints };
}
