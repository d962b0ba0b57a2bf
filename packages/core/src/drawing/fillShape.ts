import type { DrawingShape } from '../model/drawing.ts';
import type { Material } from '../model/material.ts';

/** A part's outermost colour by area name, for drawing it. */
export type PaintOfParts = Readonly<Record<string, Readonly<Record<string, string>>>>;

export interface ShapeFill {
  readonly fill: string;
  readonly opacity: number;
}

const BARE: Readonly<Record<Material, string>> = {
  'zinc alloy': '#a7a9aa',
  'pest-suspect zinc': '#9c9a95',
  'lead alloy': '#8d8f93',
  tinplate: '#b9bbbb',
  steel: '#9b9d9f',
  'plated or unknown wire': '#aeb0b1',
  aluminium: '#bcbebf',
  brass: '#b59a54',
  copper: '#b4714d',
  'vacuum-plated plastic': '#d3d5d6',
  'clear styrene': '#c6d0d0',
  'hard plastic': '#8f9090',
  ABS: '#8f9090',
  PVC: '#6f7070',
  polyethylene: '#c2c2bd',
  nylon: '#cfcfc8',
  acrylic: '#c9d2d2',
  polycarbonate: '#c4cdcd',
  'acetate or celluloid': '#cfcab4',
  'unknown plastic': '#a3a29c',
  rubber: '#2c2c2d',
  'resin print': '#b9b4a8',
  paper: '#e4ddc8',
  cloth: '#8d8a7c',
  'fibre board': '#7d6149',
};

const FIXED: Readonly<Record<Exclude<DrawingShape['surface'], 'coat'>, ShapeFill>> = {
  glass: { fill: '#bcc8c8', opacity: 0.82 },
  rubber: { fill: '#2c2c2d', opacity: 1 },
  metal: { fill: '#b3b5b6', opacity: 1 },
  dark: { fill: '#201f1e', opacity: 1 },
  shade: { fill: '#000000', opacity: 0.26 },
  light: { fill: '#f1ede0', opacity: 0.95 },
  line: { fill: '#000000', opacity: 0.42 },
};

/**
 * The colour a shape is drawn in. Coats take the paint of their mask, else of the part's outside; a part without paint
 * shows the bare stuff it is made of. Everything else has the look of its surface.
 */
export function fillShape(shape: DrawingShape, paint: PaintOfParts, material: Material | undefined): ShapeFill {
  if (shape.surface !== 'coat') return FIXED[shape.surface];
  const own = paint[shape.partKey] ?? {};
  const fill = (shape.mask && own[shape.mask]) ?? own.outside ?? BARE[material ?? 'zinc alloy'];
  return { fill, opacity: 1 };
}
