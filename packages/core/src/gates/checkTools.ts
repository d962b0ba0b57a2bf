import type { Task } from '../model/work.ts';
import type { Tool } from '../model/workshop.ts';
import type { Refusal } from './checkStart.ts';

/** Which tool a task cannot do without, by its tags. */
const NEEDED = [
  { tag: 'spray', kind: 'airbrush' },
  { tag: 'gun ready', kind: 'airbrush' },
  { tag: 'powder', kind: 'powder gun' },
  { tag: 'bake', kind: 'oven' },
  { tag: 'low bake', kind: 'oven' },
  { tag: 'drill and tap', kind: 'tap' },
] as const;

/**
 * O35: a gun is complete before paint is in it, and clean before another colour. A tool that is lent, worn or incomplete
 * starts nothing; one that is not written down at all is not asked about. Who sprays from cans needs no gun.
 */
export function checkTools(
  task: Pick<Task, 'title' | 'tags' | 'colours'>,
  tools: readonly Tool[],
  usesGun: boolean,
): Refusal[] {
  return NEEDED.flatMap(({ tag, kind }): Refusal[] => {
    if (!task.tags.includes(tag) || (kind === 'airbrush' && !usesGun)) return [];
    const own = tools.filter((tool) => tool.kind === kind);
    if (own.length === 0) return [];
    const ready = own.find((tool) => tool.state === 'ready') ?? own.find((tool) => tool.state === 'needs cleaning');
    if (!ready) {
      const [tool] = own;
      return [
        {
          code: 'tool-not-ready',
          message: `The ${tool!.name.toLowerCase()} is ${tool!.state}${tool!.note ? `: ${tool!.note.replace(/\.$/, '')}` : ''}. Put it right in Workshop first (O35).`,
        },
      ];
    }
    const colour = task.colours[0];
    const isDirty =
      ready.state === 'needs cleaning' || (ready.holds !== '' && colour !== undefined && colour !== ready.holds);
    // Gun ready is the very task that cleans it.
    if (!isDirty || kind !== 'airbrush' || task.tags.includes('gun ready')) return [];
    return [
      {
        code: 'gun-not-clean',
        message: `${ready.name} still holds ${ready.holds || 'the last paint'}. Clean it before ${colour ?? 'the next paint'} goes in (O35).`,
      },
    ];
  });
}
