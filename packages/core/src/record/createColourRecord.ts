import { computeMixDistance } from '../colour/guide/listReadings.ts';
import { replayMix } from '../colour/guide/replayMix.ts';
import type { ColourCapture, Mix, MixStep } from '../model/colour.ts';
import type { RecordColour, RecordMix, RecordMixStep, RecordPour } from './colourRecord.ts';
import type { RecordNames } from './recordNames.ts';

export function createColourRecord(capture: ColourCapture, names: RecordNames): RecordColour {
  const { place, note, lab, sd, spectrum, geometry, method, point, takenAt, who } = capture;
  return {
    part: names.part(capture.specimenPartId),
    ...{ place, note, lab, sd, spectrum, geometry, method, point, takenAt, who },
    photo: names.photo(capture.photoId),
  };
}

export function createMixRecord(mix: Mix & { readonly steps: readonly MixStep[] }, names: RecordNames): RecordMix {
  const { name, target, targetA, geometry, needMl, tolerance, dosing, doseMl, way, startedAt, endedAt } = mix;
  const { productIds, volumes, patches } = replayMix(mix.steps);
  const paint = (productId: string): string => names.other(productId) ?? 'a pot that is gone';
  const pour = (productId: string, ml: number): RecordPour => ({ name: paint(productId), ml });
  return {
    ...{ name, target, targetA, geometry, needMl, tolerance, dosing, doseMl, way, startedAt, endedAt },
    part: mix.specimenPartId && names.part(mix.specimenPartId),
    capturedAt: mix.captureId && names.capture(mix.captureId),
    recipe: mix.recipe.map(({ name: called, ml }) => ({ name: called, ml })),
    paints: productIds.map((id, i) => pour(id, volumes[i]!)),
    patches: patches.length,
    lastDe00: computeMixDistance(mix.steps, mix.target),
    keptAs: names.other(mix.productId),
    steps: mix.steps.map(({ at, who, body }) => ({ at, who, what: describeStep(body, mix.steps, paint) })),
  };
}

function describeStep(
  body: MixStep['body'],
  steps: readonly MixStep[],
  paint: (productId: string) => string,
): RecordMixStep {
  if (body.kind === 'pour') return { kind: 'pour', paint: paint(body.productId), ml: body.ml, source: body.source };
  if (body.kind === 'undo') return { kind: 'undo', step: steps.findIndex(({ id }) => id === body.stepId) + 1 };
  return body;
}
