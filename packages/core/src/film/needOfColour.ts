import { computeDe00 } from '../colour/difference.ts';
import type { LabColour } from '../model/reading.ts';
import { convertHexToLab } from '../colour/display.ts';
import type { PaintProduct } from '../model/work.ts';
import type { AreaSize } from '../model/workpiece.ts';
import { computeVolume, SOLIDS, type CoatingWay } from './computeVolume.ts';
import { addEstimates, computeUpper, type Estimate } from './estimate.ts';
import { THINNER } from './pourFor.ts';

/** An area of some open job that still gets coats of a colour. */
export interface ColourNeed {
  readonly jobId: string;
  readonly jobNumber: string;
  readonly specimenName: string;
  readonly partName: string;
  readonly areaName: string;
  readonly colourHex: string;
  /** Wet coats that are planned and not on yet. */
  readonly coatsLeft: number;
  /** null where nobody drew or measured it. */
  readonly size: AreaSize | null;
  readonly way: CoatingWay;
}

/** Planned colours that come so near are meant for the same paint (planning estimate: what is drawn on a screen is no measurement). */
const SAME_COLOUR_DE = 6;

export interface NeededPaint {
  readonly ml: number;
  /** Enough in nine of ten cases. */
  readonly upper90: number;
  /** What it is for. */
  readonly areas: readonly ColourNeed[];
  /** Gets the colour too, but nobody knows how large it is: not counted. */
  readonly unsized: readonly ColourNeed[];
}

/**
 * How much of a colour all areas that are planned in it take, over all jobs: one cup for all that is sprayed together, filled once a
 * coat. null where nothing is planned in it.
 *
 * @param target what is matched or mixed
 * @param paint what it will be: its binder's solids, the film of one coat
 */
export function needOfColour(
  target: LabColour,
  needs: readonly ColourNeed[],
  paint: Pick<PaintProduct, 'binder' | 'dryFilmUm'>,
): NeededPaint | null {
  const same = needs.filter(
    ({ coatsLeft, colourHex }) => coatsLeft > 0 && computeDe00(target, convertHexToLab(colourHex)) <= SAME_COLOUR_DE,
  );
  if (same.length === 0) return null;
  const areas = same.filter(({ size }) => size !== null);
  const ways = [...new Set(areas.map(({ way }) => way))];
  const poured = ways.map((way): Estimate => {
    const own = areas.filter((need) => need.way === way);
    const volume = computeVolume({
      // So many times its surface: coats of one area are not independent, areas are.
      area: addEstimates(own.map(({ size, coatsLeft }) => ({ ...size!, value: size!.value * coatsLeft }))),
      ...{ way, filmUm: paint.dryFilmUm, coats: 1, solids: SOLIDS[paint.binder], thinner: THINNER[way] },
      fillings: Math.max(...own.map(({ coatsLeft }) => coatsLeft)),
    });
    return { value: volume.ml, relativeSd: volume.sd / volume.ml };
  });
  const all = addEstimates(poured);
  return {
    ml: all.value,
    upper90: all.value > 0 ? computeUpper(all, 0.9) : 0,
    ...{ areas, unsized: same.filter(({ size }) => size === null) },
  };
}
