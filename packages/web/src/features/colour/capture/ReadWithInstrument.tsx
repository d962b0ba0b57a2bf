import type { CapturePlace } from '@sardonyx/core';
import { useGetWorkshopQuery, useMeasureColourMutation } from '../../../shared/api/api.ts';
import { readAppError } from '../../../shared/api/appError.ts';
import { ErrorNote } from '../../../shared/ui/Notice.tsx';
import { Calibrate } from '../mix/Calibrate.tsx';
import type { CaptureDraft } from './KeepCapture.tsx';

interface ReadWithInstrumentProps {
  readonly partId: string;
  readonly place: CapturePlace;
  readonly onRead: (draft: CaptureDraft) => void;
}

/** The spectrophotometer on the part itself; nothing where the workshop has none. */
export function ReadWithInstrument({ partId, place, onRead }: ReadWithInstrumentProps) {
  const { data } = useGetWorkshopQuery();
  const [measure, { error, isLoading }] = useMeasureColourMutation();
  const instrument = data?.instruments.find((one) => one.kind === 'spectrophotometer');
  if (!instrument) return null;
  const read = async () => {
    const { data: reading } = await measure({ instrumentId: instrument.id, body: { what: 'part', id: partId, place } });
    if (!reading) return;
    const { lab, sd, spectrum, geometry, sinceCalibrationMin } = reading;
    const age = sinceCalibrationMin === null ? '' : `, ${Math.round(sinceCalibrationMin)} min after its white tile`;
    onRead({
      ...{ lab, sd, spectrum, geometry, method: 'spectrophotometer', photoId: null, point: null, radius: 0 },
      origin: `31 bands, ${instrument.name}${reading.isSimulated ? ' (simulated)' : ''}${age}`,
    });
  };
  return (
    <section aria-label="With an instrument" className="space-y-2 border-t border-hairline pt-3">
      <h3>
        {instrument.name}{' '}
        {instrument.source === 'simulated' && (
          <span className="border border-ink px-2 text-note font-semibold">simulated</span>
        )}
      </h3>
      <div className="flex flex-wrap items-center gap-3">
        <Calibrate instrument={instrument} />
        <button type="button" className="plain-button" disabled={isLoading} onClick={() => void read()}>
          Read the {place} place
        </button>
      </div>
      {error !== undefined && <ErrorNote error={readAppError(error)} />}
    </section>
  );
}
