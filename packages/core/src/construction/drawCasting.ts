import type { BodyType, CastingPart } from '../model/catalogue.ts';
import type { Drawing, DrawingView } from '../model/drawing.ts';
import type { PartShape } from '../model/partShape.ts';
import { createView, type ViewBuilder } from '../drawing/createView.ts';
import { createBaseView, createEndView, type PlainKeys } from '../drawing/plainViews.ts';
import { createVehicleFrame, type VehicleFrame } from '../drawing/vehicleFrame.ts';
import { drawAtAxles, PLAIN_SHAPES } from './plainShapes.ts';

export type DrawnPart = Pick<CastingPart, 'key' | 'shape'>;

export interface CastingSize {
  readonly bodyType: BodyType;
  readonly lengthMm: number;
  readonly wheelbaseMm: number;
}

/** From the inside outwards and from below upwards: what comes later lies in front. */
const ORDER: readonly PartShape[] = [
  ...(['seats', 'mechanism', 'figure', 'spring', 'plate', 'chassis', 'drawbar', 'load', 'bed', 'tank', 'box'] as const),
  ...(['shell', 'cab', 'windows', 'bonnet', 'boot lid', 'door', 'strip', 'grille', 'lamp', 'bumper', 'hook'] as const),
  ...(['rack', 'arm', 'blade', 'tyre', 'wheel', 'axle', 'pin'] as const),
];

/**
 * Side, base and end of a casting that nobody has drawn: every part gets a plain shape of its look, so that each stands on the
 * part map. Parts of one look stand apart. Lengths in mm; the wheelbase must be shorter than the length.
 */
export function drawCasting(size: CastingSize, parts: readonly DrawnPart[]): Drawing {
  const frame = createVehicleFrame(size.bodyType, size.lengthMm, size.wheelbaseMm);
  const side = createView('side', frame.size.lengthMm, frame.size.heightMm);
  for (const part of inOrder(parts)) drawPart(side, part, frame, parts);
  const keys = findKeys(parts);
  const { at, floorMm, axleYMm } = frame;
  const [front = 0, rear = size.lengthMm] = frame.size.axlesMm;
  side
    .anchor('body-colour', at.x(0.5), at.y(0.6))
    .anchor('glazing-colour', at.x(0.33), at.y(0.3))
    .anchor('wheel-type', rear, axleYMm)
    .anchor('axle-ends', front, axleYMm)
    .anchor('decal', at.x(0.62), at.y(0.58))
    .anchor('sheltered-colour', at.x(0.5), floorMm);
  return { views: [side.build(), createBaseView(frame.size, keys), createEndView(frame.size, keys)] };
}

/**
 * A drawing after parts came or went: what was drawn of parts that stay is kept, what is gone goes, and a new part gets a plain
 * shape in the side view.
 */
export function fitDrawing(drawing: Drawing, size: CastingSize, parts: readonly DrawnPart[]): Drawing {
  const keys = new Set(parts.map(({ key }) => key));
  const frame = createVehicleFrame(size.bodyType, size.lengthMm, size.wheelbaseMm);
  return {
    views: drawing.views.map((view): DrawingView => {
      const kept = view.shapes.filter(({ partKey }) => keys.has(partKey));
      if (view.view !== 'side') return { ...view, shapes: kept };
      const added = createView('side', view.widthMm, view.heightMm);
      const isDrawn = (part: DrawnPart) => kept.some(({ partKey }) => partKey === part.key);
      for (const part of inOrder(parts.filter((one) => !isDrawn(one)))) drawPart(added, part, frame, parts);
      return { ...view, shapes: [...kept, ...added.build().shapes] };
    }),
  };
}

const inOrder = (parts: readonly DrawnPart[]) =>
  [...parts].sort((a, b) => ORDER.indexOf(a.shape) - ORDER.indexOf(b.shape));

function drawPart(view: ViewBuilder, { key, shape }: DrawnPart, frame: VehicleFrame, all: readonly DrawnPart[]): void {
  const alike = all.filter((part) => part.shape === shape);
  const nth = alike.findIndex((part) => part.key === key);
  if (shape === 'wheel' || shape === 'tyre' || shape === 'axle')
    drawAtAxles(
      view,
      { key, shape, nth, of: alike.length, hasTyres: all.some((part) => part.shape === 'tyre') },
      frame,
    );
  else PLAIN_SHAPES[shape](view, key, frame, nth);
}

/** Whose each shape of the base and of the end is. */
function findKeys(parts: readonly DrawnPart[]): PlainKeys {
  const first = (...shapes: readonly PartShape[]) =>
    shapes.map((shape) => parts.find((part) => part.shape === shape)?.key).find((key) => key !== undefined) ?? null;
  const body = first('shell', 'cab', 'box', 'tank', 'bed', 'chassis', 'plate');
  return {
    body: body ?? parts[0]?.key ?? 'body',
    base: first('plate', 'chassis') ?? body ?? parts[0]?.key ?? 'base',
    wheels: first('wheel'),
    tyres: first('tyre'),
    axles: first('axle'),
    glazing: first('windows'),
  };
}
