import type { Lab } from '@sardonyx/core';

const signed = (value: number) => `${Number(value.toFixed(1)) < 0 ? '−' : ''}${Math.abs(value).toFixed(1)}`;

/** "L* 41.2, a* −3.1, b* −14.0". */
export const formatLab = ([l, a, b]: Lab): string => `L* ${signed(l)}, a* ${signed(a)}, b* ${signed(b)}`;

/** With one standard deviation each. */
export const formatLabSpread = (lab: Lab, sd: Lab): string =>
  ['L*', 'a*', 'b*'].map((word, i) => `${word} ${signed(lab[i]!)} ± ${sd[i]!.toFixed(1)}`).join(', ');

export const formatMl = (ml: number): string => `${ml.toFixed(ml < 10 ? 2 : 1)} ml`;

export const formatGrams = (grams: number): string => `${grams.toFixed(2)} g`;
