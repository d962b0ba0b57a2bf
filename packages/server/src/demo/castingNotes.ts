import type { BodyType, Drawing, JointKind, JointTool, Material, PartRole } from '@sardonyx/core';
import { drawCasting } from './drawings/drawCasting.ts';
import castings from './data/castings.json' with { type: 'json' };

export type PartNote = readonly [
  key: string,
  name: string,
  role: PartRole,
  material: Material,
  count?: number,
  dependentBits?: string,
];

export interface JointNote {
  readonly key: string;
  readonly label: string;
  readonly kind: JointKind;
  readonly parts: readonly string[];
  readonly ways: readonly WayNote[];
}

export type WayNote = readonly [
  label: string,
  tool: JointTool,
  minutes: number,
  risk: number,
  destroys?: string,
  behind?: readonly string[],
  school?: string,
];

/** States are written as "feature:state" words; "feature:a/b" means either, evenly. */
export interface VariantNote {
  readonly name: string;
  readonly years: readonly [number, number];
  readonly states: string;
  readonly rarity?: number;
  readonly evidence?: string;
}

export interface CastingNote {
  readonly id: string;
  readonly rangeId: string;
  readonly number: string;
  readonly name: string;
  readonly bodyType: BodyType;
  readonly lengthMm: number;
  readonly wheelbaseMm: number;
  readonly construction: string;
  readonly history?: string;
  readonly drawing: Drawing;
  readonly parts: readonly PartNote[];
  readonly joints: readonly JointNote[];
  readonly variants: readonly VariantNote[];
  readonly sources?: readonly (readonly [
    statement: string,
    from: number | null,
    to: number | null,
    origin: string,
    certainty: 'certain' | 'likely' | 'doubtful',
  ])[];
}

type WrittenCasting = Omit<CastingNote, 'drawing' | 'lengthMm'>;

/** The castings of the demo's jobs, written by hand in data/castings.json; their length is that of the drawing. */
export function readCastingNotes(): CastingNote[] {
  return (castings as unknown as WrittenCasting[]).map((note) => {
    const drawing = drawCasting(note.id);
    return { ...note, drawing, lengthMm: drawing.views[0]!.widthMm };
  });
}
