import { choosePress, type Task } from '@sardonyx/core';
import { useState } from 'react';
import type { ActOnTask } from '@sardonyx/contract';
import { useActOnTaskMutation, useStartTimerMutation } from '../../shared/api/api.ts';
import { readAppError, type AppError } from '../../shared/api/appError.ts';
import { useWho } from '../../shared/ui/useWho.ts';
import { strikeBell } from '../clocks/index.ts';

type More = Partial<Pick<ActOnTask, 'goAheadBecause' | 'staysUntilDone' | 'isDryDay'>>;

/** What was done last here, so that it can be taken back. */
interface Last {
  readonly taskId: string;
  readonly title: string;
}

export type BenchPress = ReturnType<typeof useBenchPress>;

/** What the press does with the step in hand, and what came of it. */
export function useBenchPress(hadClock: readonly string[]) {
  const [who] = useWho();
  const [read, setRead] = useState<{ readonly taskId: string; readonly hazards: readonly string[] } | null>(null);
  const [error, setError] = useState<{ readonly taskId: string; readonly error: AppError } | null>(null);
  const [last, setLast] = useState<Last | null>(null);
  const [sendAct, { isLoading: isActing }] = useActOnTaskMutation();
  const [sendClock, { isLoading: isStarting }] = useStartTimerMutation();
  const pressOf = (task: Task) =>
    choosePress(task, read?.taskId === task.id ? read.hazards : [], hadClock.includes(task.id));
  const fail = (taskId: string) => (problem: unknown) => setError({ taskId, error: readAppError(problem) });
  const press = async (task: Task, more: More = {}) => {
    const what = pressOf(task);
    setError(null);
    if (what.does === 'read') {
      const before = read?.taskId === task.id ? read.hazards : [];
      return setRead({ taskId: task.id, hazards: [...before, what.hazard] });
    }
    try {
      if (what.does !== 'start clock') await sendAct({ id: task.id, who, note: '', act: what.does, ...more }).unwrap();
      if (what.does === 'done') setLast({ taskId: task.id, title: task.title });
      if (what.clock) {
        // Tried while hands are still there to turn it up.
        strikeBell(0.15);
        const { kind, label, minutes } = what.clock;
        await sendClock({ jobId: task.jobId, taskId: task.id, kind, label, minutes }).unwrap();
      }
    } catch (problem) {
      fail(task.id)(problem);
    }
  };
  const note = (task: Task, words: string) =>
    sendAct({ id: task.id, who, act: 'note', note: words }).unwrap().catch(fail(task.id));
  const takeBack = async () => {
    if (!last) return;
    setLast(null);
    await sendAct({ id: last.taskId, who, note: '', act: 'take back' }).unwrap().catch(fail(last.taskId));
  };
  return { pressOf, press, note, takeBack, last, error, clear: () => setError(null), isBusy: isActing || isStarting };
}
