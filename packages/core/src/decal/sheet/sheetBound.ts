import { computeGrownArea } from './growRuns.ts';
import { SheetBench } from './sheetBench.ts';
import type { NestQuestion } from './nestQuestion.ts';

export interface SheetBound {
  /** No fewer new sheets are enough. */
  readonly newSheets: number;
  /** All new sheets one after the other are used at least so far, mm. */
  readonly lengthMm: number;
}

/** What no way of laying can beat: pieces grown by half the spacing do not overlap, and lie on sheets grown by as much. */
export function boundSheets(question: NestQuestion): SheetBound {
  const { sheet, spacingMm, pieces } = question;
  const [length, width] = [sheet.lengthMm + spacingMm, sheet.widthMm + spacingMm];
  const bench = new SheetBench(question);
  const laid = pieces.filter((piece) => bench.turn(piece).ways.length > 0);
  const wanted = laid.reduce((sum, { outline }) => sum + computeGrownArea(outline, spacingMm / 2), 0);
  const rest = Math.max(0, wanted - bench.countFree());
  return {
    newSheets: Math.max(0, Math.ceil(rest / (length * width) - 1e-9)),
    lengthMm: rest > 0 ? Math.max(0, rest / width - spacingMm) : 0,
  };
}
