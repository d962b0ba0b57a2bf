import type { Geometry } from '../model/reading.ts';
import type { PaintProduct } from '../model/work.ts';
import type { PaintOptics } from './kubelkaMunk.ts';
import { computePaintLab } from './paintOptics.ts';

/** Paler than this it is taken for a white, L* (off-whites have 90 and more). */
const WHITE_FROM_L = 88;

/** The white that tints of a paint were let down in: the lightest measured one of its binder; null where none is pale enough. */
export function selectLettingDownWhite(
  product: Pick<PaintProduct, 'id' | 'binder'>,
  products: readonly PaintProduct[],
  geometry: Geometry,
): PaintOptics | null {
  const pale = products.flatMap(({ id, binder, optics }) => {
    if (!optics || binder !== product.binder || id === product.id) return [];
    const [l] = computePaintLab(optics, geometry);
    return l > WHITE_FROM_L ? [{ l, optics }] : [];
  });
  return pale.sort((a, b) => b.l - a.l)[0]?.optics ?? null;
}
