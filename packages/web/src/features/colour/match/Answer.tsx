import { describeDifference, estimateGloss, type Dosing, type Lab, type Proposal, type Shortage } from '@sardonyx/core';
import { Progress } from '../../../shared/ui/Progress.tsx';
import { Sign } from '../../../shared/ui/Sign.tsx';
import { formatMl } from '../../../shared/colour/formatColour.ts';
import { findProduct, nameOfProduct, useColourBench } from '../ColourContext.tsx';

interface AnswerProps {
  readonly progress: number | null;
  /** null while nothing is looked for yet: it is not known how much is needed. */
  readonly onEnd: (() => void) | null;
  readonly proposals: readonly Proposal[] | null;
  readonly chosen: Proposal | null;
  readonly problem: string | null;
  readonly dosing: Dosing;
  readonly target: Lab;
  /** Where the pots hold too little. */
  readonly shortage: Shortage | null;
}

/** The sentence first: what to mix and how near it comes; or how far the solver is. */
export function Answer({ progress, onEnd, proposals, chosen, problem, dosing, target, shortage }: AnswerProps) {
  const { shelf } = useColourBench();
  if (problem)
    return (
      <p role="status">
        <Sign of="warning" />
        {problem === 'Ended.' ? 'You ended the search. Change a wish to begin it again.' : problem}
      </p>
    );
  if (!proposals)
    return (
      <Progress
        what={progress !== null ? 'Working through all mixes of your pots' : 'Looking for recipes'}
        share={progress}
        {...(onEnd && { onEnd })}
      />
    );
  if (!chosen)
    return (
      <div role="status">
        <p className="text-act font-semibold">No recipe.</p>
        <p>{describeShortage(shortage)}</p>
      </div>
    );
  const parts = chosen.lines.map(({ productId, ml, doses }) => {
    const product = findProduct(shelf, productId);
    const amount =
      dosing === 'drops'
        ? `${doses} ${doses === 1 ? 'drop' : 'drops'}`
        : `${(ml * (product?.densityGPerMl ?? 1)).toFixed(2)} g`;
    return `${amount} ${nameOfProduct(shelf, productId)}`;
  });
  const gloss = estimateGloss(
    chosen.lines.map(({ productId, ml }) => ({ finish: findProduct(shelf, productId)?.gloss ?? 'gloss', ml })),
  );
  return (
    <div aria-live="polite">
      {!chosen.isReached && (
        <p className="text-act font-semibold">
          <Sign of="warning" />
          These pots do not reach it: the nearest stays {describeDifference(chosen.lab, target) || 'visibly off'}.
        </p>
      )}
      <p className="text-act font-semibold">{parts.join(', ')}.</p>
      <p>
        Should come within {chosen.de65.toFixed(1)} dE00 by daylight, {chosen.deA.toFixed(1)} by lamp; pots that are not
        quite their label may make it ± {chosen.sensitivity.toFixed(1)}, which the first patch will tell. Dries{' '}
        {gloss.word} (about {Math.round(gloss.units)} ± {Math.round(gloss.sd)} gloss units, planning estimate).
      </p>
    </div>
  );
}

function describeShortage(shortage: Shortage | null): string {
  if (!shortage) return 'No doses of these pots come out: take smaller drops, or scales.';
  const { mostMl, potsThatDo } = shortage;
  const held = `The pots of one binder, so many as you allow, hold ${formatMl(mostMl)} together.`;
  return potsThatDo === null
    ? `${held} Mix less, or bring another pot onto the shelf.`
    : `${held} With ${potsThatDo} paints it can be done; or mix less.`;
}
