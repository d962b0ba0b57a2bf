import { createHash } from 'node:crypto';
import { join } from 'node:path';
import { compilePlan } from '../src/compile/compilePlan.ts';
import { explainChange } from '../src/compile/explainChange.ts';
import type { PlanInput } from '../src/compile/planTypes.ts';
import { describePieces } from '../src/facts/describePieces.ts';
import { listCoatsOn } from '../src/gates/coatsOfTask.ts';
import { findCoatTask } from '../src/gates/findCoatTask.ts';
import { checkDone } from '../src/gates/checkDone.ts';
import { checkSignOff } from '../src/gates/checkSignOff.ts';
import { checkStart } from '../src/gates/checkStart.ts';
import { checkTools } from '../src/gates/checkTools.ts';
import { MATERIALS } from '../src/model/material.ts';
import { PROCESSES, TREATED_MATERIALS } from '../src/model/process.ts';
import type { Timer } from '../src/model/work.ts';
import type { Tool } from '../src/model/workshop.ts';
import { createSeededRandom, pickOne } from '../src/numeric/seededRandom.ts';
import { chooseOpening } from '../src/opening/chooseOpening.ts';
import { compareAlternatives, explainJoints } from '../src/opening/explainOpening.ts';
import { createOpeningQuestion, type OpeningQuestion } from '../src/opening/openingQuestion.ts';
import { chooseMend, DAMAGES } from '../src/process/chooseMend.ts';
import { chooseStripping } from '../src/process/chooseStripping.ts';
import { judgePart } from '../src/process/judgePart.ts';
import { planStraightening } from '../src/process/planStraightening.ts';
import { SCHOOL_OPTIONS } from '../src/model/school.ts';
import { selectNextTask } from '../src/schedule/selectNextTask.ts';
import { listSupplies } from '../src/supply/listSupplies.ts';
import { expectApproved } from './support/expectApproved.ts';
import { makeTask, makeTimer } from './support/planWorld.ts';
import { createRandomFacts, createRandomPlanInput } from './support/randomPlanWorld.ts';

/*
 * Far more worlds than anybody reads: of each only a sum of its answers is kept. A sum that changes says that some answer did;
 * which one is seen by writing out that world beside the ones that are kept in words (approvedTasks, approvedAdvice).
 */
const sum = (answer: unknown) => createHash('sha256').update(JSON.stringify(answer)).digest('hex').slice(0, 12);
const FOLDER = join(import.meta.dirname, 'approved');
const both = [false, true] as const;

