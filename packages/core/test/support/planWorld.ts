import type { JointKind, JointWay } from '../../src/model/catalogue.ts';
import type { Task, Timer } from '../../src/model/work.ts';
import type { FindingKind } from '../../src/model/workpiece.ts';
import { MATERIALS } from '../../src/model/material.ts';
import { createSeededRandom, pickOne, type RandomSource } from '../../src/numeric/seededRandom.ts';
import { chooseOpening } from '../../src/plan/chooseOpening.ts';
import type {
  KnownJoint,
  OpeningQuestion,
  PlanCoat,
  PlanInput,
  PlanJoint,
  PlanPart,
} from '../../src/plan/planTypes.ts';
import { SCHOOLS } from '../../src/plan/schools.ts';

export const makePart = (key: string, changes: Partial<PlanPart> = {}): PlanPart => ({
  key,
  name: key,
  role: 'body',
  material: 'zinc alloy',
  materialCertainty: 'sure',
  state: 'sound',
  painted: false,
  foundColour: null,
  coats: [],
  findings: [],
  wants: [],
  ...changes,
});

export const makeCoat = (kind: PlanCoat['kind'], changes: Partial<PlanCoat> = {}): PlanCoat => ({
  areaKind: 'outside',
  areaName: 'outside',
  crossesSeam: false,
  kind,
  name: kind,
  colourHex: '#6a2330',
  ...changes,
});

export const makeWay = (changes: Partial<JointWay> = {}): JointWay => ({
  key: 'way',
  label: 'Open',
  tool: 'hand',
  minutes: 5,
  risk: 0.05,
  destroys: '',
  behindJoints: [],
  ...changes,
});

export const makeJoint = (
  key: string,
  kind: JointKind,
  partKeys: readonly string[],
  way: Partial<JointWay> = {},
): PlanJoint => ({
  key,
  label: key,
  kind,
  partKeys,
  way: makeWay(way),
});

export const makeTask = (key: string, changes: Partial<Task> = {}): Task => ({
  id: `s.${key}`,
  version: 1,
  jobId: 'job',
  specimenId: 's',
  key,
  seq: 0,
  station: 'strip',
  title: key,
  how: '',
  partKeys: [],
  tags: [],
  hazards: [],
  irreversible: false,
  cannotBeUndone: '',
  handsOnMin: 5,
  watchedMin: 0,
  passiveMin: 0,
  because: '',
  after: [],
  state: 'to do',
  ...changes,
});

export const makeTimer = (changes: Partial<Timer> = {}): Timer => ({
  id: 't',
  version: 1,
  jobId: 'job',
  taskId: null,
  label: 'clock',
  kind: 'bath',
  startedAt: '2026-01-01T10:00:00Z',
  endsAt: '2026-01-01T11:00:00Z',
  acknowledgedAt: null,
  ...changes,
});

/** A plain painted model: body, base, glazing, wheels and axles, two posts, finished in one colour. */
export function createPlainModel(changes: Partial<PlanInput> = {}): PlanInput {
  const coats = [makeCoat('primer'), makeCoat('colour')];
  return {
    scope: 'full',
    decisions: {},
    parts: [
      makePart('body', { painted: true, coats }),
      makePart('base', { role: 'base', painted: true, coats }),
      makePart('glazing', { role: 'glazing', material: 'clear styrene' }),
      makePart('wheels', { role: 'wheel', material: 'hard plastic' }),
      makePart('axles', { role: 'axle', material: 'steel' }),
    ],
    opening: [
      makeJoint('front-post', 'rivet post', ['body', 'base'], { tool: 'drill', destroys: 'the rivet head' }),
      makeJoint('axle-ends', 'formed axle', ['axles', 'wheels'], { tool: 'rotary', destroys: 'one head' }),
      makeJoint('glazing', 'push fit', ['body', 'glazing'], { behindJoints: ['front-post'] }),
    ],
    closed: [],
    ...changes,
  };
}

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
  const question = createRandomQuestion(seed);
  const { opening, closed } = chooseOpening(question);
  return { scope: question.scope, parts: question.parts, decisions: question.decisions, opening, closed };
}

/** What is known of a random model before its opening is chosen. */
export function createRandomQuestion(seed: number): OpeningQuestion {
  const random = createSeededRandom(seed);
  const parts = [
    createRandomPart('body', 'body', random),
    createRandomPart('base', 'base', random),
    ...(['glazing', 'interior', 'mechanism', 'trim', 'load', 'wheel', 'tyre', 'axle'] as const)
      .filter(() => random() < 0.6)
      .map((role) => createRandomPart(role, role, random)),
  ];
  const keys = parts.map((part) => part.key);
  const joints = Array.from({ length: Math.floor(random() * 6) }, (_, i): KnownJoint => {
    const wish = random() < 0.15 ? pickOne(['open', 'closed'] as const, random) : undefined;
    return {
      key: `j${i}`,
      label: `joint ${i}`,
      kind: pickOne(KINDS, random),
      partKeys: [keys[0]!, pickOne(keys.slice(1), random)],
      // Only earlier joints stand in the way, so no ring arises.
      ways: [
        makeWay({
          tool: pickOne(['hand', 'drill', 'rotary', 'iron'] as const, random),
          destroys: random() < 0.4 ? 'it' : '',
          behindJoints: i > 0 && random() < 0.4 ? [`j${Math.floor(random() * i)}`] : [],
        }),
      ],
      ...(wish ? { wish } : {}),
    };
  });
  const decisions = Object.fromEntries(
    SCHOOLS.filter(() => random() < 0.3).map((school) => [school.key, pickOne(school.options, random)]),
  );
  return { scope: random() < 0.1 ? 'clean only' : 'full', parts, joints, decisions };
}

function createRandomPart(key: string, role: PlanPart['role'], random: RandomSource): PlanPart {
  const planned = random() < 0.6;
  const colourHex = pickOne(['#6a2330', '#222222', '#e6d9b4'], random);
  const coats = planned
    ? [
        makeCoat('primer'),
        makeCoat('colour', { colourHex }),
        ...(random() < 0.3 ? [makeCoat('colour', { areaKind: 'inside', areaName: 'inside' })] : []),
        ...(random() < 0.3 ? [makeCoat('colour', { areaKind: 'mask', areaName: 'stripe' })] : []),
        ...(random() < 0.3 ? [makeCoat('decal', { crossesSeam: random() < 0.5 })] : []),
        ...(random() < 0.3
          ? [
              makeCoat('brightwork', {
                areaKind: 'mask',
                areaName: 'grille',
                name: random() < 0.5 ? 'Chrome ink' : 'Dull silver',
              }),
            ]
          : []),
      ]
    : [];
  return makePart(key, {
    role,
    material: random() < 0.5 ? 'zinc alloy' : pickOne(MATERIALS, random),
    state: pickOne(['sound', 'worn', 'damaged', 'missing'] as const, random),
    painted: random() < 0.5,
    coats,
    findings: FINDINGS.filter(() => random() < 0.12).map((kind) => ({ kind, severity: 2, note: '' })),
    wants:
      random() < 0.2
        ? [
            {
              id: `${key}-want`,
              what: `a ${key}`,
              state: pickOne(['open', 'ordered', 'solved', 'waived'] as const, random),
            },
          ]
        : [],
  });
}
