import type { MixView } from '@sardonyx/contract';
import { computeDe00, firstMl, type MixState, type RoundAdvice } from '@sardonyx/core';
import { Link } from 'react-router';
import { nameOfProduct, useColourBench } from '../ColourContext.tsx';
import { formatMl } from '../swatch/formatColour.ts';

interface MixVerdictProps {
  readonly mix: MixView;
  readonly state: MixState;
  readonly advice: RoundAdvice | null;
  readonly problem: string | null;
}

/** Where the mix stands, in a sentence, and why this comes next. */
export function MixVerdict({ mix, state, advice, problem }: MixVerdictProps) {
  const { shelf, view } = useColourBench();
  if (mix.endedAt)
    return (
      <div>
        <p className="text-act font-semibold">
          {mix.productId ? `Kept: ${formatMl(state.totalMl)} of ${mix.name}` : 'Given up; its log stays.'}
        </p>
        {!mix.productId && (
          <Link className="underline underline-offset-4" to={`/jobs/${view.job.id}/colour/match`}>
            Choose a recipe and begin again
          </Link>
        )}
        {mix.productId && (
          <p>
            It stands on the shelf as a pot of its own.{' '}
            <Link className="underline underline-offset-4" to={`/jobs/${view.job.id}/finish`}>
              What is planned for the parts
            </Link>
          </p>
        )}
      </div>
    );
  if (problem) return <p role="alert">▲ {problem}</p>;
  if (!advice) return <p className="text-act font-semibold">Reckoning ...</p>;
  const { kind, deNow, deNext, deNextSd, totalMl, pours } = advice;
  const after = `${deNext.toFixed(1)} ± ${deNextSd.toFixed(1)} dE00`;
  const names = pours.map((pour) => nameOfProduct(shelf, pour.productId)).join(', ');
  if (kind === 'stop')
    return (
      <div aria-live="polite">
        <p className="text-act font-semibold">
          It is there: {deNow!.toFixed(1)} dE00 off, {mix.tolerance.toFixed(1)} was wanted.
        </p>
        <p>
          {formatMl(state.totalMl)} of {formatMl(mix.needMl)} needed. Keep it, or judge on.
        </p>
      </div>
    );
  if (kind === 'patch')
    return (
      <p className="text-act font-semibold" aria-live="polite">
        {formatMl(state.totalMl)} in the cup; it should be{' '}
        {computeDe00(mix.target, advice.labNow ?? mix.target).toFixed(1)} ± {deNextSd.toFixed(1)} dE00 off.
      </p>
    );
  if (kind === 'beyond')
    return (
      <div aria-live="polite">
        <p className="text-act font-semibold">▲ Adding cannot bring it within {mix.tolerance.toFixed(1)} any more.</p>
        <p>
          {deNow === null ? '' : `Now ${deNow.toFixed(1)} off; `}the best addition ends at {after} and{' '}
          {formatMl(totalMl)}. Begin again where that is too far off: throw this mix away below, or keep it as a
          leftover.
        </p>
      </div>
    );
  return (
    <div aria-live="polite">
      <p className="text-act font-semibold">
        {deNow === null
          ? `First mix: ${formatMl(totalMl)} of ${names}`
          : `${deNow.toFixed(1)} dE00 off. Add ${names}: ${formatMl(totalMl)} in all`}
      </p>
      <p>
        {deNow === null
          ? `On ${formatMl(firstMl(mix.needMl))} of the ${formatMl(mix.needMl)} needed, so that the first correction only fills up. `
          : ''}
        Should then be {after} off.
      </p>
    </div>
  );
}
