import type { ShelfView } from '@sardonyx/contract';
import { sumLeft, type PaintProduct } from '@sardonyx/core';
import type { ChooserOption } from '../ui/Chooser.tsx';

/** A pot as a chooser shows it: its colour, its line, what is left of it. */
export function describePot(shelf: ShelfView, product: PaintProduct): ChooserOption {
  const left = sumLeft(shelf.pots, product.id);
  return {
    value: product.id,
    label: `${product.line} ${product.name} (${product.kind})`,
    note: `${product.binder}, ${left > 0 ? `${left.toFixed(left < 10 ? 2 : 1)} ml left` : 'nothing left'}`,
    swatch: product.colourHex,
  };
}
