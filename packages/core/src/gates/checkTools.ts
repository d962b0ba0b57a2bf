import type { Refusal } from '../model/refusal.ts';
import type { Task } from '../model/task.ts';
import type { Tool } from '../model/workshop.ts';
import { endWithoutStop } from '../words/names.ts';

/** One that may be used: ready, else dirty (cleaning it is a step of its own). */
export const findUsable = (own: readonly Tool[]): Tool | undefined =>
  own.find(({ state }) => state === 'ready') ?? own.find(({ state }) => state === 'needs cleaning');

/**
 * A gun is complete before paint is in it, and clean before another colour. A tool that is lent, worn or incomplete starts
 * nothing; one that is not written down at all is not asked about.
 */
export function checkTools(task: Pick<Task, 'act' | 'needs' | 'colours'>, tools: readonly Tool[]): Refusal[] {
  return task.needs.tools.flatMap((kind): Refusal[] => {
    const own = tools.filter((tool) => tool.kind === kind);
    const [first] = own;
    if (!first) return [];
    const ready = findUsable(own);
    if (!ready)
      return [
        {
          code: 'tool-not-ready',
          message: `The ${first.name.toLowerCase()} is ${first.state}${first.note ? `: ${endWithoutStop(first.note)}` : ''}. Put it right in Workshop first.`,
        },
      ];
    const colour = task.colours[0];
    const isDirty =
      ready.state === 'needs cleaning' || (ready.holds !== '' && colour !== undefined && colour !== ready.holds);
    // Seeing that the gun is clean is the very task that cleans it.
    if (!isDirty || kind !== 'airbrush' || task.act === 'gun-ready') return [];
    return [
      {
        code: 'gun-not-clean',
        message: `${ready.name} still holds ${ready.holds || 'the last paint'}. Clean it before ${colour ?? 'the next paint'} goes in.`,
      },
    ];
  });
}
