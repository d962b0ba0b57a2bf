import type { Film } from '../white/judgeFilms.ts';
import { selectStandingActs, type DecalAct } from './decalAct.ts';

/** Until it slides by itself, seconds (planning estimates: 20 to 60 by film and age). */
const FRESH_S: Readonly<Record<Film, number>> = {
  'clear, office printer': 25,
  'white, office printer': 30,
  'clear with white under it, supplier': 35,
};
const [LEAST_S, MOST_S] = [20, 60];
/** Old gum takes longer. */
const YEAR_S = 8;
const YEAR_DAYS = 365;
/** Seconds that one soak differs from the next, and what the estimate counts for beside soaks here. */
const SPREAD_S = 8;
const PRIOR_SOAKS = 2;

export interface Soak {
  readonly seconds: number;
  readonly sd: number;
  /** Soaks of this film on this bench; 0: planning estimate. */
  readonly learnedFrom: number;
}

/** How long a decal lies in water, by its film and the age of its sheet; learned from how long others of that film took. */
export function estimateSoak(film: Film, ageDays: number, acts: readonly DecalAct[]): Soak {
  const expect = (days: number) => Math.min(MOST_S, Math.max(LEAST_S, FRESH_S[film] + (YEAR_S * days) / YEAR_DAYS));
  const own = selectStandingActs(acts).filter((one) => one.act === 'slid' && one.film === film && one.soakS !== null);
  // What is learned is how much longer this film takes than was thought, whatever its age.
  const later = own.reduce((sum, { soakS, ageDays: age }) => sum + soakS! - expect(age ?? 0), 0);
  const seconds = expect(ageDays) + later / (PRIOR_SOAKS + own.length);
  return {
    seconds: Math.max(5, seconds),
    sd: SPREAD_S * Math.sqrt(1 + 1 / (PRIOR_SOAKS + own.length)),
    learnedFrom: own.length,
  };
}
