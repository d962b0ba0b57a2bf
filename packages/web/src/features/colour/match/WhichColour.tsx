import { useSearchParams } from 'react-router';
import { useColourBench } from '../ColourContext.tsx';
import { formatLabSpread } from '../swatch/formatColour.ts';
import type { WantedColour } from './useTarget.ts';

/** Which of the captured colours is aimed at. */
export function WhichColour({ target }: { readonly target: WantedColour }) {
  const { colour, nameOfPart } = useColourBench();
  const [, setParams] = useSearchParams();
  return (
    <div className="space-y-1">
      <label className="block">
        <span className="text-note">Wanted</span>
        <select
          value={target.capture.id}
          onChange={(event) => setParams({ capture: event.target.value }, { replace: true })}
        >
          {colour.captures.map((one) => (
            <option key={one.id} value={one.id}>
              {nameOfPart(one.specimenPartId)}, {one.place}
              {one.note && `, ${one.note}`} ({one.method})
            </option>
          ))}
        </select>
      </label>
      <p className="text-note text-soft-ink">
        <span className="figure">{formatLabSpread(target.lab, target.capture.sd)}</span>, {target.geometry}
        {!target.capture.spectrum && '; by lamp from the smoothest spectrum of that colour (planning estimate)'}
      </p>
    </div>
  );
}
