import { listMissingCoats, type WantedCoat } from '../gates/coatsOfTask.ts';
import { selectOpenLinks, type LinkedTask } from '../gates/openLinks.ts';
import { selectPlannedOf } from '../gates/selectPlannedOf.ts';
import { isSettled, type Task } from '../model/task.ts';
import type { Area, CoatingLayer, SpecimenPart } from '../model/workpiece.ts';
import type { StandingCoat } from './answerArea.ts';
import type { SpanState } from './judgeSpans.ts';
import { judgeMet, meetCoats } from './meetCoats.ts';

/** The next coat of an area by the plan, and when it may go on. */
export interface NextCoat {
  readonly part: Pick<SpecimenPart, 'id' | 'key' | 'name'>;
  readonly areaId: string;
  readonly areaName: string;
  /** The step that it belongs to. */
  readonly taskId: string;
  /** What is planned there; null for clear that no plan of coats names. */
  readonly planned: CoatingLayer | null;
  readonly kind: CoatingLayer['kind'];
  readonly isMist: boolean;
  /** Which wet coat of its kind on the area it is, from 1, and of how many. */
  readonly nth: number;
  readonly of: number;
  /**
   * 'now': it may go on; 'dries': what lies below is not ready; 'gap': it lifts until it is dry through; 'key': its window has shut
   * for good; 'first': a step comes before it.
   */
  readonly state: 'now' | 'dries' | 'gap' | 'key' | 'first';
  /** From when it may go on, and when the window for it shuts; ms since 1970. */
  readonly from: number | null;
  readonly until: number | null;
  /** The coat below that holds it back, or that is to be keyed. */
  readonly below: string | null;
  /** The step that comes before it. */
  readonly first: { readonly title: string; readonly from: string | null } | null;
}

export interface CoatedModel {
  readonly parts: readonly Pick<SpecimenPart, 'id' | 'key' | 'name'>[];
  readonly areas: readonly Area[];
  readonly layers: readonly CoatingLayer[];
  readonly film: readonly StandingCoat[];
  /** Of the model. */
  readonly tasks: readonly (Task & LinkedTask)[];
}

const RANK: Readonly<Record<NextCoat['state'], number>> = { now: 0, gap: 1, dries: 1, key: 2, first: 3 };

/** What goes on next, area by area: what may now and shuts first leads, then what opens first, then what waits for a step. */
export function listNextCoats(model: CoatedModel, now: number): NextCoat[] {
  const open = model.tasks.filter((task) => !isSettled(task)).sort((a, b) => a.seq - b.seq);
  const next = new Map<string, { readonly task: Task; readonly coat: WantedCoat }>();
  const steps = new Map<string, number>();
  for (const task of open)
    for (const coat of listMissingCoats(task, model)) {
      if (!next.has(coat.areaId)) next.set(coat.areaId, { task, coat });
      if (!coat.isMist) steps.set(nameOf(coat), Math.max(steps.get(nameOf(coat)) ?? 0, coat.count));
    }
  const due = (one: NextCoat) => (one.state === 'now' ? one.until : one.from) ?? Infinity;
  return [...next.values()]
    .map(({ task, coat }) => describeNext(task, coat, steps.get(nameOf(coat)) ?? 1, model, now))
    .sort((a, b) => RANK[a.state] - RANK[b.state] || (due(a) < due(b) ? -1 : due(a) > due(b) ? 1 : 0));
}

const nameOf = ({ areaId, kind }: WantedCoat) => `${areaId} ${kind}`;

function describeNext(task: Task, coat: WantedCoat, of: number, model: CoatedModel, now: number): NextCoat {
  const area = model.areas.find(({ id }) => id === coat.areaId)!;
  const own = model.layers.filter(({ areaId }) => areaId === area.id);
  const place = {
    part: model.parts.find(({ id }) => id === area.specimenPartId)!,
    ...{ areaId: area.id, areaName: coat.areaName, taskId: task.id, kind: coat.kind, isMist: coat.isMist },
    ...{ planned: selectPlannedOf(task, coat, own), nth: task.of.nth ?? 1, of },
  };
  const [open] = task.state === 'to do' ? selectOpenLinks(task, model.tasks, new Date(now)) : [];
  // What dries is said by the coat itself, where it is known.
  if (open && !open.before.film) {
    const first = { title: open.before.title, from: open.from };
    return { ...place, state: 'first', from: null, until: null, below: null, first };
  }
  return { ...place, ...answerCoat(area, coat.kind, model, now), first: null };
}

function answerCoat(area: Area, kind: NextCoat['kind'], { areas, layers, film }: CoatedModel, now: number) {
  const ofPart = areas.filter(({ specimenPartId }) => specimenPartId === area.specimenPartId);
  const onPart = layers.filter(({ areaId }) => ofPart.some(({ id }) => id === areaId));
  const { state, from, until, heldBy } = judgeMet(meetCoats(area, ofPart, onPart, kind), film, now);
  return { state: STATE[state], from, until, below: layers.find(({ id }) => id === heldBy)?.name ?? null };
}

const STATE: Readonly<Record<SpanState, NextCoat['state']>> = {
  ...{ open: 'now', 'not yet': 'dries', never: 'dries', gap: 'gap', shut: 'key' },
};
