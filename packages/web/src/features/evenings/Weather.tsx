import type { DayWeatherView, ForecastView } from '@sardonyx/contract';
import { DRY_BELOW_PERCENT } from '@sardonyx/core';
import { useGetWorkshopQuery } from '../../shared/api/api.ts';
import { readAppError } from '../../shared/api/appError.ts';
import { useAskForecastMutation } from '../../shared/api/eveningsApi.ts';
import { changeRow, createRow } from '../../shared/edits/editRow.ts';
import { formatEvening } from '../../shared/dates/sayDates.ts';
import { writeWallTime } from '../../shared/dates/wallTime.ts';
import { useAppDispatch } from '../../shared/store.ts';
import { ErrorNote } from '../../shared/ui/Notice.tsx';
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
  const [ask, { data: forecast, error, isLoading }] = useAskForecastMutation();
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
              <span>
                {formatEvening(at)}
                <span className="text-note text-soft-ink">{sayRain(forecast, on)}</span>
              </span>
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
      <Forecast
        forecast={forecast}
        isAsking={isLoading}
        onAsk={(id) => void ask(id)}
        unsaid={forecast?.days.filter(({ on }) => !weather.some((day) => day.on === on)) ?? []}
        onTake={(days) =>
          days.forEach(({ on, rainPercent }) => say(on, Date.parse(`${on}T12:00:00`), rainPercent < DRY_BELOW_PERCENT))
        }
      />
      {error !== undefined && <ErrorNote error={readAppError(error)} />}
    </section>
  );
}

function sayRain(forecast: ForecastView | undefined, on: string): string {
  const day = forecast?.days.find((one) => one.on === on);
  return day ? `, rain ${day.rainPercent} %` : '';
}

interface ForecastProps {
  readonly forecast: ForecastView | undefined;
  readonly isAsking: boolean;
  readonly onAsk: (instrumentId: string) => void;
  /** Days of the forecast of which nobody said anything. */
  readonly unsaid: ForecastView['days'];
  readonly onTake: (days: ForecastView['days']) => void;
}

/** A forecast is asked when somebody wants it, and taken over when they say so; what they said of a day stands. */
function Forecast({ forecast, isAsking, onAsk, unsaid, onTake }: ForecastProps) {
  const { data: workshop } = useGetWorkshopQuery();
  const instrument = workshop?.instruments.find(({ kind }) => kind === 'weather forecast');
  if (!instrument) return null;
  return (
    <div className="space-y-2">
      <div className="flex flex-wrap items-center gap-3">
        <button type="button" className="plain-button" disabled={isAsking} onClick={() => onAsk(instrument.id)}>
          Ask the forecast
        </button>
        {instrument.source === 'simulated' && <span className="border border-ink px-2 font-semibold">simulated</span>}
        {unsaid.length > 0 && (
          <button type="button" className="plain-button" onClick={() => onTake(unsaid)}>
            {unsaid.length === 1 ? 'Plan by it for the day left' : `Plan by it for ${unsaid.length} days`}
          </button>
        )}
      </div>
      {forecast && (
        <p className="text-note text-soft-ink">
          Dry below {DRY_BELOW_PERCENT} % rain (planning estimate, on the careful side). What somebody said of a day
          stands.
        </p>
      )}
    </div>
  );
}
