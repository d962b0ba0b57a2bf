import type { MixView } from '@sardonyx/contract';
import { computeDe00, firstMl, type MixState, type RoundAdvice } from '@sardonyx/core';
import { Link } from 'react-router';
import { Sign } from '../../../shared/ui/Sign.tsx';
import { nameOfProduct, useColourBench } from '../ColourContext.tsx';
import { formatMl } from '../../../shared/colour/formatColour.ts';

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
  if (problem)
    return (
      <p role="alert">
        <Sign of="warning" />
        {problem}
      </p>
    );
  if (!advice) return <p className="text-act font-semibold">Reckoning ...</p>;
  const { kind, read, sureness, deNext, deNextSd, totalMl, pours } = advice;
  const deNow = read?.de ?? null;
  const isFirst = state.patches.length + state.wets.length === 0;
  const after = `${deNext.toFixed(1)} ± ${deNextSd.toFixed(1)} dE00`;
  const names = pours.map((pour) => nameOfProduct(shelf, pour.productId)).join(', ');
  if (kind === 'stop')
    return (
      <div aria-live="polite">
        <p className="text-act font-semibold">
          It is there: {deNow!.toFixed(1)} dE00 off, {mix.tolerance.toFixed(1)} was wanted.
        </p>
        <p>
          {formatSure(sureness!)} sure, by {countPatches(read!.patches)} of it. {formatMl(state.totalMl)} of{' '}
          {formatMl(mix.needMl)} needed. Keep it, or judge on.
        </p>
      </div>
    );
  if (kind === 'unsure')
    return (
      <div aria-live="polite">
        <p className="text-act font-semibold">
          It may be there: {deNow!.toFixed(1)} dE00 off, {formatSure(sureness!)} sure to be within{' '}
          {mix.tolerance.toFixed(1)}.
        </p>
        <p>
          Nothing to add by what is known. Another patch of the same mix tells more; or keep it, if it looks right to
          you.
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
        <p className="text-act font-semibold">
          <Sign of="warning" />
          Adding cannot bring it within {mix.tolerance.toFixed(1)} any more.
        </p>
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
        {isFirst
          ? `First mix: ${formatMl(totalMl)}${names && ` of ${names}`}`
          : `${deNow === null ? '' : `${state.isPatchDue ? 'As it should dry ' : ''}${deNow.toFixed(1)} dE00 off. `}Add ${names}: ${formatMl(totalMl)} in all`}
      </p>
      <p>
        {isFirst
          ? `On ${formatMl(firstMl(mix.needMl))} of the ${formatMl(mix.needMl)} needed, so that the first correction only fills up. `
          : ''}
        Should then be {after} off.
      </p>
    </div>
  );
}

const formatSure = (share: number) => (share > 0.995 ? 'Over 99 %' : `${Math.round(100 * share)} %`);
const countPatches = (count: number) => (count === 1 ? 'one patch' : `${count} patches`);
