import { expect } from 'chai';
import { killRounds } from './support/kill/killRounds.ts';
import { compareLedger, openLedger } from './support/kill/ledger.ts';

describe('a server that is killed', function () {
  this.timeout(900_000);

  it('has what it acknowledged, and counts once what is sent again (a sample; all 1,000 kills: npm run bench)', async () => {
    const { kills, acknowledged, lost } = await killRounds(77, 25);
    expect(lost, lost.slice(0, 5).join('\n')).deep.equal([]);
    expect(kills).equal(25);
    // How many more depends on the machine; without any the test would say nothing.
    expect(acknowledged).greaterThan(kills);
  });
});

describe('what is compared with what was written down beside', () => {
  const nothing = { notes: [], findings: [], photos: [], pots: [] };

  it('misses what is gone, what is there twice, what says something else, and a picture that is not whole', () => {
    const ledger = openLedger();
    ledger.notes.add('washed');
    ledger.pots.add('Slate');
    ledger.findings.set('chips', { id: 'f', version: 1, says: new Set(['chips']) });
    ledger.photos.set('left', 'ab');
    const right = {
      ...{ notes: ['washed'], pots: ['Slate', 'Sand'] },
      findings: [{ id: 'f', note: 'chips' }],
      photos: [{ caption: 'left', hash: 'ab', isWhole: true }],
    };
    expect(compareLedger(ledger, right)).deep.equal([]);
    expect(compareLedger(ledger, nothing)).length(4);
    expect(compareLedger(ledger, { ...right, notes: ['washed', 'washed'] })).length(1);
    expect(compareLedger(ledger, { ...right, findings: [{ id: 'f', note: 'dent' }] })).length(1);
    expect(compareLedger(ledger, { ...right, photos: [{ caption: 'left', hash: 'ab', isWhole: false }] })).length(1);
  });
});
