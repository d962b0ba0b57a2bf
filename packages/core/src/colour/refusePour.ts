import type { PaintProduct } from '../model/work.ts';
import { mayBeMixed } from './paintOptics.ts';

/** More pots in one mix than this cannot be told apart by patches. */
const MOST_POTS = 8;

export interface PourRefusal {
  readonly code: 'outside' | 'binder' | 'too-many' | 'not-enough';
  readonly message: string;
  /** What to choose instead; null where the reason says it. */
  readonly hint: string | null;
}

/**
 * Why `ml` of a paint cannot go into a mix of others, of which its pots hold `leftMl`; null where it can. Refused is what
 * cannot be reckoned with, another binder, a ninth pot, and more than there is.
 */
export function refusePour(
  product: PaintProduct,
  inMix: readonly PaintProduct[],
  ml: number,
  leftMl: number,
): PourRefusal | null {
  const name = `${product.line} ${product.name}`;
  if (!mayBeMixed(product))
    return { code: 'outside', message: `${name} cannot be mixed by calculation.`, hint: 'Choose another pot.' };
  const other = inMix.find((one) => one.binder !== product.binder);
  if (other)
    return {
      code: 'binder',
      message: `${product.name} is ${product.binder}, the mix is ${other.binder}: these do not mix.`,
      hint: `Choose another ${other.binder}.`,
    };
  if (inMix.every((one) => one.id !== product.id) && inMix.length >= MOST_POTS)
    return {
      code: 'too-many',
      message: `${MOST_POTS} pots are in it already: begin anew with fewer.`,
      hint: null,
    };
  if (leftMl < ml - 1e-6)
    return {
      code: 'not-enough',
      message: `${name} has ${leftMl.toFixed(2)} ml left by the record; ${ml.toFixed(2)} ml cannot have come out of it.`,
      hint: `At most ${leftMl.toFixed(2)} ml.`,
    };
  return null;
}
