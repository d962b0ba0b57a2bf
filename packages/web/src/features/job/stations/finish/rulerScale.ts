const HOUR_MS = 3_600_000;

/** How far the drying ruler looks ahead, with a little of what has been. */
export interface RulerScale {
  readonly label: string;
  readonly backMs: number;
  readonly aheadMs: number;
  /** A line with its time at every so many hours of the local clock. */
  readonly everyHours: number;
}

export const RULER_SCALES: readonly RulerScale[] = [
  { label: '12 hours', backMs: 3 * HOUR_MS, aheadMs: 12 * HOUR_MS, everyHours: 3 },
  { label: '3 days', backMs: 18 * HOUR_MS, aheadMs: 72 * HOUR_MS, everyHours: 24 },
  { label: '2 weeks', backMs: 72 * HOUR_MS, aheadMs: 14 * 24 * HOUR_MS, everyHours: 48 },
];

/** The shortest that still shows the next change. */
export function chooseScale(changes: readonly number[], now: number): RulerScale {
  const ahead = changes.filter((at) => at > now).map((at) => at - now);
  const first = ahead.length ? Math.min(...ahead) : 0;
  return RULER_SCALES.find(({ aheadMs }) => first < 0.8 * aheadMs) ?? RULER_SCALES.at(-1)!;
}

/** Moments of the local clock at which the ruler has a line. */
export function listTicks({ backMs, aheadMs, everyHours }: RulerScale, now: number): number[] {
  const at = new Date(now - backMs);
  at.setMinutes(0, 0, 0);
  at.setHours(everyHours >= 24 ? 0 : Math.floor(at.getHours() / everyHours) * everyHours);
  const ticks: number[] = [];
  while (at.getTime() < now + aheadMs) {
    if (at.getTime() > now - backMs) ticks.push(at.getTime());
    at.setHours(at.getHours() + everyHours);
  }
  return ticks;
}
