import { checkPrimingGate } from '@sardonyx/core';
import { Sign } from '../../../../shared/ui/Sign.tsx';
import { Fold } from '../../../../shared/ui/Fold.tsx';
import { useNow } from '../../../clocks/index.ts';
import { useJob } from '../../JobContext.tsx';

/** What must be true before primer, part by part, and what of it is missing. */
export function PrimingGate() {
  const { specimen, tasks } = useJob();
  const now = useNow();
  const gates = specimen.parts.flatMap((part) => {
    const lines = checkPrimingGate(tasks, part.key, now);
    return lines ? [{ part, lines, open: lines.filter((line) => !line.isMet).length }] : [];
  });
  if (gates.length === 0) return null;
  const ready = gates.filter((gate) => gate.open === 0).length;
  return (
    <section aria-label="Priming gate">
      <h2>
        Ready for primer: {ready} of {gates.length} {gates.length === 1 ? 'part' : 'parts'}
      </h2>
      {gates.map(({ part, lines, open }) => (
        <Fold
          key={part.id}
          className="border-t border-hairline py-1"
          title={
            <>
              <Sign of={open ? 'open' : 'done'} />
              {part.name}: {open ? `${open} of ${lines.length} missing` : 'all true'}
            </>
          }
        >
          <ul className="pl-5">
            {lines.map(({ what, isMet, missing }) => (
              <li key={what}>
                <Sign of={isMet ? 'done' : 'open'} />
                {what}
                {isMet ? ': true' : <span className="text-soft-ink">. Missing: {missing.join('; ')}</span>}
              </li>
            ))}
          </ul>
        </Fold>
      ))}
    </section>
  );
}
