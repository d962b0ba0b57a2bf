import type { Feature, Trace } from '@sardonyx/core';
import { Field } from '../../../shared/ui/Field.tsx';
import { Select } from '../../../shared/ui/Select.tsx';

interface LookPlacesProps {
  readonly trace: Trace;
  readonly features: readonly Feature[];
  readonly featureKey: string;
  readonly onChoose: (featureKey: string) => void;
  readonly onRemove: (featureKey: string) => void;
}

/** Where on this view each feature is looked at: the points of Identify. */
export function LookPlaces({ trace, features, featureKey, onChoose, onRemove }: LookPlacesProps) {
  const set = new Set(trace.anchors.map((anchor) => anchor.featureKey));
  if (features.length === 0)
    return <p className="text-soft-ink">Its range has no features yet: they come with the sheet of issues.</p>;
  return (
    <section aria-label="Places to look at" className="space-y-3 border-2 border-ink bg-sheet p-3">
      <Field label="Feature" isQuiet width="16rem">
        <Select
          value={featureKey}
          options={features.map(({ key, label }) => ({ value: key, label: set.has(key) ? `${label}, set` : label }))}
          onChange={onChoose}
        />
      </Field>
      <p role="status">
        {set.has(featureKey) ? 'Drag it, or press where it belongs.' : 'Press where on this view it is looked at.'}
      </p>
      {set.has(featureKey) && (
        <button type="button" className="quiet-button" onClick={() => onRemove(featureKey)}>
          Not on this view
        </button>
      )}
    </section>
  );
}
