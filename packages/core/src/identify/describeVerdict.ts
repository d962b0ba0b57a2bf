import type { IdentifyCatalogue } from './catalogue.ts';
import { hullOf, type YearInterval } from './computeDateSpan.ts';
import type { Identification } from './identifySpecimen.ts';

/** Most gaps that a sentence can carry. */
const MOST_PIECES = 2;

/** The verdict in one sentence, with its certainty and what was altered later. */
export function describeVerdict(identification: Identification, catalogue: IdentifyCatalogue): string {
  const { ranked, variantCount, noneProbability, nearest, date, evidence } = identification;
  const leader = ranked[0];
  if (!leader) return 'Nothing is claimed: no issue of it is written down here.';
  const when = describeRegion(date.region90);
  if (evidence.length === 0) return `Nothing looked at yet; ${countVariants(variantCount)} possible, ${when}.`;
  if (noneProbability >= 0.5) {
    return `Probably none of the catalogue's variants (${formatPercent(noneProbability)}); the nearest is ${(nearest ?? leader).name}.`;
  }
  const lead = leader.probability >= 0.5 ? leader.name : describeUnsettled(identification);
  const torn = describeTorn(identification, catalogue);
  return `${lead}, ${when}, ${formatPercent(leader.probability)}${describeAltered(identification, catalogue)}${torn}.`;
}

/** Where the issue is open the casting may be settled all the same. */
function describeUnsettled({ ranked, castings }: Identification): string {
  const [casting] = castings;
  const isCastingKnown = castings.length > 1 && casting!.probability >= 0.5;
  return isCastingKnown
    ? `${casting!.name} (${formatPercent(casting!.probability)}), issue not settled; ${ranked[0]!.name} leads`
    : `Not settled; ${ranked[0]!.name} leads`;
}

/** What is cast in and does not belong together: the body is the model, so the base is what came from another tool. */
function describeTorn(identification: Identification, catalogue: IdentifyCatalogue): string {
  if (identification.impossible) return '; what is cast in contradicts itself: parts of two tools';
  const altered = selectAltered(identification);
  const isBaseForeign = catalogue.features.some(({ id, group }) => group === 'base casting' && altered.includes(id));
  return isBaseForeign ? '; two tools are mixed: the base belongs to another issue' : '';
}

/** "; repainted (91 %): body colour": what speaks of later alteration among what was seen. */
function describeAltered(identification: Identification, catalogue: IdentifyCatalogue): string {
  const altered = selectAltered(identification).map(
    (id) => catalogue.features.find((feature) => feature.id === id)?.label.toLowerCase() ?? '',
  );
  const history = identification.histories[0]!;
  const isOriginal = history.probability === identification.untouchedProbability;
  if (altered.length === 0) return isOriginal ? '' : `; ${history.label} (${formatPercent(history.probability)})`;
  const what = altered.join(', ');
  return isOriginal || history.probability < 0.5
    ? `; not as it left the factory: ${what}`
    : `; ${history.label} (${formatPercent(history.probability)}): ${what}`;
}

/** The features seen that were more likely altered than not. */
function selectAltered({ evidence, alteredChances }: Identification): string[] {
  return evidence.map((weight) => weight.featureId).filter((id) => (alteredChances[id] ?? 0) > 0.5);
}

const countVariants = (count: number) => (count === 1 ? 'one variant is' : `${count} variants are`);

/** "spring 1962 to summer 1963", or two such with a gap between; with more gaps the whole stretch. */
export function describeRegion(region: readonly YearInterval[]): string {
  const pieces = region.length <= MOST_PIECES ? region : [hullOf(region)];
  return pieces.map(describeInterval).join(' or ');
}

const SEASONS = ['early', 'spring', 'summer', 'late'] as const;

/** "spring 1962 to summer 1963": the quarters that an interval touches, in words. */
export function describeInterval(interval: YearInterval): string {
  const from = describeQuarter(interval.fromYear);
  const to = describeQuarter(Math.max(interval.fromYear, interval.toYear - 1e-6));
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
  if (percent === 100 && probability < 1 - 1e-9) return 'over 99 %';
  return `${percent} %`;
}
