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
  const tools: ToolKind[] = [];
  for (const [tag, kind] of TOOLS)
    if (tags.includes(tag) && !(kind === 'airbrush' && option('S6') === 'spray can')) tools.push(kind);
  const strip = tags.includes('strip') ? asStripMethod(method ?? null) : null;
  return {
    tools,
    booth: tags.includes('spray'),
    bath: strip && STRIP_METHOD_FACTS[strip].bath,
    stays: (watchedMin ?? 0) > 0,
    air:
      tags.includes('vapour') || tags.includes('bath')
        ? 'vapour'
        : tags.includes('spark') || tags.includes('flame')
          ? 'spark'
          : null,
  };
}
