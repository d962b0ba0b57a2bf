import type { JointKind, JointWay } from '../../src/model/catalogue.ts';
import type { LoggedWork, Task, TaskLog } from '../../src/model/task.ts';
import { createTaskKey, type TaskAct } from '../../src/model/taskActs.ts';
import type { Timer } from '../../src/model/work.ts';
import { type FindingKind } from '../../src/model/workpiece.ts';
import { addWaysOfKind } from '../../src/assembly/usualWays.ts';
import { chooseOption } from '../../src/schools/schools.ts';
import { findNewPart } from '../../src/facts/findNewPart.ts';
import { NOTHING_DONE } from '../../src/facts/selectPartDone.ts';
import type { PlanCoat, PlanFinding, PlanJoint, PlanPart, PlanWant } from '../../src/facts/specimenFacts.ts';
import type { PlanInput } from '../../src/compile/planTypes.ts';
import { describeTask } from '../../src/words/taskWords.ts';
import { createPlanContext } from '../../src/compile/planContext.ts';
import { PLAN_RULES } from '../../src/compile/rules/planRules.ts';

export const makePart = (key: string, changes: Partial<PlanPart> = {}): PlanPart => ({
  key,
  name: key,
  role: 'body',
  material: 'zinc alloy',
  materialCertainty: 'sure',
  state: 'sound',
  painted: false,
  found: changes.painted ? ['colour'] : [],
  foundColour: null,
  coats: [],
  findings: [],
  wants: [],
  isKept: false,
  leftOff: [],
  colourOrder: [],
  isUsualOrder: true,
  newPart: findNewPart(
    { state: changes.state ?? 'sound' },
    (changes.wants ?? []).map((want) => ({ ...want, origin: null })),
  ),
  done: NOTHING_DONE,
  ...changes,
});

export const makeFinding = (kind: FindingKind, changes: Partial<PlanFinding> = {}): PlanFinding => ({
  id: kind,
  kind,
  feature: '',
  severity: 2,
  note: '',
  degrees: null,
  carriesLoad: null,
  mend: null,
  ...changes,
});

export const makeWant = (id: string, changes: Partial<PlanWant> = {}): PlanWant => ({
  id,
  kind: 'part',
  feature: '',
  what: `a ${id}`,
  getBy: null,
  state: 'open',
  bits: [],
  dueOn: null,
  ...changes,
});

/** What every rule asks for, with its words, before anything is put in order. */
export const createTasks = (input: PlanInput) => {
  const context = createPlanContext(input);
  return PLAN_RULES.flatMap((rule) => rule.create(context)).map((draft) => ({
    ...draft,
    key: createTaskKey(draft.act, draft.partKeys, draft.of ?? {}),
    ...describeTask(draft, context),
  }));
};

export const makeCoat = (kind: PlanCoat['kind'], changes: Partial<PlanCoat> = {}): PlanCoat => ({
  areaKind: 'outside',
  areaName: 'outside',
  crossesSeam: false,
  kind,
  name: kind,
  colourHex: '#6a2330',
  coats: 1,
  dries: null,
  pour: null,
  hasArtwork: false,
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

/** Opened as the schools answer, where they speak of such a joint and something is destroyed. */
export function openAsDecided(input: PlanInput): PlanInput {
  const opening = input.opening.map((joint) => {
    const way = addWaysOfKind(joint.kind, [joint.way]).find(
      ({ school }) => school && chooseOption(school.key, input.decisions) === school.option,
    );
    return way ? { ...joint, way } : joint;
  });
  return { ...input, opening };
}

export const makeTask = (key: string, changes: Partial<Task> = {}): Task => ({
  id: `s.${key}`,
  version: 1,
  jobId: 'job',
  specimenId: 's',
  key,
  act: key.split(/[:#]/)[0] as TaskAct,
  of: {},
  rule: 'test',
  method: null,
  process: null,
  way: null,
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
  colours: [],
  needs: { tools: [], booth: false, bath: null, stays: false, air: null },
  uses: [],
  after: [],
  state: 'to do',
  doneAt: null,
  lookedAt: null,
  ...changes,
});

/** An entry of a log about such a task. */
export const makeLog = (
  task: Task,
  act: TaskLog['act'],
  {
    at = '2026-01-01T10:00:00Z',
    note = '',
    who = 'Osric Bell',
    seq = 1,
    ...work
  }: Partial<Omit<TaskLog, 'act' | 'work'> & Omit<LoggedWork, 'act'>> = {},
): TaskLog => ({
  ...{ id: `${task.id}.${act}.${at}`, taskId: task.id, jobId: task.jobId, seq, who, at, act, note },
  work: { ...task, partNames: task.partKeys, products: [], measures: [], ...work },
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
  return openAsDecided({
    scope: 'full',
    decisions: {},
    reasons: {},
    hasSecondWheels: true,
    sessionMin: 120,
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
  });
}
