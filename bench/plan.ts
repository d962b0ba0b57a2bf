import { compilePlan, ORDER_RULES, PLAN_RULES } from '@sardonyx/core';
import { createLargeModel } from '../packages/core/test/support/createLargeModel.ts';
import { findBrokenRules } from '../packages/core/test/support/findBrokenRules.ts';
import { findHarm } from '../packages/core/test/support/findHarm.ts';
import { findLostTasks } from '../packages/core/test/support/findLostTasks.ts';
import { findSparkBesideVapour } from '../packages/core/test/support/findSparkBesideVapour.ts';
import { createRandomPlanInput } from '../packages/core/test/support/planWorld.ts';
import { median, type Topic } from './figure.ts';

const SURVEYS = 5000;
const MODELS = 200;
const PARTS = 40;

export const planTopic: Topic = {
  names: ['plan.ruleViolations', 'plan.rulesNeverFired', 'plan.compile200Ms', 'plan.recompileMs'],
  measure: () => {
    const { violations, silent, contradictions } = searchSurveys();
    const { allMs, oneMs } = timeCompiling();
    return Promise.resolve([
      {
        name: 'plan.ruleViolations',
        value: violations.length,
        unit: '',
        goal: { kind: 'at most', value: 0 },
        yardstick: `${SURVEYS} random surveys x random schools: order rules, harm by the table, bench hours, spark beside vapour, logged tasks; ${contradictions} were no plan, with the findings${violations.length ? `; first: ${violations[0]!}` : ''}`,
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
    ]);
  },
};

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
    const findings = [...first!.findings, { kind: 'cracked' as const, severity: 2, note: '', degrees: null }];
    const began = performance.now();
    compilePlan({ ...model, parts: [{ ...first!, findings }, ...others] });
    return performance.now() - began;
  });
  return { allMs: median(rounds), oneMs: median(edits) };
}
