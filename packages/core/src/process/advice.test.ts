import { expect } from 'chai';
import { createLadder, ROUGH_STATES, SMOOTH_GOALS } from './abrasiveLadder.ts';
import { adviseBake } from './adviseBake.ts';
import { estimateStrippedDm2, judgeBath } from './bathLife.ts';
import { chooseMend, type MendQuestion } from './chooseMend.ts';
import { chooseStripping } from './chooseStripping.ts';
import { expectPasses } from './expectPasses.ts';
import { planStraightening, type BendQuestion } from './planStraightening.ts';
import type { SchoolOption } from '../model/school.ts';
import type { TreatedMaterial } from '../model/process.ts';

describe('chooseStripping', () => {
  const strip = (materials: TreatedMaterial[], school: SchoolOption<'S11' | 'S18'>, isJoined = false) =>
    chooseStripping({ materials, school, isJoined });

  it('takes the school’s way where the metal stands it, and offers the others', () => {
    const zinc = strip(['zinc alloy'], 'caustic');
    expect(zinc.best!.method).equal('caustic');
    expect(zinc.alternatives.map((one) => one.method)).deep.equal(['gel', 'mild slow', 'dip', 'blast']);
    expect(zinc.refusals).deep.equal([]);
  });

  it('says why it is not what the school says, and takes the gentlest that is left', () => {
    const lead = strip(['lead alloy'], 'caustic');
    expect(lead.best!.method).equal('gel');
    expect(lead.insteadOf).deep.equal({
      method: 'caustic',
      reason: 'lead alloy: caustic dissolves lead and tin, and the liquor is poisonous',
    });
    expect(lead.refusals.map((one) => one.method)).deep.equal(['caustic', 'blast']);
  });

  it('takes the strictest of a mixed assembly, and never puts a closed seam under', () => {
    expect(strip(['zinc alloy', 'soft solder'], 'caustic').best!.method).equal('gel');
    const joined = strip(['zinc alloy', 'zinc alloy'], 'dip', true);
    expect(joined.best!.method).equal('gel');
    expect(joined.insteadOf!.reason).equal('liquor would stay in the closed seam');
    expect(strip(['zinc alloy', 'clear styrene'], 'gel', true).best).equal(null);
  });

  it('keeps thinner for hard plastics, and nothing for what it may not touch', () => {
    expect(strip(['hard plastic'], 'thinner wipe').best!.method).equal('thinner wipe');
    expect(strip(['nylon'], 'thinner wipe').best!.method).equal('glycol-ether');
    const clear = strip(['polycarbonate'], 'glycol-ether');
    expect(clear.best).equal(null);
    expect(clear.refusals).length(2);
  });
});

describe('expectPasses', () => {
  it('starts at about one pass a layer, wide, and says that it is an estimate', () => {
    const two = expectPasses(2);
    expect(two.expected).closeTo(2, 1e-9);
    expect(two.most).within(3, 5);
    expect(two.origin).equal('planning estimate');
    expect(expectPasses(2, { year: 1955 }).expected).greaterThan(two.expected);
  });

  it('agrees with the negative binomial summed by hand for one layer, given that one pass was not enough', () => {
    // Shape 4, rate 6, half a layer: n more passes have C(n+3, 3) (6/6.5)^4 (0.5/6.5)^n.
    const chance = (n: number) => (((n + 3) * (n + 2) * (n + 1)) / 6) * (6 / 6.5) ** 4 * (0.5 / 6.5) ** n;
    const more = Array.from({ length: 40 }, (_, n) => (n ? n * chance(n) : 0)).reduce((sum, one) => sum + one);
    expect(expectPasses(1).expected).closeTo(1 + more, 1e-9);
    expect(expectPasses(1, { done: 1 }).expected).closeTo(more / (1 - chance(0)), 1e-9);
  });

  it('learns from what is logged, and says from how many', () => {
    const hard = Array.from({ length: 8 }, () => ({ layers: 1, passes: 3 }));
    const learned = expectPasses(2, { before: hard });
    expect(learned.expected).within(4, 5.5);
    expect(learned.origin).equal('learned from 8 stripped parts');
    expect(expectPasses(2, { before: hard.map((one) => ({ ...one, passes: 1 })) }).expected).lessThan(learned.expected);
  });

  it('still expects one more while the metal is not bare', () => {
    for (const done of [1, 2, 5, 9]) {
      const left = expectPasses(2, { done });
      expect(left.expected, `${done} done`).within(1, 3);
      expect(left.most).at.least(1);
    }
  });

  it('has no answer for no layer', () => expect(() => expectPasses(0)).throw('a layer to take off'));
});

