import { expect } from 'chai';
import { makeCatalogue, makeFeature, makeVariant } from '../../test/support/identifyWorld.ts';
import { createSeededRandom } from '../numeric/seededRandom.ts';
import type { MeasuredSize } from '../model/catalogue.ts';
import type { IdentifyCatalogue, StateAnswer } from './catalogue.ts';
import { identifySpecimen } from './identifySpecimen.ts';

const mm = (value: number, sd = 0.1): MeasuredSize => ({ value, sd, unit: 'mm' });

/** Wheels that the eye takes for each other. */
function createWheels(sizes: readonly (MeasuredSize | null)[]): IdentifyCatalogue {
  const states = sizes.map((_, i) => `w${i}`);
  const alikes = Object.fromEntries(states.map((state) => [state, states.filter((other) => other !== state)]));
  const feature = makeFeature({ key: 'wheels', states, alikes, group: 'wheels' });
  return makeCatalogue(
    [{ ...feature, states: feature.states.map((state, i) => ({ ...state, size: sizes[i]! })) }],
    states.map((state) => makeVariant(state, null, { wheels: state })),
  );
}
const answer = (sized: MeasuredSize, eye: Partial<StateAnswer> = {}): StateAnswer => ({
  ...{ featureId: 'wheels', stateId: null, certainty: 'cannot see', sized },
  ...eye,
});
const chances = (catalogue: IdentifyCatalogue, given: StateAnswer) =>
  Object.fromEntries(identifySpecimen(catalogue, [given]).ranked.map((one) => [one.variantId, one.probability]));

describe('a measured size as the answer to a look', () => {
  const two = createWheels([mm(9.5), mm(10.5)]);

  it('tells states apart by as much as both spreads allow', () => {
    expect(chances(two, answer(mm(9.6))).w0).greaterThan(0.75);
    expect(chances(two, answer(mm(9.6, 3))).w0).within(0.45, 0.56);
    expect(chances(two, answer(mm(10))).w0).closeTo(chances(two, answer(mm(10))).w1!, 1e-9);
  });

  it('is worth more than the eye between measured states, and less where one was not measured', () => {
    const seen = answer(mm(9.55), { stateId: 'wheels.w1', certainty: 'sure' });
    expect(chances(two, seen).w0).greaterThan(0.7);
    const half = createWheels([mm(9.5), null]);
    expect(chances(half, answer(mm(9.55))).w0).greaterThan(chances(half, answer(mm(10.4))).w0!);
    expect(chances(half, answer(mm(10.6))).w1).greaterThan(0.6);
  });

  it('says nothing in another unit, where the part is missing, or where it was replaced', () => {
    const none = chances(two, answer({ value: 9.5, sd: 0.1, unit: 'g' }));
    expect(none.w0).closeTo(none.w1!, 1e-9);
    for (const certainty of ['missing', 'replaced'] as const) {
      const gone = chances(two, answer(mm(9.5), { certainty }));
      expect(gone.w0).closeTo(gone.w1!, 1e-9);
    }
  });

  it('says by how much each state is off, the likeliest first', () => {
    const [first, second] = identifySpecimen(two, [answer(mm(9.7))]).measured.wheels!;
    expect([first!.stateId, second!.stateId]).deep.equal(['wheels.w0', 'wheels.w1']);
    expect(first!.off).closeTo(0.2, 1e-9);
    expect(second!.off).closeTo(-0.8, 1e-9);
    expect(first!.share + second!.share).lessThan(1);
  });

  it('is refused without a spread', () => {
    expect(() => identifySpecimen(two, [answer(mm(9.5, 0))])).throw(/has a spread/);
  });

  it('is believed as often as it is right', () => {
    const random = createSeededRandom(4);
    const normal = () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
    let [claimed, right] = [0, 0];
    const rounds = 4000;
    const near = createWheels([mm(9.5, 0.15), mm(9.8, 0.15), mm(10.3, 0.15)]);
    for (let i = 0; i < rounds; i++) {
      const truth = Math.floor(3 * random());
      const value = [9.5, 9.8, 10.3][truth]! + Math.hypot(0.15, 0.1) * normal();
      const shares = identifySpecimen(near, [answer(mm(value))]).measured.wheels!;
      const [top] = shares;
      // What is kept for what is nobody's is shared out: there is nothing else in this world.
      claimed += top!.share / shares.reduce((sum, { share }) => sum + share, 0) / rounds;
      if (top!.stateId === `wheels.w${truth}`) right += 1 / rounds;
    }
    expect(right - claimed).within(-0.02, 0.04);
  });
});
