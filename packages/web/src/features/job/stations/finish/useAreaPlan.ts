import { chooseOption, COATING_WAY_OF, planArea, type Area, type AreaPlan, type SpecimenPart } from '@sardonyx/core';
import { useMemo } from 'react';
import { useGetShelfQuery } from '../../../../shared/api/api.ts';
import { useJob } from '../../JobContext.tsx';

/** What is planned for an area, in numbers; null while no area is asked for, or the shelf is on its way. */
export function useAreaPlan(area: Area | undefined, part: SpecimenPart | undefined): AreaPlan | null {
  const { specimen } = useJob();
  const { data: shelf } = useGetShelfQuery();
  return useMemo(() => {
    if (!area || !part || !shelf) return null;
    const facts = specimen.facts.parts.find(({ key }) => key === part.key)!;
    return planArea({
      ...{ area, part, areas: specimen.areas, layers: specimen.layers, products: shelf.products },
      drawing: specimen.casting?.casting.drawing ?? null,
      way: COATING_WAY_OF[chooseOption('S6', specimen.facts.decisions)],
      facts,
    });
  }, [area, part, specimen, shelf]);
}
