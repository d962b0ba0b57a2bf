import type { PaintOfParts } from '../drawing/fillShape.ts';
import { isStanding } from '../facts/selectPartDone.ts';
import { nameOfArea, type Area, type CoatingLayer, type SpecimenPart } from '../model/workpiece.ts';

/** Outermost colour of each part's areas: as applied where anything was, else as found. Decals do not hide the paint. */
export function computePaint(
  parts: readonly Pick<SpecimenPart, 'id' | 'key'>[],
  areas: readonly Area[],
  layers: readonly CoatingLayer[],
): PaintOfParts {
  const paint: Record<string, Record<string, string>> = {};
  for (const part of parts) {
    const own: Record<string, string> = {};
    for (const area of areas.filter((candidate) => candidate.specimenPartId === part.id)) {
      const visible = layers.filter((layer) => layer.areaId === area.id && layer.kind !== 'decal');
      const top = selectOutermost(visible, 'applied') ?? selectOutermost(visible, 'found');
      if (top) own[nameOfArea(area)] = top.colourHex;
    }
    paint[part.key] = own;
  }
  return paint;
}

/** As it will look: the outermost planned colour of each area, else as it looks now. */
export function computePlannedPaint(
  parts: readonly Pick<SpecimenPart, 'id' | 'key'>[],
  areas: readonly Area[],
  layers: readonly CoatingLayer[],
): PaintOfParts {
  const paint: Record<string, Record<string, string>> = {};
  for (const [partKey, own] of Object.entries(computePaint(parts, areas, layers))) paint[partKey] = { ...own };
  for (const part of parts)
    for (const area of areas.filter(({ specimenPartId }) => specimenPartId === part.id)) {
      const coats = layers.filter(({ areaId, kind }) => areaId === area.id && kind !== 'decal' && kind !== 'clear');
      const top = selectOutermost(coats, 'planned');
      if (top) paint[part.key]![nameOfArea(area)] = top.colourHex;
    }
  return paint;
}

function selectOutermost(layers: readonly CoatingLayer[], stage: CoatingLayer['stage']): CoatingLayer | undefined {
  return layers
    .filter((layer) => (stage === 'applied' ? isStanding(layer) : layer.stage === stage))
    .sort((a, b) => b.seq - a.seq)[0];
}
