import type { MixView } from '@sardonyx/contract';
import { computeDe00, describeDifference, type MixState, type MixStep } from '@sardonyx/core';
import { useLogMixStepMutation } from '../../../shared/api/api.ts';
import { readAppError } from '../../../shared/api/appError.ts';
import { formatMoment } from '../../../shared/dates/sayDates.ts';
import { ErrorNote } from '../../../shared/ui/Notice.tsx';
import { useWho } from '../../../shared/ui/useWho.ts';
import { nameOfProduct, useColourBench } from '../ColourContext.tsx';
import { formatMl } from '../../../shared/colour/formatColour.ts';

/** Every line of a mixing, latest first; a mislogged one is taken out of the account and stays in the log. */
export function MixLog({ mix, state }: { readonly mix: MixView; readonly state: MixState }) {
  const { shelf, isClosed } = useColourBench();
  const [who] = useWho();
  const [log, { error, isLoading }] = useLogMixStepMutation();
  const lines = mix.steps.filter((step) => step.body.kind !== 'undo').reverse();
  if (lines.length === 0) return null;
  const describe = ({ body }: MixStep): string => {
    if (body.kind === 'pour') return `${formatMl(body.ml)} ${nameOfProduct(shelf, body.productId)} (${body.source})`;
    if (body.kind === 'wet') return `wet patch at L* ${body.lab[0].toFixed(1)}`;
    if (body.kind !== 'patch') return '';
    const words = describeDifference(body.lab, mix.target);
    return `patch ${computeDe00(mix.target, body.lab).toFixed(1)} off${words && `: ${words}`} (${body.how})`;
  };
  return (
    <section aria-label="Log of this mix">
      <h3>Log of this mix</h3>
      <ol reversed>
        {lines.map((step) => {
          const isOut = state.undone.has(step.id);
          return (
            <li key={step.id} className="flex flex-wrap items-baseline gap-x-3 border-b border-hairline py-0.5">
              <span className={`grow ${isOut ? 'text-soft-ink line-through' : ''}`}>{describe(step)}</span>
              <span className="text-note text-soft-ink">
                {isOut ? 'taken out' : `${step.who}, ${formatMoment(step.at)}`}
              </span>
              {!isOut && !mix.endedAt && !isClosed && (
                <button
                  type="button"
                  className="quiet-button"
                  disabled={isLoading}
                  aria-label={`Mislogged: ${describe(step)}`}
                  onClick={() => void log({ mixId: mix.id, path: 'undo', body: { stepId: step.id, who } })}
                >
                  Mislogged
                </button>
              )}
            </li>
          );
        })}
      </ol>
      {error !== undefined && <ErrorNote error={readAppError(error)} />}
    </section>
  );
}
