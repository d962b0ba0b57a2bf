import { measureMaskEdges, nameOfArea, type Area, type ColourEdge, type SpecimenPart } from '@sardonyx/core';
import { useMemo } from 'react';
import { useJob } from '../../../JobContext.tsx';

const KIND_WORDS: Readonly<Record<ColourEdge['kind'], string>> = {
  'panel line': 'along panel lines',
  step: 'along steps',
  'open surface': 'across the open',
};

/** How much edge a field has to mask, on both sides of the model. */
export function EdgesOfField({ area, part }: { readonly area: Area; readonly part: SpecimenPart }) {
  const { specimen } = useJob();
  const drawing = specimen.casting?.casting.drawing;
  const edges = useMemo(() => {
    const own = specimen.areas.filter(({ specimenPartId }) => specimenPartId === part.id);
    const all = drawing ? measureMaskEdges(drawing, part.key, own) : [];
    return all.filter(({ between }) => between.includes(area.id));
  }, [drawing, specimen.areas, part, area.id]);
  const sum = edges.reduce((mm, { lengthMm }) => mm + lengthMm, 0);
  const kinds = (Object.keys(KIND_WORDS) as ColourEdge['kind'][]).flatMap((kind) => {
    const mm = edges.filter((edge) => edge.kind === kind).reduce((all, { lengthMm }) => all + lengthMm, 0);
    return mm > 0 ? [`${Math.round(mm)} mm ${KIND_WORDS[kind]}`] : [];
  });
  return (
    <p>
      {edges.length > 0 ? (
        <>
          To mask for the {nameOfArea(area)}: <strong className="figure">{Math.round(sum)} mm</strong> of edge on both
          sides <span className="text-soft-ink">({kinds.join(', ')}; by the drawing)</span>.
        </>
      ) : (
        <>Nobody has drawn where the {nameOfArea(area)} ends: its edge is not known.</>
      )}
    </p>
  );
}
