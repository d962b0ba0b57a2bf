import type { Task, TaskTag, Timer } from '../model/work.ts';

/** One thing that must be true before a part is primed. */
export interface GateLine {
  readonly what: string;
  readonly isMet: boolean;
  /** Titles of what is still to be done for it, or what still cures. */
  readonly missing: readonly string[];
}

const GATE: readonly (readonly [what: string, tags: readonly TaskTag[], scope: 'part' | 'model'])[] = [
  ['Paint off, rinsed and dry', ['strip', 'wash', 'blast'], 'part'],
  ['Inspected bare', ['inspect'], 'part'],
  ['Straight, mended, dressed', ['repair', 'fill', 'solder'], 'part'],
  ['Holes drilled and tapped, swarf out', ['drill and tap'], 'part'],
  ['Fitted dry: new parts, axles, seats', ['trial fit', 'dry fit'], 'model'],
  ['Degreased, not touched since', ['degrease'], 'part'],
];

/**
 * N36: what must be true before primer goes on a part, and what of it is missing; null for a part that is not primed.
 * Only what the plan asks for is listed. A mend that still cures counts as missing.
 */
export function checkPrimingGate(
  tasks: readonly Task[],
  partKey: string,
  timers: readonly Pick<Timer, 'taskId' | 'endsAt' | 'acknowledgedAt' | 'kind'>[],
  now: Date,
): readonly GateLine[] | null {
  if (!tasks.some((task) => task.key === `prime:${partKey}` && task.state !== 'not needed')) return null;
  const cures = (task: Task) =>
    timers.some(
      (timer) =>
        timer.taskId === task.id &&
        timer.kind === 'cure' &&
        timer.acknowledgedAt === null &&
        Date.parse(timer.endsAt) > now.getTime(),
    );
  return GATE.flatMap(([what, tags, scope]) => {
    const own = tasks.filter(
      (task) =>
        task.state !== 'not needed' &&
        task.tags.some((tag) => tags.includes(tag)) &&
        (scope === 'model' || task.partKeys.includes(partKey)),
    );
    if (own.length === 0) return [];
    const missing = own.flatMap((task) =>
      task.state !== 'done' ? [task.title] : cures(task) ? [`${task.title} (still cures)`] : [],
    );
    return [{ what, isMet: missing.length === 0, missing }];
  });
}
