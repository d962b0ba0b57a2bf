import { InvalidInputError } from '../../model/errors.ts';
import { placeRules, type Paper } from './paper.ts';

/** How much larger than drawn a printer prints, along the sheet and across it; 1 where it is true. */
export interface PrinterScale {
  readonly along: number;
  readonly down: number;
}

export const TRUE_SCALE: PrinterScale = { along: 1, down: 1 };

/** No printer is so far off: the sheet was fitted to the paper, or something else was measured. */
const FARTHEST = 0.1;

export interface MeasuredRules {
  readonly alongMm: number;
  readonly downMm: number;
}

/**
 * The scale of a printer by the two rules of a sheet, as they came out, and what it was corrected by when it was printed.
 *
 * Throws InvalidInputError for a rule more than a tenth off.
 */
export function computePrinterScale(paper: Paper, measured: MeasuredRules, correctedBy: PrinterScale): PrinterScale {
  const { along, down } = placeRules(paper);
  const scaleOf = (mm: number, drawn: number, path: string) => {
    if (!(Math.abs(mm / drawn - 1) <= FARTHEST))
      throw new InvalidInputError(
        'no-rule',
        `That rule is drawn ${drawn} mm long; ${mm} mm is more than a tenth off. Measure it again, and print without “fit to page”.`,
        path,
        { drawn, mm },
      );
    return mm / drawn;
  };
  return {
    along: scaleOf(measured.alongMm, along.mm, 'alongMm') * correctedBy.along,
    down: scaleOf(measured.downMm, down.mm, 'downMm') * correctedBy.down,
  };
}
