import type { InstrumentKind } from '@sardonyx/core';
import { useGetWorkshopQuery } from '../../shared/api/api.ts';
import { useReading } from './useReading.ts';

/** At a step: what the instrument for it reads now, and whether it is a simulated one. */
export function LiveReading({ kind }: { readonly kind: InstrumentKind }) {
  const { data } = useGetWorkshopQuery();
  const instrument = data?.instruments.find((one) => one.kind === kind) ?? null;
  const { celsius, fault } = useReading(instrument?.id ?? null);
  if (!instrument) return null;
  return (
    <p>
      {instrument.name}:{' '}
      <strong className="figure text-lead">{celsius === null ? '–' : `${celsius.toFixed(1)} °C`}</strong>{' '}
      <span className="text-note text-soft-ink">
        {fault ?? (instrument.source === 'simulated' ? 'simulated instrument' : 'measured here')}
      </span>
    </p>
  );
}
