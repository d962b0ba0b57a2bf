import { MESH_AXES, type PrintRun } from '../model/print.ts';

/** How much smaller resin is when it has cured, share of its length, before anything was measured (planning estimate). */
const USUAL_SHRINK = 0.006;
const USUAL_SD = 0.004;
/** What differs from print to print of one resin, share of a length (planning estimate). */
const PRINT_SD = 0.002;

/** A length of a cured print beside what it was in the file. */
export interface MeasuredPrint {
  readonly inFileMm: number;
  readonly measuredMm: number;
  /** Of the calipers. */
  readonly sdMm: number;
}

export interface Shrink {
  /** Share of its length that the resin loses; below nothing where prints come out larger. */
  readonly share: number;
  readonly sd: number;
  /** So many measured prints stand behind it. */
  readonly prints: number;
}

/** What a resin loses, learned from the prints that were measured: the usual value and each of them, weighed by how sure they are. */
export function learnShrink(measured: readonly MeasuredPrint[]): Shrink {
  let weight = 1 / USUAL_SD ** 2;
  let sum = USUAL_SHRINK * weight;
  for (const { inFileMm, measuredMm, sdMm } of measured) {
    const own = 1 / (PRINT_SD ** 2 + (sdMm / inFileMm) ** 2);
    weight += own;
    sum += own * (1 - measuredMm / inFileMm);
  }
  return { share: sum / weight, sd: Math.sqrt(1 / weight), prints: measured.length };
}

/** Lengths of the prints of one resin that were measured when they had cured. */
export const listMeasured = (
  runs: readonly Pick<PrintRun, 'resin' | 'inFile' | 'measure'>[],
  resin: string,
): MeasuredPrint[] =>
  runs.flatMap(({ resin: own, inFile, measure }) =>
    measure && own.trim().toLowerCase() === resin.trim().toLowerCase()
      ? [{ inFileMm: inFile[MESH_AXES.indexOf(measure.axis)]!, measuredMm: measure.mm, sdMm: measure.sdMm }]
      : [],
  );
