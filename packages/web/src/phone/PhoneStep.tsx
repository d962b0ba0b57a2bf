import type { PhoneView } from '@sardonyx/contract';
import { isGraveStep } from '@sardonyx/core';
import { useState } from 'react';
import type { AppError } from '../shared/api/appError.ts';
import { formatMoment } from '../shared/dates/sayDates.ts';
import { HazardCard } from '../shared/hazard/HazardCard.tsx';
import { HeldButton } from '../shared/ui/HeldButton.tsx';
import { ErrorNote } from '../shared/ui/Notice.tsx';
import { sendAct } from './askBench.ts';

interface PhoneStepProps extends Pick<PhoneView, 'step' | 'blockedBy'> {
  readonly isClosed: boolean;
  readonly onDone: () => void;
}

/** The step in hand, what can hurt at it, and a tick. Everything else about it is done at the bench. */
export function PhoneStep({ step, blockedBy, isClosed, onDone }: PhoneStepProps) {
  const [error, setError] = useState<AppError | null>(null);
  const [isBusy, setBusy] = useState(false);
  if (isClosed) return null;
  if (!step)
    return (
      <p>
        {blockedBy
          ? `Nothing to do now: “${blockedBy.title}” comes first${blockedBy.from ? `, from ${formatMoment(blockedBy.from)}` : ''}.`
          : 'Nothing is left to do.'}
      </p>
    );
  const tick = async () => {
    setBusy(true);
    const asked = await sendAct('POST', 'tick', { taskId: step.id });
    setBusy(false);
    setError(asked.error ?? null);
    onDone();
  };
  const isGrave = isGraveStep(step);
  return (
    <section aria-label="The step in hand" className="space-y-3 border-t border-strong-line pt-4">
      <p className="text-note text-soft-ink">{step.state === 'doing' ? 'In hand' : 'Next'}</p>
      <h2 className="text-lead">{step.title}</h2>
      {step.hazards.map((hazard) => (
        <HazardCard key={hazard} hazard={hazard} />
      ))}
      <p>{step.how}</p>
      {step.because && <p className="text-note text-soft-ink">{step.because}</p>}
      {isGrave && step.state === 'to do' ? (
        <p className="font-semibold">Start this step at the bench: it asks there what has to be asked before it.</p>
      ) : isGrave ? (
        <HeldButton disabled={isBusy} onHeld={() => void tick()}>
          It is done: {step.title}
        </HeldButton>
      ) : (
        <button type="button" className="main-button w-full" disabled={isBusy} onClick={() => void tick()}>
          It is done
        </button>
      )}
      {error && (
        <>
          <ErrorNote error={error} onClose={() => setError(null)} />
          <p className="text-note">Tick it at the bench: there it can be answered.</p>
        </>
      )}
    </section>
  );
}
