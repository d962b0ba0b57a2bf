/** Runs in a worker: times changed answers over simulated catalogues of the sizes asked for. */
import { parentPort, workerData } from 'node:worker_threads';
import { createIdentifier, createSeededRandom, pickOne } from '@sardonyx/core';
import { computeNextLooks, rankLooks } from '../../packages/core/src/identify/computeNextLooks.ts';
import { describePosterior } from '../../packages/core/src/identify/identifySpecimen.ts';
import { createSimulatedCatalogue } from '../../packages/core/test/support/simulatedCatalogue.ts';

export interface UpdateTimes {
  readonly variants: number;
  /** ms of each update. */
  readonly times: readonly number[];
  /** Heap and buffers that the catalogue and its identifier hold. */
  readonly megabytes: number;
}

/** Compiling is over by then. */
const WARM_UP = 40;

/** One changed answer each: posterior, date, evidence and next look. */
function timeUpdates(variants: number, rounds: number): UpdateTimes {
  const before = usedMegabytes();
  const simulated = createSimulatedCatalogue(5, { variants, isDated: true });
  // The worst case: nobody said that any list is complete.
  const unlisted = Object.fromEntries(simulated.variants.map((variant) => [variant.castingId, 0.1]));
  const catalogue = { ...simulated, unlisted };
  const identifier = createIdentifier(catalogue);
  const random = createSeededRandom(20261126);
  const given: string[] = [];
  const times: number[] = [];
  for (let round = 0; round < rounds + WARM_UP; round++) {
    const feature = pickOne(catalogue.features, random);
    const began = performance.now();
    identifier.setAnswerInPlace(feature.id, {
      featureId: feature.id,
      stateId: pickOne(feature.states, random).id,
      certainty: pickOne(['sure', 'likely', 'unsure'] as const, random),
    });
    const posterior = identifier.computePosterior();
    describePosterior(posterior);
    rankLooks(computeNextLooks(posterior, 'variant'));
    if (round >= WARM_UP) times.push(performance.now() - began);
    given.push(feature.id);
    if (given.length > 8) identifier.setAnswerInPlace(given.shift()!, null);
  }
  return { variants, times, megabytes: usedMegabytes() - before };
}

function usedMegabytes(): number {
  globalThis.gc?.();
  const { heapUsed, arrayBuffers } = process.memoryUsage();
  return (heapUsed + arrayBuffers) / 1e6;
}

const { sizes } = workerData as { sizes: readonly (readonly [variants: number, rounds: number])[] };
for (const [variants, rounds] of sizes) parentPort!.postMessage(timeUpdates(variants, rounds));
