import {
  computeDe00,
  convertHexToLab,
  mayBeMixed,
  needOfColour,
  type LabColour,
  type NeededPaint,
} from '@sardonyx/core';
import { useMemo } from 'react';
import { useGetColourNeedsQuery } from '../../../shared/api/api.ts';
import { useColourBench } from '../ColourContext.tsx';

/** How much of a colour all jobs need: null where nothing is planned in it; undefined while that is asked. */
export function useNeededPaint(target: LabColour): NeededPaint | null | undefined {
  const { shelf } = useColourBench();
  const { data: needs, error } = useGetColourNeedsQuery();
  return useMemo(() => {
    if (error !== undefined) return null;
    if (!needs) return undefined;
    // What is mixed dries as the pots that it is mixed from: as the nearest of them.
    const distance = ({ colourHex }: { readonly colourHex: string }) => computeDe00(target, convertHexToLab(colourHex));
    const [nearest] = shelf.products.filter(mayBeMixed).sort((a, b) => distance(a) - distance(b));
    return nearest ? needOfColour(target, needs, nearest) : null;
  }, [needs, error, target, shelf.products]);
}
