import { expect } from 'chai';
import { makeCoat, makeFinding, makePart, makeWant } from '../../test/support/planWorld.ts';
import { chooseFor, createRandomFacts } from '../../test/support/randomPlanWorld.ts';
import { addWaysOfKind } from '../assembly/usualWays.ts';
import { compilePlan } from '../compile/compilePlan.ts';
import type { SpecimenFacts } from '../facts/specimenFacts.ts';
import type { Decisions } from '../model/school.ts';
import { SCHOOLS } from './schools.ts';

/** A model on which every school has something to say. */
function createQuestion(decisions: Decisions): SpecimenFacts {
  const base = createRandomFacts(3);
  const coats = [
    makeCoat('primer'),
    makeCoat('colour'),
    makeCoat('colour', { areaKind: 'mask', areaName: 'roof', name: 'cream', colourHex: '#e6d9b4' }),
    makeCoat('colour', { areaKind: 'mask', areaName: 'line', name: 'black', colourHex: '#111111' }),
    makeCoat('decal', { areaName: 'crest' }),
    makeCoat('brightwork', { areaKind: 'mask', areaName: 'grille', name: 'Silver', dries: null }),
  ];
  const way = {
    key: 'w',
    label: 'Drill',
    tool: 'drill' as const,
    minutes: 9,
    risk: 0.05,
    destroys: 'head',
    behindJoints: [],
  };
  return {
    ...base,
    scope: 'full',
    decisions,
    parts: [
      makePart('body', {
        painted: true,
        coats,
        findings: [makeFinding('bent', { degrees: 1 }), makeFinding('pitted')],
      }),
      makePart('base', {
        role: 'base',
        painted: true,
        coats: [makeCoat('primer'), makeCoat('colour')],
        findings: [makeFinding('cracked')],
      }),
      makePart('plain', { role: 'trim', painted: true, coats: [makeCoat('primer'), makeCoat('colour')] }),
      makePart('old', { role: 'trim', painted: true, found: ['colour', 'colour'] }),
      makePart('door', { role: 'trim', state: 'missing', wants: [makeWant('door')] }),
      makePart('glazing', { role: 'glazing', material: 'clear styrene' }),
      makePart('seat', { role: 'interior', material: 'hard plastic', painted: true, coats: [makeCoat('colour')] }),
      makePart('wheels', { role: 'wheel', material: 'hard plastic', findings: [makeFinding('chips')] }),
      makePart('axles', { role: 'axle', material: 'steel' }),
    ],
    joints: [
      {
        key: 'post',
        label: 'post',
        kind: 'rivet post',
        partKeys: ['body', 'base'],
        ways: addWaysOfKind('rivet post', [way]),
      },
      {
        key: 'rear',
        label: 'rear',
        kind: 'rivet post',
        partKeys: ['body', 'base'],
        ways: addWaysOfKind('rivet post', [way]),
      },
      {
        key: 'ends',
        label: 'ends',
        kind: 'formed axle',
        partKeys: ['base', 'axles', 'wheels'],
        ways: addWaysOfKind('formed axle', [
          { ...way, key: 'grind', tool: 'rotary', school: { key: 'S4', option: 'grind one head' } },
          { ...way, key: 'cut', label: 'Cut', tool: 'rotary', school: { key: 'S4', option: 'cut through' } },
        ]),
      },
    ],
  };
}

/** What is done and how; not the reasons, which name every answer, nor the answer itself. */
const planFor = (decisions: Decisions, scope: 'full' | 'clean only' = 'full') => {
  const plan = compilePlan(chooseFor({ ...createQuestion(decisions), scope }));
  if (plan.kind !== 'plan') return plan.because;
  const tasks = plan.tasks.map((task) => ({
    ...task,
    because: task.because.match(/Not [^:]+: [^.]+/g) ?? [],
    method: '',
    order: task.after.map(({ key }) => key),
  }));
  return JSON.stringify([tasks.map(({ after: _, ...task }) => task), plan.notices]);
};

describe('schools', () => {
  for (const { key, options, question } of SCHOOLS)
    it(`${key}, ${question}: each of its ${options.length} answers makes another plan`, () => {
      const scope = key === 'S23' ? 'clean only' : 'full';
      const plans = options.map((option) => planFor({ [key]: option }, scope));
      expect(new Set(plans).size).equal(options.length);
      // Codes are ours: the school is told by its question or by what is done.
      for (const plan of plans) expect(plan).not.match(/\([ONS]\d+\)/);
    });

  it('gives the job’s own reason before the house’s', () => {
    const reasons = { S11: { whose: 'job' as const, reason: 'the owner waits anyway' } };
    const plan = compilePlan({ ...chooseFor(createQuestion({ S11: 'mild slow' })), reasons });
    if (plan.kind !== 'plan') throw new Error(plan.because);
    expect(plan.tasks.find((task) => task.key === 'strip:body')!.because).include(
      'mild slow. On this job, the owner waits anyway.',
    );
  });
});
