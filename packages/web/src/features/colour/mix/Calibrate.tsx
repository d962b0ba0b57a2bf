import { CALIBRATION_HOLDS_MIN, type Instrument } from '@sardonyx/core';
import { useCalibrateMutation } from '../../../shared/api/api.ts';
import { readAppError } from '../../../shared/api/appError.ts';
import { formatMoment } from '../../../shared/dates/sayDates.ts';
import { ErrorNote } from '../../../shared/ui/Notice.tsx';

/** The white tile under a simulated head; a real instrument has a button of its own for it. */
export function Calibrate({ instrument }: { readonly instrument: Instrument }) {
  const [calibrate, { data, error, isLoading }] = useCalibrateMutation({ fixedCacheKey: instrument.id });
  if (instrument.source === 'endpoint') return null;
  return (
    <>
      <button type="button" className="plain-button" disabled={isLoading} onClick={() => void calibrate(instrument.id)}>
        Calibrate on the white tile
      </button>
      <span className="text-note text-soft-ink">
        {data ? `calibrated ${formatMoment(data.calibratedAt)}` : 'not calibrated in this window'}, holds{' '}
        {CALIBRATION_HOLDS_MIN} min
      </span>
      {error !== undefined && <ErrorNote error={readAppError(error)} />}
    </>
  );
}
