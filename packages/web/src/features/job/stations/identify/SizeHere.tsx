import type { IdentifyFeature, Observation, SizeUnit } from '@sardonyx/core';
import { TypeSize } from '../../../../shared/form/TypeSize.tsx';
import { useJob } from '../../JobContext.tsx';
import { useAnswer } from './useAnswer.ts';

interface SizeHereProps {
  readonly feature: IdentifyFeature;
  readonly given: Observation | undefined;
  readonly unit: SizeUnit;
}

/** A length or a mass taken of the model in hand. */
export function SizeHere({ feature, given, unit }: SizeHereProps) {
  const { isClosed } = useJob();
  const answer = useAnswer();
  if (given?.size)
    return (
      <p className="flex flex-wrap items-center gap-3">
        <span className="figure">
          {given.size.value} ± {given.size.sd} {given.size.unit}
        </span>
        {!isClosed && (
          <button type="button" className="quiet-button" onClick={() => answer(feature, { size: null })}>
            Take this size back
          </button>
        )}
      </p>
    );
  if (isClosed) return null;
  return (
    <TypeSize of={feature.label} units={[unit]} act="Count this size" onTyped={(size) => answer(feature, { size })} />
  );
}
