import { comesOn, type Restorer, type SessionException } from '@sardonyx/core';
import { useState } from 'react';
import { formatEvening } from '../../shared/dates/sayDates.ts';
import { writeWallTime } from '../../shared/dates/wallTime.ts';
import { FilePick } from '../../shared/ui/FilePick.tsx';
import { ErrorNote } from '../../shared/ui/Notice.tsx';
import { useNow } from '../clocks/index.ts';
import type { HolidaysRead } from './readHolidays.ts';

interface HolidaysProps {
  readonly restorer: Restorer;
  readonly onTake: (exceptions: readonly SessionException[]) => Promise<string | null>;
}

const AHEAD_MS = 366 * 86_400_000;
const dayOf = (at: number) => writeWallTime(new Date(at)).slice(0, 10);

/** Holidays out of a calendar file: shown first, with those that are evenings of this restorer. */
export function Holidays({ restorer, onTake }: HolidaysProps) {
  const now = useNow().getTime();
  const [found, setFound] = useState<HolidaysRead | null>(null);
  const [error, setError] = useState<string | null>(null);
  const read = async (file: File) => {
    setFound(null);
    setError(null);
    try {
      const { readHolidays } = await import('./readHolidays.ts');
      setFound(readHolidays(await file.text(), dayOf(now), dayOf(now + AHEAD_MS)));
    } catch (problem) {
      setError(`${file.name}: ${problem instanceof Error ? problem.message : String(problem)}`);
    }
  };
  const evenings = found?.days.filter(({ on }) => comesOn(restorer, on)) ?? [];
  const take = async () => {
    const off = evenings.map(({ on, name }) => ({ on, startHour: 0, minutes: 0, note: name.slice(0, 120) }));
    const days = new Set(off.map(({ on }) => on));
    const exceptions = [...restorer.exceptions.filter(({ on }) => !days.has(on)), ...off];
    const problem = await onTake(exceptions.sort((a, b) => a.on.localeCompare(b.on)));
    setError(problem);
    if (problem === null) setFound(null);
  };
  return (
    <div className="space-y-2">
      <FilePick
        label="Holidays out of a calendar file (ICS)"
        accept=".ics,text/calendar"
        onFile={(file) => void read(file)}
      />
      {error !== null && <ErrorNote error={{ kind: 'bad input', message: error }} onClose={() => setError(null)} />}
      {found && (
        <div role="status" className="space-y-2">
          <p>
            {found.days.length === 0
              ? 'No whole day of the coming year is in it.'
              : `${found.days.length} whole ${found.days.length === 1 ? 'day' : 'days'} of the coming year; ${
                  evenings.length === 0
                    ? `on none of them would ${restorer.name} come`
                    : `${restorer.name} would come on ${evenings.length}`
                }.`}
            {found.withHours > 0 && ` ${found.withHours} with hours: left alone.`}
          </p>
          {evenings.length > 0 && (
            <>
              <p>{evenings.map(({ on, name }) => `${formatEvening(on)}${name ? ` (${name})` : ''}`).join(', ')}</p>
              <button type="button" className="plain-button" onClick={() => void take()}>
                {evenings.length === 1 ? 'Does not come then' : `Does not come on these ${evenings.length}`}
              </button>
            </>
          )}
        </div>
      )}
    </div>
  );
}
