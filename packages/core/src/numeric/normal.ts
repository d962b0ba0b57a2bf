/** Share of the standard normal distribution below x; 1e-15 exact (J. F. Hart et al., Computer Approximations, 1968, 5725 to 5728). */
export function normalCdf(x: number): number {
  const z = Math.abs(x);
  const upper = z > 37 ? 0 : Math.exp((-z * z) / 2) * tailOverDensity(z);
  return x > 0 ? 1 - upper : upper;
}

const ABOVE = [
  3.52624965998911e-2, 0.700383064443688, 6.37396220353165, 33.912866078383, 112.079291497871, 221.213596169931,
  220.206867912376,
];
const BELOW = [
  8.83883476483184e-2, 1.75566716318264, 16.064177579207, 86.7807322029461, 296.564248779674, 637.333633378831,
  793.826512519948, 440.413735824752,
];

function tailOverDensity(z: number): number {
  if (z < 7.07106781186547) return evaluate(ABOVE, z) / evaluate(BELOW, z);
  // Far out as a continued fraction.
  return 1 / (z + 1 / (z + 2 / (z + 3 / (z + 4 / (z + 0.65))))) / Math.sqrt(2 * Math.PI);
}

function evaluate(coefficients: readonly number[], z: number): number {
  let sum = 0;
  for (let i = 0; i < coefficients.length; i++) sum = sum * z + coefficients[i]!;
  return sum;
}

/** The x below which a share of the standard normal distribution lies; share within 0 and 1, both left out. Newton on normalCdf. */
export function normalQuantile(share: number): number {
  if (!(share > 0 && share < 1)) throw new RangeError(`No quantile of ${share}.`);
  if (share > 0.5) return -normalQuantile(1 - share);
  // Out of the tail's own asymptote, always below the root: from there Newton on the concave logarithm cannot overshoot.
  let x = -Math.sqrt(-2 * Math.log(share));
  for (let i = 0; i < 60; i++) {
    const below = normalCdf(x);
    const slope = Math.exp((-x * x) / 2) / Math.sqrt(2 * Math.PI) / below;
    const step = (Math.log(share) - Math.log(below)) / slope;
    x += step;
    if (Math.abs(step) < 1e-13) break;
  }
  return x;
}
