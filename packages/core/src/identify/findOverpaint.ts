import type { Area, CoatingLayer, Finding, SpecimenPart } from '../model/workpiece.ts';

/** What is written down of a specimen, so far as it says whose coat it wears. */
export interface CoatedSpecimen {
  readonly parts: readonly Pick<SpecimenPart, 'id' | 'role'>[];
  readonly areas: readonly Pick<Area, 'id' | 'specimenPartId' | 'kind'>[];
  readonly layers: readonly Pick<CoatingLayer, 'areaId' | 'stage' | 'kind' | 'seq' | 'whose' | 'name'>[];
  readonly findings: readonly Pick<Finding, 'specimenPartId' | 'kind' | 'feature'>[];
}

/**
 * The coat outside on the body that is not the factory's: by name where it is written down, "overpaint" where it was only
 * found so. null where the outermost coat may be the factory's.
 */
export function findOverpaint({ parts, areas, layers, findings }: CoatedSpecimen): string | null {
  const bodies = new Set(parts.filter((part) => part.role === 'body').map((part) => part.id));
  const outside = new Set(
    areas.filter((area) => area.kind === 'outside' && bodies.has(area.specimenPartId)).map((area) => area.id),
  );
  const coats = layers.filter(
    (layer) => layer.stage === 'found' && layer.kind === 'colour' && outside.has(layer.areaId),
  );
  const outermost = coats.reduce<(typeof coats)[number] | null>((a, b) => (a === null || b.seq > a.seq ? b : a), null);
  if (outermost && (outermost.whose === 'owner' || outermost.whose === 'restorer')) return outermost.name;
  const isFound = findings.some(
    ({ specimenPartId, kind, feature }) => kind === 'overpaint' && feature === '' && bodies.has(specimenPartId),
  );
  return isFound ? 'overpaint' : null;
}
