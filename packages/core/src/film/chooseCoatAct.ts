import type { CoatAct } from '../model/drying.ts';
import type { TaskTag } from '../model/taskTags.ts';

/** What a task asks of the coats that it meets: the first of these tags that it carries says so. */
const ASKS: readonly (readonly [tags: readonly TaskTag[], act: CoatAct])[] = [
  [['decal', 'decal dry-fit'], 'decal'],
  [['mask'], 'mask'],
  [['bake'], 'bake'],
  // Trim is masked on what lies below; it bears tape when it bears a coat, or later.
  [['trim colour'], 'mask'],
  [
    ['prime', 'reprime', 'mist coat', 'colour', 'paint', 'clear over', 'gloss coat', 'seal', 'slow chrome ink'],
    'recoat',
  ],
  [['silver after decals'], 'recoat'],
  [['sign off'], 'handle'],
];

/** Everything else takes the part in hand. */
export const chooseCoatAct = (tags: readonly TaskTag[]): CoatAct =>
  ASKS.find(([some]) => some.some((tag) => tags.includes(tag)))?.[1] ?? 'handle';
