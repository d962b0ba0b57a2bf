import type { Task } from '../model/task.ts';

/** Whether a step is begun with care: it cannot be undone, or it can hurt. */
export const isGraveStep = ({ irreversible, hazards }: Pick<Task, 'irreversible' | 'hazards'>): boolean =>
  irreversible || hazards.length > 0;
