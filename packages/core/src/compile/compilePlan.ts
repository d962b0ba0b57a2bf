import { findContradiction } from './findContradiction.ts';
import { linkTasks, type TaskNet } from './linkTasks.ts';
import { createNotices } from './planNotices.ts';
import { STATIONS } from '../model/stations.ts';
import { createPlanContext, type PlanContext } from './planContext.ts';
import type { CompiledPlan, PlanInput, PlannedTask, TaskDraft } from './planTypes.ts';
import { PLAN_RULES } from './rules/planRules.ts';
import { reduceLinks, sortTasks } from './sortTasks.ts';

/**
 * Compiles what is known of one specimen into a task network: what every plan rule asks for, linked by the order rules in
 * force, in an order that satisfies all links. Deterministic. Minutes and amounts are planning estimates.
 *
 * What the survey and the schools ask for and cannot have together is a contradiction with the findings behind it; rules
 * that wait for each other are returned as the shortest cycle, in words. Notices say what was left out and why.
 */
export function compilePlan(input: PlanInput): CompiledPlan {
  const context = createPlanContext(input);
  const contradiction = findContradiction(context);
  if (contradiction) return { kind: 'contradiction', cycle: [], ...contradiction };
  const tasks = createTasks(context);
  const net = linkTasks(tasks, input);
  const sorted = sortTasks(net.before);
  if (sorted.kind === 'cycle')
    return {
      kind: 'contradiction',
      cycle: sorted.places.map((place) => tasks[place]!.key),
      because: describeCycle(sorted.places, net, tasks),
      findings: listFindings(
        sorted.places.map((place) => tasks[place]!),
        input,
      ),
    };
  const reduced = reduceLinks(sorted.places, net.before);
  return {
    kind: 'plan',
    tasks: sorted.places.map((place, seq) => {
      const task = tasks[place]!;
      task.seq = seq;
      task.after = reduced.get(place)!.map((before) => net.explain(before, place));
      return task;
    }),
    notices: createNotices(context, tasks),
  };
}

/** A task whose place in the plan is not settled yet. */
type OpenTask = { -readonly [K in keyof PlannedTask]: PlannedTask[K] };

/** In the order of the bench, then of the rules. */
function createTasks(context: PlanContext): OpenTask[] {
  const tasks: OpenTask[] = [];
  for (const rule of PLAN_RULES) for (const draft of rule.create(context)) tasks.push(openTask(draft, rule.id));
  return tasks.sort((a, b) => STATIONS.indexOf(a.station) - STATIONS.indexOf(b.station));
}

/** Field by field: all tasks have one shape then, and whatever walks over hundreds of them is quicker. */
function openTask(draft: TaskDraft, rule: string): OpenTask {
  const { key, station, title, how, partKeys, tags, handsOnMin, because } = draft;
  const { jointKey, area, colours, luminance, hazards, cannotBeUndone, watchedMin, passiveMin, process, atC, uses } =
    draft;
  // prettier-ignore
  return {
    key, station, title, how, partKeys, tags, handsOnMin, because, rule, seq: 0, after: [],
    jointKey, area, colours, luminance, hazards, cannotBeUndone, watchedMin, passiveMin, process, atC, uses,
  };
}

/** A cycle in words: each of its tasks waits for the one before, and why. */
function describeCycle(places: readonly number[], net: TaskNet, tasks: readonly TaskDraft[]): string {
  const waits = places.slice(1).map((place, i) => {
    const link = net.explain(places[i]!, place);
    const rule = /^O\d/.test(link.rule) ? ` (${link.rule})` : '';
    return `“${tasks[place]!.title}” waits for “${tasks[places[i]!]!.title}”: ${link.because}${rule}`;
  });
  return `These wait for each other. ${waits.join('; ')}.`;
}

/** What was found on the parts that the tasks of a cycle are about. */
function listFindings(cycle: readonly TaskDraft[], { parts }: PlanInput): string[] {
  const touched = new Set(cycle.flatMap((task) => task.partKeys));
  return parts
    .filter((part) => touched.has(part.key))
    .flatMap((part) => part.findings.map(({ kind, note }) => `${part.name}: ${kind}${note ? `, ${note}` : ''}`));
}
