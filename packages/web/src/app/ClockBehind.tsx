import { useGetHealthQuery } from '../shared/api/api.ts';
import { formatMoment } from '../shared/dates/sayDates.ts';
import { Sign } from '../shared/ui/Sign.tsx';

/** Says so while the clock of the bench's machine stands before what was logged last. */
export function ClockBehind() {
  const { data: health } = useGetHealthQuery();
  if (!health?.clockBehind) return null;
  return (
    <p role="alert" className="border-b border-strong-line bg-sunk px-4 py-2">
      <strong>
        <Sign of="warning" />
        The clock of this machine was set back.
      </strong>{' '}
      It says {formatMoment(health.now)}; the last entry of the log was written at {formatMoment(health.clockBehind)}.
      Clocks and waits go by it: set it right. Entries keep the order in which they were written.
    </p>
  );
}