describe('sums of answers, as they were approved', () => {
  it('of whole plans', () => {
    const plans = Array.from({ length: 450 }, (_, i) => {
      const input = i < 300 ? createRandomPlanInput(1000 + i) : beginWork(createRandomPlanInput(1000 + i), i);
      const plan = compilePlan(input);
      if (plan.kind !== 'plan') return sum(plan);
      const tasks = plan.tasks.map((task) => ({ ...task, id: task.key, irreversible: task.cannotBeUndone !== '' }));
      const before = createRandomPlanInput(1000 + i);
      return sum([
        plan,
        explainChange(before, input),
        explainChange(input, before),
        listSupplies([{ open: tasks, parts: input.parts }], new Date('2026-11-25T18:30:00Z'), input.sessionMin),
      ]);
    });
    expectApproved(join(FOLDER, 'sums-plans.txt'), plans.join('\n'));
  });

  it('of openings, with reasons, pieces and what else could be done', () => {
    const openings = Array.from({ length: 200 }, (_, i) => {
      const question = openSome(createOpeningQuestion(createRandomFacts(2000 + i)), i);
      const chosen = chooseOpening(question);
      const pieces = describePieces(question.parts, chosen.closed);
      return sum([
        ...[chosen.opening, chosen.closed, explainJoints(question, chosen), compareAlternatives(question, chosen)],
        ...[pieces.masked, question.parts.map(({ key }) => pieces.neighboursOf(key))],
      ]);
    });
    expectApproved(join(FOLDER, 'sums-openings.txt'), openings.join('\n'));
  });

  it('of gates, in rooms where other things go on', () => {
    const rooms = Array.from({ length: 120 }, (_, i) => sum(askGates(i + 1)));
    expectApproved(join(FOLDER, 'sums-gates.txt'), rooms.join('\n'));
  });

  it('of what two materials stand together', () => {
    const pairs = TREATED_MATERIALS.map((one) =>
      sum(
        TREATED_MATERIALS.flatMap((other) =>
          PROCESSES.map((process) => [judgePart([one, other], process), judgePart([one, other], process, { atC: 61 })]),
        ),
      ),
    );
    const ways = MATERIALS.map((one) =>
      sum(
        MATERIALS.flatMap((other) => [
          ...both.flatMap((isJoined) => [
            ...SCHOOL_OPTIONS.S11.map((school) => chooseStripping({ materials: [one, other], school, isJoined })),
            ...[null, 0.4, 1, 1.9, 2, 2.1, 6, 20].flatMap((degrees) =>
              both.map((isCold) => planStraightening({ materials: [one, other], degrees, isJoined, isCold })),
            ),
          ]),
          ...DAMAGES.flatMap((damage) =>
            SCHOOL_OPTIONS.S16.flatMap((school) =>
              both.flatMap((carriesLoad) =>
                both.flatMap((isReached) =>
                  both.map((isBakedLater) =>
                    chooseMend({
                      ...{ materials: [one, other], damage, carriesLoad, isReached, isJoined: isReached },
                      ...{ isBakedLater, keepsPaint: carriesLoad, school, hasPiece: isReached, chosen: null },
                    }),
                  ),
                ),
              ),
            ),
          ),
        ]),
      ),
    );
    expectApproved(join(FOLDER, 'sums-processes.txt'), [...pairs, '', ...ways].join('\n'));
  });
});

/** Some parts are stripped, mended, or carry some of their coats. */
function beginWork(input: PlanInput, seed: number): PlanInput {
  const random = createSeededRandom(seed);
  const parts = input.parts.map((part) => ({
    ...part,
    done: {
      ...part.done,
      stripped: part.painted && random() < 0.4 ? pickOne(['gel', 'caustic', 'blast'] as const, random) : null,
      isMended: random() < 0.3,
      coatsOn: part.coats.filter(() => random() < 0.4).map(({ areaName, kind }) => ({ areaName, kind })),
      finish: random() < 0.2 ? pickOne(['sprayed', 'powdered'] as const, random) : part.done.finish,
    },
  }));
  return { ...input, parts };
}

/** Some joints are open already, and the house leaves axles in or never opens posts. */
function openSome(question: OpeningQuestion, seed: number): OpeningQuestion {
  const random = createSeededRandom(seed);
  const joints = question.joints.map((joint) => (random() < 0.15 ? { ...joint, openedBy: joint.ways[0]!.key } : joint));
  const S4 = pickOne(SCHOOL_OPTIONS.S4, random);
  return { ...question, joints, decisions: random() < 0.5 ? { ...question.decisions, S4 } : question.decisions };
}

