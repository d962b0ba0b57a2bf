import { formatPercent, selectCastRelief } from '@sardonyx/core';
import { useIdentification } from '../../useIdentification.ts';

/** Relief that belongs to the issue: before anything is filed or filled. */
export function MeantToBeThere() {
  const { report, catalogue } = useIdentification('variant');
  const leader = report?.identification.ranked[0];
  const relief = leader ? selectCastRelief(catalogue, leader.variantId) : [];
  if (!leader || relief.length === 0) return null;
  return (
    <section aria-label="Meant to be there" className="border-l-4 border-ink pl-3">
      <h2>Meant to be there: neither file it off nor fill it in</h2>
      <p>{relief.map(({ label, meant }) => `${label}: ${meant}`).join('; ')}.</p>
      <p className="text-note text-soft-ink">
        As recorded for {leader.name} ({formatPercent(leader.probability)}); rivet heads cast with the body count too.
      </p>
    </section>
  );
}
