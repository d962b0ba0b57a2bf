import type { Path } from '@sardonyx/core';
import { formatMl } from '../../../shared/colour/formatColour.ts';

const WORDS: Readonly<Record<Path['kind'], string>> = {
  'own pots': 'Go on with these pots',
  'one pot more': 'With one pot more',
  'begin again': 'Begin again',
};

/** What each way of going on would cost in volume, and how near it would come. */
export function Paths({ paths }: { readonly paths: readonly Path[] }) {
  if (paths.length === 0) return null;
  return (
    <section aria-label="What each way costs">
      <h3>What each way costs</h3>
      <ul>
        {paths.map(({ kind, totalMl, wastedMl, de, deSd }) => (
          <li key={kind} className="flex flex-wrap items-baseline gap-x-3 border-b border-hairline py-1">
            <span className="grow">{WORDS[kind]}</span>
            <span className="figure text-note">
              {formatMl(totalMl)} in all, {wastedMl > 0.004 ? `${formatMl(wastedMl)} wasted` : 'nothing wasted'}
              {de === null ? '' : `, ${de.toFixed(1)} ± ${deSd!.toFixed(1)} off`}
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}
