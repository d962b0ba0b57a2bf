import { expect } from 'chai';
import { coverLengths, countDecided } from './support/formedAxles.ts';
import { countPilots } from './support/offPilots.ts';
import { countMismatches } from './support/triedPieces.ts';
import { countBrokenLedgers } from './support/windowedLedgers.ts';

/** Seeded samples of what the bench measures whole; their spread is wider by as much as they are smaller. */
describe('fits and drawers, by samples', () => {
  it('lengths lie in their 90 % interval, whatever the ends', () => {
    for (const share of coverLengths(2000, 11)) expect(share).within(0.88, 0.92);
  });

  it('what is decided near the limit is decided rightly, and not everything is left open', () => {
    const { wrong, decided, all } = countDecided(3000, 12);
    expect(wrong / decided).most(0.015);
    expect(decided / all).least(0.5);
  });

  it('pilots that may go on have their wall', () => {
    const { go, unsafe, safe } = countPilots(20_000, 13);
    expect(unsafe / go).most(0.02);
    expect(go / safe).least(0.8);
  });

  it('pieces are handed out as well as by trying every way', () => {
    expect(countMismatches(60, 14)).equal(0);
  });

  it('logs that two windows write stay sound, and say what is counted by hand', () => {
    const { broken, refused } = countBrokenLedgers(400, 15);
    expect(broken).equal(0);
    expect(refused, 'they did get in each other’s way').greaterThan(50);
  });
});
