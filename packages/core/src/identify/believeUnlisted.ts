import { LISTED_SHARES, type ListedShare, type Variant } from '../model/catalogue.ts';

/** What the bench itself found out about the issues of a casting. */
export interface SettledIssues {
  /** Models of the casting whose issue was settled. */
  readonly settled: number;
  /** Of these, how many are of an issue that was found here, on a model, and stood on no list. */
  readonly ofFound: number;
}

/** Counts the models of a casting that were settled, by its issues. */
export function countSettled(
  variants: readonly Pick<Variant, 'id' | 'foundOnId'>[],
  settledVariantIds: readonly string[],
): SettledIssues {
  const found = new Set(variants.flatMap(({ id, foundOnId }) => (foundOnId ? [id] : [])));
  return { settled: settledVariantIds.length, ofFound: settledVariantIds.filter((id) => found.has(id)).length };
}

/** Chance that a model is of an issue which such a list lacks, before any model was settled (planning estimates). */
const STATED: Readonly<Record<ListedShare, number>> = { all: 0.001, most: 0.09, some: 0.48 };
/** So many settled models weigh as much as that (planning estimate). */
const STATED_WEIGHT = 2.5;
/** How soon the unlisted issues are found one by one: concentration of their shares (planning estimate). */
const CONCENTRATION = 1;
/** Chance that a list is one step more, or one step less, complete than was said: who says "all" has counted (planning estimates). */
const MISSTATED: Readonly<Record<ListedShare, number>> = { all: 0.03, most: 0.07, some: 0.07 };

/** What a list is taken for of which nobody said anything: a wrong "all" would claim too much. */
const UNSAID: ListedShare = 'most';

/**
 * Chance that a model of a casting is of an issue that its list lacks: what somebody said of the list, moved by the models
 * settled here. A list is what it was said to be or one step beside; each is weighed by how well it foretells how many
 * settled models were of issues that it lacked (beta-binomial), and what was found makes what is still to be found less
 * (the next draw of a Dirichlet process is new; D. Blackwell and J. B. MacQueen, Annals of Statistics 1, 1973).
 */
export function believeUnlisted(stated: ListedShare | null, { settled, ofFound }: SettledIssues): number {
  const said = stated ?? UNSAID;
  const at = LISTED_SHARES.indexOf(said);
  let [total, sum] = [0, 0];
  LISTED_SHARES.forEach((share, i) => {
    const steps = Math.abs(i - at);
    if (steps > 1) return;
    const neighbours = at === 1 ? 2 : 1;
    const before = STATED_WEIGHT * STATED[share];
    const weight =
      (steps ? MISSTATED[said] : 1 - neighbours * MISSTATED[said]) * computeChance(ofFound, settled, before);
    total += weight;
    sum += (((weight * (before + ofFound)) / (STATED_WEIGHT + settled)) * CONCENTRATION) / (CONCENTRATION + ofFound);
  });
  return sum / total;
}

/** Chance of just these finds, one after the other. */
function computeChance(ofFound: number, settled: number, before: number): number {
  let chance = 1;
  for (let i = 0; i < ofFound; i++) chance *= (before + i) / (STATED_WEIGHT + i);
  for (let i = 0; i < settled - ofFound; i++) chance *= (STATED_WEIGHT - before + i) / (STATED_WEIGHT + ofFound + i);
  return chance;
}
