import type { CoatingLayer, Finding, SpecimenPart } from '../model/workpiece.ts';
import { traitsOf } from '../model/material.ts';
import type { TreatedMaterial } from '../model/process.ts';

/**
 * All that a process meets on a part: what it is made of, filler and decals that are still on it, an earlier owner's bond,
 * and pest, which counts as a material of its own.
 */
export function listMaterials(
  part: Pick<SpecimenPart, 'material'>,
  layers: readonly Pick<CoatingLayer, 'kind' | 'stage'>[],
  findings: readonly Pick<Finding, 'kind'>[],
): TreatedMaterial[] {
  const isOn = (kind: CoatingLayer['kind']) => layers.some((layer) => layer.kind === kind && layer.stage !== 'planned');
  const has = (kind: Finding['kind']) => findings.some((finding) => finding.kind === kind);
  return [
    has('pest') && traitsOf(part.material).isZinc ? 'pest-suspect zinc' : part.material,
    ...(isOn('filler') ? (['two-part filler'] as const) : []),
    ...(isOn('decal') ? (['water-slide decal'] as const) : []),
    ...(has('earlier repair') ? (['cyanoacrylate bond'] as const) : []),
  ];
}
