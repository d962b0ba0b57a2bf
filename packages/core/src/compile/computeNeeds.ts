import type { TaskNeeds } from '../model/task.ts';
import type { TaskTag } from '../model/taskTags.ts';
import type { ToolKind } from '../model/workshop.ts';
import { asStripMethod, STRIP_METHOD_FACTS } from '../process/stripMethods.ts';
import type { PlanContext } from './planContext.ts';
import type { TaskDraft } from './planTypes.ts';

/** Which tool a task cannot do without. */
const TOOLS: readonly (readonly [tag: TaskTag, kind: ToolKind])[] = [
  ['spray', 'airbrush'],
  ['gun ready', 'airbrush'],
  ['powder', 'powder gun'],
  ['bake', 'oven'],
  ['low bake', 'oven'],
  ['drill and tap', 'tap'],
];

/** What a task takes up besides time. Who sprays from cans needs no gun. */
export function computeNeeds({ tags, method, watchedMin }: TaskDraft, { option }: PlanContext): TaskNeeds {
  const has = (...some: readonly TaskTag[]) => some.some((tag) => tags.includes(tag));
  const strip = has('strip') ? asStripMethod(method ?? null) : null;
  const isWithoutGun = option('S6') === 'spray can';
  return {
    tools: TOOLS.filter(([tag, kind]) => tags.includes(tag) && !(kind === 'airbrush' && isWithoutGun)).map(
      ([, kind]) => kind,
    ),
    booth: has('spray'),
    bath: strip ? STRIP_METHOD_FACTS[strip].bath : null,
    stays: (watchedMin ?? 0) > 0,
    air: has('vapour', 'bath') ? 'vapour' : has('spark', 'flame') ? 'spark' : null,
  };
}
