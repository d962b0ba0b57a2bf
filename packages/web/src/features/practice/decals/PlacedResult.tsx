import { FAULT_WORDS, PLACING_WORDS, type PracticeState, type PracticeTask } from '@sardonyx/core';
import { Fold } from '../../../shared/ui/Fold.tsx';
import { Sign } from '../../../shared/ui/Sign.tsx';

/** How it came out, what was wrong and why, and the order that works. */
export function PlacedResult({ state, task }: { readonly state: PracticeState; readonly task: PracticeTask }) {
  const { end, faults, badLuck, piecesLeft } = state;
  return (
    <section aria-label="How it came out" className="space-y-3">
      <p role="status" className="text-lead">
        <Sign of={end === 'placed' ? 'done' : 'never'} />{' '}
        <strong>
          {end === 'placed' ? `It lies${piecesLeft > 1 ? ', and the spare is left' : ''}.` : 'Both are lost.'}
        </strong>{' '}
        {faults.length === 0
          ? 'No step was out of its order.'
          : `${faults.length} ${faults.length === 1 ? 'thing was' : 'things were'} out of order.`}
      </p>
      {faults.length > 0 && (
        <ul className="list-disc space-y-1 pl-6">
          {faults.map(({ fault, ledTo }, i) => (
            <li key={i}>
              {FAULT_WORDS[fault]}
              {ledTo && ` Here it was ${ledTo}.`}
            </li>
          ))}
        </ul>
      )}
      {badLuck > 0 && (
        <p>
          It folded {badLuck === 1 ? 'once' : `${badLuck} times`} by bad luck: so do long ones in good hands, and a
          spare costs less than a week.
        </p>
      )}
      <Fold title="The order that works" isOpen={faults.length > 0}>
        <ol className="list-decimal space-y-1 pl-6">
          {task.steps.map(({ step }) => (
            <li key={step}>{PLACING_WORDS[step]}</li>
          ))}
        </ol>
      </Fold>
    </section>
  );
}
