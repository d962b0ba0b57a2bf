import type { CoatAct } from '../model/drying.ts';
import type { Task } from '../model/task.ts';
import type { TaskTag } from '../model/taskTags.ts';

/** A coat goes on, whatever it is. */
const COATS: readonly TaskTag[] = [
  ...(['prime', 'reprime', 'mist coat', 'colour', 'paint', 'clear over', 'gloss coat', 'seal'] as const),
  ...(['slow chrome ink', 'silver after decals'] as const),
];

/** What a task asks of the coats that it meets: the first of these tags that it carries says so; all else takes the part in hand. */
const ASKS: readonly (readonly [tags: readonly TaskTag[], act: CoatAct])[] = [
  [['decal', 'decal dry-fit'], 'decal'],
  [['mask'], 'mask'],
  [['bake'], 'bake'],
  // Trim is masked on what lies below; it bears tape when it bears a coat, or later.
  [['trim colour'], 'mask'],
  [COATS, 'recoat'],
];

const isColour = ({ tags }: Pick<Task, 'tags'>) => tags.includes('colour') || tags.includes('mist coat');

export type CoatAsker = Pick<Task, 'tags' | 'partKeys' | 'of'>;

/**
 * What a task asks of the coats that another one left. A coat over one of the same area is the next of one film: the mask is on it
 * already.
 */
export function chooseCoatAct(task: CoatAsker, before: Pick<Task, 'partKeys' | 'of' | 'tags'>): CoatAct {
  const isCoat = task.tags.some((tag) => COATS.includes(tag));
  const isSameArea =
    task.of.area !== undefined && task.of.area === before.of.area && task.partKeys[0] === before.partKeys[0];
  if (isCoat && isSameArea) return 'recoat';
  // What goes on beside a field that has its colour is sprayed when that is masked.
  if (before.tags.includes('early field') && isColour(task)) return 'mask';
  return ASKS.find(([some]) => some.some((tag) => task.tags.includes(tag)))?.[1] ?? 'handle';
}
