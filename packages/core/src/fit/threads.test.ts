import { expect } from 'chai';
import { THREAD_NAMES } from '../model/thread.ts';
import { listWideOptions } from './overDrilled.ts';
import { computeThinWall, listPilotOptions } from './pilot.ts';
import { planPost } from './post.ts';
import { chooseTapHole, computeTapDrill, computeThreadPercent } from './threads.ts';

describe('tap drills', () => {
  it('golden: to a hundredth of a millimetre, at 65 and at 75 percent of the thread', () => {
    const of = (percent: number) => THREAD_NAMES.map((thread) => computeTapDrill(thread, percent).toFixed(2));
    expect(THREAD_NAMES).deep.equal(['M1.6', 'M2', 'M2.5', 'M3', '2-56', '4-40']);
    expect(of(65)).deep.equal(['1.30', '1.66', '2.12', '2.58', '1.80', '2.31']);
    expect(of(75)).deep.equal(['1.26', '1.61', '2.06', '2.51', '1.74', '2.23']);
  });

  it('say what the nearest bit really gives', () => {
    const { bit, percent } = chooseTapHole('M2');
    expect(bit).equal(1.65);
    // (2 - 1.65) x 76.98 / 0.4
    expect(percent).closeTo(67.4, 0.05);
    for (const thread of THREAD_NAMES)
      expect(computeThreadPercent(thread, computeTapDrill(thread, 61))).closeTo(61, 1e-9);
  });

  it('give the screw room in what it holds', () => {
    expect(chooseTapHole('M2').clearance).equal(2.2);
    expect(chooseTapHole('M2.5').clearance).equal(2.75);
    expect(chooseTapHole('2-56').clearance).equal(2.45);
  });
});

describe('a post', () => {
  it('by hand: wall, depth stop, roof and screw', () => {
    // Twice 2 mm and 2.5 pitches of 0.4: 5 mm deep, 4 of them with full thread.
    const plan = planPost('M2', { diameter: 4, toRoof: 9, floor: 1.2 });
    expect(plan).deep.include({ wall: 1, depth: 5, roof: 4, fullThread: 4, faults: [] });
    expect(plan.screw.least).closeTo(4.2, 1e-12);
    expect(plan.screw.most).closeTo(5.2, 1e-12);
  });

  it('that is short is bored no deeper than its roof allows; then the thread may not hold', () => {
    const short = planPost('M2', { diameter: 4, toRoof: 5, floor: 1.2 });
    expect(short).deep.include({ depth: 4.5, roof: 0.5, faults: [] });
    expect(short.screw.most).closeTo(1.2 + 3.5, 1e-12);
    expect(planPost('M2', { diameter: 4, toRoof: 4, floor: 1.2 }).faults).deep.equal(['engagement']);
    expect(planPost('M2', { diameter: 4, toRoof: 0.3, floor: 1.2 })).deep.include({
      depth: 0,
      faults: ['roof', 'engagement'],
    });
  });

  it('bears no thread that leaves less than 0.4 mm around it', () => {
    expect(planPost('M2', { diameter: 2.8, toRoof: 9, floor: 1 }).faults).deep.equal([]);
    expect(planPost('M2', { diameter: 2.7, toRoof: 9, floor: 1 }).faults).deep.equal(['wall']);
  });

  it('never takes a screw that ends nearer than half a millimetre to the ground of its hole', () => {
    for (const thread of THREAD_NAMES)
      for (let toRoof = 0.5; toRoof < 14; toRoof += 0.37) {
        const { screw, depth } = planPost(thread, { diameter: 5, toRoof, floor: 1 });
        expect(screw.most).at.most(1 + Math.max(0, depth) - 0.5 + 1e-9);
      }
  });
});

describe('a pilot beside the middle', () => {
  const pilot = (offset: number, sd = 0.02, hole = 1) => ({
    ...{ post: { mm: 4, sd: 0.02 }, offset: { mm: offset, sd }, hole },
  });

  it('by hand: the measured offset less what its own error adds, off the even wall', () => {
    // Even wall (4 - 2) / 2 = 1; root of 0.25 - 0.09 is 0.4.
    const wall = computeThinWall({ post: { mm: 4, sd: 0.1 }, offset: { mm: 0.5, sd: 0.3 } }, 2);
    expect(wall.mm).closeTo(0.6, 1e-12);
    expect(wall.sd).closeTo(Math.hypot(0.05, 0.3), 1e-12);
    expect(computeThinWall({ post: { mm: 4, sd: 0 }, offset: { mm: 0.1, sd: 0.3 } }, 2).mm).equal(1);
  });

  const ways = (...args: Parameters<typeof pilot>) => listPilotOptions(pilot(...args), 'M2').map(({ way }) => way);

  it('goes on where the wall is thick enough for sure; else the least work that helps comes first', () => {
    expect(ways(0.2)).deep.equal(['go']);
    expect(ways(0.58)).deep.equal(['measure better', 'smaller thread', 'lean back', 'sleeve', 'fill']);
    expect(ways(0.7)).deep.equal(['smaller thread', 'lean back', 'sleeve', 'fill']);
    expect(ways(0.9)).deep.equal(['lean back', 'sleeve', 'fill']);
    expect(ways(0.9, 0.02, 1.7)).deep.equal(['sleeve', 'fill']);
  });

  it('that a better reading could clear is not refused for good', () => {
    expect(ways(0.4, 0.2)).include('measure better');
    expect(ways(0.4, 0.05)).deep.equal(['go']);
  });
});

describe('a hole that is too wide', () => {
  const post = { diameter: 4, toRoof: 9, floor: 1.2 };
  const say = (hole: number, size = post) =>
    listWideOptions(hole, 'M2', size).map(({ way, plan }) => `${way} ${plan.thread}`);

  it('still holds with half of the thread', () => {
    // (2 - 1.74) x 76.98 / 0.4 is 50.04 percent.
    expect(say(1.74)).deep.equal(['still holds M2']);
    expect(listWideOptions(1.74, 'M2', post)[0]!.percent).closeTo(50.04, 0.01);
    expect(say(1.75)).not.include('still holds M2');
  });

  it('takes the next thread where the post bears it, a bush, or is filled: each with its price', () => {
    expect(say(1.85)).deep.equal(['next thread 2-56', 'bush M2', 'fill and tap again M2']);
    expect(say(2.1)).deep.equal(['next thread M2.5', 'bush M2', 'fill and tap again M2']);
    expect(say(2.1, { ...post, diameter: 3.2 })).deep.equal(['fill and tap again M2']);
    const minutes = listWideOptions(2.1, 'M2', post).map((one) => one.minutes);
    expect(minutes).deep.equal([...minutes].sort((a, b) => a - b));
  });

  it('is bushed no smaller than it is', () =>
    expect(listWideOptions(3.1, 'M2', post).find(({ way }) => way === 'bush')?.bush).equal(3.1));
});
