import type { DryingSheet, SheetSpan } from '../model/drying.ts';
import type { PaintProduct } from '../model/work.ts';

type Known = Pick<PaintProduct, 'binder' | 'flashMin' | 'recoatMin' | 'cureMin'>;

/** The temperature at which sheets give their minutes. */
const SHEET_C = 20;

const from = (fromMin: number): SheetSpan[] => [{ fromMin, toMin: null }];

/** A wet coat may follow for so long a share of the time to recoat; after it the solvents of the next one lift the skin. */
const ENAMEL_SKIN = 1 / 8;

/**
 * What is not said of a product, as its binder usually is (planning estimates, on the slow side). Enamel has two windows: wet in
 * wet, then not again before it is dry through.
 */
export function completeSheet({ binder, flashMin, recoatMin, cureMin }: Known): DryingSheet {
  const hard = Math.min(cureMin, { enamel: 1, acrylic: 12, lacquer: 6, ink: Infinity, powder: 1 }[binder] * recoatMin);
  const skin = recoatMin * ENAMEL_SKIN;
  const isTwofold = binder === 'enamel' && flashMin < skin;
  return {
    refC: SHEET_C,
    spans: {
      touch: from(binder === 'enamel' ? recoatMin / 4 : recoatMin / 2),
      handle: from(binder === 'ink' ? cureMin : Math.min(cureMin, 2 * recoatMin)),
      mask: from(hard),
      // Tape comes off while the edge is still soft enough not to chip.
      unmask: [{ fromMin: flashMin, toMin: hard }],
      recoat: isTwofold ? [{ fromMin: flashMin, toMin: skin }, ...from(recoatMin)] : from(recoatMin),
      decal: from(Math.min(cureMin, 2 * hard)),
      bake: binder === 'powder' ? from(recoatMin) : from(recoatMin / 2),
      wear: from(cureMin),
    },
  };
}
