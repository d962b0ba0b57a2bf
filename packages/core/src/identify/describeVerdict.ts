import type { IdentifyCatalogue } from './catalogue.ts';
import type { YearInterval } from './computeDateSpan.ts';
import type { Identification } from './identifySpecimen.ts';

/** The verdict in one sentence, with its certainty and what speaks of later alteration. */
export function describeVerdict(identification: Identification, catalogue: IdentifyCatalogue): string {
  const leader = identification.ranked[0];
  if (!leader) return 'The catalogue has no variant of this casting yet.';
  const when = describeInterval(identification.date.interval90);
  if (identification.evidence.length === 0)
    return `Nothing looked at yet; ${countVariants(identification.ranked.length)} possible, ${when}.`;
  if (identification.noneProbability >= 0.5) {
    return `Probably none of the catalogue's variants (${formatPercent(identification.noneProbability)}); the nearest is ${leader.name}.`;
  }
  const altered = identification.evidence
    .filter((weight) => weight.alteredChance > 0.5)
    .map((weight) => catalogue.features.find((feature) => feature.id === weight.featureId)?.label.toLowerCase() ?? '');
  const later = altered.length ? `; not as it left the factory: ${altered.join(', ')}` : '';
  const lead = leader.probability >= 0.5 ? leader.name : `Not settled; ${leader.name} leads`;
  const torn = identification.impossible ? '; what is cast in contradicts itself: parts of two tools' : '';
  return `${lead}, ${when}, ${formatPercent(leader.probability)}${later}${torn}.`;
}

const countVariants = (count: number) => (count === 1 ? 'one variant is' : `${count} variants are`);

const SEASONS = ['early', 'spring', 'summer', 'late'] as const;

/** "spring 1962 to summer 1963": quarters in words. */
export function describeInterval(interval: YearInterval): string {
  const from = describeQuarter(interval.fromYear);
  const to = describeQuarter(interval.toYear - 0.25);
  return from === to ? from : `${from} to ${to}`;
}

function describeQuarter(year: number): string {
  const whole = Math.floor(year + 1e-9);
  const quarter = Math.min(3, Math.floor((year - whole + 1e-9) * 4));
  return `${SEASONS[quarter]} ${whole}`;
}

/** A probability as whole percent, never a false 0 or 100. */
export function formatPercent(probability: number): string {
  const percent = Math.round(probability * 100);
  if (percent === 0 && probability > 0) return 'under 1 %';
  if (percent === 100 && probability < 1) return 'over 99 %';
  return `${percent} %`;
}
