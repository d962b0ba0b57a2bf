import { drawFields, type PaintOfParts } from '@sardonyx/core';
import { useMemo } from 'react';
import { ExplodedMap, type MapExtras } from '../../shared/drawing/ExplodedMap.tsx';
import { useJob } from './JobContext.tsx';

/** The part map of the model in hand, in its paint or in another; the part that is chosen there is the one that every station speaks of. */
export function PartMapView({ paint, ...extras }: MapExtras & { readonly paint?: PaintOfParts }) {
  const { specimen, paint: now, partId, setPartId } = useJob();
  const view = specimen.casting?.casting.drawing.views.find((candidate) => candidate.view === 'side');
  const drawn = useMemo(
    () => view && drawFields(view, specimen.parts, specimen.areas),
    [view, specimen.parts, specimen.areas],
  );
  if (!drawn || !specimen.casting) return null;
  return (
    <ExplodedMap
      {...extras}
      view={drawn}
      held={specimen.casting.joints}
      parts={specimen.parts}
      paint={paint ?? now}
      chosenId={partId}
      onChoose={setPartId}
    />
  );
}
