import type { PaintProduct } from '../model/work.ts';
import type { CoatingLayer } from '../model/workpiece.ts';

/** What stays of a mist coat, over a wet one (planning estimate). */
const MIST_SHARE = 0.35;

/** The layer that one coat of a product leaves; its thickness is that of the product sheet. */
export function convertProductToLayer(
  {
    id,
    line,
    name,
    kind,
    colourHex,
    dryFilmUm,
  }: Pick<PaintProduct, 'id' | 'line' | 'name' | 'kind' | 'colourHex' | 'dryFilmUm'>,
  isMist = false,
) {
  return {
    kind: convertProductKind(kind),
    name: `${line} ${name}`,
    colourHex,
    thicknessUm: isMist ? dryFilmUm * MIST_SHARE : dryFilmUm,
    thicknessOrigin: isMist ? 'planning estimate' : 'product sheet',
    productId: id,
  } as const satisfies Partial<CoatingLayer>;
}

/** Powder is a colour when it is cured. */
export const convertProductKind = (
  kind: PaintProduct['kind'],
): Exclude<CoatingLayer['kind'], 'decal' | 'plating' | 'filler'> => (kind === 'powder' ? 'colour' : kind);
