import type { ShelfView } from '@sardonyx/contract';
import { checkCoat } from '@sardonyx/core';
import { describePot } from '../../../../shared/form/potOptions.ts';
import type { ChooserOption } from '../../../../shared/ui/Chooser.tsx';

/** Every pot for a coat on this area now: what may go on first, the rest with what speaks against it. */
export function listCoatPots(
  shelf: ShelfView,
  attempt: Omit<Parameters<typeof checkCoat>[0], 'product'>,
): ChooserOption[] {
  const pots = shelf.products.map((product) => {
    const pot = describePot(shelf, product);
    const [refusal] = checkCoat({ ...attempt, product });
    return refusal ? { ...pot, group: 'Not now', note: refusal.message } : { ...pot, group: 'May go on' };
  });
  const may = pots.filter(({ group }) => group === 'May go on');
  return [...may, ...pots.filter((pot) => !may.includes(pot))];
}
