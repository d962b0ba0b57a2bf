/** A stream of numbers in [0, 1) that is the same for the same seed. */
export type RandomSource = () => number;

/** 32-bit generator "mulberry32" (public domain); good enough for demo data and simulations, not for secrets. */
export function createSeededRandom(seed: number): RandomSource {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = state;
    t = Math.imul(t ^ (t >>> 15), t | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}

/** One element, each equally likely. The list must not be empty. */
export function pickOne<T>(list: readonly T[], random: RandomSource): T {
  const picked = list[Math.floor(random() * list.length)];
  if (picked === undefined) throw new Error('pickOne: the list is empty');
  return picked;
}
