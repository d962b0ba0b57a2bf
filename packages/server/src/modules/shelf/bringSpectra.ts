import type { ShelfReport } from '@sardonyx/contract';
import {
  computeLab,
  convertLabToHex,
  createOpticsFromSamples,
  selectLettingDownWhite,
  surfaceOf,
  type Geometry,
  type readCgats,
} from '@sardonyx/core';
import type { EntityManager } from 'typeorm';
import { PaintProductRow } from '../../entities/paint.ts';

type Samples = ReturnType<typeof readCgats>['samples'];

/** A paint that stands here, and what its samples say of it. */
type Measured = Pick<PaintProductRow, 'optics' | 'colourHex'> & { readonly product: PaintProductRow };

/** Samples with the name of a paint that stands here; one without a pot is told, not guessed. */
export function planSpectra(
  samples: Samples,
  products: readonly PaintProductRow[],
  geometry: Geometry,
): { spectra: Measured[]; unknown: ShelfReport['problems'] } {
  const byName = new Map(products.map((product) => [`${product.line} ${product.name}`.toLowerCase(), product]));
  const unknown: { line: number; message: string }[] = [];
  const spectra: Measured[] = [];
  for (const name of new Set(samples.map((sample) => sample.name))) {
    const product = byName.get(name.toLowerCase());
    if (!product) {
      unknown.push({ line: 0, message: `"${name}" is no pot on this shelf (line and name, as the shelf writes it).` });
      continue;
    }
    const own = samples.filter((sample) => sample.name === name);
    const white = selectLettingDownWhite(product, products, geometry);
    const optics = createOpticsFromSamples(own, white, surfaceOf(geometry));
    if (!optics) {
      unknown.push({ line: 0, message: `"${name}": tints alone say nothing without the paint itself (SHARE 1).` });
      continue;
    }
    const masstone = own.find((sample) => sample.share === 1);
    const colourHex = masstone ? convertLabToHex(computeLab(masstone.spectrum)) : product.colourHex;
    spectra.push({ product, optics, colourHex });
  }
  return { spectra, unknown };
}

export async function writeSpectra(manager: EntityManager, spectra: readonly Measured[]): Promise<void> {
  for (const { product, optics, colourHex } of spectra)
    await manager.update(PaintProductRow, { id: product.id }, { optics, colourHex, version: product.version + 1 });
}
