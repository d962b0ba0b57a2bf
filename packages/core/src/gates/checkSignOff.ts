import type { Refusal } from '../model/refusal.ts';
import { isSettled, type Task } from '../model/task.ts';
import type { Want } from '../model/workpiece.ts';

type SignedWant = Pick<Want, 'what' | 'state' | 'reason'>;
type SignedTask = Pick<Task, 'id' | 'title' | 'state' | 'doneAt' | 'lookedAt' | 'passiveMin'>;

/**
 * Why a job may not be signed off: every want solved or waived with a reason, every task done or declared not needed, and
 * nothing still wet, soft or soaking.
 */
export function checkSignOff(wants: readonly SignedWant[], tasks: readonly SignedTask[], now: Date): Refusal[] {
  const open = wants.filter((want) => want.state === 'open' || want.state === 'ordered');
  const unreasoned = wants.filter((want) => want.state === 'waived' && want.reason.trim() === '');
  const undone = tasks.filter((task) => !isSettled(task));
  const wet = tasks.filter((task) => task.state === 'done' && !isWaitedOut(task, now));
  return [
    ...open.map((want): Refusal => ({
      code: 'want-open',
      message: `"${want.what}" is ${want.state}: solve it or waive it with a reason.`,
    })),
    ...unreasoned.map((want): Refusal => ({
      code: 'want-open',
      message: `"${want.what}" was waived without a reason.`,
    })),
    ...undone.map((task): Refusal => ({
      code: 'task-open',
      message: `"${task.title}" is ${task.state === 'doing' ? 'still under way' : 'not done'}.`,
      taskId: task.id,
    })),
    ...wet.map((task): Refusal => ({
      code: 'still-waiting',
      message: `What "${task.title}" left is not dry or set yet.`,
      taskId: task.id,
    })),
  ];
}

/** What it left is dry, set or soaked by the clock, or somebody looked and said so. */
export function isWaitedOut(
  { doneAt, lookedAt, passiveMin }: Pick<Task, 'doneAt' | 'lookedAt' | 'passiveMin'>,
  now: Date,
): boolean {
  if (doneAt === null || passiveMin <= 0) return true;
  if (lookedAt !== null && lookedAt >= doneAt) return true;
  return Date.parse(doneAt) + passiveMin * 60_000 <= now.getTime();
}
