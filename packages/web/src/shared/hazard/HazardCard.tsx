import { getHazardCard, HAZARD_DEFERRAL } from '@sardonyx/core';

const ROWS = [
  ['What hurts', 'hurts'],
  ['Wear', 'wear'],
  ['Air', 'air'],
  ['Never', 'neverMix'],
  ['First action', 'firstAction'],
  ['Waste', 'waste'],
] as const;

/** What can hurt at this step; comes up by itself, before the step. */
export function HazardCard({ hazard }: { readonly hazard: string }) {
  const card = getHazardCard(hazard);
  return (
    <section aria-label={`Hazard: ${card.title}`} className="border-2 border-ink bg-sheet p-3">
      <h3 className="flex items-center gap-2">
        <span aria-hidden className="inline-grid size-6 place-items-center bg-ink font-bold text-sheet">
          !
        </span>
        {card.title}
      </h3>
      <dl className="mt-2 grid grid-cols-[6.5rem_minmax(0,1fr)] gap-x-3 gap-y-1">
        {ROWS.map(([word, key]) => (
          <div key={key} className="contents">
            <dt className="text-soft-ink">{word}</dt>
            <dd>{card[key]}</dd>
          </div>
        ))}
      </dl>
      <p className="mt-2 font-semibold">{HAZARD_DEFERRAL}</p>
    </section>
  );
}
