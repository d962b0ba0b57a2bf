import { useState } from 'react';
import { useGetWorkshopQuery, useReadRoomMutation } from '../../../../shared/api/api.ts';
import { readAppError } from '../../../../shared/api/appError.ts';
import { formatSoon } from '../../../../shared/dates/sayDates.ts';
import { readNumber } from '../../../../shared/form/readNumber.ts';
import { ErrorNote } from '../../../../shared/ui/Notice.tsx';
import { useJob } from '../../JobContext.tsx';

/** What the workroom was like last: drying follows it. Read off its thermometer, or typed. */
export function RoomLine({ now }: { readonly now: Date }) {
  const { view, isClosed } = useJob();
  const { data: workshop } = useGetWorkshopQuery();
  const [read, { error, isLoading, reset }] = useReadRoomMutation();
  const [tempC, setTempC] = useState('');
  const thermometer = workshop?.instruments.find(({ kind }) => kind === 'room thermometer');
  const { room } = view;
  const type = async () => {
    // What is no number the server says in words; what was typed stays.
    const { error: refused } = await read({ tempC: readNumber(tempC), humidity: null });
    if (refused === undefined) setTempC('');
  };
  return (
    <div className="space-y-2">
      <div className="flex flex-wrap items-center gap-x-4 gap-y-2">
        <p>
          {room ? (
            <>
              The room: <strong className="figure">{room.tempC} °C</strong>
              {room.humidity !== null && <span className="figure">, {room.humidity} %</span>},{' '}
              <span className="text-soft-ink">
                {room.origin} {formatSoon(Date.parse(room.at), now)}
              </span>
            </>
          ) : (
            'The room was never read: drying is reckoned at the temperature that each coat was logged with.'
          )}
        </p>
        {!isClosed && thermometer && (
          <button type="button" className="plain-button" disabled={isLoading} onClick={() => void read(null)}>
            Read the thermometer
          </button>
        )}
        {!isClosed && workshop && !thermometer && (
          <form
            className="flex items-center gap-2"
            onSubmit={(event) => {
              event.preventDefault();
              void type();
            }}
          >
            <label className="flex items-center gap-2">
              <span className="text-note">Now, °C</span>
              <input
                inputMode="decimal"
                style={{ width: '5rem' }}
                value={tempC}
                onChange={(event) => setTempC(event.target.value)}
              />
            </label>
            <button type="submit" className="plain-button" disabled={isLoading}>
              Write it down
            </button>
          </form>
        )}
      </div>
      {error !== undefined && <ErrorNote error={readAppError(error)} onClose={reset} />}
    </div>
  );
}
