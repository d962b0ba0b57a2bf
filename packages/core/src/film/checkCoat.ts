import type { Material } from '../model/material.ts';
import type { Refusal } from '../model/refusal.ts';
import { isSettled, type Task } from '../model/task.ts';
import type { PaintProduct } from '../model/work.ts';
import type { CoatingLayer } from '../model/workpiece.ts';
import { isStanding } from '../facts/selectPartDone.ts';
import { convertProductKind } from './convertProductToLayer.ts';
import { isBareMetalUnder } from './isBareMetalUnder.ts';

export interface CoatAttempt {
  readonly partKey: string;
  readonly partName: string;
  readonly material: Material;
  readonly product: PaintProduct;
  readonly tempC: number;
  readonly appliedAt: Date;
  /** Layers of this area as found and as applied so far. */
  readonly layers: readonly CoatingLayer[];
  /** Of what the area lies upon (layersUnder). */
  readonly under: readonly CoatingLayer[];
  /** Tasks of the specimen. */
  readonly tasks: readonly Task[];
}

/**
 * Why this coat must not go on: old paint still there, colour on bare metal, outside the product's temperatures, or
 * before the coat below is ready for it. An empty list means it may.
 */
export function checkCoat(attempt: CoatAttempt): Refusal[] {
  const { product, partName } = attempt;
  const refusals: Refusal[] = [];
  const unstripped = attempt.tasks.find(
    (task) => task.tags.includes('strip') && task.partKeys.includes(attempt.partKey) && !isSettled(task),
  );
  const hasOldPaint = attempt.layers.some((layer) => layer.stage === 'found' && layer.kind !== 'plating');
  if (hasOldPaint && unstripped) {
    refusals.push({
      code: 'not-stripped',
      field: 'productId',
      message: `The ${partName.toLowerCase()} still carries its old paint: finish "${unstripped.title}" first.`,
    });
  }
  const applied = attempt.layers.filter(isStanding).sort((a, b) => a.seq - b.seq);
  // Old paint that stays is a ground; what is or was stripped is bare.
  const losesPaint = attempt.tasks.some(
    (task) =>
      task.act === 'strip' && task.partKeys.includes(attempt.partKey) && (task.state === 'done' || !isSettled(task)),
  );
  const isPrimed = [...applied, ...attempt.under.filter(isStanding)].some((layer) => layer.kind === 'primer');
  const hasGround = isPrimed || (hasOldPaint && !losesPaint);
  const isPowder = product.kind === 'powder';
  if (isBareMetalUnder(convertProductKind(product.kind), attempt.material, { hasGround, isPowder })) {
    refusals.push({
      code: 'bare-metal',
      field: 'productId',
      message: `Primer first: ${product.binder} on bare ${attempt.material} does not hold.`,
    });
  }
  if (attempt.tempC < product.minC || attempt.tempC > product.maxC) {
    refusals.push({
      code: 'temperature',
      field: 'tempC',
      message: `${product.name} goes on between ${product.minC} and ${product.maxC} °C (planning estimate); the room has ${attempt.tempC} °C.`,
    });
  }
  const last = applied[applied.length - 1];
  if (last?.appliedAt && attempt.appliedAt.getTime() < Date.parse(last.appliedAt)) {
    refusals.push({
      code: 'before-the-last',
      field: 'appliedAt',
      message: 'This is before the coat under it went on.',
    });
  }
  return refusals;
}
