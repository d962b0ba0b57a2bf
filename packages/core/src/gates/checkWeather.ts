import type { Refusal } from '../model/refusal.ts';
import type { Task } from '../model/task.ts';

/** Grit is blasted on a dry day only, and nobody but the restorer sees the sky: it is asked each time. */
export function checkWeather(task: Pick<Task, 'title' | 'tags'>, isDryDay: boolean): Refusal[] {
  if (!task.tags.includes('blast') || isDryDay) return [];
  return [
    {
      code: 'dry-day',
      message: `"${task.title}" wants a dry day: damp grit clogs, and metal that it lays bare takes the damp up at once.`,
    },
  ];
}
