import type { Material } from '../model/material.ts';
import type { PaintProduct } from '../model/work.ts';
import type { Area, CoatingLayer } from '../model/workpiece.ts';
import { convertProductKind } from './convertProductToLayer.ts';
import { bareGround, groundOf } from './findGround.ts';
import type { Ground } from './judgeOver.ts';
import { layersUnder } from './layersUnder.ts';
import { placeNewCoat, sortPlanned } from './placeCoat.ts';

export interface PlannedPot {
  readonly product: Pick<PaintProduct, 'kind' | 'binder'>;
  readonly area: Pick<Area, 'id' | 'kind' | 'specimenPartId'>;
  readonly areas: readonly Pick<Area, 'id' | 'kind' | 'specimenPartId'>[];
  readonly layers: readonly CoatingLayer[];
  readonly material: Material;
  /** The area's colour goes on before that of the outside. */
  readonly isFirst: boolean;
  readonly products: readonly Pick<PaintProduct, 'id' | 'binder'>[];
}

/** What a pot would come to lie on if it were planned: the planned coat below its place, what is planned outside for a field, else the bare part. */
export function planGround({ product, area, areas, layers, material, products, isFirst }: PlannedPot): Ground {
  const planned = layers.filter(({ stage }) => stage === 'planned');
  const own = sortPlanned(planned.filter(({ areaId }) => areaId === area.id));
  const place = placeNewCoat(own, convertProductKind(product.kind));
  const below = own[place - 1] ?? sortPlanned(layersUnder(area, areas, planned, isFirst)).at(-1);
  return below ? groundOf(below, products) : bareGround(material);
}
