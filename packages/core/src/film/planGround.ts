import { isMetal, type Material } from '../model/material.ts';
import type { PaintProduct } from '../model/work.ts';
import type { Area, CoatingLayer } from '../model/workpiece.ts';
import { convertProductKind } from './convertProductToLayer.ts';
import { bareGround } from './findGround.ts';
import type { Ground } from './judgeOver.ts';
import { placeNewCoat, sortPlanned } from './placeCoat.ts';

export interface PlannedPot {
  readonly product: Pick<PaintProduct, 'kind' | 'binder'>;
  readonly area: Pick<Area, 'id' | 'kind' | 'specimenPartId'>;
  readonly areas: readonly Pick<Area, 'id' | 'kind' | 'specimenPartId'>[];
  readonly layers: readonly CoatingLayer[];
  readonly material: Material;
  readonly products: readonly Pick<PaintProduct, 'id' | 'binder'>[];
}

/**
 * What a pot would come to lie on if it were planned: the planned coat below its place, what is planned outside for a field, else the
 * bare part. null for a primer on what is bare, and for powder: they are made for it.
 */
export function planGround({ product, area, areas, layers, material, products }: PlannedPot): Ground | null {
  const plannedOf = (id: string) =>
    sortPlanned(layers.filter((layer) => layer.areaId === id && layer.stage === 'planned'));
  const own = plannedOf(area.id);
  const place = placeNewCoat(own, convertProductKind(product.kind));
  const outside = areas.find((one) => one.kind === 'outside' && one.specimenPartId === area.specimenPartId);
  const below = own[place - 1] ?? (area.kind === 'mask' && outside ? plannedOf(outside.id).at(-1) : undefined);
  if (!below)
    return product.kind === 'primer' || (product.kind === 'powder' && isMetal(material)) ? null : bareGround(material);
  if (below.kind === 'decal' || below.kind === 'filler') return product.kind === 'primer' ? null : below.kind;
  return products.find(({ id }) => id === below.productId)?.binder ?? 'old paint';
}
