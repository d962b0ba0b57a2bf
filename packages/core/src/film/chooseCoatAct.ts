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

export type CoatAsker = Pick<Task, 'tags' | 'partKeys' | 'of'>;

/**
 * What a task asks of the coats that another one left. A coat over one of the same area is the next of one film: the mask is on it
 * already.
 */
export function chooseCoatAct(task: CoatAsker, before: Pick<Task, 'partKeys' | 'of'>): CoatAct {
  const isCoat = task.tags.some((tag) => COATS.includes(tag));
  const isSameArea =
    task.of.area !== undefined && task.of.area === before.of.area && task.partKeys[0] === before.partKeys[0];
  if (isCoat && isSameArea) return 'recoat';
  return ASKS.find(([some]) => some.some((tag) => task.tags.includes(tag)))?.[1] ?? 'handle';
}
