import type { Anchor, DrawingShape, DrawingView, Surface, ViewKind } from '../model/drawing.ts';
import { outlineCircle, type Outline } from './paths.ts';

export interface ShapeOptions {
  readonly mask?: string;
  readonly hidden?: boolean;
}

/** Collects the shapes of one view, back to front. */
export interface ViewBuilder {
  add(partKey: string, surface: Surface, outline: Outline, options?: ShapeOptions): ViewBuilder;
  /** A wheel seen from its face: tyre, hub, a pressed ring and the axle end. */
  addWheel(x: number, y: number, radius: number, keys?: WheelKeys): ViewBuilder;
  anchor(featureKey: string, x: number, y: number): ViewBuilder;
  build(): DrawingView;
}

export interface WheelKeys {
  readonly wheel: string;
  readonly tyre: string | null;
  readonly axle: string;
}

const PLAIN_WHEEL: WheelKeys = { wheel: 'wheels', tyre: 'tyres', axle: 'axles' };

export function createView(view: ViewKind, widthMm: number, heightMm: number): ViewBuilder {
  const shapes: DrawingShape[] = [];
  const anchors: Anchor[] = [];
  const builder: ViewBuilder = {
    add(partKey, surface, outline, options = {}) {
      shapes.push({ partKey, surface, d: outline.d, box: outline.box, ...options });
      return builder;
    },
    addWheel(x, y, radius, keys = PLAIN_WHEEL) {
      if (keys.tyre) builder.add(keys.tyre, 'rubber', outlineCircle(x, y, radius));
      builder
        .add(keys.wheel, 'coat', outlineCircle(x, y, keys.tyre ? radius * 0.66 : radius))
        .add(keys.wheel, 'line', outlineCircle(x, y, radius * 0.48))
        .add(keys.wheel, 'shade', outlineCircle(x, y, radius * 0.3))
        .add(keys.axle, 'metal', outlineCircle(x, y, radius * 0.17));
      return builder;
    },
    anchor(featureKey, x, y) {
      anchors.push({ featureKey, x, y });
      return builder;
    },
    build: () => ({ view, widthMm, heightMm, shapes, anchors }),
  };
  return builder;
}
