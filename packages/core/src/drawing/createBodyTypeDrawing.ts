import type { BodyType } from '../model/catalogue.ts';
import type { Drawing } from '../model/drawing.ts';
import { createView } from './createView.ts';
import { outlineCircle, outlinePolygon, outlineRectangle, outlineWithArches, type Corner } from './paths.ts';
import { createBaseView, createEndView } from './plainViews.ts';
import { createVehicleFrame, type VehicleFrame } from './vehicleFrame.ts';

/**
 * Side, base and end views of a plain vehicle of a body type, for castings that nobody has drawn by hand yet.
 * Length and wheelbase in mm; the wheelbase must be shorter than the length.
 */
export function createBodyTypeDrawing(bodyType: BodyType, lengthMm: number, wheelbaseMm: number): Drawing {
  const frame = createVehicleFrame(bodyType, lengthMm, wheelbaseMm);
  return { views: [createSideView(frame), createBaseView(frame.size), createEndView(frame.size)] };
}

function createSideView({ plan, size, at, floorMm: floor, axleYMm: axleY }: VehicleFrame) {
  const { lengthMm, heightMm, axlesMm, wheelRadiusMm: radius } = size;
  const scaleCorner = ([x, y, r = 0]: Corner): Corner => [at.x(x), at.y(y), r];
  const view = createView('side', lengthMm, heightMm);
  view.add('interior', 'coat', outlineRectangle(at.x(0.35), at.y(0.42), at.x(0.32), at.y(0.22), 1.5), { hidden: true });
  view.add('base', 'coat', outlineRectangle(at.x(0.03), floor - 1.6, at.x(0.94), 2.8, 0.8));
  view.add(
    'body',
    'coat',
    outlineWithArches(
      plan.roof.map(scaleCorner),
      floor,
      axlesMm.map((x) => ({ x, radius: radius * 1.14 })),
    ),
  );
  for (const window of plan.windows) view.add('glazing', 'glass', outlinePolygon(window.map(scaleCorner)));
  plan.extras?.(view, at);
  view.add('body', 'shade', outlineRectangle(at.x(0.015), floor - 2.6, at.x(0.97), 0.7, 0.3));
  view.add('body', 'light', outlineCircle(at.x(0.045), at.y(0.58), 1.1));
  for (const x of axlesMm) view.addWheel(x, axleY, radius);
  const [firstAxle, lastAxle] = [axlesMm[0] ?? 0, axlesMm[1] ?? lengthMm];
  return view
    .anchor('body-colour', at.x(0.5), at.y(0.6))
    .anchor('glazing-colour', at.x(0.33), at.y(0.3))
    .anchor('wheel-type', lastAxle, axleY)
    .anchor('axle-ends', firstAxle, axleY)
    .anchor('decal', at.x(0.62), at.y(0.58))
    .anchor('sheltered-colour', at.x(0.5), floor)
    .build();
}
