import { isMetal, type Material } from '../model/material.ts';
import type { PaintProduct, Task } from '../model/work.ts';
import type { CoatingLayer } from '../model/workpiece.ts';

export interface CoatAttempt {
  readonly partKey: string;
  readonly partName: string;
  readonly material: Material;
  readonly product: PaintProduct;
  readonly tempC: number;
  readonly appliedAt: Date;
  /** Layers of this area as found and as applied so far. */
  readonly layers: readonly CoatingLayer[];
  /** Tasks of the specimen. */
  readonly tasks: readonly Task[];
}

export interface CoatRefusal {
  readonly code: 'not-stripped' | 'bare-zinc' | 'temperature' | 'too-soon';
  readonly field: 'productId' | 'tempC' | 'appliedAt';
  readonly message: string;
}

/**
 * Why this coat must not go on: old paint still there, colour on bare metal, outside the product's temperatures, or
 * before the coat below is ready for it. An empty list means it may.
 */
export function checkCoat(attempt: CoatAttempt): CoatRefusal[] {
  const { product, partName } = attempt;
  const refusals: CoatRefusal[] = [];
  const unstripped = attempt.tasks.find(
    (task) =>
      task.tags.includes('strip') &&
      task.partKeys.includes(attempt.partKey) &&
      task.state !== 'done' &&
      task.state !== 'not needed',
  );
  const hasOldPaint = attempt.layers.some((layer) => layer.stage === 'found' && layer.kind !== 'plating');
  if (hasOldPaint && unstripped) {
    refusals.push({
      code: 'not-stripped',
      field: 'productId',
      message: `The ${partName.toLowerCase()} still carries its old paint: finish "${unstripped.title}" first.`,
    });
  }
  const applied = attempt.layers.filter((layer) => layer.stage === 'applied').sort((a, b) => a.seq - b.seq);
  if (
    isMetal(attempt.material) &&
    product.kind !== 'primer' &&
    product.kind !== 'powder' &&
    !applied.some((layer) => layer.kind === 'primer')
  ) {
    refusals.push({
      code: 'bare-zinc',
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
    refusals.push({ code: 'too-soon', field: 'appliedAt', message: 'This is before the coat under it went on.' });
  }
  return refusals;
}
