import { expect } from 'chai';
import { createEvenings, EVENING_TASK, EVENINGS } from '../../../test/support/schedule/eveningsWorlds.ts';
import { runToEnd } from '../../numeric/runToEnd.ts';
import { createSeededRandom } from '../../numeric/seededRandom.ts';
import { listLoads } from './listLoads.ts';
import { findPlannable, planEvenings } from './planEvenings.ts';
import { reportEvenings } from './reportEvenings.ts';
import type { EveningsInput } from './eveningsInput.ts';

function plan(input: EveningsInput) {
  const made = findPlannable(input);
  return reportEvenings(input, made, runToEnd(planEvenings(input, made, createSeededRandom(2), 3)));
}

describe('listLoads', () => {
  it('says of an evening what hands, gun, booth and bath bear in it', () => {
    const spray = { ...EVENING_TASK, handsOnMin: 20, gun: 'red', kind: 'spraying' as const, inBooth: true };
    const tasks = [
      { ...spray, id: 's1' },
      { ...spray, id: 's2' },
      { ...EVENING_TASK, id: 'soak', handsOnMin: 10, watchedMin: 30, bath: 'caustic' },
    ];
    const input = { ...EVENINGS, tasks };
    const loads = listLoads(input, plan(input).runs);
    const of = (kind: string) => loads.filter((load) => load.of.kind === kind);
    // The other one leaves spraying: both sprays are one run, cleaned once.
    const two = of('restorer')[1]!.evenings.find(({ minutes }) => minutes > 0)!;
    expect(two).deep.include({ on: '2026-11-28', ofMin: 180 });
    expect(two.minutes).least(20 + 20 + 12);
    expect(of('gun')[0]!.evenings).deep.equal([{ on: '2026-11-28', minutes: 52, ofMin: 180, count: 1 }]);
    expect(of('booth')[0]!.minutes).equal(40);
    expect(of('bath')[0]!.evenings[0]).deep.include({ minutes: 40, count: 1 });
    expect(of('oven')).deep.equal([]);
  });

  it('has all evenings of a restorer, also the free ones, and sums up to the hands of the plan', () => {
    for (let seed = 1; seed <= 30; seed++) {
      const input = createEvenings(createSeededRandom(seed));
      const report = plan(input);
      const loads = listLoads(input, report.runs).filter(({ of }) => of.kind === 'restorer');
      expect(loads).lengthOf(2);
      const hands = loads.reduce((sum, { minutes }) => sum + minutes, 0);
      // What is under way already is not in an evening that comes.
      expect(hands, `world ${seed}`).closeTo(report.handsMin, 1e-6);
      for (const { evenings } of loads)
        for (const { minutes, ofMin, on } of evenings) expect(minutes, on).most(ofMin + 1e-6);
      for (const run of report.runs)
        for (const { restorerId } of run.sessions) {
          const load = loads.find(({ of }) => of.kind === 'restorer' && of.restorerId === restorerId)!;
          expect(load.evenings.some(({ on }) => on === run.on)).equal(true);
        }
    }
  });
});
