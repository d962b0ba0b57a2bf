import { expect } from 'chai';
import { createSeededRandom } from '../numeric/seededRandom.ts';
import type { JointWay } from '../model/catalogue.ts';
import { InvalidInputError } from '../model/errors.ts';
import { computeOpeningOrder, MAX_EXACT_JOINTS, RISK_WEIGHT_MIN, type OpeningJoint } from './computeOpeningOrder.ts';

const way = (minutes: number, risk = 0, behindJoints: readonly string[] = [], key = 'way'): JointWay => ({
  key,
  label: 'Open',
  tool: 'hand',
  minutes,
  risk,
  destroys: '',
  behindJoints,
});
const joint = (key: string, ...ways: JointWay[]): OpeningJoint => ({ key, label: key, ways });

/** Tries every order of every choice of ways: the slow yardstick. */
function bruteForceCost(joints: readonly OpeningJoint[], targets: readonly string[]): number {
  let best = Infinity;
  const walk = (open: ReadonlySet<string>, cost: number) => {
    if (cost >= best) return;
    if (targets.every((key) => open.has(key))) best = cost;
    for (const one of joints) {
      if (open.has(one.key)) continue;
      for (const { minutes, risk, behindJoints } of one.ways) {
        if (behindJoints.every((key) => open.has(key)))
          walk(new Set([...open, one.key]), cost + minutes + RISK_WEIGHT_MIN * risk);
      }
    }
  };
  walk(new Set(), 0);
  return best;
}

describe('computeOpeningOrder', () => {
  it('opens nothing when nothing is asked for', () => {
    expect(computeOpeningOrder([joint('a', way(3))], [])).deep.equal({
      kind: 'order',
      steps: [],
      minutes: 0,
      expectedRisk: 0,
      cost: 0,
    });
  });

  it('opens what stands in the way first, and nothing else', () => {
    const order = computeOpeningOrder(
      [joint('glazing', way(2, 0, ['post'])), joint('post', way(10, 0.05)), joint('axle', way(5))],
      ['glazing'],
    );
    if (order.kind !== 'order') throw new Error('expected an order');
    expect(order.steps.map((step) => step.jointKey)).deep.equal(['post', 'glazing']);
    expect(order.minutes).equal(12);
    expect(order.expectedRisk).closeTo(0.05, 1e-12);
    expect(order.cost).closeTo(15, 1e-12);
  });

  it('prefers the slower way when the quick one risks more than it saves', () => {
    const post = joint('post', way(7, 0.18, [], 'grind'), way(10, 0.05, [], 'drill'));
    const order = computeOpeningOrder([post], ['post']);
    expect(order.kind === 'order' && order.steps[0]!.way.key).equal('drill');
    const hasty = computeOpeningOrder([post], ['post'], 0);
    expect(hasty.kind === 'order' && hasty.steps[0]!.way.key).equal('grind');
  });

  it('goes round a joint when that is cheaper than through it', () => {
    const joints = [joint('seat', way(1, 0, ['post']), way(4)), joint('post', way(10))];
    const order = computeOpeningOrder(joints, ['seat']);
    expect(order.kind === 'order' && order.steps.map((step) => step.jointKey)).deep.equal(['seat']);
  });

  it('names the ring when joints lie behind each other', () => {
    const order = computeOpeningOrder(
      [joint('a', way(1, 0, ['b'])), joint('b', way(1, 0, ['a'])), joint('c', way(1))],
      ['a', 'c'],
    );
    expect(order).deep.include({ kind: 'stuck', jointKeys: ['a', 'b'] });
    expect(order.kind === 'stuck' && order.because).include('a lies behind b');
  });

  it('refuses what it does not know and what it cannot search', () => {
    expect(() => computeOpeningOrder([joint('a', way(1))], ['z']))
      .throw(InvalidInputError)
      .include({ code: 'unknown-joint' });
    const many = Array.from({ length: MAX_EXACT_JOINTS + 1 }, (_, i) => joint(`j${i}`, way(1)));
    expect(() =>
      computeOpeningOrder(
        many,
        many.map((one) => one.key),
      ),
    )
      .throw(InvalidInputError)
      .include({ code: 'too-many-joints' });
  });

  it('is the same every time, also among equals', () => {
    const joints = [joint('b', way(2)), joint('a', way(2)), joint('c', way(2))];
    const keys = () => {
      const order = computeOpeningOrder(joints, ['c', 'a', 'b']);
      return order.kind === 'order' ? order.steps.map((step) => step.jointKey) : [];
    };
    expect(keys()).deep.equal(keys());
    expect(new Set(keys())).deep.equal(new Set(['a', 'b', 'c']));
  });

  for (let seed = 1; seed <= 200; seed++) {
    it(`costs what brute force finds, and every step is accessible (seed ${seed})`, () => {
      const random = createSeededRandom(seed);
      const count = 2 + Math.floor(random() * 4);
      const keys = Array.from({ length: count }, (_, i) => `j${i}`);
      const joints = keys.map((key) => {
        const behind = () => keys.filter((other) => other !== key && random() < 0.25);
        return joint(
          key,
          ...Array.from({ length: 1 + Math.floor(random() * 2) }, () =>
            way(1 + Math.floor(random() * 12), random() * 0.2, behind()),
          ),
        );
      });
      const targets = keys.filter(() => random() < 0.6);
      const order = computeOpeningOrder(joints, targets);
      const slow = bruteForceCost(joints, targets);
      if (order.kind === 'stuck') {
        expect(slow).equal(Infinity);
        return;
      }
      expect(order.cost).closeTo(slow, 1e-9);
      const open = new Set<string>();
      for (const step of order.steps) {
        expect(
          step.way.behindJoints.every((key) => open.has(key)),
          `${step.jointKey} is accessible`,
        ).equal(true);
        open.add(step.jointKey);
      }
      expect(targets.every((key) => open.has(key))).equal(true);
    });
  }
});