/** What the gates say of every task of a plan whose work has begun anywhere, in a room with tools and clocks. */
function askGates(seed: number) {
  const random = createSeededRandom(seed);
  const input = createRandomPlanInput(3000 + seed);
  const plan = compilePlan(input);
  if (plan.kind !== 'plan') return plan.because;
  const now = new Date('2026-11-25T18:30:00Z');
  const ago = (minutes: number) => new Date(now.getTime() - minutes * 60_000).toISOString();
  const tasks = plan.tasks.map((task) => {
    const state = pickOne(['to do', 'to do', 'doing', 'done', 'done', 'not needed', 'set aside'] as const, random);
    const isDone = state === 'done';
    return makeTask(task.key, {
      ...task,
      ...{ id: `s.${task.key}`, state },
      doneAt: isDone ? ago(Math.floor(3000 * random() ** 3)) : null,
      lookedAt: isDone && random() < 0.2 ? ago(0) : null,
    });
  });
  const kinds = ['bath', 'vapour', 'flash', 'soak', 'airing', 'cure'] as const;
  const timers = Array.from({ length: 2 }, (_, i): Timer =>
    makeTimer({
      ...{
        id: `t${i}`,
        kind: pickOne(kinds, random),
        startedAt: ago(90),
        endsAt: ago(Math.floor(100 * random()) - 50),
      },
      acknowledgedAt: random() < 0.3 ? ago(10) : null,
    }),
  );
  const toolKinds = ['airbrush', 'drill', 'press', 'tap', 'oven', 'rotary tool', 'other'] as const;
  const tools = toolKinds
    .filter(() => random() < 0.8)
    .map((kind): Tool => ({
      ...{ id: kind, version: 1, name: kind, kind, note: '' },
      state: pickOne(['ready', 'ready', 'needs cleaning', 'worn', 'lent', 'to be made'] as const, random),
      holds: kind === 'airbrush' ? pickOne(['', 'Maroon', 'colour', 'primer'], random) : '',
    }));
  const wants = plan.tasks.flatMap(({ of }) =>
    of.wantId === undefined
      ? []
      : [
          {
            ...{ id: of.wantId, specimenPartId: 's.body', what: of.wantId, reason: random() < 0.5 ? '' : 'why' },
            state: pickOne(['open', 'ordered', 'solved', 'waived'] as const, random),
            origin: random() < 0.5 ? null : ('donor' as const),
          },
        ],
  );
  const parts = input.parts.map(({ key, name }) => ({ id: `s.${key}`, key, name }));
  const areas = parts.flatMap(({ id }) =>
    (['outside', 'inside', 'mask'] as const).map((kind) => ({
      ...{ id: `${id}.${kind}`, specimenPartId: id, kind },
      name: kind === 'mask' ? 'roof' : kind,
    })),
  );
  const layers = areas.flatMap(({ id }) =>
    (['planned', 'applied'] as const).flatMap((stage) =>
      (['primer', 'colour', 'clear', 'brightwork', 'decal'] as const)
        .filter(() => random() < 0.35)
        .map((kind, seq) => ({
          ...{
            id: `${id}.${stage}.${kind}`,
            areaId: id,
            stage,
            kind,
            name: kind,
            seq,
            removedAt: null,
            keyedAt: null,
            coats: null,
            isMist: false,
          },
          rejection: random() < 0.15 ? { at: ago(9), by: 'Nell', because: 'it ran' } : null,
        })),
    ),
  );
  const evidence = {
    ...{ wants, parts, areas, layers, hasColour: random() < 0.5 },
    measures: (['length', 'diameter', 'over the wheels'] as const)
      .filter(() => random() < 0.7)
      .map((what) => ({ what, valueMm: 2 })),
    axles: { ends: 'cupped punch in a press' as const, count: 1, things: [], jobId: 'j', taskId: 't', shares: [] },
    photos: (['left', 'right', 'front', 'rear', 'top', 'base'] as const)
      .filter(() => random() < 0.6)
      .map((side) => ({ stage: pickOne(['before', 'after'] as const, random), side })),
    passes: tasks.slice(0, 8).map(({ id }) => ({ taskId: id, endedAt: random() < 0.5 ? null : ago(5) })),
  };
  return [
    tasks.map((task) => [
      checkStart(task, tasks, tasks, timers, now),
      checkTools(task, tools),
      checkDone(task, evidence),
      listCoatsOn(task, evidence),
    ]),
    checkSignOff(wants, tasks, now),
    selectNextTask(tasks, now),
    areas.flatMap(({ id }) =>
      (['primer', 'colour', 'clear'] as const).map(
        (kind) => findCoatTask(tasks, { areaId: id, kind, isMist: false }, evidence)?.key,
      ),
    ),
  ];
}
