import {
  adviseBake,
  BAKE_C,
  BAKES,
  OVEN_QUESTIONS,
  STRIP_METHOD_FACTS,
  type PlanPart,
  type SpecimenPart,
  type StripAdvice,
} from '@sardonyx/core';
import { Sign } from '../../../../shared/ui/Sign.tsx';
import { capitalise } from '../../../../shared/format.ts';
import { usePlanContext } from '../../usePlanContext.ts';

/** For the part in hand: the way its paint comes off, what else would do, what is refused and why; and whether it may be baked. */
export function HowPaintComesOff({ part }: { readonly part: SpecimenPart }) {
  const { strippingOf, partOf } = usePlanContext();
  const planned = partOf(part.key);
  return (
    <section aria-label={`Paint and heat: ${part.name}`} className="space-y-2">
      {planned.painted && <PaintOff part={planned} advice={strippingOf(planned)} />}
      <Bakes part={planned} />
    </section>
  );
}

function PaintOff({ part, advice }: { readonly part: PlanPart; readonly advice: StripAdvice | null }) {
  const { name, done } = part;
  if (!advice) return <h3>{name}: keeps its old paint</h3>;
  const { best, insteadOf, alternatives, refusals } = advice;
  return (
    <div>
      <h3>
        {done.stripped
          ? `${name}: paint came off with ${done.stripped}`
          : best
            ? `${name}: paint off with ${best.method}`
            : `${name}: nothing may take its paint off`}
        {insteadOf && `, not with ${insteadOf.method}`}
      </h3>
      <ul className="text-note">
        {best && !done.stripped && (
          <li>
            <Sign of="care" />
            {capitalise(STRIP_METHOD_FACTS[best.method].process)}: {best.verdict.reason}.{' '}
            {best.verdict.limit && `${capitalise(best.verdict.limit)}.`}
          </li>
        )}
        {alternatives.length > 0 && (
          <li>
            <Sign of="open" />
            Would do too: {alternatives.map((one) => one.method).join(', ')}.
          </li>
        )}
        {refusals.map(({ method, reason }) => (
          <li key={method}>
            <Sign of="never" />
            <strong>Not {method}:</strong> {reason}.
          </li>
        ))}
      </ul>
    </div>
  );
}

function Bakes({ part }: { readonly part: PlanPart }) {
  const { materialsOf, pieces } = usePlanContext();
  const isJoined = pieces.neighboursOf(part.key).length > 0;
  const { name } = part;
  const answers = BAKES.map((bake) => ({ bake, ...adviseBake(materialsOf(part), bake, isJoined) }));
  const allowed = answers.filter((answer) => answer.refusals.length === 0);
  return (
    <div>
      <h3>
        {allowed.length === 0
          ? `${name}: never in the oven`
          : `${name}: may be baked (${allowed.map((one) => `${one.bake}, metal at most ${one.mostC} °C`).join('; ')})`}
      </h3>
      <ul className="text-note">
        {answers
          .filter((answer) => answer.refusals.length > 0)
          .map(({ bake, refusals }) => (
            <li key={bake}>
              <Sign of="never" />
              <strong>
                {capitalise(bake)}, {BAKE_C[bake]} °C:
              </strong>{' '}
              {refusals.map(capitalise).join('. ')}.
            </li>
          ))}
        {allowed.length > 0 && (
          <li>Before the oven is switched on: {OVEN_QUESTIONS.join(' ')} Temperatures are planning estimates.</li>
        )}
      </ul>
    </div>
  );
}
