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

interface Needed {
  /** null where nothing is planned in it, or nobody answers; undefined while that is asked. */
  readonly needed: NeededPaint | null | undefined;
  readonly isUnanswered: boolean;
}

/** How much of a colour all jobs need. */
export function useNeededPaint(target: LabColour): Needed {
  const { shelf } = useColourBench();
  const { data: needs, error } = useGetColourNeedsQuery();
  const isUnanswered = error !== undefined;
  const needed = useMemo(() => {
    if (isUnanswered) return null;
    if (!needs) return undefined;
    // What is mixed dries as the pots that it is mixed from: as the nearest of them.
    const distance = ({ colourHex }: { readonly colourHex: string }) => computeDe00(target, convertHexToLab(colourHex));
    const [nearest] = shelf.products.filter(mayBeMixed).sort((a, b) => distance(a) - distance(b));
    return nearest ? needOfColour(target, needs, nearest) : null;
  }, [needs, isUnanswered, target, shelf.products]);
  return { needed, isUnanswered };
}
