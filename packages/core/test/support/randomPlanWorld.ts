import type { JointKind } from '../../src/model/catalogue.ts';
import { SCHOOL_KEYS, SCHOOL_OPTIONS, type Decisions } from '../../src/model/school.ts';
import { JOINT_CONDITIONS, WAYS_TO_GET, type FindingKind } from '../../src/model/workpiece.ts';
import { MATERIALS } from '../../src/model/material.ts';
import { createSeededRandom, pickOne, type RandomSource } from '../../src/numeric/seededRandom.ts';
import { addWaysOfKind } from '../../src/assembly/usualWays.ts';
import { chooseOpening } from '../../src/opening/chooseOpening.ts';
import { standAsFound } from '../../src/facts/listJoints.ts';
import { findNewPart } from '../../src/facts/findNewPart.ts';
import { NOTHING_DONE } from '../../src/facts/selectPartDone.ts';
import type { KnownJoint, PlanPart, SpecimenFacts } from '../../src/facts/specimenFacts.ts';
import type { PlanInput } from '../../src/compile/planTypes.ts';
import { createOpeningQuestion } from '../../src/opening/openingQuestion.ts';
import { makePart, makeFinding, makeWant, makeCoat, makeWay } from './planWorld.ts';

const FINDINGS: readonly FindingKind[] = [
  'chips',
  'rust',
  'bent',
  'cracked',
  'broken',
  'pitted',
  'pest',
  'scuffed',
  'earlier repair',
  'seized',
  'smell',
  'overpaint',
];
const KINDS: readonly JointKind[] = [
  'rivet post',
  'screw',
  'bent tab',
  'formed axle',
  'snap',
  'glue',
  'solder',
  'peened pin',
  'sprung pin',
  'push fit',
];

/** A random survey of a random model under random schools, with the opening that assembly chooses. */
export function createRandomPlanInput(seed: number): PlanInput {
  return chooseFor(createRandomFacts(seed));
}

/** The facts with the opening that is chosen from them. */
export function chooseFor({ joints, ...facts }: SpecimenFacts): PlanInput {
  const { opening, closed } = chooseOpening(createOpeningQuestion({ joints, ...facts }));
  return { ...facts, opening, closed };
}

/** What is known of a random model before its opening is chosen. */
export function createRandomFacts(seed: number): SpecimenFacts {
  const random = createSeededRandom(seed);
  // Of their own, so that the rest of a world stays what it was.
  const [finder, late] = [createSeededRandom(seed + 0.25), createSeededRandom(seed + 0.75)];
  const parts = [
    createRandomPart('body', 'body', random),
    createRandomPart('base', 'base', random),
    ...(['glazing', 'interior', 'mechanism', 'trim', 'load', 'wheel', 'tyre', 'axle'] as const)
      .filter(() => random() < 0.6)
      .map((role) => createRandomPart(role, role, random)),
  ].map((part) => findMore(part, late));
  const joints = Array.from({ length: Math.floor(random() * 6) }, (_, i): KnownJoint => {
    const wish = random() < 0.15 ? pickOne(['open', 'closed'] as const, random) : undefined;
    const other = pickOne(parts.slice(1), random);
    const condition = finder() < 0.2 ? pickOne(JOINT_CONDITIONS, finder) : null;
    const kind: JointKind = other.role === 'axle' && random() < 0.7 ? 'formed axle' : pickOne(KINDS, random);
    const joint = {
      key: `j${i}`,
      label: `joint ${i}`,
      kind,
      partKeys: ['body', other.key],
      // Only earlier joints stand in the way, so no ring arises.
      ways: addWaysOfKind(kind, [
        makeWay({
          tool: pickOne(['hand', 'drill', 'rotary', 'iron'] as const, random),
          destroys: random() < 0.4 ? 'it' : '',
          behindJoints: i > 0 && random() < 0.4 ? [`j${Math.floor(random() * i)}`] : [],
        }),
      ]),
      ...(wish ? { wish } : {}),
    };
    return condition ? { ...joint, ...standAsFound(joint.ways, condition) } : joint;
  });
  const decisions = createRandomDecisions(random, late);
  const turns = createSeededRandom(seed + 0.9);
  const isPowder = decisions.S6 === 'powder';
  const ordered = isPowder ? parts : parts.map((part) => orderAtRandom(part, turns));
  return {
    ...{ scope: random() < 0.1 ? 'clean only' : 'full', parts: ordered, joints, decisions, reasons: {} },
    hasSecondWheels: true,
    sessionMin: pickOne([60, 90, 120, 180], createSeededRandom(seed + 0.5)),
  };
}

