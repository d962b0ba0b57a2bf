import { expect } from 'chai';
import fc from 'fast-check';
import { createSimulatedShelf } from '../../../test/support/simulatedShelf.ts';
import type { MixStep, MixStepBody } from '../../model/colour.ts';
import { computeLab } from '../colorimetry.ts';
import { predictMix, USUAL_SURFACE } from '../kubelkaMunk.ts';
import { adviseRound } from './adviseRound.ts';
import { learnDryingShift } from '../wetToDry.ts';
import { replayMix } from './replayMix.ts';

const shelf = createSimulatedShelf(11, 10);
const names = shelf.paints.map((paint) => paint.id);

/** Any log that a restorer with wet gloves can make: pours of anything, patches of anything, steps taken out. */
const logs = fc
  .array(
    fc.oneof(
      {
        weight: 5,
        arbitrary: fc.record({
          kind: fc.constant('pour' as const),
          paint: fc.nat(5),
          ml: fc.double({ min: 0.01, max: 3, noNaN: true }),
        }),
      },
      {
        weight: 2,
        arbitrary: fc.record({
          kind: fc.constant('patch' as const),
          l: fc.double({ min: 5, max: 95, noNaN: true }),
          a: fc.double({ min: -40, max: 40, noNaN: true }),
          b: fc.double({ min: -40, max: 40, noNaN: true }),
        }),
      },
      {
        weight: 1,
        arbitrary: fc.record({ kind: fc.constant('wet' as const), l: fc.double({ min: 5, max: 95, noNaN: true }) }),
      },
      { weight: 1, arbitrary: fc.record({ kind: fc.constant('undo' as const), back: fc.nat(4) }) },
    ),
    { maxLength: 14 },
  )
  .map((drafts): MixStep[] => {
    const steps: MixStep[] = [];
    for (const draft of drafts) {
      const body = bodyOf(draft, steps);
      if (body) steps.push({ id: `s${steps.length}`, mixId: 'm', seq: steps.length, at: '', who: '', body });
    }
    return steps;
  });

type Draft =
  | { kind: 'pour'; paint: number; ml: number }
  | { kind: 'patch'; l: number; a: number; b: number }
  | { kind: 'wet'; l: number }
  | { kind: 'undo'; back: number };

/** null where the bench would refuse it: a patch of an empty cup, nothing there to take out, the same step twice. */
function bodyOf(draft: Draft, steps: readonly MixStep[]): MixStepBody | null {
  const state = replayMix(steps);
  if (draft.kind === 'pour') return { kind: 'pour', productId: names[draft.paint]!, ml: draft.ml, source: 'typed' };
  if (draft.kind === 'undo') {
    const step = steps.filter((one) => one.body.kind !== 'undo' && !state.undone.has(one.id)).at(-1 - draft.back);
    return step ? { kind: 'undo', stepId: step.id } : null;
  }
  if (state.totalMl <= 0) return null;
  if (draft.kind === 'wet') return { kind: 'wet', lab: [draft.l, 0, 0] };
  return { ...{ kind: 'patch', lab: [draft.l, draft.a, draft.b], sd: [0.3, 0.3, 0.3], how: 'typed', words: null } };
}

describe('the log of a mixing, whatever was logged', () => {
  it('adds up: what is in the cup is what was poured and not taken out', () => {
    fc.assert(
      fc.property(logs, (steps) => {
        const state = replayMix(steps);
        const poured = steps.reduce(
          (sum, { id, body }) => sum + (body.kind === 'pour' && !state.undone.has(id) ? body.ml : 0),
          0,
        );
        expect(state.totalMl).closeTo(poured, 1e-9);
        expect(state.volumes.every((ml) => ml > 0)).equal(true);
        expect(new Set(state.productIds).size).equal(state.productIds.length);
        for (const { volumes } of state.patches)
          volumes.forEach((ml, i) => expect(ml).at.most(state.volumes[i]! + 1e-9));
      }),
      { seed: 31, numRuns: 400 },
    );
  });

  it('is the same whether a step was taken out or never was', () => {
    fc.assert(
      fc.property(logs, (steps) => {
        const { undone } = replayMix(steps);
        const without = steps.filter((step) => step.body.kind !== 'undo' && !undone.has(step.id));
        const [a, b] = [replayMix(steps), replayMix(without)];
        expect(a.productIds).deep.equal(b.productIds);
        expect(a.volumes).deep.equal(b.volumes);
        expect(a.isPatchDue).equal(b.isPatchDue);
        expect(a.patches.map((one) => one.volumes)).deep.equal(b.patches.map((one) => one.volumes));
        expect(a.pairs).deep.equal(b.pairs);
        expect(a.wets.map((one) => one.volumes)).deep.equal(b.wets.map((one) => one.volumes));
      }),
      { seed: 32, numRuns: 400 },
    );
  });
});

describe('advice, whatever was logged', () => {
  const volumes = [1.4, 0.3, 0.3];
  const paints = [0, 2, 4].map((id) => shelf.paints[id]!);
  const spectrum = predictMix(paints, volumes);
  const question = (steps: readonly MixStep[]) => ({
    ...{ shelf, steps, surface: USUAL_SURFACE, way: 'light end' as const },
    recipe: paints.map((paint, i) => ({ productId: paint.id, ml: volumes[i]! })),
    target: { d65: computeLab(spectrum), a: computeLab(spectrum, 'A'), weightA: 0 },
    limits: { needMl: 2, doseMl: 0.01, tolerance: 1 },
    drying: learnDryingShift([], 'gloss'),
    eyes: {},
  });

  it('never takes out, pours whole doses, and never ends beyond a fifth more than is needed or in the cup', () => {
    fc.assert(
      fc.property(logs, (steps) => {
        const advice = adviseRound(question(steps));
        for (const { ml, cautiousMl } of advice.pours) {
          expect(ml).greaterThan(0);
          expect(Math.abs(ml / 0.01 - Math.round(ml / 0.01))).lessThan(1e-6);
          if (cautiousMl !== null) expect(cautiousMl).within(0.01 - 1e-9, ml);
        }
        expect(advice.totalMl).at.most(Math.max(2 * 1.2, advice.state.totalMl) + 0.03);
        expect(advice.deNext).at.least(0);
        expect(Number.isFinite(advice.deNext + advice.deNextSd + advice.totalMl)).equal(true);
      }),
      { seed: 33, numRuns: 120 },
    );
  });

  it('is the same for the same log, and says stop only right after a patch that is near', () => {
    fc.assert(
      fc.property(logs, (steps) => {
        const advice = adviseRound(question(steps));
        expect(adviseRound(question(steps))).deep.equal(advice);
        if (advice.kind !== 'stop') return;
        expect(advice.state.isPatchDue).equal(false);
        expect(advice.read!.de).lessThan(1);
        expect(advice.sureness).at.least(0.97);
      }),
      { seed: 34, numRuns: 60 },
    );
  });
});
