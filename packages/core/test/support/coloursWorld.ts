import type { ColoursOfPart } from '../../src/film/orderColours.ts';
import type { RandomSource } from '../../src/numeric/seededRandom.ts';

/** A part in so many colours: hidden faces, pots that serve twice, edges of every kind, weak colours over dark ones. */
export function drawColours(count: number, random: RandomSource): ColoursOfPart {
  const keys = Array.from({ length: count }, (_, i) => `field ${i}`);
  const colours = keys.map((key) => (random() < 0.2 ? 'field 0' : key));
  const fields = keys.map((key, i) => ({
    ...{ key, colour: colours[i]!, luminance: random(), isHidden: random() < 0.25 },
    ...{ areaCm2: 1 + 40 * random(), coatsOnGround: 1 + Math.floor(3 * random()) },
    coatsOn: Object.fromEntries(
      keys.filter((_, other) => colours[other] !== colours[i]).map((other) => [other, 1 + Math.floor(6 * random())]),
    ),
  }));
  const kinds = ['panel line', 'step', 'open surface'] as const;
  const edges = keys.flatMap((a, i) =>
    keys
      .slice(i + 1)
      .flatMap((b) =>
        random() < 0.5
          ? [{ between: [a, b] as const, lengthMm: 2 + 120 * random(), kind: kinds[Math.floor(3 * random())]! }]
          : [],
      ),
  );
  return { fields, edges };
}

/** Minutes of laying, and chance of a bleed, per centimetre of edge: from the words of the rule, not from its table. */
const PER_CM = { 'panel line': [0.5, 0.003], step: [0.8, 0.006], 'open surface': [1.2, 0.004] } as const;

/** The price of the cheapest of all permutations that begin so, each added up by itself. Infinity where none is allowed. */
export function findCheapestByTrying({ fields, edges }: ColoursOfPart, begun: readonly string[] = []): number {
  let cheapest = Infinity;
  const visit = (done: readonly number[]): void => {
    if (done.some((i, turn) => turn < begun.length && fields[i]!.key !== begun[turn])) return;
    if (done.length === fields.length) cheapest = Math.min(cheapest, price(done));
    else for (let i = 0; i < fields.length; i++) if (!done.includes(i)) visit([...done, i]);
  };
  const price = (order: readonly number[]): number => {
    let sum = 0;
    for (let at = 0; at < order.length; at++) {
      const field = fields[order[at]!]!;
      const earlier = order.slice(0, at).map((i) => fields[i]!);
      const seen = earlier.filter((other) => !other.isHidden && !begun.includes(other.key));
      if (field.isHidden && at >= begun.length && seen.length > 0) return Infinity;
      let isMasked = false;
      for (const other of earlier)
        for (const edge of edges) {
          if (!edge.between.includes(other.key) || !edge.between.includes(field.key)) continue;
          const [lay, bleed] = PER_CM[edge.kind];
          sum += (edge.lengthMm / 10) * (lay + 0.15 + bleed * 25);
          isMasked = true;
        }
      if (isMasked) for (const other of earlier) sum += 0.04 * other.areaCm2;
      const last = earlier.at(-1);
      const bare = field.coatsOnGround;
      if (!last || last.colour === field.colour) sum += 5 * bare;
      else {
        const over = field.coatsOn[last.key]!;
        // A coat of ground and the gun cleaned once more, or as many coats as it takes.
        sum += 6 + Math.min(5 * over, 5 * (bare + 1) + 6);
      }
    }
    return sum;
  };
  visit([]);
  return cheapest;
}
