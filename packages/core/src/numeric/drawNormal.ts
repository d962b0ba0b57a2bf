import type { RandomSource } from './seededRandom.ts';

/** A number from the normal distribution with mean 0 and standard deviation 1 (Box and Muller 1958). */
export const drawNormal = (random: RandomSource): number =>
  Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
