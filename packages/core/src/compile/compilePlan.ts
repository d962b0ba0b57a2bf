import { STATIONS } from '../model/stations.ts';
import type { TaskLink } from '../model/task.ts';
import { createTaskKey } from '../model/taskActs.ts';
import { describeFinding } from '../words/names.ts';
import { describeTask } from '../words/taskWords.ts';
import { computeNeeds } from './computeNeeds.ts';
import { findContradiction } from './findContradiction.ts';
import { linkTasks, type TaskNet } from './linkTasks.ts';
import { placePaint } from './placePaint.ts';
import { createPlanContext, type PlanContext } from './planContext.ts';
import { createNotices } from './planNotices.ts';
import type { CompiledPlan, PlanInput, PlannedTask, TaskDraft } from './planTypes.ts';
import { PLAN_RULES } from './rules/planRules.ts';
import { reduceLinks, sortTasks } from './sortTasks.ts';

/**
 * Compiles what is known of one specimen into a task network: what every plan rule asks for, linked by the order rules in
 * force, in an order that satisfies all links. Deterministic. Minutes and amounts are planning estimates unless a product
 * says them.
 *
 * What the survey and the schools ask for and cannot have together is a contradiction with the findings behind it; rules
 * that wait for each other are returned as the shortest cycle, in words. Notices say what was left out and why.
 */
export function compilePlan(input: PlanInput): CompiledPlan {
  const context = createPlanContext(input);
  const contradiction = findContradiction(context);
  if (contradiction) return { kind: 'contradiction', cycle: [], ...contradiction };
  const { drafts, rules } = createDrafts(context);
  const keys = drafts.map((draft) => createTaskKey(draft.act, draft.partKeys, draft.of ?? {}));
  const net = linkTasks(drafts, keys, input);
  const sorted = sortTasks(net.before);
  if (sorted.kind === 'cycle')
    return {
      kind: 'contradiction',
      cycle: sorted.places.map((place) => keys[place]!),
      because: describeCycle(sorted.places, net, drafts, context),
      findings: listFindings(
        sorted.places.map((place) => drafts[place]!),
        input,
      ),
    };
  const reduced = reduceLinks(sorted.places, net);
  const tasks = sorted.places.map((place, seq) =>
    finishTask(
      { draft: drafts[place]!, rule: rules[place]!, key: keys[place]!, seq },
      reduced.get(place)!.map((before) => net.explain(before, place)),
      context,
    ),
  );
  return { kind: 'plan', tasks, notices: createNotices(context, tasks) };
}

/** In the order of the bench, then of the rules. */
function createDrafts(context: PlanContext): { drafts: TaskDraft[]; rules: string[] } {
  // A list for each station, not a sort: the names of stations would be compared thousands of times.
  const atStation = new Map(STATIONS.map((station) => [station, [] as { draft: TaskDraft; rule: string }[]]));
  for (const rule of PLAN_RULES)
    for (const draft of rule.create(context)) atStation.get(draft.station)!.push({ draft, rule: rule.id });
  const asked = [...atStation.values()].flat();
  const placed = placePaint(asked.map(({ draft }) => draft)).map((place) => asked[place]!);
  return { drafts: placed.map(({ draft }) => draft), rules: placed.map(({ rule }) => rule) };
}

interface PlacedDraft {
  readonly draft: TaskDraft;
  readonly rule: string;
  readonly key: string;
  readonly seq: number;
}

/**
 * Every field has a value, so that what is stored and compared has one shape. Field by field, not spread: whatever walks over
 * hundreds of tasks is several times quicker then.
 */
function finishTask(
  { draft, rule, key, seq }: PlacedDraft,
  after: readonly TaskLink[],
  context: PlanContext,
): PlannedTask {
  const { title, how, because } = describeTask(draft, context);
  return {
    key,
    seq,
    act: draft.act,
    of: draft.of ?? {},
    rule,
    station: draft.station,
    title,
    how,
    because,
    partKeys: draft.partKeys,
    tags: draft.tags,
    hazards: draft.hazards ?? [],
    cannotBeUndone: draft.cannotBeUndone ?? '',
    method: draft.method ?? null,
    process: draft.process ?? null,
    way: draft.way ?? null,
    colours: draft.colours ?? [],
    luminance: draft.luminance ?? null,
    atC: draft.atC ?? null,
    handsOnMin: draft.handsOnMin,
    watchedMin: draft.watchedMin ?? 0,
    passiveMin: draft.passiveMin ?? 0,
    needs: computeNeeds(draft, context),
    uses: draft.uses ?? [],
    after,
  };
}

/** A cycle in words: each of its tasks waits for the one before, and why. */
function describeCycle(
  places: readonly number[],
  net: TaskNet,
  drafts: readonly TaskDraft[],
  context: PlanContext,
): string {
  const titleOf = (place: number) => describeTask(drafts[place]!, context).title;
  const waits = places
    .slice(1)
    .map(
      (place, i) => `“${titleOf(place)}” waits for “${titleOf(places[i]!)}”: ${net.explain(places[i]!, place).because}`,
    );
  return `These wait for each other. ${waits.join('; ')}.`;
}

/** What was found on the parts that the tasks of a cycle are about. */
function listFindings(cycle: readonly TaskDraft[], { parts }: PlanInput): string[] {
  const touched = new Set(cycle.flatMap((task) => task.partKeys));
  return parts
    .filter((part) => touched.has(part.key))
    .flatMap((part) => part.findings.map((finding) => `${part.name}: ${describeFinding(finding)}`));
}
