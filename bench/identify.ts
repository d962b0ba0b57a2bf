import { isMainThread, parentPort, Worker } from 'node:worker_threads';
import {
  computeNextLooks,
  createSeededRandom,
  identifySpecimen,
  pickOne,
  type Answer,
  type IdentifyCatalogue,
} from '@sardonyx/core';
import { createCatalogue } from '../packages/server/src/demo/createCatalogue.ts';
import { median, type Topic } from './figure.ts';

const ROUNDS = 120;

/** The whole demo catalogue as identification wants it. */
function createDemoCatalogue(): IdentifyCatalogue {
  const { features, states, variants, variantStates } = createCatalogue();
  return {
    features: features.map(({ id, label, howToLook, effort, castIn, alteredChance }) => ({
      id,
      label,
      howToLook,
      effort,
      castIn,
      alteredChance,
      states: states
        .filter((state) => state.featureId === id)
        .map((state) => ({
          id: state.id,
          label: state.label,
          fromYear: state.fromYear,
          toYear: state.toYear,
          lookAlikes: state.lookAlikes.map((key) => `${id}.${key}`),
        })),
    })),
    variants: variants.map((variant) => {
      const shares: Record<string, Record<string, number>> = {};
      for (const row of variantStates.filter((one) => one.variantId === variant.id))
        (shares[row.featureId] ??= {})[row.stateId] = row.share;
      return { id: variant.id, name: variant.name, castingId: variant.castingId, span: variant, states: shares };
    }),
  };
}

/** Times of one changed answer each: posterior, date and next look over the whole catalogue. */
function timeUpdates(): number[] {
  const catalogue = createDemoCatalogue();
  const random = createSeededRandom(20261125);
  const answers = new Map<string, Answer>();
  const times: number[] = [];
  for (let round = 0; round < ROUNDS; round++) {
    const feature = pickOne(catalogue.features, random);
    answers.set(feature.id, {
      featureId: feature.id,
      stateId: pickOne(feature.states, random).id,
      certainty: pickOne(['sure', 'likely', 'unsure'] as const, random),
    });
    if (answers.size > 8) answers.delete(answers.keys().next().value!);
    const list = [...answers.values()];
    const began = performance.now();
    computeNextLooks(catalogue, list, identifySpecimen(catalogue, list));
    times.push(performance.now() - began);
  }
  // The first rounds are spent compiling.
  return times.slice(20);
}

if (!isMainThread) parentPort!.postMessage(timeUpdates());

export const identify: Topic = {
  names: ['identify.demoUpdateMs'],
  measure: async () => {
    // A worker does not inherit the loader for TypeScript; it registers its own first.
    const boot = `import('tsx/esm/api').then(({ register }) => (register(), import(${JSON.stringify(import.meta.url)})))`;
    const worker = new Worker(boot, { eval: true });
    const times = await new Promise<number[]>((done, fail) => {
      worker.once('message', done);
      worker.once('error', fail);
    });
    await worker.terminate();
    return [
      {
        name: 'identify.demoUpdateMs',
        value: median(times),
        unit: 'ms',
        goal: { kind: 'at most', value: 16 },
        yardstick: `median of ${times.length}: one answer changed, posterior, date and next look over all 430 demo variants, in a worker`,
      },
    ];
  },
};
