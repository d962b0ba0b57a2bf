import { formatPercent, type Foreseen, type IdentifyCatalogue } from '@sardonyx/core';

interface MindChangersProps {
  readonly mindChangers: readonly Foreseen[];
  readonly catalogue: IdentifyCatalogue;
  readonly onChoose: (featureId: string) => void;
}

/** What would change my mind: looks not taken that could put another issue in the lead. */
export function MindChangers({ mindChangers, catalogue, onChoose }: MindChangersProps) {
  return (
    <section aria-label="What would change my mind">
      <h2 className="mb-1">What would change my mind</h2>
      {mindChangers.length === 0 ? (
        <p className="text-soft-ink">No harmless look that is left would put another issue in the lead.</p>
      ) : (
        <ul>
          {mindChangers.map((one) => {
            const feature = catalogue.features.find((candidate) => candidate.id === one.featureId)!;
            const state = feature.states.find((candidate) => candidate.id === one.stateId)!;
            const leader = catalogue.variants.find((variant) => variant.id === one.leaderId);
            return (
              <li key={`${one.featureId} ${one.stateId}`} className="border-t border-hairline py-1">
                <button type="button" className="underline underline-offset-4" onClick={() => onChoose(one.featureId)}>
                  {feature.label}: {state.label.toLowerCase()}
                </button>{' '}
                would put {leader ? `“${leader.name}”` : 'none of the catalogue'} in the lead with{' '}
                {formatPercent(one.leaderProbability)};{' '}
                <span className="text-soft-ink">chance of seeing it {formatPercent(one.probability)}</span>
              </li>
            );
          })}
        </ul>
      )}
    </section>
  );
}