/** Its colours in some order that a restorer might choose: hidden faces first. */
function orderAtRandom(part: PlanPart, turns: RandomSource): PlanPart {
  const colours = part.coats.filter(({ kind, areaKind }) => kind === 'colour' && areaKind !== 'inside');
  const seen = [...new Set(colours.map(({ areaName }) => areaName))].filter(() => turns() < 0.8);
  if (seen.length < 2 || !seen.includes('outside')) return part;
  const shuffled = seen.map((name) => ({ name, at: turns() })).sort((a, b) => a.at - b.at);
  const hidden = part.coats.some(({ areaName }) => areaName === 'inside') ? ['inside'] : [];
  return { ...part, colourOrder: [...hidden, ...shuffled.map(({ name }) => name)], isUsualOrder: turns() < 0.5 };
}

/** Features that are gone, holes drilled wrong, twists, and pieces that are wanted. */
function findMore(part: PlanPart, late: RandomSource): PlanPart {
  if (late() > 0.12) return part;
  const feature = pickOne(['pillar', 'hook', 'rear post'] as const, late);
  const kinds = ['missing', 'broken', 'over-drilled', 'off-centre', 'slanted'] as const;
  const kind = part.role === 'body' && late() < 0.5 ? 'twisted' : pickOne(kinds, late);
  const finding = makeFinding(kind, {
    ...{ feature, severity: pickOne([1, 2, 3], late), mend: pickOne([null, null, 'gel', 'new piece'] as const, late) },
    carriesLoad: pickOne([null, true, false], late),
  });
  const piece = makeWant(`${part.key}-piece`, {
    kind: 'feature',
    feature,
    what: feature,
    getBy: pickOne(WAYS_TO_GET, late),
  });
  return { ...part, findings: [...part.findings, finding], wants: [...part.wants, ...(late() < 0.5 ? [piece] : [])] };
}

const createRandomDecisions = (random: RandomSource, late: RandomSource): Decisions =>
  Object.fromEntries(
    SCHOOL_KEYS.map((key) => ({ key, from: key === 'S24' ? late : random }))
      .filter(({ from }) => from() < 0.3)
      .map(({ key, from }) => [key, pickOne(SCHOOL_OPTIONS[key] as readonly string[], from)]),
  ) as Decisions;

function createRandomPart(key: string, role: PlanPart['role'], random: RandomSource): PlanPart {
  const planned = random() < 0.6;
  const colourHex = pickOne(['#6a2330', '#222222', '#e6d9b4'], random);
  const coats = planned
    ? [
        makeCoat('primer'),
        makeCoat('colour', { colourHex }),
        ...(random() < 0.3 ? [makeCoat('colour', { areaKind: 'inside', areaName: 'inside' })] : []),
        ...(random() < 0.3 ? [makeCoat('colour', { areaKind: 'mask', areaName: 'stripe' })] : []),
        ...(random() < 0.15
          ? [makeCoat('colour', { areaKind: 'mask', areaName: 'band', name: 'cream', colourHex: '#e6d9b4' })]
          : []),
        ...(random() < 0.1 ? [makeCoat('clear')] : []),
        ...(random() < 0.3 ? [makeCoat('decal', { crossesSeam: random() < 0.5 })] : []),
        ...(random() < 0.1 ? [makeCoat('decal', { name: 'a second decal' })] : []),
        ...(random() < 0.3
          ? [
              makeCoat('brightwork', {
                areaKind: 'mask',
                areaName: 'grille',
                dries:
                  random() < 0.5
                    ? { flashMin: 5, recoatMin: 30, betweenMin: 30, cureMin: random() < 0.5 ? 4320 : 60 }
                    : null,
              }),
            ]
          : []),
      ]
    : [];
  const isPainted = random() < 0.5;
  const rejected = coats.length > 0 && random() < 0.15;
  const state = pickOne(['sound', 'worn', 'damaged', 'missing'] as const, random);
  const findings = FINDINGS.filter(() => random() < 0.12).map((kind) =>
    makeFinding(kind, { severity: 1 + Math.floor(random() * 3), degrees: random() < 0.5 ? random() * 8 : null }),
  );
  const wants =
    random() < 0.2
      ? [
          makeWant(`${key}-want`, {
            what: `a ${key}`,
            state: pickOne(['open', 'ordered', 'solved', 'waived'] as const, random),
          }),
        ]
      : [];
  // A new part wears no old paint.
  const painted =
    isPainted &&
    !findNewPart(
      { state },
      wants.map((want) => ({ ...want, origin: null })),
    );
  return makePart(key, {
    ...{ role, state, findings, wants },
    done: rejected
      ? {
          ...NOTHING_DONE,
          finish: 'sprayed',
          rejected: [
            {
              ...{ layerId: `${key}-1`, areaName: 'outside', kind: 'colour', name: 'colour', because: 'runs' },
              isOff: random() < 0.5,
            },
          ],
        }
      : NOTHING_DONE,
    material: random() < 0.5 ? (role === 'axle' ? 'steel' : 'zinc alloy') : pickOne(MATERIALS, random),
    painted,
    found: painted
      ? [...(random() < 0.4 ? (['primer'] as const) : []), 'colour', ...(random() < 0.2 ? (['filler'] as const) : [])]
      : [],
    coats,
  });
}
