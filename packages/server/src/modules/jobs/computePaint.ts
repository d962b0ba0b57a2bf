import type { Area, CoatingLayer, PaintOfParts, SpecimenPart } from '@sardonyx/core';

/** Outermost colour of each part's areas: as applied where anything was, else as found. */
export function computePaint(
  parts: readonly SpecimenPart[],
  areas: readonly Area[],
  layers: readonly CoatingLayer[],
): PaintOfParts {
  const paint: Record<string, Record<string, string>> = {};
  for (const part of parts) {
    const own: Record<string, string> = {};
    for (const area of areas.filter((candidate) => candidate.specimenPartId === part.id)) {
      const visible = layers.filter((layer) => layer.areaId === area.id && layer.kind !== 'decal');
      const top = outermost(visible, 'applied') ?? outermost(visible, 'found');
      if (top) own[area.name || area.kind] = top.colourHex;
    }
    paint[part.key] = own;
  }
  return paint;
}

function outermost(layers: readonly CoatingLayer[], stage: CoatingLayer['stage']): CoatingLayer | undefined {
  return layers.filter((layer) => layer.stage === stage).sort((a, b) => b.seq - a.seq)[0];
}
