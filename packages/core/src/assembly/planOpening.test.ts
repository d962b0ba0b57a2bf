import { expect } from 'chai';
import { bruteForceOpening } from '../../test/support/bruteForceOpening.ts';
import { createManyTreatments, createRandomModel, createToyModel } from '../../test/support/simulatedModels.ts';
import { InvalidInputError } from '../model/errors.ts';
import { createSeededRandom } from '../numeric/seededRandom.ts';
import type { ModelJoint, ModelPart, OpeningModel, OpeningPlan } from './openingModel.ts';
import { planOpening } from './planOpening.ts';
import { computeMaskingPrice, findWay, listNeeds } from './replayOpening.ts';

const part = (key: string, treatment: string, maskPrice: Record<string, number> = {}): ModelPart => ({
  ...{ key, treatment, maskPrice },
});
const joint = (
  key: string,
  partKeys: string[],
  price: number,
  more: Partial<ModelJoint['ways'][number]> = {},
): ModelJoint => ({
  ...{ key, partKeys, ways: [{ key: 'way', price, behindJoints: [], behindParts: [], ...more }] },
});

/** Walks a plan step by step: everything that a step needs is open by then, and the price is what it says. */
function replay(model: OpeningModel, plan: OpeningPlan): void {
  const open = new Set<string>();
  let price = 0;
  for (const { jointKey, wayKey } of plan.steps) {
    const way = findWay(model, jointKey, wayKey);
    for (const key of listNeeds(model, way, jointKey)) expect(open.has(key), `${jointKey} needs ${key}`).equal(true);
    open.add(jointKey);
    price += way.price;
  }
  const masking = computeMaskingPrice(model, (key) => open.has(key));
  expect(plan.maskingPrice).closeTo(masking, 1e-9);
  expect(plan.price).closeTo(price + masking, 1e-9);
}

