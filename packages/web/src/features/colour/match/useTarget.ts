import { computeLab, reconstructFromLab, type ColourCapture, type Geometry, type LabColour } from '@sardonyx/core';
import { useMemo } from 'react';
import { useSearchParams } from 'react-router';
import { useColourBench } from '../ColourContext.tsx';

export interface WantedColour {
  readonly capture: ColourCapture;
  readonly lab: LabColour;
  /** By its spectrum where there is one, else by the smoothest that has its colour. */
  readonly labA: LabColour;
  readonly geometry: Geometry;
}

/** The captured colour that the address names, or the latest sheltered one. */
export function useTarget(): WantedColour | null {
  const { colour } = useColourBench();
  const [params] = useSearchParams();
  const { captures } = colour;
  const capture =
    captures.find((one) => one.id === params.get('capture')) ??
    captures.findLast((one) => one.place === 'sheltered') ??
    captures.at(-1);
  return useMemo(() => {
    if (!capture) return null;
    const { lab, spectrum, geometry } = capture;
    return { capture, lab, labA: computeLab(spectrum ?? reconstructFromLab(lab), 'A'), geometry };
  }, [capture]);
}
