import type { Identification } from './identifySpecimen.ts';

export interface YearChance {
  readonly year: number;
  readonly chance: number;
}

/** The chance of each calendar year, four quarters at a time. Years without any are left out. */
export function computeYearChances({ axis, dateDensity }: Pick<Identification, 'axis' | 'dateDensity'>): YearChance[] {
  const chances = new Map<number, number>();
  dateDensity.forEach((chance, i) => {
    const year = axis.firstYear + Math.floor(i / 4);
    if (chance > 0) chances.set(year, (chances.get(year) ?? 0) + chance);
  });
  return [...chances].map(([year, chance]) => ({ year, chance }));
}
