import { compilePlan } from '@sardonyx/core';
import { ORDER_RULES } from '../packages/core/src/compile/orderRules.ts';
import { PLAN_RULES } from '../packages/core/src/compile/rules/planRules.ts';
import { createLargeModel } from '../packages/core/test/support/createLargeModel.ts';
import { findBrokenRules } from '../packages/core/test/support/findBrokenRules.ts';
import { findHarm } from '../packages/core/test/support/findHarm.ts';
import { findLostTasks } from '../packages/core/test/support/findLostTasks.ts';
import { findSparkBesideVapour } from '../packages/core/test/support/findSparkBesideVapour.ts';
import { findRewritten } from '../packages/core/test/support/findRewritten.ts';
import { createTestBench } from '../packages/server/test/support/createTestBench.ts';
import { comparePageWithServer } from '../packages/server/test/support/randomSpecimens.ts';
import { checkByNeeds } from '../packages/core/test/support/checkByNeeds.ts';
import { makeFinding } from '../packages/core/test/support/planWorld.ts';
import { chooseFor, createRandomPlanInput } from '../packages/core/test/support/randomPlanWorld.ts';
import { createStrangeFacts, STRANGE_WORLDS } from '../packages/core/test/support/strangeSurveys.ts';
import { median, type Topic } from './figure.ts';

const SURVEYS = 5000;
const STRANGE_SURVEYS = 5000;
const MODELS = 200;
const PARTS = 40;
const BEGUN_JOBS = 500;
const EDITS = 4;
const SPECIMENS = 1000;

export const planTopic: Topic = {
  names: [
    'plan.ruleViolations',
    'plan.crashes',
    'plan.slowestMs',
    'plan.rulesNeverFired',
    'plan.compile200Ms',
    'plan.recompileMs',
    'plan.doneRewritten',
    'plan.pageEqualsServer',
  ],
  measure: async () => {
    const { violations, silent, contradictions } = searchSurveys();
    const strange = searchStrangeWorlds();
    const { allMs, oneMs } = timeCompiling();
    const rewritten = Array.from({ length: BEGUN_JOBS }, (_, i) => findRewritten(i + 1, EDITS)).flat();
    const different = await comparePages();
    return [
      {
        name: 'plan.ruleViolations',
        value: violations.length + strange.violations.length,
        unit: '',
        goal: { kind: 'at most', value: 0 },
        yardstick: `${STRANGE_SURVEYS} surveys of strange worlds (${STRANGE_WORLDS.join(', ')}) by a checker that reads no table of the plan, and ${SURVEYS} random ones by its own order rules: harm by the table, bench hours, spark beside vapour, logged tasks; ${contradictions + strange.contradictions} were no plan, with the findings${sayFirst([...strange.violations, ...violations])}`,
      },
      {
        name: 'plan.crashes',
        value: strange.crashes.length,
        unit: '',
        goal: { kind: 'at most', value: 0 },
        yardstick: `of the strange surveys, opening and plan${sayFirst(strange.crashes)}`,
      },
      {
        name: 'plan.slowestMs',
        value: strange.slowestMs,
        unit: 'ms',
        goal: { kind: 'at most', value: 3000 },
        yardstick: `the slowest of them, opening chosen and plan compiled (${strange.slowest})`,
      },
      {
        name: 'plan.rulesNeverFired',
        value: silent.length,
        unit: '',
        goal: { kind: 'at most', value: 0 },
        yardstick: `of ${ORDER_RULES.length} order rules and ${PLAN_RULES.length} plan rules${silent.length ? `: ${silent.join(', ')}` : ''}`,
      },
      {
        name: 'plan.compile200Ms',
        value: allMs,
        unit: 'ms',
        goal: { kind: 'at most', value: 1000 },
        yardstick: `${MODELS} models of ${PARTS} parts, median of five rounds after one to warm up`,
      },
      {
        name: 'plan.recompileMs',
        value: oneMs,
        unit: 'ms',
        goal: { kind: 'at most', value: 30 },
        yardstick: `one finding more on a model of ${PARTS} parts, median of ${MODELS}`,
      },
      {
        name: 'plan.doneRewritten',
        value: rewritten.length,
        unit: '',
        goal: { kind: 'at most', value: 0 },
        yardstick: `tasks of done work altered over ${BEGUN_JOBS * EDITS} random edits of ${BEGUN_JOBS} begun jobs${rewritten.length ? `; first: ${rewritten[0]!}` : ''}`,
      },
      {
        name: 'plan.pageEqualsServer',
        value: 1 - different.length / SPECIMENS,
        unit: '',
        goal: { kind: 'at least', value: 1 },
        yardstick: `share of ${SPECIMENS} random specimens that page and server open alike, from the facts of the rows shown${different.length ? `; first: ${different[0]!}` : ''}`,
      },
    ];
  },
};

