import { expect } from 'chai';
import { compilePlan } from '../../src/compile/compilePlan.ts';
import type { PlanInput, PlannedTask } from '../../src/compile/planTypes.ts';
import { makeCoat, makeFinding, makeJoint, makePart, makeWant, openAsDecided } from './planWorld.ts';

const trim = (areaName: string, name: string, colourHex: string) =>
  makeCoat('colour', { areaKind: 'mask', areaName, name, colourHex });

/** A lorry with everything in it: two painted halves, a spring under the seat, three colours, a decal over the seam. */
export function createLorry(changes: Partial<PlanInput> = {}): PlanInput {
  const coats = [
    makeCoat('primer', { name: 'grey primer' }),
    makeCoat('colour', { name: 'maroon', colourHex: '#6a2330' }),
    makeCoat('colour', { name: 'maroon', colourHex: '#6a2330', areaKind: 'inside', areaName: 'inside' }),
    trim('line', 'black', '#101010'),
    trim('roof', 'cream', '#efe3c0'),
    makeCoat('decal', { name: 'crest', areaName: 'doors', crossesSeam: true }),
    makeCoat('brightwork', { name: 'chrome', areaKind: 'mask', areaName: 'grille', dries: SLOW }),
  ];
  return openAsDecided({
    scope: 'full',
    decisions: {},
    reasons: {},
    hasSecondWheels: true,
    sessionMin: 180,
    parts: [
      makePart('body', {
        painted: true,
        coats,
        findings: [makeFinding('bent', { degrees: 2 }), makeFinding('cracked'), makeFinding('pitted')],
      }),
      makePart('base', {
        role: 'base',
        painted: true,
        coats: [
          makeCoat('primer', { name: 'grey primer' }),
          makeCoat('colour', { name: 'black', colourHex: '#101010' }),
        ],
      }),
      makePart('glazing', { role: 'glazing', material: 'clear styrene' }),
      makePart('seat', {
        role: 'interior',
        material: 'hard plastic',
        painted: true,
        coats: [makeCoat('colour', { name: 'maroon' })],
      }),
      makePart('spring', { role: 'mechanism', material: 'steel' }),
      makePart('wheels', { role: 'wheel', material: 'hard plastic' }),
      makePart('axles', { role: 'axle', material: 'steel', findings: [makeFinding('seized')] }),
      makePart('crane', { role: 'trim', state: 'missing', wants: [makeWant('crane')] }),
    ],
    opening: [
      makeJoint('post', 'rivet post', ['body', 'base'], { tool: 'drill', destroys: 'the rivet head' }),
      makeJoint('ends', 'formed axle', ['base', 'axles', 'wheels'], { tool: 'rotary', destroys: 'one head' }),
      makeJoint('tabs', 'bent tab', ['base', 'spring']),
      makeJoint('window', 'push fit', ['body', 'glazing'], { behindJoints: ['post'] }),
      makeJoint('bench', 'push fit', ['body', 'seat'], { behindJoints: ['post'] }),
    ],
    closed: [],
    ...changes,
  });
}
const SLOW = { flashMin: 5, recoatMin: 60, betweenMin: 60, cureMin: 4320 };

export function planOf(input: PlanInput): readonly PlannedTask[] {
  const plan = compilePlan(input);
  if (plan.kind === 'contradiction') throw new Error(plan.because);
  return plan.tasks;
}

/** "strip body": that act on that part, joint, want or area; a plain act is every step of it. */
export function select(tasks: readonly PlannedTask[], words: string): readonly PlannedTask[] {
  const [act, ...what] = words.split(' ');
  return tasks.filter(
    (task) =>
      task.act === act &&
      what.every((one) =>
        [task.partKeys[0], task.of.jointKey, task.of.wantId, task.of.area, task.of.colour, task.of.jointKind].includes(
          one,
        ),
      ),
  );
}

/** Everything a task waits for, near and far. */
function waitedFor(tasks: readonly PlannedTask[], { after }: PlannedTask, seen = new Set<string>()): Set<string> {
  for (const { key } of after)
    if (!seen.has(key))
      waitedFor(
        tasks,
        tasks.find((task) => task.key === key)!,
        seen.add(key),
      );
  return seen;
}

export function expectOrder(tasks: readonly PlannedTask[], first: string, then: string): void {
  const [before, after] = [select(tasks, first), select(tasks, then)];
  expect(before, `no step "${first}"`).not.empty;
  expect(after, `no step "${then}"`).not.empty;
  for (const late of after) {
    const waits = waitedFor(tasks, late);
    for (const early of before) expect(waits.has(early.key), `${early.key} before ${late.key}`).equal(true);
  }
}

export function expectFree(tasks: readonly PlannedTask[], first: string, then: string): void {
  for (const late of select(tasks, then))
    for (const early of select(tasks, first))
      expect(waitedFor(tasks, late).has(early.key), `${early.key} need not be before ${late.key}`).equal(false);
}
