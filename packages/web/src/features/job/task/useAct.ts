import type { ActOnTask } from '@sardonyx/contract';
import { useState } from 'react';
import { useActOnTaskMutation } from '../../../shared/api/api.ts';
import { readAppError, type AppError } from '../../../shared/api/appError.ts';
import { useWho } from '../../../shared/ui/useWho.ts';

/** Acts on a task as whoever works at this bench; the error when it was refused. */
export function useAct(taskId: string) {
  const [who] = useWho();
  const [error, setError] = useState<AppError | null>(null);
  const [send, { isLoading }] = useActOnTaskMutation();
  const act = async (body: Omit<ActOnTask, 'who' | 'note'> & { readonly note?: string }): Promise<boolean> => {
    setError(null);
    try {
      await send({ note: '', ...body, id: taskId, who }).unwrap();
      return true;
    } catch (problem) {
      setError(readAppError(problem));
      return false;
    }
  };
  return { act, error, isLoading, clear: () => setError(null) };
}