async function comparePages(): Promise<string[]> {
  const bench = await createTestBench({ isDemo: false });
  const different: string[] = [];
  for (let seed = 1; seed <= SPECIMENS; seed++) {
    const found = await comparePageWithServer(bench.room.source.manager, seed);
    if (found) different.push(found);
  }
  await bench.clear();
  return different;
}

function searchSurveys() {
  const fired = new Set<string>();
  const violations: string[] = [];
  let contradictions = 0;
  for (let seed = 1; seed <= SURVEYS; seed++) {
    const input = createRandomPlanInput(seed);
    const plan = compilePlan(input);
    violations.push(...findLostTasks(seed).map((one) => `seed ${seed}: ${one}`));
    if (plan.kind === 'contradiction') {
      contradictions++;
      // Rules that wait for each other are a fault of ours; findings that exclude each other are not.
      if (plan.cycle.length) violations.push(`seed ${seed}: ${plan.because}`);
      continue;
    }
    for (const task of plan.tasks) fired.add(task.rule);
    const found = [
      ...findBrokenRules(input, plan.tasks, fired),
      ...findHarm(input, plan),
      ...findSparkBesideVapour(plan.tasks),
    ];
    violations.push(...found.map((one) => `seed ${seed}: ${one}`));
  }
  const names = [...ORDER_RULES.map((rule) => `${rule.id} ${rule.after[0]!}`), ...PLAN_RULES.map((rule) => rule.id)];
  return { violations, silent: names.filter((name) => !fired.has(name)), contradictions };
}

const sayFirst = (found: readonly string[]) => (found.length ? `; first: ${found[0]!}` : '');

/** Opening and plan of worlds that no demo has, against the craft's own rules. */
function searchStrangeWorlds() {
  const violations: string[] = [];
  const crashes: string[] = [];
  let [contradictions, slowestMs, slowest] = [0, 0, ''];
  for (let seed = 0; seed < STRANGE_SURVEYS; seed++) {
    const { world, facts } = createStrangeFacts(seed);
    const name = `${world}, seed ${seed}`;
    const began = performance.now();
    try {
      const input = chooseFor(facts);
      const plan = compilePlan(input);
      const ms = performance.now() - began;
      if (ms > slowestMs) [slowestMs, slowest] = [ms, name];
      if (plan.kind === 'contradiction') {
        contradictions++;
        if (plan.cycle.length) violations.push(`${name}: ${plan.because}`);
        continue;
      }
      const found = [...checkByNeeds(input, plan.tasks), ...findHarm(input, plan)];
      violations.push(...found.map((one) => `${name}: ${one}`));
    } catch (error) {
      crashes.push(`${name}: ${String(error)}`);
    }
  }
  return { violations, crashes, contradictions, slowestMs, slowest };
}

function timeCompiling() {
  const models = Array.from({ length: MODELS }, (_, i) => createLargeModel(i + 1, PARTS));
  const timeAll = () => {
    const began = performance.now();
    for (const model of models) compilePlan(model);
    return performance.now() - began;
  };
  timeAll();
  const rounds = Array.from({ length: 5 }, timeAll);
  const edits = models.map((model) => {
    const [first, ...others] = model.parts;
    const findings = [...first!.findings, makeFinding('cracked')];
    const began = performance.now();
    compilePlan({ ...model, parts: [{ ...first!, findings }, ...others] });
    return performance.now() - began;
  });
  return { allMs: median(rounds), oneMs: median(edits) };
}
