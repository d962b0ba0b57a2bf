import type { OpeningModel } from '../../src/assembly/openingModel.ts';

/**
 * The price of the best plan by trying every set of joints: the cheapest way to reach each set, one joint after the other,
 * plus the masking that it leaves. The slow yardstick; shares no code with the real one.
 */
export function bruteForceOpening({ parts, joints }: OpeningModel): number {
  const n = joints.length;
  const bitOf = new Map(joints.map((joint, j) => [joint.key, 1 << j]));
  const touching = (part: string, except: number) =>
    joints.reduce((mask, joint, j) => (j !== except && joint.partKeys.includes(part) ? mask | (1 << j) : mask), 0);
  const ways = joints.map((joint, j) =>
    joint.ways.map(({ price, behindJoints, behindParts }) => ({
      price,
      needs:
        behindJoints.reduce((mask, key) => mask | bitOf.get(key)!, 0) |
        behindParts.reduce((mask, key) => mask | touching(key, j), 0),
    })),
  );
  const reach = new Float64Array(1 << n).fill(Infinity);
  reach[0] = 0;
  let best = Infinity;
  for (let mask = 0; mask < reach.length; mask++) {
    if (reach[mask] === Infinity) continue;
    if (joints.every(({ wish }, j) => wish !== 'open' || mask & (1 << j)))
      best = Math.min(best, reach[mask]! + maskingOf(mask));
    for (let j = 0; j < n; j++) {
      if (mask & (1 << j) || joints[j]!.wish === 'closed') continue;
      for (const { price, needs } of ways[j]!)
        if ((needs & mask) === needs) reach[mask | (1 << j)] = Math.min(reach[mask | (1 << j)]!, reach[mask]! + price);
    }
  }
  return best;

  function maskingOf(mask: number): number {
    const pieces = parts.map((part) => new Set([part.key]));
    for (let j = 0; j < n; j++) {
      if (mask & (1 << j)) continue;
      const [first, ...others] = joints[j]!.partKeys.map((key) => pieces.findIndex((piece) => piece.has(key)));
      for (const other of others) {
        if (other === first) continue;
        for (const key of pieces[other]!) pieces[first!]!.add(key);
        pieces[other] = new Set();
      }
    }
    let price = 0;
    for (const piece of pieces) {
      const inIt = parts.filter((part) => piece.has(part.key));
      for (const part of inIt)
        for (const treatment of new Set(inIt.map((one) => one.treatment)))
          if (treatment !== part.treatment) price += part.maskPrice[treatment] ?? Infinity;
    }
    return price;
  }
}
