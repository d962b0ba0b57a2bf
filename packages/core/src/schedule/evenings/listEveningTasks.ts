import { chooseCoatAct } from '../../film/chooseCoatAct.ts';
import { intersectSpans } from '../../film/answerArea.ts';
import { judgeSpans } from '../../film/judgeSpans.ts';
import type { Span } from '../../film/computeSpans.ts';
import { selectOpenLinks, type LinkedTask } from '../../gates/openLinks.ts';
import type { WorkKind } from '../../model/evenings.ts';
import { isSettled, type Task } from '../../model/task.ts';
import type { TaskTag } from '../../model/taskTags.ts';
import type { EveningTask } from './eveningsInput.ts';

export type PlannedTask = LinkedTask &
  Pick<Task, 'jobId' | 'station' | 'act' | 'handsOnMin' | 'watchedMin' | 'passiveMin' | 'needs' | 'colours' | 'after'>;

/** When what a want asks for is here: promised or likely, ms; null where nobody knows. */
export type ArrivalOf = (wantId: string) => { readonly at: number; readonly isGuess: boolean } | null;

/** The open tasks of one model, each with what it waits for: other open tasks, and what was done and is not ready yet. */
export function listEveningTasks(tasks: readonly PlannedTask[], now: number, arrivalOf: ArrivalOf): EveningTask[] {
  const open = new Map(tasks.filter((task) => !isSettled(task)).map((task) => [task.key, task]));
  return [...open.values()].map((task) => {
    const { id, jobId, title, station, act, handsOnMin, watchedMin, passiveMin, needs, tags } = task;
    const arrival = act === 'get' && task.of.wantId !== undefined ? arrivalOf(task.of.wantId) : null;
    const isSpray = tags.includes('spray');
    return {
      ...{ id, jobId, title, station, act, handsOnMin, watchedMin, passiveMin },
      isUnderWay: task.state === 'doing',
      kind: kindOf(tags),
      ...{ air: needs.air, isDry: tags.includes('blast'), bath: needs.bath },
      ...{ inOven: needs.tools.includes('oven'), inBooth: needs.booth },
      gun: isSpray && needs.tools.includes('airbrush') ? (task.colours[0] ?? '') : null,
      isGunCare: tags.some((tag) => GUN_CARE.includes(tag)),
      after: task.after.flatMap(({ key, waitMin, latestMin }) => {
        const before = open.get(key);
        return before ? [{ taskId: before.id, waitMin, latestMin }] : [];
      }),
      ...readWindows(task, tasks, now),
      arrivesAt: arrival?.at ?? null,
      isArrivalGuess: arrival?.isGuess ?? false,
    };
  });
}

const GUN_CARE: readonly TaskTag[] = ['gun ready', 'gun rinsed', 'gun cleaned'];

const KINDS: readonly (readonly [kind: WorkKind, tags: readonly TaskTag[]])[] = [
  ['spraying', ['spray', 'powder', ...GUN_CARE]],
  ['decals', ['decal', 'decal dry-fit', 'decal across seam']],
  [
    'metal work',
    [
      ...([
        'pilot hole',
        'rivet head off',
        'open joint',
        'drill',
        'drill and tap',
        'spark',
        'flame',
        'solder',
      ] as const),
      ...(['anneal', 'straighten', 'straighten hot', 'recover post', 'blast', 'form axle ends', 'axle cut'] as const),
    ],
  ],
];

const kindOf = (tags: readonly TaskTag[]): WorkKind | null =>
  KINDS.find(([, own]) => own.some((tag) => tags.includes(tag)))?.[0] ?? null;

/** When the task may begin by what is done already: coats say so themselves, all else by its minutes. */
function readWindows(
  task: PlannedTask,
  tasks: readonly PlannedTask[],
  now: number,
): Pick<EveningTask, 'windows' | 'isPastWindow'> {
  const links = task.state === 'to do' ? selectOpenLinks(task, tasks, new Date(now)) : [];
  const isPastWindow = links.some(({ kind }) => kind === 'shut' || kind === 'too late');
  let spans: Span[] = [{ from: -Infinity, to: null }];
  for (const link of task.after) {
    const before = tasks.find((one) => one.key === link.key && one.specimenId === task.specimenId);
    if (before?.state !== 'done' || before.doneAt === null || task.state !== 'to do') continue;
    spans = intersectSpans(spans, windowsOf(task, link, before, now));
  }
  // What has shut is looked at first, and then it goes on.
  if (isPastWindow) spans = [{ from: -Infinity, to: null }];
  return {
    isPastWindow,
    windows: spans.length === 0 ? null : spans.map(({ from, to }) => ({ from: from === -Infinity ? null : from, to })),
  };
}

const MINUTE_MS = 60_000;

function windowsOf(task: PlannedTask, link: Task['after'][number], before: PlannedTask, now: number): Span[] {
  const done = Date.parse(before.doneAt!);
  const looked = before.lookedAt === null ? done : Math.max(done, Date.parse(before.lookedAt));
  const to = link.latestMin === null ? null : looked + link.latestMin * MINUTE_MS;
  if (link.waitMin > 0 && before.film) {
    const spans = before.film[chooseCoatAct(task, before)];
    const isOver = judgeSpans(spans, now).state === 'shut';
    return isOver ? [{ from: -Infinity, to }] : intersectSpans(spans, [{ from: -Infinity, to }]);
  }
  const hasLooked = looked > done;
  return [{ from: hasLooked ? -Infinity : done + link.waitMin * MINUTE_MS, to }];
}
