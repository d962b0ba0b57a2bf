import type { OpeningModel } from './openingModel.ts';

/** More groups than bits of a label are never asked for. */
const MOST_GROUPS = 12;

/**
 * Ways to take the treatments of a model together, finest first: each on its own, then again and again the two groups that
 * the fewest joints bring together as one, down to a single group.
 */
export function groupTreatments({ parts, joints }: OpeningModel): (readonly string[])[][] {
  const treatmentOf = new Map(parts.map(({ key, treatment }) => [key, treatment]));
  let groups: (readonly string[])[] = [...new Set(treatmentOf.values())].map((one) => [one]);
  const found = [groups];
  const meetings = (a: readonly string[], b: readonly string[]) =>
    joints.filter(({ partKeys }) => {
      const here = partKeys.map((key) => treatmentOf.get(key)!);
      return here.some((one) => a.includes(one)) && here.some((one) => b.includes(one));
    }).length;
  while (groups.length > 1) {
    const pairs = groups.flatMap((a, i) => groups.slice(i + 1).map((b) => ({ a, b, met: meetings(a, b) })));
    const { a, b } = pairs.reduce((best, pair) =>
      pair.met < best.met || (pair.met === best.met && pair.a.length + pair.b.length < best.a.length + best.b.length)
        ? pair
        : best,
    );
    groups = [...groups.filter((group) => group !== a && group !== b), [...a, ...b]];
    found.push(groups);
  }
  return found.filter((one) => one.length <= MOST_GROUPS);
}
