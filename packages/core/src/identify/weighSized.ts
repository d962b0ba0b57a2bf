import type { MeasuredSize } from '../model/catalogue.ts';
import type { IdentifyFeature, IdentifySettings } from './catalogue.ts';
import type { MeasuredWeights } from './weighCaptured.ts';

/** What nobody measured, or somebody put there later, is as large as these within this share (planning estimate). */
const OTHERS_SHARE = 0.15;

/**
 * A measured size against those of the states, both spreads counted in. A state that nobody measured, or in another unit, may
 * be as large as its sisters, roughly; so may a reading at the wrong place, and whatever took the part's place.
 */
export function weighSized(
  { value, unit, sd }: MeasuredSize,
  feature: IdentifyFeature,
  { measureWrong }: Pick<IdentifySettings, 'measureWrong'>,
): MeasuredWeights {
  const sizes = feature.states.map(({ size }) => (size?.unit === unit ? size : null));
  const known = sizes.filter((size) => size !== null);
  const middle = known.reduce((sum, size) => sum + size.value, value) / (known.length + 1);
  const reach = Math.max(...known.map((size) => Math.abs(size.value - middle)), Math.abs(value - middle));
  const ofAny = bell(value - middle, Math.hypot(OTHERS_SHARE * middle, reach, sd));
  return {
    ofState: sizes.map((size) =>
      size ? (1 - measureWrong) * bell(value - size.value, Math.hypot(sd, size.sd)) + measureWrong * ofAny : ofAny,
    ),
    ofAny,
    isMeasured: sizes.map((size) => size !== null),
  };
}

const bell = (off: number, sd: number): number => Math.exp(-0.5 * (off / sd) ** 2) / sd;
