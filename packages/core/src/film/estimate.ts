import { normalQuantile } from '../numeric/normal.ts';

/** A number that is not known exactly. */
export interface Estimate {
  readonly value: number;
  /** Standard deviation over the value. */
  readonly relativeSd: number;
}

/**
 * Product of independent estimates, each to a power of 1 or -1. Relative variances multiply as 1 + r^2, which is exact for
 * log-normal factors; the mean of 1 / x is above 1 / mean of x by the same.
 */
export function multiplyEstimates(over: readonly Estimate[], under: readonly Estimate[] = []): Estimate {
  const square = ({ relativeSd }: Estimate) => 1 + relativeSd * relativeSd;
  const value =
    over.reduce((product, one) => product * one.value, 1) *
    under.reduce((product, one) => (product * square(one)) / one.value, 1);
  const spread = [...over, ...under].reduce((product, one) => product * square(one), 1) - 1;
  return { value, relativeSd: Math.sqrt(spread) };
}

/** Sum of independent estimates; nothing at all is 0, for sure. */
export function addEstimates(terms: readonly Estimate[]): Estimate {
  const value = terms.reduce((sum, one) => sum + one.value, 0);
  const variance = terms.reduce((sum, one) => sum + (one.value * one.relativeSd) ** 2, 0);
  return { value, relativeSd: value > 0 ? Math.sqrt(variance) / value : 0 };
}

/**
 * The number that an estimate does not exceed with a probability: by a log-normal of the same mean and spread, since products of
 * what cannot be negative are skewed.
 */
export function computeUpper({ value, relativeSd }: Estimate, share: number): number {
  const variance = Math.log(1 + relativeSd * relativeSd);
  return value * Math.exp(normalQuantile(share) * Math.sqrt(variance) - variance / 2);
}
