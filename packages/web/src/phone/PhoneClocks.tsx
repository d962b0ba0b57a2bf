import type { PhoneView } from '@sardonyx/contract';
import { useEffect, useState } from 'react';
import { ClockIcon } from '../shared/ui/icons.ts';

/** Seconds as 1:02:03 or 2:03. */
function sayLeft(seconds: number): string {
  const [h, m, s] = [Math.floor(seconds / 3600), Math.floor(seconds / 60) % 60, seconds % 60];
  const two = (value: number) => String(value).padStart(2, '0');
  return h ? `${h}:${two(m)}:${two(s)}` : `${m}:${two(s)}`;
}

/** The clocks of the job, by the bench's time. */
export function PhoneClocks({ clocks, now }: Pick<PhoneView, 'clocks' | 'now'>) {
  const [ahead, setAhead] = useState(0);
  const [tick, setTick] = useState(() => Date.now());
  useEffect(() => setAhead(Date.parse(now) - Date.now()), [now]);
  useEffect(() => {
    const timer = setInterval(() => setTick(Date.now()), 1000);
    return () => clearInterval(timer);
  }, []);
  if (clocks.length === 0) return null;
  return (
    <ul aria-label="Clocks" className="space-y-1">
      {clocks.map(({ id, label, endsAt }) => {
        const left = Math.round((Date.parse(endsAt) - tick - ahead) / 1000);
        return (
          <li key={id} className="flex items-center gap-2 border-l-4 border-ink bg-sheet px-3 py-2">
            <ClockIcon aria-hidden size={20} />
            <span className="grow">{label}</span>
            <strong className="figure text-lead">{left > 0 ? sayLeft(left) : 'over'}</strong>
          </li>
        );
      })}
    </ul>
  );
}
