import {
  createBaseView,
  createEndView,
  createView,
  outlineCircle,
  outlinePolygon,
  outlineRectangle,
  type Corner,
  type Drawing,
  type PlainViewSize,
} from '@sardonyx/core';

type ViewBuilder = ReturnType<typeof createView>;

/** Corners written as "x y" or "x y radius", with commas between them, in millimetres. */
export function corners(text: string): Corner[] {
  return text.split(', ').map((corner) => {
    const [x = 0, y = 0, radius = 0] = corner.split(' ').map(Number);
    return [x, y, radius];
  });
}

/** Short names for drawing by hand: polygon, rectangle and circle in millimetres. */
export const poly = (text: string) => outlinePolygon(corners(text));
export const rect = outlineRectangle;
export const disc = outlineCircle;

/** A model's three views: the side drawn by hand, base and end laid out from its size. */
export function createModelDrawing(size: PlainViewSize, drawSide: (side: ViewBuilder) => void): Drawing {
  const side = createView('side', size.lengthMm, size.heightMm);
  drawSide(side);
  const axleY = size.heightMm - size.wheelRadiusMm;
  const [front = 0] = size.axlesMm;
  const rear = size.axlesMm[size.axlesMm.length - 1] ?? front;
  side.anchor('wheel-type', rear, axleY).anchor('axle-ends', front, axleY);
  return { views: [side.build(), createBaseView(size), createEndView(size)] };
}

/** Wheels with tyres at every axle of the side view. */
export function addWheels(side: ViewBuilder, size: PlainViewSize): void {
  for (const x of size.axlesMm) {
    side.addWheel(x, size.heightMm - size.wheelRadiusMm, size.wheelRadiusMm, {
      wheel: 'wheels',
      tyre: size.hasTyres === false ? null : 'tyres',
      axle: 'axles',
    });
  }
}

/** A row of upright lines: grille bars, planks, slats. */
export function addSlats(
  side: ViewBuilder,
  partKey: string,
  box: { x: number; y: number; width: number; height: number },
  count: number,
): void {
  for (let i = 1; i <= count; i++) {
    side.add(partKey, 'line', rect(box.x + (box.width * i) / (count + 1), box.y, 0.3, box.height));
  }
}
