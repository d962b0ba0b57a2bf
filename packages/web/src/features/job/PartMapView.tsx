import { ExplodedMap, type MapExtras } from '../../shared/drawing/ExplodedMap.tsx';
import { useJob } from './JobContext.tsx';

/** The part map of the model in hand, in its paint; the part that is chosen there is the one that every station speaks of. */
export function PartMapView(extras: MapExtras) {
  const { specimen, paint, partId, setPartId } = useJob();
  const view = specimen.casting?.casting.drawing.views.find((candidate) => candidate.view === 'side');
  if (!view || !specimen.casting) return null;
  return (
    <ExplodedMap
      {...extras}
      view={view}
      held={specimen.casting.joints}
      parts={specimen.parts}
      paint={paint}
      chosenId={partId}
      onChoose={setPartId}
    />
  );
}
