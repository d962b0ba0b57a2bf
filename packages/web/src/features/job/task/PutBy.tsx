import type { Task } from '@sardonyx/core';
import { readAppError } from '../../../shared/api/appError.ts';
import { useMoveStockMutation } from '../../../shared/api/stockApi.ts';
import { ErrorNote } from '../../../shared/ui/Notice.tsx';
import { useWho } from '../../../shared/ui/useWho.ts';

interface PutByProps {
  readonly task: Task;
  readonly thing: { readonly id: string; readonly name: string };
  /** How many to put by; 0 where none are wanted or none are free. */
  readonly wanted: number;
  readonly reserved: number;
}

/** Puts something of a drawer by for the job of a step, or lets it go again: a line of its log. */
export function PutBy({ task, thing, wanted, reserved }: PutByProps) {
  const [who] = useWho();
  const [send, { error, isLoading }] = useMoveStockMutation();
  const move = (name: 'reserved' | 'released', amount: number) =>
    void send({
      ...{ thingId: thing.id, move: name, amount, jobId: task.jobId, price: null, batch: '', who: who.trim() },
      ...{ taskId: task.id, note: task.title },
    });
  return (
    <span className="flex flex-wrap gap-2">
      {wanted > 0 && (
        <button
          type="button"
          className="plain-button"
          disabled={isLoading || who.trim() === ''}
          onClick={() => move('reserved', wanted)}
        >
          Put {wanted} by<span className="sr-only">: {thing.name}</span>
        </button>
      )}
      {reserved > 0 && (
        <button type="button" className="quiet-button" disabled={isLoading} onClick={() => move('released', reserved)}>
          Let go<span className="sr-only">: {thing.name}</span>
        </button>
      )}
      {error !== undefined && <ErrorNote error={readAppError(error)} />}
    </span>
  );
}
