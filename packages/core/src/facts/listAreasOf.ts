import { isMetal, type Material } from '../model/material.ts';
import type { PartRole } from '../model/partRole.ts';
import type { AreaKind } from '../model/workpiece.ts';

/** The areas that a part can be painted on by itself: castings that enclose something have an inside too. */
export const listAreasOf = (role: PartRole, material: Material): readonly AreaKind[] =>
  isMetal(material) && (role === 'body' || role === 'base') ? ['outside', 'inside'] : ['outside'];
