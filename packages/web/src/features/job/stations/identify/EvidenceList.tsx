import { formatPercent, type Identification, type IdentifyCatalogue } from '@sardonyx/core';

interface EvidenceListProps {
  readonly identification: Identification;
  readonly catalogue: IdentifyCatalogue;
}

const FULL_BITS = 4;

/** What speaks for and against the leader: a bar to the right or to the left for every look. */
export function EvidenceList({ identification, catalogue }: EvidenceListProps) {
  const { evidence } = identification;
  if (evidence.length === 0) return null;
  return (
    <section aria-label="What speaks for and against">
      <h2 className="mb-1">What speaks for and against</h2>
      <ul>
        {evidence.map(({ featureId, bits, alteredChance }) => {
          const share = Math.min(1, Math.abs(bits) / FULL_BITS) * 50;
          return (
            <li
              key={featureId}
              className="grid grid-cols-[minmax(0,1fr)_9rem_5rem] items-center gap-3 border-t border-hairline py-1"
            >
              <span>
                {catalogue.features.find((feature) => feature.id === featureId)?.label}
                {alteredChance > 0.2 && (
                  <span className="text-note text-soft-ink"> · altered later: {formatPercent(alteredChance)}</span>
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
    </section>
  );
}