describe('planStraightening', () => {
  const bend = (changes: Partial<BendQuestion> = {}) =>
    planStraightening({ materials: ['zinc alloy'], degrees: 5, isJoined: false, isCold: false, ...changes });

  it('turns degrees into small warm steps, with the limit and the probe', () => {
    const plan = bend();
    expect(plan).deep.include({ kind: 'steps', isWarm: true, steps: 3, stepDegrees: 2 });
    expect(plan.kind === 'steps' && plan.how.join(' ')).include('100 to 150 °C (planning estimate), never above');
    expect(bend({ degrees: 2 })).deep.include({ steps: 1 });
    expect(bend({ degrees: null })).deep.include({ steps: 2 });
  });

  it('squeezes cold only a little, and in smaller steps', () => {
    expect(bend({ isCold: true, degrees: 2 })).deep.include({ kind: 'steps', isWarm: false, steps: 4 });
    expect(bend({ isCold: true, degrees: 5 })).deep.include({ kind: 'refused' });
  });

  it('bends lead and sheet by hand, never warm', () => {
    for (const material of ['lead alloy', 'tinplate', 'brass'] as const)
      expect(bend({ materials: [material] })).deep.include({ kind: 'steps', isWarm: false });
  });

  it('refuses what breaks or melts, each with its reason', () => {
    const reason = (changes: Partial<BendQuestion>) => {
      const plan = bend(changes);
      return plan.kind === 'refused' ? plan.reason : '';
    };
    expect(reason({ materials: ['pest-suspect zinc'], isCold: true })).include('crumbles');
    expect(reason({ materials: ['zinc alloy', 'soft solder'] })).include('soft solder');
    expect(reason({ materials: ['zinc alloy', 'cyanoacrylate bond'] })).include('does not stand the heat');
    expect(reason({ isJoined: true })).include('alone');
    expect(reason({ materials: ['hard plastic'] })).include('replaced');
  });
});

describe('chooseMend', () => {
  const mend = (changes: Partial<MendQuestion> = {}) =>
    chooseMend({
      materials: ['zinc alloy'],
      damage: 'crack',
      carriesLoad: false,
      isReached: true,
      isJoined: false,
      keepsPaint: false,
      isBakedLater: false,
      hasPiece: false,
      chosen: null,
      school: 'by load and access',
      ...changes,
    });

  it('goes by load and access', () => {
    expect(mend().best).equal('glue and powder');
    expect(mend({ isReached: false }).best).equal('gel');
    expect(mend({ carriesLoad: true }).best).equal('gel');
    expect(mend({ damage: 'break', carriesLoad: true }).best).equal('splint');
    expect(mend({ damage: 'pits' }).best).equal('filler on primer');
    expect(mend({ materials: ['tinplate'], damage: 'break', carriesLoad: true }).best).equal('solder');
  });

  it('follows the school where the material stands it, and says why where it does not', () => {
    expect(mend({ school: 'resin' }).best).equal('resin');
    const solder = mend({ school: 'solder' });
    expect(solder.best).equal('glue and powder');
    expect(solder.refusals.find((one) => one.method === 'solder')!.reason).include('zinc alloy');
    expect(mend({ school: 'filler on primer' }).best).not.equal('filler on primer');
  });

  it('glues and fills nothing that is baked afterwards', () => {
    expect(mend({ isBakedLater: true }).best).equal(null);
    expect(mend({ isBakedLater: true, materials: ['steel'], carriesLoad: true }).best).equal('solder');
  });

  it('keeps vapour off clear parts, files no lead, and solders nothing beside what melts', () => {
    expect(mend({ materials: ['clear styrene'] }).best).equal('resin');
    expect(mend({ materials: ['lead alloy'] }).best).equal('gel');
    expect(mend({ materials: ['brass'], damage: 'break', carriesLoad: true, isJoined: true }).best).equal('splint');
  });
});

