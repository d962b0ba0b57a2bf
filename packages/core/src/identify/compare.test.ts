import { expect } from 'chai';
import { makeCatalogue, makeFeature, makeVariant } from '../../test/support/identifyWorld.ts';
import type { Finding, SpecimenPart } from '../model/workpiece.ts';
import { compareSpecimens } from './compareSpecimens.ts';
import { compareVariants, groupAlike } from './compareVariants.ts';
import { selectCastRelief } from './selectCastRelief.ts';
import { computeToolOrder } from './computeToolOrder.ts';

const wheels = makeFeature({
  key: 'wheels',
  states: ['metal', 'grey', 'black'],
  effort: 1,
  years: { metal: [null, 1961], grey: [1960, 1966], black: [1965, null] },
});
const base = makeFeature({
  key: 'base',
  states: ['full', 'frame'],
  effort: 2,
  years: { full: [null, 1961], frame: [1959, null] },
});
const colour = makeFeature({ key: 'colour', states: ['cream', 'red'], effort: 1 });

describe('comparing two variants', () => {
  const catalogue = makeCatalogue(
    [base, wheels, colour],
    [
      makeVariant('a', [1956, 1959], { wheels: 'metal', base: 'full', colour: 'cream' }),
      makeVariant('b', [1960, 1963], { wheels: { grey: 0.4, black: 0.6 }, base: 'full' }),
      makeVariant('c', [1964, 1965], { wheels: { black: 0.6, grey: 0.4 }, base: 'full' }),
    ],
  );

  it('shows only what differs, easiest look first, "not recorded" as a difference', () => {
    const rows = compareVariants(catalogue, ['a', 'b']);
    expect(rows.map((row) => row.feature.id)).deep.equal(['wheels', 'colour']);
    expect(rows[0]!.recorded[1]!.map((state) => [state.label, state.share])).deep.equal([
      ['black', 0.6],
      ['grey', 0.4],
    ]);
    expect(rows[1]!.recorded[1]).deep.equal([]);
  });

  it('finds nothing between variants recorded alike, and groups them', () => {
    expect(compareVariants(catalogue, ['b', 'c'])).deep.equal([]);
    expect(groupAlike(catalogue)).deep.equal([['a'], ['b', 'c']]);
  });
});

describe('relief that is meant to be there', () => {
  it('is what the variant has cast in, and nothing else', () => {
    const grille = makeFeature({ key: 'grille', states: ['solid', 'pierced'], group: 'body casting' });
    const text = makeFeature({ key: 'text', states: ['full', 'frame'], group: 'base casting' });
    const catalogue = makeCatalogue(
      [grille, text, colour],
      [makeVariant('a', null, { grille: { solid: 0.5, pierced: 0.5 }, text: 'frame', colour: 'red' })],
    );
    expect(selectCastRelief(catalogue, 'a').map(({ label, meant }) => `${label}: ${meant}`)).deep.equal([
      'grille: solid or pierced',
      'text: frame',
    ]);
    expect(selectCastRelief(catalogue, 'nobody')).deep.equal([]);
  });
});

describe('the order of two tools', () => {
  const undated = makeCatalogue(
    [wheels, base, colour],
    [
      makeVariant('early', null, { wheels: 'metal', base: 'full', colour: 'cream' }),
      makeVariant('late', null, { wheels: 'black', base: 'frame', colour: 'cream' }),
      makeVariant('bare', null, {}),
    ],
  );

  it('follows from the range-wide dates of their features, with the reasons', () => {
    const order = computeToolOrder(undated, ['early'], ['late']);
    expect(order.firstIsEarlier).greaterThan(0.95);
    expect(order.reasons.map((reason) => reason.feature.id)).deep.equal(['wheels', 'base']);
    expect(order.reasons[0]!.states).deep.equal(['metal', 'black']);
  });

  it('turns round when the tools do', () => {
    const order = computeToolOrder(undated, ['early'], ['late']).firstIsEarlier;
    expect(computeToolOrder(undated, ['late'], ['early']).firstIsEarlier).closeTo(1 - order, 1e-12);
  });

  it('is open where nothing is known, and by hand for two level spans', () => {
    expect(computeToolOrder(undated, ['bare'], ['bare']).firstIsEarlier).closeTo(0.5, 1e-12);
    const span = (from: number, to: number) => ({
      startEarliest: from,
      startLatest: from,
      endEarliest: to,
      endLatest: to,
    });
    const dated = makeCatalogue(
      [],
      [
        { ...makeVariant('p', null, {}), span: span(1960, 1961) },
        { ...makeVariant('q', null, {}), span: span(1960, 1962) },
      ],
    );
    // p is level over 4 quarters, q over 8: half of q lies later, the other half is even.
    expect(computeToolOrder(dated, ['p'], ['q']).firstIsEarlier).closeTo(0.75, 1e-12);
  });
});

describe('comparing two examples', () => {
  const part = (specimenId: string, key: string, more: Partial<SpecimenPart> = {}): SpecimenPart => ({
    ...{ id: `${specimenId}.${key}`, version: 1, specimenId, key, name: key, role: 'body', material: 'zinc alloy' },
    materialCertainty: 'sure',
    ...{ state: 'sound', origin: 'unknown', originNote: '', takenFromId: null, isKept: false },
    ...more,
  });
  const found = (specimenPartId: string, kind: Finding['kind'], severity: number): Finding => ({
    ...{ id: `${specimenPartId}.${kind}`, version: 1, specimenPartId, kind, severity, note: '' },
    ...{ pinnedTo: null, pinX: null, pinY: null, measuredValue: null, measuredUnit: null },
    ...{ feature: '', carriesLoad: null, mend: null },
  });

  it('picks by state, then findings, then origin, and says why', () => {
    const first = {
      parts: [
        part('a', 'body', { state: 'worn' }),
        part('a', 'base'),
        part('a', 'axles', { version: 2 }),
        part('a', 'rack', { state: 'missing' }),
      ],
      findings: [found('a.base', 'rust', 2)],
    };
    const second = {
      parts: [part('b', 'body', { version: 2 }), part('b', 'base'), part('b', 'axles', { origin: 'original' })],
      findings: [found('b.base', 'chips', 1)],
    };
    expect(compareSpecimens(first, second)).deep.equal([
      { key: 'body', name: 'body', pick: 'second', because: 'worn against sound' },
      { key: 'base', name: 'base', pick: 'second', because: 'rust against chips' },
      { key: 'axles', name: 'axles', pick: 'second', because: 'unknown against original' },
      { key: 'rack', name: 'rack', pick: 'none', because: 'missing on both' },
    ]);
  });

  it('calls nothing better that nobody described', () => {
    const seen = { parts: [part('a', 'body', { state: 'worn' }), part('a', 'base')], findings: [] };
    const fresh = { parts: [part('b', 'body'), part('b', 'base')], findings: [] };
    expect(compareSpecimens(seen, fresh)).deep.equal([
      { key: 'body', name: 'body', pick: 'unknown', because: 'worn against not described: look at it first' },
      { key: 'base', name: 'base', pick: 'unknown', because: 'nobody described it on either' },
    ]);
  });

  it('is even between a specimen and itself', () => {
    const one = { parts: [part('a', 'body')], findings: [found('a.body', 'chips', 1)] };
    expect(compareSpecimens(one, one)[0]).include({ pick: 'even', because: 'both sound' });
  });
});
