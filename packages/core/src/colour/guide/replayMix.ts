import { InvalidInputError } from '../../model/errors.ts';
import type { MixStep, PatchReading, WetReading } from '../../model/colour.ts';
import type { Lab } from '../colorimetry.ts';
import type { WetDryPair } from '../wetToDry.ts';

/** A dried patch with what was in the pot then. */
export interface MixedPatch {
  readonly step: MixStep;
  readonly reading: PatchReading;
  /** ml of each paint of `productIds`. */
  readonly volumes: readonly number[];
}

/** A wet patch that nobody looked at again when it was dry. */
export interface WetPatch {
  readonly step: MixStep;
  readonly reading: WetReading;
  readonly volumes: readonly number[];
}

/** What the log of a mixing amounts to. */
export interface MixState {
  /** Paints in the order in which they came in. */
  readonly productIds: readonly string[];
  readonly volumes: readonly number[];
  readonly totalMl: number;
  readonly patches: readonly MixedPatch[];
  readonly wets: readonly WetPatch[];
  /** Something was poured since the last patch, so that another one is due. */
  readonly isPatchDue: boolean;
  /** The last wet reading since the last pour; null once it dried. */
  readonly wet: Lab | null;
  readonly pairs: readonly WetDryPair[];
  /** Ids of steps that were taken out of the account. */
  readonly undone: ReadonlySet<string>;
}

/**
 * The state of a mix from its log. A step that was undone counts as if it had never been; what came after it stays.
 *
 * Throws InvalidInputError where an undo names no step before it.
 */
export function replayMix(steps: readonly MixStep[]): MixState {
  const undone = new Set<string>();
  steps.forEach(({ body }, i) => {
    if (body.kind !== 'undo') return;
    if (!steps.slice(0, i).some((step) => step.id === body.stepId))
      throw new InvalidInputError('no-step', 'There is no such step before this one.', 'stepId');
    undone.add(body.stepId);
  });
  const valid = steps.filter((step) => !undone.has(step.id) && step.body.kind !== 'undo');
  const productIds = [...new Set(valid.flatMap(({ body }) => (body.kind === 'pour' ? [body.productId] : [])))];
  const volumes = productIds.map(() => 0);
  const patches: MixedPatch[] = [];
  const wets: WetPatch[] = [];
  const pairs: WetDryPair[] = [];
  let isPatchDue = false;
  let wet: Lab | null = null;
  for (const step of valid) {
    const { body } = step;
    if (body.kind === 'pour') {
      volumes[productIds.indexOf(body.productId)]! += body.ml;
      isPatchDue = true;
      wet = null;
    } else if (body.kind === 'wet') {
      if (wet) wets.pop();
      wet = body.lab;
      wets.push({ step, reading: body, volumes: [...volumes] });
    } else if (body.kind === 'patch') {
      patches.push({ step, reading: body, volumes: [...volumes] });
      if (wet) {
        const { reading } = wets.pop()!;
        // A pair of glances teaches nothing about the paint.
        if (reading.how !== 'by eye' && body.how !== 'by eye') pairs.push({ wet, dry: body.lab });
      }
      wet = null;
      isPatchDue = false;
    }
  }
  const totalMl = volumes.reduce((sum, one) => sum + one, 0);
  return { productIds, volumes, totalMl, patches, wets, isPatchDue, wet, pairs, undone };
}

/** The paint that most of it is; undefined while nothing is in the cup. */
export const mainPaintOf = ({ productIds, volumes }: MixState): string | undefined =>
  productIds[volumes.indexOf(Math.max(...volumes))];

/** ml of one paint in the cup. */
export const volumeOf = (state: MixState, productId: string) => state.volumes[state.productIds.indexOf(productId)] ?? 0;
