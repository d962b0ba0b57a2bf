import type { ShelfView } from '@sardonyx/contract';
import { checkCoat, convertProductKind, meetCoats, type Area, type CoatingLayer } from '@sardonyx/core';
import { describePot } from '../../../../shared/form/potOptions.ts';
import type { ChooserOption } from '../../../../shared/ui/Chooser.tsx';

interface CoatPlace {
  readonly area: Area;
  readonly areas: readonly Area[];
  /** Of the part. */
  readonly layers: readonly CoatingLayer[];
}

/** Every pot for a coat on this area now: what may go on first, the rest with what speaks against it. */
export function listCoatPots(
  shelf: ShelfView,
  { area, areas, layers }: CoatPlace,
  attempt: Omit<Parameters<typeof checkCoat>[0], 'product' | keyof ReturnType<typeof meetCoats>>,
): ChooserOption[] {
  const pots = shelf.products.map((product) => {
    const pot = describePot(shelf, product);
    const met = meetCoats(area, areas, layers, convertProductKind(product.kind));
    const [refusal] = checkCoat({ ...attempt, ...met, product });
    return refusal ? { ...pot, group: 'Not now', note: refusal.message } : { ...pot, group: 'May go on' };
  });
  const may = pots.filter(({ group }) => group === 'May go on');
  return [...may, ...pots.filter((pot) => !may.includes(pot))];
}
