import { expect } from 'chai';
import { look, makeCatalogue, makeFeature, makeVariant } from '../../test/support/identifyWorld.ts';
import { describeInterval, describeRegion, describeVerdict, formatPercent } from './describeVerdict.ts';
import { identifySpecimen } from './identifySpecimen.ts';

const grille = makeFeature({ key: 'grille', states: ['solid', 'pierced'], group: 'body casting' });
const colour = makeFeature({ key: 'colour', states: ['red', 'blue'], group: 'outer coat' });
const sheltered = makeFeature({ key: 'sheltered', states: ['red', 'blue'], group: 'sheltered coat' });
const features = [grille, colour, sheltered];
const early = makeVariant('early', [1958, 1961], { grille: 'solid', colour: 'red', sheltered: 'red' });
const late = makeVariant('late', [1961, 1964], { grille: 'pierced', colour: 'red', sheltered: 'red' });
const catalogue = makeCatalogue(features, [early, late]);
const judge = (answers: Parameters<typeof identifySpecimen>[1], world = catalogue) =>
  describeVerdict(identifySpecimen(world, answers), world);

describe('describeVerdict', () => {
  it('names the leader, its years and its probability', () => {
    expect(judge([look('grille', 'solid'), look('colour', 'red'), look('sheltered', 'red')])).match(
      /^early, .*1958 to .*196[01], 9\d %\.$/,
    );
  });

  it('says what was altered, and by which history', () => {
    const sentence = judge([look('grille', 'solid'), look('colour', 'blue'), look('sheltered', 'red')]);
    expect(sentence).match(/^early, .*; repainted \(\d\d %\): colour\.$/);
  });

  it('says when nothing was looked at, when nothing is settled, when it is none of them, and when there is nothing to choose from', () => {
    expect(judge([])).match(/^Nothing looked at yet; 2 variants are possible, .*1958 to .*196[34]\.$/);
    expect(judge([look('colour', 'red')])).match(/^Not settled; early leads/);
    expect(judge([], makeCatalogue([], []))).equal('Nothing is claimed: no issue of it is written down here.');
    const keys = ['a', 'b', 'c', 'd', 'e', 'f'];
    const cast = keys.map((key) => makeFeature({ key, states: ['x', 'y', 'z'], group: 'body casting' }));
    const strange = makeCatalogue(cast, [makeVariant('one', null, Object.fromEntries(keys.map((key) => [key, 'x'])))]);
    expect(
      judge(
        keys.map((key) => look(key, 'y')),
        strange,
      ),
    ).match(/^Probably none of the catalogue's variants/);
  });

  it('says when what is cast in contradicts itself', () => {
    const old = makeFeature({ key: 'old', states: ['a', 'b'], group: 'body casting', years: { a: [null, 1960] } });
    const young = makeFeature({ key: 'young', states: ['a', 'b'], group: 'body casting', years: { a: [1965, null] } });
    const world = makeCatalogue([old, young], [early, late]);
    expect(judge([look('old', 'a'), look('young', 'a')], world)).include(
      'what is cast in contradicts itself: parts of two tools',
    );
  });

  it('puts quarters and gaps into words', () => {
    expect(describeInterval({ fromYear: 1962.25, toYear: 1963.75 })).equal('spring 1962 to summer 1963');
    expect(describeInterval({ fromYear: 1962, toYear: 1962.25 })).equal('early 1962');
    expect(describeInterval({ fromYear: 1962.1, toYear: 1963.3 })).equal('early 1962 to spring 1963');
    const pieces = [1960, 1962, 1964].map((year) => ({ fromYear: year, toYear: year + 1 }));
    expect(describeRegion(pieces.slice(0, 2))).equal('early 1960 to late 1960 or early 1962 to late 1962');
    expect(describeRegion(pieces)).equal('early 1960 to late 1964');
  });

  it('never prints a false 0 or 100', () => {
    expect(formatPercent(0.001)).equal('under 1 %');
    expect(formatPercent(0.999)).equal('over 99 %');
    expect(formatPercent(1)).equal('100 %');
    expect(formatPercent(0)).equal('0 %');
  });
});
