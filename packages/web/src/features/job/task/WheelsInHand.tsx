import { checkWheels, type Task, type TaskMeasure, type WheelCheck } from '@sardonyx/core';
import { Sign } from '../../../shared/ui/Sign.tsx';
import { useJob } from '../JobContext.tsx';
import { MeasureFields, type MeasureField } from './MeasureFields.tsx';

const FIELDS: readonly MeasureField[] = [
  { what: 'front left', label: 'Front left wheel, across, mm', hint: 'Over the tyre.' },
  { what: 'front right', label: 'Front right' },
  { what: 'back left', label: 'Back left' },
  { what: 'back right', label: 'Back right' },
  { what: 'track', label: 'Track, middle to middle' },
  { what: 'arch', label: 'Middle of the axle to the arch' },
  { what: 'wheel width', label: 'Width of a wheel' },
  { what: 'beside', label: 'Body to where the end will sit' },
  { what: 'wheel bore', label: 'Bore of a wheel' },
  { what: 'axle', label: 'Axle, across' },
  { what: 'hub', label: 'Hub, across' },
  { what: 'tyre bore', label: 'Bore of the tyre, off its hub' },
];

interface WheelsInHandProps {
  readonly task: Task;
  readonly measures: readonly TaskMeasure[];
  readonly onMeasure: (measures: readonly TaskMeasure[]) => void;
}

/** Before an axle end is formed, which cannot be done twice: do the wheels turn, how does the model stand, do the tyres hold. */
export function WheelsInHand({ measures, onMeasure }: WheelsInHandProps) {
  const { specimen } = useJob();
  const check = checkWheels(measures, specimen.casting?.casting.wheelbaseMm ?? null);
  return (
    <section aria-label="Wheels and stance" className="space-y-3 border border-hairline bg-sheet p-3">
      <p className="text-note text-soft-ink">
        All in mm, each answer by its own measures; by eye is enough where nothing is in doubt.
      </p>
      <MeasureFields fields={FIELDS} start={measures} onMeasure={onMeasure} />
      <Answers check={check} />
    </section>
  );
}

const PLACE_WORDS: Readonly<Record<keyof WheelCheck['fits'], string>> = {
  arch: 'in the arch',
  beside: 'between body and axle end',
  bore: 'on the axle',
};
const FIT_WORDS = { good: 'good', tight: 'tight: it may bind', loose: 'loose: it may rattle', no: 'it does not go' };
const STRETCH_WORDS = { good: 'holds on its hub', slips: 'slips: under 3 %', tears: 'tears: over 10 %' };

function Answers({ check: { stance, fits, stretch, unlike } }: { readonly check: WheelCheck }) {
  const degrees = (angle: number) => `${Math.abs(angle).toFixed(1)}°`;
  return (
    <ul role="status" className="space-y-1">
      {stance && (
        <li>
          <Sign of={Math.abs(stance.lean) > MOST_LEAN ? 'warning' : 'done'} /> Axles stand{' '}
          <strong className="figure">{stance.front.toFixed(2)}</strong> mm high in front,{' '}
          <strong className="figure">{stance.back.toFixed(2)}</strong> behind:{' '}
          {Math.abs(stance.tilt) < LEVEL
            ? 'level'
            : `nose ${stance.tilt > 0 ? 'up' : 'down'} by ${degrees(stance.tilt)}`}
          {Math.abs(stance.lean) >= LEVEL &&
            `, leaning to the ${stance.lean > 0 ? 'left' : 'right'} by ${degrees(stance.lean)}`}
          .
        </li>
      )}
      {unlike.map((side) => (
        <li key={side}>
          <Sign of="warning" /> The two {side} wheels are no pair: they differ by more than 0.2 mm.
        </li>
      ))}
      {(Object.keys(PLACE_WORDS) as (keyof typeof PLACE_WORDS)[]).map((place) => {
        const gap = fits[place];
        return (
          gap && (
            <li key={place}>
              <Sign of={gap.fit === 'good' ? 'done' : 'warning'} /> Play {PLACE_WORDS[place]}:{' '}
              <strong className="figure">
                {gap.mm.toFixed(2)} ± {gap.rootSumSquare.toFixed(2)} mm
              </strong>
              , {FIT_WORDS[gap.fit]}.
            </li>
          )
        );
      })}
      {stretch && (
        <li>
          <Sign of={stretch.verdict === 'good' ? 'done' : 'warning'} /> The tyre is stretched by{' '}
          <strong className="figure">{(100 * stretch.share).toFixed(1)} %</strong>: it {STRETCH_WORDS[stretch.verdict]}{' '}
          (planning estimates).
        </li>
      )}
    </ul>
  );
}

/** Less than this nobody sees, degrees. */
const LEVEL = 0.15;
const MOST_LEAN = 1;
