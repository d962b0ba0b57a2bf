import { useState } from 'react';
import { Sign } from '../../../../shared/ui/Sign.tsx';
import { useActOnTaskMutation } from '../../../../shared/api/api.ts';
import { readAppError, type AppError } from '../../../../shared/api/appError.ts';
import { formatMoment } from '../../../../shared/dates/sayDates.ts';
import { ErrorNote } from '../../../../shared/ui/Notice.tsx';
import { useWho } from '../../../../shared/ui/useWho.ts';
import { useJob } from '../../JobContext.tsx';

/** Zinc that may have pest is left dry and cold: nothing wet, hot or drilled before somebody has looked (O12). */
export function PestGate() {
  const { view, specimen, tasks, isClosed } = useJob();
  const [who] = useWho();
  const [error, setError] = useState<AppError | null>(null);
  const [act, { isLoading }] = useActOnTaskMutation();
  const task = tasks.find((one) => one.key === 'pest-check' && one.state !== 'not needed');
  const suspects = specimen.parts.filter(
    (part) =>
      part.material === 'pest-suspect zinc' ||
      specimen.findings.some((finding) => finding.specimenPartId === part.id && finding.kind === 'pest'),
  );
  if (suspects.length > 0)
    return (
      <p role="note" className="border-l-4 border-sard pl-3">
        <strong>
          <Sign of="warning" />
          Pest suspected: {suspects.map((part) => part.name.toLowerCase()).join(', ')}.
        </strong>{' '}
        No heat, clamp, bath, wash, ultrasonic or blasting; opened only if you say so; keep it dry.
      </p>
    );
  if (!task) return null;
  if (task.state === 'done') {
    const last = view.log.filter((entry) => entry.taskId === task.id).at(-1);
    return (
      <p role="note" className="border-l-4 border-ink pl-3">
        <strong>
          <Sign of="done" />
          Looked over for pest: no sign.
        </strong>{' '}
        <span className="text-soft-ink">{last ? `${last.who}, ${formatMoment(last.at)}` : ''}</span>
      </p>
    );
  }
  const pass = async () => {
    setError(null);
    try {
      await act({ id: task.id, act: 'done', who, note: 'No sign of pest' }).unwrap();
    } catch (problem) {
      setError(readAppError(problem));
    }
  };
  return (
    <section aria-label="Pest check" className="space-y-2 border-l-4 border-sard pl-3">
      <p>
        <strong>
          <Sign of="open" />
          Not looked over for pest yet:
        </strong>{' '}
        washing, stripping, heat and drilling wait for it. {task.how}
      </p>
      {!isClosed && (
        <button type="button" className="plain-button" disabled={isLoading} onClick={() => void pass()}>
          Looked over: no sign of pest
        </button>
      )}
      {error && <ErrorNote error={error} />}
    </section>
  );
}
