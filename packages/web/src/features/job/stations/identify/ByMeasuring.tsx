import { selectColourFeatures, type IdentifyFeature, type MeasuredState } from '@sardonyx/core';
import { useJob } from '../../JobContext.tsx';
import { CapturedHere } from './CapturedHere.tsx';
import { SayMeasured } from './SayMeasured.tsx';
import { SizeHere } from './SizeHere.tsx';

interface ByMeasuringProps {
  readonly feature: IdentifyFeature;
  /** What was measured says of its states; nothing while nothing answers. */
  readonly states: readonly MeasuredState[] | undefined;
}

/** A look is answered by measuring where its states have colours or sizes: how near the numbers are to what is known of each. */
export function ByMeasuring({ feature, states }: ByMeasuringProps) {
  const { specimen } = useJob();
  const given = specimen.observations.find((one) => one.featureId === feature.id);
  const parts = specimen.parts.filter((part) =>
    selectColourFeatures(specimen, part.id).some(({ id }) => id === feature.id),
  );
  const unit = (feature.states.find(({ size }) => size)?.size ?? given?.size)?.unit;
  if (parts.length === 0 && !unit) return null;
  return (
    <section aria-label={`${feature.label}: by measuring`} className="mt-3 border-t border-hairline pt-2">
      <h3>By measuring</h3>
      {unit && <SizeHere key={feature.id} feature={feature} given={given} unit={unit} />}
      {parts.length > 0 && <CapturedHere feature={feature} parts={parts} />}
      {given && (given.captureIds.length > 0 || given.size) && <SayMeasured {...{ feature, given, states }} />}
    </section>
  );
}
