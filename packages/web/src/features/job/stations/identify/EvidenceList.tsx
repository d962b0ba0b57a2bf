import { findOverpaint, formatPercent, type Identification, type IdentifyCatalogue } from '@sardonyx/core';
import { Sign } from '../../../../shared/ui/Sign.tsx';
import { useJob } from '../../JobContext.tsx';

interface EvidenceListProps {
  readonly identification: Identification;
  readonly catalogue: IdentifyCatalogue;
}

const FULL_BITS = 4;
const WORTH_SAYING = 0.2;

/** What speaks for and against the leader: a bar to the right or to the left for every look. */
export function EvidenceList({ identification, catalogue }: EvidenceListProps) {
  const { evidence, alteredChances } = identification;
  const overpaint = findOverpaint(useJob().specimen);
  if (evidence.length === 0) return null;
  const labels = new Map([...catalogue.features, ...catalogue.measures].map((look) => [look.id, look.label]));
  return (
    <section aria-label="What speaks for and against">
      <h2 className="mb-1">What speaks for and against</h2>
      {overpaint && (
        <p className="mb-1 text-note">
          <Sign of="warning" />
          The body is overpainted ({overpaint}): the colours outside are somebody else’s and speak for no issue. A
          sheltered place shows what is under it.
        </p>
      )}
      <ul>
        {[...evidence]
          .sort((a, b) => Math.abs(b.bits) - Math.abs(a.bits))
          .map(({ featureId, bits }) => {
            const share = Math.min(1, Math.abs(bits) / FULL_BITS) * 50;
            const altered = alteredChances[featureId] ?? 0;
            return (
              <li
                key={featureId}
                className="grid grid-cols-[minmax(0,1fr)_9rem_5rem] items-center gap-3 border-t border-hairline py-1"
              >
                <span>
                  {labels.get(featureId)}
                  {altered > WORTH_SAYING && (
                    <span className="text-note text-soft-ink"> · altered later: {formatPercent(altered)}</span>
                  )}
                </span>
                <span aria-hidden className="relative h-3 border border-hairline">
                  <span
                    className="absolute inset-y-0 bg-ink"
                    style={{ left: `${bits < 0 ? 50 - share : 50}%`, width: `${share}%` }}
                  />
                  <span className="absolute inset-y-[-3px] left-1/2 w-px bg-ink" />
                </span>
                <span className="figure text-right text-note whitespace-nowrap">
                  {bits >= 0 ? '+' : '−'}
                  {Math.abs(bits).toFixed(1)} bits
                </span>
              </li>
            );
          })}
      </ul>
      <p className="mt-1 text-note text-soft-ink">
        Each look alone, given all the others: 1 bit makes the leader twice as likely against its rivals.
      </p>
    </section>
  );
}
