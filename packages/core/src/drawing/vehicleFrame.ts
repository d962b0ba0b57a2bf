import { InvalidInputError } from '../model/errors.ts';
import type { BodyType } from '../model/catalogue.ts';
import { BODY_PLANS, type BodyPlan, type Scale } from './bodyPlans.ts';
import type { PlainViewSize } from './plainViews.ts';

/** What a plain drawing is laid out on: where the axles, the floor and the roof line of a vehicle of that kind are. */
export interface VehicleFrame {
  readonly plan: BodyPlan;
  readonly size: PlainViewSize;
  /** Shares of length and height in millimetres. */
  readonly at: Scale;
  readonly floorMm: number;
  readonly axleYMm: number;
}

/** Lengths in mm; the wheelbase must be shorter than the length. */
export function createVehicleFrame(bodyType: BodyType, lengthMm: number, wheelbaseMm: number): VehicleFrame {
  if (!(lengthMm > 0) || !(wheelbaseMm > 0) || wheelbaseMm >= lengthMm) {
    throw new InvalidInputError(
      'wheelbase',
      'The wheelbase must be more than 0 and shorter than the length.',
      'wheelbaseMm',
      { lengthMm, wheelbaseMm },
    );
  }
  const plan = BODY_PLANS[bodyType];
  const heightMm = lengthMm * plan.heightShare;
  const wheelRadiusMm = heightMm * (plan.wheelShare + 0.06);
  const front = (lengthMm - wheelbaseMm) * 0.46;
  return {
    plan,
    size: {
      ...{ lengthMm, heightMm, wheelRadiusMm },
      widthMm: lengthMm * 0.42,
      axlesMm: [front, front + wheelbaseMm],
      postsMm: [lengthMm * 0.14, lengthMm * 0.86],
    },
    at: { x: (share) => share * lengthMm, y: (share) => share * heightMm },
    floorMm: heightMm - wheelRadiusMm * 0.8,
    axleYMm: heightMm - wheelRadiusMm,
  };
}
