import type { Timer } from '@sardonyx/core';
import { formatClock } from '../../shared/format.ts';
import { sayClock } from '../clocks/index.ts';
import { Sign } from '../../shared/ui/Sign.tsx';

interface ClocksProps {
  readonly timers: readonly Timer[];
  readonly nowMs: number;
  readonly numberOf: (jobId: string) => string;
}

/** What runs by itself, soonest first, with the time it has left. */
export function Clocks({ timers, nowMs, numberOf }: ClocksProps) {
  const running = timers.filter(({ endsAt }) => Date.parse(endsAt) > nowMs);
  if (running.length === 0) return null;
  return (
    <ul
      aria-label="What runs by itself"
      className="flex flex-wrap gap-x-6 border-t border-strong-line bg-sheet px-4 py-1"
    >
      {running.map((timer) => (
        <li key={timer.id} className="flex min-w-0 items-baseline gap-2">
          <Sign of="clock" />
          <strong className="figure text-lead">{formatClock((Date.parse(timer.endsAt) - nowMs) / 1000)}</strong>
          <span className="truncate">
            <span className="figure">{numberOf(timer.jobId)}</span> {sayClock(timer)}
          </span>
        </li>
      ))}
    </ul>
  );
}
