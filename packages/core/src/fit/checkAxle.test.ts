import { expect } from 'chai';
import { refuseShortAxle } from '../gates/refuseShortAxle.ts';
import { foldMovements, sumStock } from '../stock/ledger.ts';
import { checkAxle, countAxles, type AxleQuestion } from './checkAxle.ts';
import type { DrawerThing } from './drawerThing.ts';

const axle = (
  length: number,
  ends: string,
  steps: readonly (readonly ['bought' | 'reserved', number])[],
  over: Partial<DrawerThing> = {},
): DrawerThing => ({
  ...{ id: `${length} ${ends}`, kind: 'axle', name: `1.2 × ${length}, ${ends}`, drawer: 'B3', isLocked: false },
  sizes: { diameter: 1.2, length, ...(ends === 'both bare' ? {} : { headHeight: 0.6 }) },
  traits: { ends },
  ...sumStock(
    foldMovements(
      steps.map(([move, amount], i) => ({
        ...{ move, amount, jobId: move === 'reserved' ? 'mine' : null, price: null, batch: '' },
        at: `2026-01-0${i + 1}T10:00:00Z`,
      })),
    ),
  ),
  ...over,
});
const ask = (over: Partial<AxleQuestion> = {}) =>
  checkAxle({
    measures: [
      { what: 'length', valueMm: 14.2 },
      { what: 'diameter', valueMm: 1.2 },
      { what: 'over the wheels', valueMm: 12 },
      { what: 'head', valueMm: 0.6 },
    ],
    ...{ ends: 'cupped punch in a press', count: 2, things: [], jobId: 'mine', taskId: 'step', shares: [] },
    ...over,
  });

describe('the axle in hand', () => {
  it('says nothing until it is measured', () => {
    expect(ask({ measures: [{ what: 'length', valueMm: 14.2 }] })).equal(null);
    expect(ask({ measures: [] })).equal(null);
  });

  it('by hand: 14.2 over two heads of 0.6 leaves 12.9; 12 over the wheels and 0.3 of play and a dome need 13.3', () => {
    const { answer } = ask()!;
    expect(answer.have.mm).closeTo(14.2 - 0.6 - 0.6 - 0.1, 1e-9);
    // A cap 2.1 mm across and 0.6 high: pi 0.6 (3 * 1.05^2 + 0.36) / 6, over the section of 1.2 mm; its height spreads.
    const cap = (Math.PI * 0.6 * (3 * 1.05 ** 2 + 0.36 + 3 * 0.06 ** 2)) / 6;
    expect(answer.need.mm).closeTo(12 + 0.3 + cap / (Math.PI * 0.36), 1e-9);
    expect(answer.decision).equal('no');
    expect(ask({ ends: 'hub hammered on' })!.answer.decision).equal('yes');
  });

  it('offers what fits, least waste first, what is kept back last; not what is short, thick or all given away', () => {
    const things = [
      axle(20, 'both bare', [['bought', 4]]),
      axle(15, 'both bare', [['bought', 4]]),
      axle(14.8, 'both bare', [['bought', 4]], { isLocked: true }),
      axle(13, 'both bare', [['bought', 4]]),
      axle(15.5, 'both bare', []),
      axle(15, 'one domed', [['bought', 2]], { sizes: { diameter: 1.6, length: 15, headHeight: 0.6 } }),
    ];
    expect(ask({ things })!.offers.map(({ thing, lengthMm }) => [lengthMm, thing.isLocked])).deep.equal([
      [15, false],
      [20, false],
      [14.8, true],
    ]);
  });

  it('what others need over all jobs comes last, and the step is told of what they do not need', () => {
    const things = [axle(15, 'both bare', [['bought', 4]]), axle(16, 'both bare', [['bought', 4]])];
    const share = (taskId: string, thing: DrawerThing) => ({
      ...{ taskId, jobId: taskId, jobNumber: taskId.toUpperCase(), decision: 'no' as const, wanted: 2, holes: 0 },
      ...{ given: [{ thing, amount: 2 }], locked: [] },
    });
    const lengths = (shares: AxleQuestion['shares']) => ask({ things, shares })!.offers.map(({ lengthMm }) => lengthMm);
    expect(lengths([])).deep.equal([15, 16]);
    const needed = [share('other', things[0]!)];
    expect(lengths(needed)).deep.equal([16, 15]);
    expect(lengths([share('step', things[1]!)])).deep.equal([16, 15]);
    expect(ask({ things, shares: needed })!.offers[1]).deep.include({
      ...{ own: 0, others: [{ jobNumber: 'OTHER', amount: 2 }] },
    });
    expect(refuseShortAxle(ask({ things, shares: needed })!)[0]!.message).include('Put by 2 of 16.0 mm');
    // What is put by is seen first, whoever needs it.
    const held = [things[1]!, { ...things[0]!, held: [{ jobId: 'mine', reserved: 1 }] }];
    expect(ask({ things: held, shares: needed })!.offers.map(({ lengthMm }) => lengthMm)).deep.equal([15, 16]);
  });

  it('a step waits until as many as there are axles are put by, wherever they lie', () => {
    const things = [axle(15, 'both bare', [['bought', 4]]), axle(16, 'both bare', [['bought', 4]])];
    const [no] = refuseShortAxle(ask({ things })!);
    expect(no).deep.include({ code: 'axle-short' });
    expect(no!.message).equal(
      '12.9 mm is left when a head is off, 13.3 are needed. Put by 2 of 15.0 mm in drawer B3 first.',
    );
    const one = [
      axle(15, 'both bare', [
        ['bought', 4],
        ['reserved', 1],
      ]),
      things[1]!,
    ];
    expect(refuseShortAxle(ask({ things: one })!)[0]!.message).include('Put by 1 of 15.0 mm');
    const both = [
      one[0]!,
      axle(16, 'both bare', [
        ['bought', 4],
        ['reserved', 1],
      ]),
    ];
    expect(refuseShortAxle(ask({ things: both })!)).deep.equal([]);
    expect(refuseShortAxle(ask()!)[0]!.message).include('Nothing in the drawers is long enough');
    // Pieces that do not fit count for nothing, reserved or not.
    expect(
      refuseShortAxle(
        ask({
          things: [
            axle(13, 'both bare', [
              ['bought', 4],
              ['reserved', 2],
            ]),
          ],
        })!,
      ),
    ).length(1);
  });

  it('counts the axles of its joint', () => {
    const parts = [
      { key: 'axles', role: 'axle' as const, count: 2 },
      { key: 'wheels', role: 'wheel' as const, count: 4 },
    ];
    expect(countAxles(parts, ['axles', 'wheels'])).equal(2);
    expect(countAxles(parts, ['wheels'])).equal(1);
    expect(countAxles([], ['axles'])).equal(1);
  });
});
