import { expect } from 'chai';
import { createSeededRandom } from '../numeric/seededRandom.ts';
import type { DrawerThing } from './drawerThing.ts';
import { planAllAxles, type AxleTask } from './planAllAxles.ts';

const axle = (id: string, length: number, free: number, more: Partial<DrawerThing> = {}): DrawerThing => ({
  ...{ id, kind: 'axle', name: id, drawer: 'B3', isLocked: false, held: [], free },
  ...{ sizes: { diameter: 1.2, length }, traits: { ends: 'both bare' } },
  ...more,
});
/** Over the wheels so far; the one in the model is too short for sure. */
const task = (jobId: string, over: number, count = 1): AxleTask => ({
  ...{ taskId: `${jobId}.axle`, jobId, jobNumber: jobId.toUpperCase(), ends: 'cupped punch in a press', count },
  measures: [
    { what: 'length', valueMm: over },
    { what: 'diameter', valueMm: 1.2 },
    { what: 'over the wheels', valueMm: over },
  ],
});
const given = (tasks: readonly AxleTask[], things: readonly DrawerThing[]) =>
  planAllAxles(tasks, things).map(({ jobId, given: got, holes }) => [
    jobId,
    got.map(({ thing, amount }) => `${amount} ${thing.id}`).join(', '),
    holes,
  ]);

describe('axles for all jobs at once', () => {
  it('the rare long one goes to whom nothing else fits, whoever asks first', () => {
    const things = [axle('long', 32, 1), axle('short', 24, 1)];
    const [narrow, wide] = [task('narrow', 18), task('wide', 26)];
    const expected = [
      ['narrow', '1 short', 0],
      ['wide', '1 long', 0],
    ];
    expect(given([narrow, wide], things)).deep.equal(expected);
    expect(given([wide, narrow], things)).deep.equal([...expected].reverse());
  });

  it('says for how many nothing is left, what is put by already, and what would have to be let go', () => {
    const things = [axle('long', 32, 2), axle('kept', 33, 4, { isLocked: true })];
    expect(given([task('wide', 26, 3)], things)).deep.equal([['wide', '2 long', 1]]);
    expect(planAllAxles([task('wide', 26, 3)], things)[0]!.locked).deep.equal(['kept']);
    const held = axle('long', 32, 1, { held: [{ jobId: 'wide', reserved: 2 }] });
    expect(planAllAxles([task('wide', 26, 3)], [held])[0]).deep.include({ wanted: 1, holes: 0 });
  });

  it('asks for nothing where the old ones are long enough, or nobody measured', () => {
    const enough = {
      ...task('enough', 20),
      measures: [...task('x', 20).measures.slice(1), { what: 'length' as const, valueMm: 40 }],
    };
    expect(planAllAxles([enough], [axle('long', 32, 2)])[0]).deep.include({ decision: 'yes', wanted: 0, given: [] });
    expect(planAllAxles([{ ...enough, measures: [] }], [axle('long', 32, 2)])).deep.equal([]);
  });

  it('property: no piece is given twice, nothing that is kept back, nobody gets more than is wanted', () => {
    const random = createSeededRandom(41);
    for (let round = 0; round < 60; round++) {
      const things = Array.from({ length: 6 }, (_, i) =>
        axle(`t${i}`, 18 + 16 * random(), Math.floor(3 * random()), { isLocked: random() < 0.2 }),
      );
      const tasks = Array.from({ length: 5 }, (_, i) =>
        task(`j${i}`, 14 + 14 * random(), 1 + Math.floor(2 * random())),
      );
      const shares = planAllAxles(tasks, things);
      const out = new Map<string, number>();
      for (const { wanted, given: got, holes } of shares) {
        const sum = got.reduce((total, { amount }) => total + amount, 0);
        expect(sum + holes, `round ${round}`).equal(wanted);
        for (const { thing, amount } of got) out.set(thing.id, (out.get(thing.id) ?? 0) + amount);
      }
      for (const [id, amount] of out) {
        const thing = things.find((one) => one.id === id)!;
        expect(amount).most(thing.free);
        expect(thing.isLocked).equal(false);
      }
    }
  });
});
