/** Threads that close toys; diameter and pitch in mm. */
export const THREADS = {
  'M1.6': { diameter: 1.6, pitch: 0.35 },
  M2: { diameter: 2, pitch: 0.4 },
  'M2.5': { diameter: 2.5, pitch: 0.45 },
  M3: { diameter: 3, pitch: 0.5 },
  '2-56': { diameter: 2.1844, pitch: 25.4 / 56 },
  '4-40': { diameter: 2.8448, pitch: 25.4 / 40 },
} as const;
export type Thread = keyof typeof THREADS;
export const THREAD_NAMES = Object.keys(THREADS) as Thread[];
