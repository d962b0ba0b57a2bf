import { randomUUID } from 'node:crypto';
import type { PaintProduct } from '@sardonyx/core';

/** Films and times that stand until its sheet was read (planning estimates, on the slow side), by binder. */
const USUAL: Readonly<
  Record<
    PaintProduct['binder'],
    Pick<PaintProduct, 'dryFilmUm' | 'flashMin' | 'recoatMin' | 'cureMin' | 'minC' | 'maxC'>
  >
> = {
  enamel: { dryFilmUm: 22, flashMin: 20, recoatMin: 1440, cureMin: 10080, minC: 12, maxC: 28 },
  acrylic: { dryFilmUm: 16, flashMin: 10, recoatMin: 60, cureMin: 2880, minC: 12, maxC: 28 },
  lacquer: { dryFilmUm: 12, flashMin: 10, recoatMin: 60, cureMin: 1440, minC: 15, maxC: 28 },
  ink: { dryFilmUm: 4, flashMin: 15, recoatMin: 120, cureMin: 4320, minC: 15, maxC: 28 },
  powder: { dryFilmUm: 65, flashMin: 0, recoatMin: 60, cureMin: 60, minC: 10, maxC: 30 },
};

type Known = Pick<PaintProduct, 'line' | 'name' | 'kind' | 'binder' | 'gloss' | 'colourHex'> & Partial<PaintProduct>;

export const createProduct = (known: Known): PaintProduct => ({
  ...USUAL[known.binder],
  ...{ id: randomUUID(), version: 1, optics: null, recipe: null },
  ...{ densityGPerMl: 1.15, dropMl: known.binder === 'lacquer' ? 0.025 : 0.05, pricePerMl: 0.25 },
  ...known,
});
