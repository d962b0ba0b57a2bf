import { expect } from 'chai';
import type { TaskMeasure } from '../model/task.ts';
import { checkPost } from './checkPost.ts';
import type { DrawerThing } from './drawerThing.ts';

const screw = (thread: string, length: number, over: Partial<DrawerThing> = {}): DrawerThing => ({
  ...{ id: `${thread} ${length}`, kind: 'screw', name: `${thread} × ${length}`, drawer: 'C1', isLocked: false },
  ...{ sizes: { length }, traits: { thread, head: 'pan' }, free: 10, held: [] },
  ...over,
});
const measure = (sizes: Partial<Record<TaskMeasure['what'], number>>): TaskMeasure[] =>
  Object.entries(sizes).map(([what, valueMm]) => ({ what: what as TaskMeasure['what'], valueMm }));
const ask = (sizes: Partial<Record<TaskMeasure['what'], number>>, things: readonly DrawerThing[] = []) =>
  checkPost({ measures: measure(sizes), thread: null, things, jobId: 'mine' });

describe('the post in hand', () => {
  it('says nothing until it is measured across and to its roof', () => {
    expect(ask({})).equal(null);
    expect(ask({ post: 4 })).equal(null);
    expect(ask({ 'to the roof': 9 })).equal(null);
  });

  it('by hand: a post of 4 with 9 to its roof takes M2, two diameters deep and the lead of the tap', () => {
    const { plan, bears } = ask({ post: 4, 'to the roof': 9, floor: 1 })!;
    expect(plan.thread).equal('M2');
    expect(plan.bit).equal(1.65);
    expect(plan.depth).closeTo(2 * 2 + 2.5 * 0.4, 1e-9);
    expect(plan.wall).closeTo(1, 1e-9);
    expect(plan.screw.least).closeTo(1 + 1.5 * 2, 1e-9);
    expect(plan.screw.most).closeTo(1 + 4, 1e-9);
    expect(bears).deep.equal(['M1.6', 'M2', '2-56', 'M2.5', '4-40', 'M3']);
  });

  it('of a hole beside the middle says what keeps a wall, the least work first', () => {
    const ways = (off: number, hole = 1.2) =>
      ask({ post: 4, 'to the roof': 9, hole, 'off the middle': off })!.pilot!.map(({ way }) => way);
    expect(ask({ post: 4, 'to the roof': 9, hole: 1.2 })!.pilot, 'nobody measured how far').equal(null);
    expect(ways(0.2), 'a wall of 0.8').deep.equal(['go']);
    expect(ways(0.55), 'too near for calipers').include('measure better').not.include('go');
    expect(ways(0.9)).deep.equal(['lean back', 'sleeve', 'fill']);
    expect(ways(0.9, 1.8), 'too wide to lean').not.include('lean back');
  });

  it('takes the thickest thread that a thin post bears', () => {
    expect(ask({ post: 2.6, 'to the roof': 9 })!.plan.thread).equal('M1.6');
    const none = ask({ post: 1.8, 'to the roof': 9 })!;
    expect(none.bears).deep.equal([]);
    expect(none.plan.faults).include('wall');
    expect(none.screws).deep.equal([]);
  });

  it('offers screws of its thread that hold and do not touch the ground, the longest first', () => {
    const things = [
      ...[3, 4, 5, 6].map((length) => screw('M2', length)),
      screw('M2.5', 5),
      screw('M2', 4.5, { free: 0 }),
      screw('M2', 4.8, { free: 0, held: [{ jobId: 'mine', reserved: 1 }], isLocked: true }),
      screw('M2', 4.2, { isLocked: true }),
    ];
    const { screws } = ask({ post: 4, 'to the roof': 9, floor: 1 }, things)!;
    expect(screws.map(({ lengthMm }) => lengthMm)).deep.equal([5, 4.8, 4]);
  });

  it('a hole that is too wide is tapped for the next thread, and that thread’s screws are offered', () => {
    const things = [screw('M2', 5), screw('2-56', 5), screw('M2.5', 5)];
    const wide = ask({ post: 4, 'to the roof': 9, floor: 1, hole: 2.05 }, things)!;
    expect(wide.wide![0]!.way).equal('next thread');
    expect(wide.plan.thread).equal('M2.5');
    expect(wide.screws.map(({ thing }) => thing.id)).deep.equal(['M2.5 5']);
    expect(wide.wide!.map(({ way }) => way)).include('fill and tap again');
    expect(ask({ post: 4, 'to the roof': 9, hole: 1.65 })!.wide!.map(({ way }) => way)).deep.equal(['still holds']);
  });
});
