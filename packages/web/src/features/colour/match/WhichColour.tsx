import { useSearchParams } from 'react-router';
import { Field } from '../../../shared/ui/Field.tsx';
import { Select } from '../../../shared/ui/Select.tsx';
import { useColourBench } from '../ColourContext.tsx';
import { formatLabSpread } from '../../../shared/colour/formatColour.ts';
import type { WantedColour } from './useTarget.ts';

/** Which of the captured colours is aimed at. */
export function WhichColour({ target }: { readonly target: WantedColour }) {
  const { colour, nameOfPart } = useColourBench();
  const [, setParams] = useSearchParams();
  return (
    <div className="space-y-1">
      <Field label="Wanted" isQuiet>
        <Select
          value={target.capture.id}
          options={colour.captures.map((one) => ({
            value: one.id,
            label: `${nameOfPart(one.specimenPartId)}, ${one.place}${one.note ? `, ${one.note}` : ''} (${one.method})`,
          }))}
          onChange={(value) => setParams({ capture: value }, { replace: true })}
        />
      </Field>
      <p className="text-note text-soft-ink">
        <span className="figure">{formatLabSpread(target.lab, target.capture.sd)}</span>, {target.geometry}
        {!target.capture.spectrum && '; by lamp from the smoothest spectrum of that colour (planning estimate)'}
      </p>
    </div>
  );
}
