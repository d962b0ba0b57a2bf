import { expect } from 'chai';
import { NEW_HOUSE, patch, pour, steps } from '../../../test/support/mixLog.ts';
import { createSimulatedShelf } from '../../../test/support/simulatedShelf.ts';
import type { MixStepBody } from '../../model/colour.ts';
import { computeLab } from '../colorimetry.ts';
import { predictMix, USUAL_SURFACE } from '../kubelkaMunk.ts';
import { adviseRound, firstMl } from './adviseRound.ts';
import { measureByEye, UNKNOWN_EYE } from './judgeByEye.ts';
import { learnEyes } from './learnEyes.ts';
import { eyeOf } from './listReadings.ts';
import { replayMix } from './replayMix.ts';
import type { RoundQuestion } from './roundAdvice.ts';

describe('judged by eye, wet, or poured otherwise than advised', () => {
  const shelf = createSimulatedShelf(4, 18);
  const names = [0, 2, 3].map((id) => shelf.paints[id]!.id);
  const paints = [0, 2, 3].map((id) => shelf.paints[id]!);
  const wanted = [1.5, 0.25, 0.25];
  const labOf = (volumes: readonly number[]) => computeLab(predictMix(paints, volumes));
  const d65 = labOf(wanted);
  const question = (bodies: readonly MixStepBody[], more: Partial<RoundQuestion> = {}): RoundQuestion => ({
    ...{ shelf, steps: steps(...bodies), surface: USUAL_SURFACE, way: 'light end', ...NEW_HOUSE },
    recipe: names.map((productId, i) => ({ productId, ml: wanted[i]! })),
    target: { d65, a: computeLab(predictMix(paints, wanted), 'A'), weightA: 0.3 },
    limits: { needMl: 2, doseMl: 0.01, tolerance: 1 },
    ...more,
  });
  const cup = names.map((name, i) => pour(name, wanted[i]!));
  const judge = (step: 'none' | 'slight' | 'clear' | 'strong', unsureness = 0): MixStepBody => {
    const same = { step: 'none', way: 1 } as const;
    const words = [{ step, way: -1 }, same, same] as const;
    const read = measureByEye(d65, { lightness: words[0], redGreen: same, yellowBlue: same }, unsureness);
    return { kind: 'patch', ...read, how: 'by eye', words };
  };

  it('never says that it is there while somebody sees it clearly off, however wide the tolerance and however often', () => {
    for (const tolerance of [1, 3, 6, 10])
      for (const unsureness of [0, 1])
        for (const step of ['clear', 'strong'] as const)
          for (let looks = 1; looks <= 5; looks++) {
            const log = [...cup, ...Array.from({ length: looks }, () => judge(step, unsureness))];
            const advice = adviseRound(question(log, { limits: { needMl: 2, doseMl: 0.01, tolerance } }));
            expect(advice.kind, `${step}, ${looks} looks, ${tolerance}`).oneOf(['pour', 'beyond', 'unsure']);
            if (step === 'clear' && looks === 2 && tolerance <= 3 && unsureness === 0) {
              // It is darker than wanted: what is added makes it lighter.
              expect(advice.kind).not.equal('unsure');
              const after = names.map(
                (name, i) => wanted[i]! + (advice.pours.find((one) => one.productId === name)?.ml ?? 0),
              );
              const known = advice.pours.every((one) => names.includes(one.productId));
              if (known) expect(labOf(after)[0]).greaterThan(d65[0]);
            }
          }
  });

  it('asks to look again before it says so by eye, and is surer with each look', () => {
    const surenessAfter = (looks: number) => {
      const advice = adviseRound(question([...cup, ...Array.from({ length: looks }, () => judge('none'))]));
      expect(advice.read!.patches).equal(looks);
      return { kind: advice.kind, sureness: advice.sureness! };
    };
    const seen = [1, 2, 3, 4].map(surenessAfter);
    expect(seen[0]!.kind).equal('unsure');
    seen.slice(1).forEach((one, i) => expect(one.sureness).greaterThan(seen[i]!.sureness));
  });

  it('takes off what an eye always sees wrong, learned from patches that were measured too', () => {
    // Everything looks to this eye 1.2 darker than it is.
    const measured = patch(d65);
    const mixes = [1, 2, 3, 4, 5, 6].map(() => ({ target: d65, steps: steps(...cup, judge('slight'), measured) }));
    const eyes = learnEyes(mixes);
    const eye = eyes['']!;
    expect(eye.pairs).equal(6);
    expect(eye.bias[0]).within(-1.2, -0.5);
    expect(Math.abs(eye.bias[1])).lessThan(1e-9);
    expect(eye.sd[0]).lessThan(UNKNOWN_EYE.sd[0]);
    const words = [
      { step: 'slight', way: -1 },
      { step: 'none', way: 1 },
      { step: 'none', way: 1 },
    ] as const;
    const judgement = { lightness: words[0], redGreen: words[1], yellowBlue: words[2] };
    expect(measureByEye(d65, judgement, 0, eye).lab[0]).greaterThan(measureByEye(d65, judgement).lab[0]);
    // Nothing is learned across a pour, nor from an eye alone.
    expect(
      learnEyes([{ target: d65, steps: steps(...cup, judge('slight'), pour(names[0]!, 0.1), measured) }]),
    ).deep.equal({});
    expect(learnEyes([{ target: d65, steps: steps(...cup, judge('slight'), judge('none')) }])).deep.equal({});
  });

  it('goes on by a wet patch with the spread of its drying, and by the dry one once it is there', () => {
    const off = labOf([1.5, 0.4, 0.25]);
    const first = names.map((name, i) => pour(name, [1.5, 0.4, 0.25][i]!));
    const wet: MixStepBody = {
      kind: 'wet',
      lab: [off[0] + 2, off[1], off[2]],
      sd: [0.3, 0.3, 0.3],
      how: 'spectrophotometer',
    };
    const byWet = adviseRound(question([...first, wet]));
    expect(byWet.read!.lab[0]).closeTo(off[0], 1e-9);
    expect(byWet.read!.sd[0]).greaterThan(1);
    expect(byWet.kind).not.equal('stop');
    expect(byWet.kind).not.equal('patch');
    const dry = adviseRound(question([...first, wet, patch(off)]));
    expect(dry.read!.patches).equal(1);
    expect(dry.read!.sd[0]).closeTo(0.2, 1e-9);
    // A glance at a wet patch teaches nothing about drying.
    const glance: MixStepBody = { ...wet, how: 'by eye' };
    expect(replayMix(steps(...first, glance, patch(off))).pairs).deep.equal([]);
  });

  it('plans anew from a pot that nobody advised, before and after the first patch', () => {
    const other = shelf.paints.find((one) => !names.includes(one.id))!.id;
    const advised = adviseRound(question([])).pours[0]!;
    const before = adviseRound(question([pour(advised.productId, advised.ml), pour(other, 0.1)]));
    expect(before.state.productIds).include(other);
    expect(before.kind).oneOf(['pour', 'beyond']);
    // What is asked for now is counted from there: nothing of it was poured yet.
    for (const one of before.pours) expect(one.pouredMl).equal(0);
    expect(before.totalMl).at.most(firstMl(2) * 1.2 + 0.03);
    const volumes = [1, 0.1, 0.2];
    const log = [...names.map((name, i) => pour(name, volumes[i]!)), patch(labOf(volumes))];
    const after = adviseRound(question([...log, pour(other, 0.05)]));
    expect(after.kind).not.equal('stop');
    expect(after.read).equal(null);
    const next = after.pours[0];
    if (next) {
      const poured = adviseRound(question([...log, pour(other, 0.05), pour(next.productId, next.ml)]));
      expect(poured.pours.find((one) => one.productId === next.productId)!.pouredMl).closeTo(next.ml, 1e-9);
    }
  });

  it('does not call a mix there that was poured on after it was', () => {
    const there = [...cup, patch(d65)];
    expect(adviseRound(question(there)).kind).equal('stop');
    const later = adviseRound(question([...there, pour(names[1]!, 0.4)]));
    expect(later.kind).not.equal('stop');
    expect(later.read).equal(null);
  });

  it('says of a wet patch neither that it is there nor, seen clearly off, that it may be, however wide the tolerance', () => {
    const same = { step: 'none', way: 1 } as const;
    const glance = (step: 'none' | 'clear'): MixStepBody => {
      const words = [{ step, way: -1 }, same, same] as const;
      const read = measureByEye(d65, { lightness: words[0], redGreen: same, yellowBlue: same });
      return { kind: 'wet', ...read, how: 'by eye', words };
    };
    for (const tolerance of [1, 3, 10]) {
      const ask = (...more: MixStepBody[]) =>
        adviseRound(question([...cup, ...more], { limits: { needMl: 2, doseMl: 0.01, tolerance } }));
      expect(ask(glance('none')).kind).not.equal('stop');
      expect(ask(glance('clear')).kind).oneOf(['pour', 'beyond']);
      expect(ask({ kind: 'wet', lab: d65, sd: [0.2, 0.2, 0.2], how: 'spectrophotometer' }).kind).not.equal('stop');
      expect(ask(glance('clear'), patch(d65)).kind).equal('stop');
    }
  });

  it('knows nothing of an eye that was never compared, whatever its name', () => {
    for (const who of ['constructor', '__proto__', 'Nell']) expect(eyeOf({}, who)).equal(UNKNOWN_EYE);
    const eye = { ...UNKNOWN_EYE, pairs: 3 };
    expect(eyeOf({ Nell: eye }, 'Nell')).equal(eye);
  });
});
