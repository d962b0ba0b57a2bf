import { computeDe00, createSeededRandom, findCard, fitCamera, InvalidInputError, sampleColour } from '@sardonyx/core';
import { takeColourPhoto, type Trouble } from './pinholeColours.ts';

/** Two-sided 95 % of a normal. */
const Z = 1.96;

export interface ColourTrials {
  readonly taken: number;
  readonly refused: number;
  /** dE00 of every place that was read. */
  readonly off: readonly number[];
  /** Coordinates (L*, a*, b*) that were read, and how many lie within what is stated. */
  readonly coordinates: number;
  readonly covered: number;
  /** In standard deviations as stated. */
  readonly strays: readonly number[];
}

/** Photographs of a painted board with the colour card beside it, read as the lab reads them. */
export function tryColours(count: number, trouble: Trouble, from = 1): ColourTrials {
  const off: number[] = [];
  const strays: number[] = [];
  let refused = 0;
  for (let seed = from; seed < from + count; seed++) {
    const photo = takeColourPhoto(trouble, createSeededRandom(seed));
    try {
      const fit = fitCamera(photo, findCard(photo));
      for (const { at, lab } of photo.places) {
        const sample = sampleColour(photo, fit, at, 20);
        off.push(computeDe00(lab, sample.lab));
        lab.forEach((one, c) => strays.push((one - sample.lab[c]!) / sample.sd[c]!));
      }
    } catch (error) {
      if (!(error instanceof InvalidInputError)) throw error;
      refused++;
    }
  }
  return {
    ...{ taken: count, refused, off, strays, coordinates: strays.length },
    covered: strays.filter((stray) => Math.abs(stray) <= Z).length,
  };
}
