import type { DayWeatherView } from '@sardonyx/contract';
import { changeRow, createRow } from '../../shared/edits/editRow.ts';
import { formatEvening } from '../../shared/dates/sayDates.ts';
import { writeWallTime } from '../../shared/dates/wallTime.ts';
import { useAppDispatch } from '../../shared/store.ts';
import { Toggles } from '../../shared/ui/Toggles.tsx';

interface WeatherProps {
  readonly weather: readonly DayWeatherView[];
  /** ms since 1970. */
  readonly now: number;
}

const DAYS = 7;
const DAY_MS = 86_400_000;

/** Which of the next days are dry: blasting waits for those. */
export function Weather({ weather, now }: WeatherProps) {
  const dispatch = useAppDispatch();
  const say = (on: string, at: number, isDry: boolean) => {
    const row = weather.find((day) => day.on === on);
    const label = `${formatEvening(at)} ${isDry ? 'dry' : 'wet'}`;
    if (row) void dispatch(changeRow({ kind: 'day-weather', row, changes: { isDry }, label }));
    else void dispatch(createRow({ kind: 'day-weather', body: { on, isDry }, label }));
  };
  return (
    <section aria-label="Weather" className="space-y-2">
      <h2>Dry days, for blasting</h2>
      <p className="text-note text-soft-ink">A day of which nobody said anything is planned as a dry one.</p>
      <ul className="divide-y divide-hairline border-y border-hairline">
        {Array.from({ length: DAYS }, (_, i) => now + i * DAY_MS).map((at) => {
          const on = writeWallTime(new Date(at)).slice(0, 10);
          return (
            <li key={on} className="flex items-center justify-between gap-3 py-1">
              <span>{formatEvening(at)}</span>
              <Toggles
                aria-label={`Weather of ${formatEvening(at)}`}
                value={weather.find((day) => day.on === on)?.isDry}
                options={[
                  { value: true, label: 'dry' },
                  { value: false, label: 'wet' },
                ]}
                onChange={(isDry) => say(on, at, isDry)}
              />
            </li>
          );
        })}
      </ul>
    </section>
  );
}
