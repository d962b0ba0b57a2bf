import { useLayoutEffect } from 'react';

/**
 * Takes the hue out of everything that is not paint: the accent, the focus ring, tray and clock shelf. `isJudging` greys the
 * pots and pictures of the page too, so that only the swatches under judgement have a colour.
 */
export function useNeutral(isJudging: boolean): void {
  useLayoutEffect(() => {
    const { dataset } = document.documentElement;
    // A page that is neutral itself stays so when the judging on it ends.
    const before = dataset.neutral;
    dataset.neutral = isJudging ? 'judging' : 'paint';
    return () => {
      if (before) dataset.neutral = before;
      else delete dataset.neutral;
    };
  }, [isJudging]);
}
