import type { Area, CoatingLayer, Finding, SpecimenPart, Want } from '../model/workpiece.ts';
import type { PlanPart } from '../compile/planTypes.ts';

/** The rows of one specimen, so far as its plan looks at them. Layers come in the order they lie on each other. */
export interface PlanRows {
  readonly parts: readonly Omit<SpecimenPart, 'version' | 'specimenId' | 'origin' | 'originNote'>[];
  readonly areas: readonly Omit<Area, 'version'>[];
  readonly layers: readonly Pick<CoatingLayer, 'areaId' | 'stage' | 'kind' | 'name' | 'colourHex' | 'factory'>[];
  readonly findings: readonly Pick<
    Finding,
    'specimenPartId' | 'kind' | 'severity' | 'note' | 'measuredValue' | 'measuredUnit'
  >[];
  readonly wants: readonly Pick<Want, 'id' | 'specimenPartId' | 'what' | 'state' | 'dependentBits' | 'dueOn'>[];
}

/** What one specimen's plan needs of its rows. */
export function createPlanParts(rows: PlanRows): PlanPart[] {
  return rows.parts.map((part) => {
    const areas = rows.areas.filter((area) => area.specimenPartId === part.id);
    const layersOf = (stage: CoatingLayer['stage']) =>
      areas.flatMap((area) =>
        rows.layers
          .filter((layer) => layer.areaId === area.id && layer.stage === stage)
          .map((layer) => ({ area, layer })),
      );
    const found = layersOf('found').filter(({ layer }) => ['colour', 'primer', 'clear'].includes(layer.kind));
    const outside = found.filter(({ area, layer }) => area.kind === 'outside' && layer.kind === 'colour');
    const original = outside.find(({ layer }) => layer.factory) ?? outside[0];
    return {
      key: part.key,
      name: part.name,
      role: part.role,
      material: part.material,
      materialCertainty: part.materialCertainty,
      state: part.state,
      painted: found.length > 0,
      found: selectThickest(areas.map((area) => layersOf('found').filter((one) => one.area === area))).map(
        ({ layer }) => layer.kind,
      ),
      foundColour: original ? { hex: original.layer.colourHex, name: original.layer.name } : null,
      coats: layersOf('planned').map(({ area, layer }) => ({
        areaKind: area.kind,
        areaName: area.name,
        crossesSeam: area.crossesSeam,
        kind: layer.kind,
        name: layer.name,
        colourHex: layer.colourHex,
      })),
      findings: rows.findings
        .filter((finding) => finding.specimenPartId === part.id)
        .map(({ kind, severity, note, measuredValue, measuredUnit }) => ({
          ...{ kind, severity, note },
          degrees: measuredUnit === '°' ? measuredValue : null,
        })),
      wants: rows.wants.filter((want) => want.specimenPartId === part.id),
    };
  });
}

const selectThickest = <T>(stacks: readonly (readonly T[])[]): readonly T[] =>
  stacks.reduce((a, b) => (b.length > a.length ? b : a), []);