describe('planOpening', () => {
  it('leaves closed what is treated alike', () => {
    const model = { parts: [part('body', 'red'), part('base', 'red')], joints: [joint('post', ['body', 'base'], 5)] };
    expect(planOpening(model)).deep.include({ steps: [], price: 0, maskingPrice: 0, isProven: true });
  });

  it('opens what cannot be masked, and masks what is cheaper to mask', () => {
    const model = (masking: Record<string, number>) => ({
      parts: [part('body', 'red', masking), part('base', 'black', { red: 1 })],
      joints: [joint('post', ['body', 'base'], 5)],
    });
    expect(planOpening(model({})).steps).deep.equal([{ jointKey: 'post', wayKey: 'way' }]);
    expect(planOpening(model({ black: 3 }))).deep.include({ steps: [], price: 4, maskingPrice: 4 });
    expect(planOpening(model({ black: 30 })).price).equal(5);
  });

  it('opens what stands in the way first, or goes the dearer way round it', () => {
    const model = (round: number): OpeningModel => ({
      parts: [part('body', 'red'), part('base', 'red'), part('glazing', 'clear')],
      joints: [
        joint('post', ['body', 'base'], 10),
        {
          ...{ key: 'tabs', partKeys: ['body', 'glazing'] },
          ways: [
            { key: 'inside', price: 2, behindJoints: ['post'], behindParts: [] },
            { key: 'outside', price: round, behindJoints: [], behindParts: [] },
          ],
        },
      ],
    });
    expect(planOpening(model(20)).steps.map((step) => step.jointKey)).deep.equal(['post', 'tabs']);
    expect(planOpening(model(8))).deep.include({ steps: [{ jointKey: 'tabs', wayKey: 'outside' }], price: 8 });
  });

  it('takes a part out before what lies behind it', () => {
    const model = {
      parts: [part('body', 'red'), part('seat', 'red'), part('engine', 'bright')],
      joints: [joint('clip', ['body', 'seat'], 3), joint('pin', ['body', 'engine'], 2, { behindParts: ['seat'] })],
    };
    expect(planOpening(model).steps.map((step) => step.jointKey)).deep.equal(['clip', 'pin']);
  });

  it('refuses what can neither be parted nor masked', () => {
    const stuck: OpeningModel = {
      parts: [part('body', 'red'), part('base', 'black'), part('trim', 'bright')],
      joints: [
        joint('a', ['body', 'base'], 1, { behindJoints: ['b'] }),
        joint('b', ['base', 'trim'], 1, { behindJoints: ['a'] }),
      ],
    };
    expect(() => planOpening(stuck))
      .throw(InvalidInputError)
      .include({ code: 'no-plan' });
  });

  it('equals brute force on random models, every plan replayed (150 of 1 to 9 joints here, the whole in the bench)', () => {
    for (let seed = 1; seed <= 150; seed++) {
      const random = createSeededRandom(seed);
      const model =
        seed % 3 ? createRandomModel(1 + (seed % 9), random, seed % 2 ? 0.3 : 0) : createToyModel(9, random);
      const best = bruteForceOpening(model);
      if (best === Infinity) {
        expect(() => planOpening(model), `seed ${seed}`).throw(InvalidInputError);
        continue;
      }
      const plan = planOpening(model);
      expect(plan.price, `seed ${seed}`).closeTo(best, 1e-9);
      expect(plan.isProven).equal(true);
      replay(model, plan);
    }
  });

  it('finds the best as well where the bound must take treatments together', () => {
    for (let seed = 1; seed <= 120; seed++) {
      const model = createRandomModel(1 + (seed % 9), createSeededRandom(seed), seed % 2 ? 0.3 : 0);
      const best = bruteForceOpening(model);
      if (best === Infinity) continue;
      for (const largestTable of [1, 4, 40]) {
        const plan = planOpening(model, { largestTable, mostWork: Infinity });
        expect(plan.price, `seed ${seed}, ${largestTable}`).closeTo(best, 1e-9);
        expect(plan.isProven).equal(true);
        replay(model, plan);
      }
    }
  });

  it('answers with a bound where parts of fifteen treatments hang together by joints of three', () => {
    const model = createManyTreatments(40, 15, createSeededRandom(4));
    const plan = planOpening(model);
    replay(model, plan);
    expect(plan.lowerBound).greaterThan(0).and.most(plan.price);
  });

  it('names the parts that can neither be taken apart nor masked', () => {
    const model: OpeningModel = {
      parts: [part('body', 'red'), part('base', 'black', { red: 3 }), part('seat', 'none')],
      joints: [{ ...joint('post', ['body', 'base'], 1), wish: 'closed' }, joint('clip', ['body', 'seat'], 1)],
    };
    expect(() => planOpening(model)).throw('neither be taken apart nor masked: body.');
  });

  it('refuses keys that the model does not have, and names them', () => {
    const parts = [part('body', 'red'), part('base', 'red')];
    for (const [strange, words] of [
      [joint('post', ['body', 'roof'], 5), 'names a part that the model does not have: roof'],
      [
        joint('post', ['body', 'base'], 5, { behindJoints: ['tabs'] }),
        'names a joint that the model does not have: tabs',
      ],
      [
        joint('post', ['body', 'base'], 5, { behindParts: ['seat'] }),
        'names a part that the model does not have: seat',
      ],
    ] as const)
      expect(() => planOpening({ parts, joints: [strange] })).throw(InvalidInputError, words);
  });

  it('says what is proven when it is stopped: a plan, and a bound below it', () => {
    const model = createToyModel(40, createSeededRandom(9));
    const whole = planOpening(model);
    const early = planOpening(model, { isEnough: () => true });
    replay(model, early);
    expect(early.lowerBound).most(whole.price + 1e-9);
    expect(early.price).least(whole.price - 1e-9);
    expect(early.isProven).equal(early.price <= early.lowerBound + 1e-9);
  });
});
