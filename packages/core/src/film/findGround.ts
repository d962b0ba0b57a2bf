import { isStanding } from '../facts/selectPartDone.ts';
import { isMetal, traitsOf, type Material } from '../model/material.ts';
import type { PaintProduct } from '../model/work.ts';
import type { CoatingLayer } from '../model/workpiece.ts';
import type { Ground } from './judgeOver.ts';

/** What the next coat of an area would lie on, outermost, and the coat it is; null where it is no coat of this bench. */
export interface GroundUnder {
  readonly ground: Ground;
  readonly layer: CoatingLayer | null;
}

export interface GroundPlace {
  readonly material: Material;
  /** Of the area, and of what it lies upon (layersUnder). */
  readonly layers: readonly CoatingLayer[];
  readonly under: readonly CoatingLayer[];
  /** Old paint of it is gone, or goes before anything is put on. */
  readonly losesPaint: boolean;
  readonly products: readonly Pick<PaintProduct, 'id' | 'binder'>[];
}

/** The outermost of what stands: a coat of this bench, else old paint, else the bare part. */
export function findGround({ material, layers, under, losesPaint, products }: GroundPlace): GroundUnder {
  const outermost = (all: readonly CoatingLayer[]) => all.filter(isStanding).sort((a, b) => b.seq - a.seq)[0];
  const layer = outermost(layers) ?? outermost(under);
  if (layer) return { ground: groundOf(layer, products), layer };
  const isOld = !losesPaint && [...layers, ...under].some(({ stage, kind }) => stage === 'found' && kind !== 'plating');
  return { ground: isOld ? 'old paint' : bareGround(material), layer: null };
}

/** A coat out of a pot that nobody knows any more is old paint to the next one. */
export function groundOf(
  { kind, productId }: Pick<CoatingLayer, 'kind' | 'productId'>,
  products: GroundPlace['products'],
): Ground {
  if (kind === 'decal' || kind === 'filler') return kind;
  return products.find(({ id }) => id === productId)?.binder ?? 'old paint';
}

export function bareGround(material: Material): Ground {
  if (traitsOf(material).isZinc) return 'bare zinc';
  if (material === 'brass' || material === 'copper') return 'bare brass or copper';
  return isMetal(material) ? 'bare metal' : 'bare plastic';
}