describe('createLadder', () => {
  it('climbs from the state to the goal in steps that take the last scratches out', () => {
    expect(createLadder('heavy rust', 'polished metal').grits).deep.equal([180, 240, 400, 600, 1000, 1500]);
    expect(createLadder('scuffed clear', 'clear').grits).deep.equal([1000, 1500, 2000, 3000]);
    expect(createLadder('parting line', 'for primer').grits).deep.equal([320, 400, 600]);
  });

  it('never leaps, never falls, and ends at the goal from any state', () => {
    for (const state of ROUGH_STATES)
      for (const goal of SMOOTH_GOALS) {
        const { grits } = createLadder(state, goal);
        grits.slice(1).forEach((grit, i) => expect(grit / grits[i]!, `${state}, ${goal}`).within(1.01, 5 / 3 + 1e-9));
        expect(grits.at(-1)).equal(createLadder('heavy rust', goal).grits.at(-1));
      }
  });
});

describe('adviseBake', () => {
  it('lets sound zinc in, up to what the bake is', () => {
    expect(adviseBake(['zinc alloy'], 'powder', false)).deep.equal({ refusals: [], mostC: 180 });
    expect(adviseBake(['zinc alloy'], 'low bake', false).mostC).equal(60);
  });

  it('says every reason and not only the first', () => {
    const { refusals, mostC } = adviseBake(['lead alloy', 'soft solder', 'two-part filler'], 'low bake', true);
    expect(mostC).equal(null);
    expect(refusals).length(3);
    expect(refusals.join(' ')).include('lead alloy').and.include('soft solder').and.include('closed joint');
  });

  it('lets glue and filler into a low bake up to what they stand, and into no other', () => {
    for (const material of ['cyanoacrylate bond', 'two-part filler'] as const) {
      expect(adviseBake(['zinc alloy', material], 'low bake', false).mostC).equal(60);
      expect(adviseBake(['zinc alloy', material], 'powder', false).mostC).equal(null);
    }
  });

  it('keeps plastic, solder, tinplate and plated wire out of every oven', () => {
    for (const material of [
      'hard plastic',
      'soft solder',
      'tinplate',
      'plated or unknown wire',
      'pest-suspect zinc',
    ] as const)
      for (const bake of ['low bake', 'powder'] as const)
        expect(adviseBake(['zinc alloy', material], bake, false).mostC, `${material}, ${bake}`).equal(null);
  });
});

describe('judgeBath', () => {
  const made = { grams: 40, madeAt: '2026-01-01T10:00:00Z', strippedDm2: 0 };
  const after = (days: number) => new Date(Date.parse(made.madeAt) + days * 86_400_000);

  it('is good when fresh, spent by age or by paint, and says which', () => {
    expect(judgeBath(made, after(3))).deep.equal({ leftShare: 1, ageDays: 3, spentBecause: null });
    expect(judgeBath(made, after(15)).spentBecause).include('15 days old');
    const used = judgeBath({ ...made, strippedDm2: 11 }, after(1));
    expect(used.leftShare).closeTo(0.45, 1e-12);
    expect(used.spentBecause).include('55 % is used up');
  });

  it('counts what was in it by its box, and nothing that has no size', () => {
    const size = { lengthMm: 100, widthMm: 50, heightMm: 50, volumeMl: 20 };
    // 2 (50 + 50 + 25) cm² = 250 cm², of which 0.7, twice for two layers.
    expect(
      estimateStrippedDm2([
        { layers: 2, size },
        { layers: 9, size: null },
      ]),
    ).closeTo(3.5, 1e-9);
  });

  it('is never less than empty', () => expect(judgeBath({ ...made, strippedDm2: 99 }, after(0)).leftShare).equal(0));
});
