import type { Task } from '../model/work.ts';
import type { Want } from '../model/workpiece.ts';

export interface SignOffRefusal {
  readonly code: 'want-open' | 'task-open';
  readonly message: string;
}

/** Why a job may not be signed off: every want solved or waived with a reason, every task done. */
export function checkSignOff(wants: readonly Want[], tasks: readonly Task[]): SignOffRefusal[] {
  const open = wants.filter((want) => want.state === 'open' || want.state === 'ordered');
  const unreasoned = wants.filter((want) => want.state === 'waived' && want.reason.trim() === '');
  const undone = tasks.filter((task) => task.state === 'to do' || task.state === 'doing');
  return [
    ...open.map((want): SignOffRefusal => ({
      code: 'want-open',
      message: `"${want.what}" is ${want.state}: solve it or waive it with a reason.`,
    })),
    ...unreasoned.map((want): SignOffRefusal => ({
      code: 'want-open',
      message: `"${want.what}" was waived without a reason.`,
    })),
    ...undone.map((task): SignOffRefusal => ({
      code: 'task-open',
      message: `"${task.title}" is ${task.state === 'doing' ? 'still under way' : 'not done'}.`,
    })),
  ];
}
