import { expect } from 'chai';
import { look, makeCatalogue, makeFeature } from '../../test/support/identifyWorld.ts';
import type { StateAnswer } from './catalogue.ts';
import { findOverpaint, type CoatedSpecimen } from './findOverpaint.ts';
import { identifySpecimen } from './identifySpecimen.ts';
import { selectAnswers } from './selectAnswers.ts';

type Layer = CoatedSpecimen['layers'][number];
const coat = (seq: number, whose: Layer['whose'], changes: Partial<Layer> = {}): Layer => ({
  ...{ areaId: 'out', stage: 'found', kind: 'colour', seq, whose, name: `coat ${seq}` },
  ...changes,
});
const specimen = (layers: readonly Layer[], changes: Partial<CoatedSpecimen> = {}): CoatedSpecimen => ({
  parts: [
    { id: 'body', role: 'body' },
    { id: 'base', role: 'base' },
  ],
  areas: [
    { id: 'out', specimenPartId: 'body', kind: 'outside' },
    { id: 'in', specimenPartId: 'body', kind: 'inside' },
    { id: 'base-out', specimenPartId: 'base', kind: 'outside' },
  ],
  layers,
  findings: [],
  ...changes,
});

describe('an overpaint', () => {
  it('is the outermost colour found outside on the body, when it is an owner’s or a restorer’s', () => {
    expect(findOverpaint(specimen([coat(0, 'factory'), coat(1, 'owner')]))).equal('coat 1');
    expect(findOverpaint(specimen([coat(1, 'restorer'), coat(0, 'factory')]))).equal('coat 1');
    for (const layers of [
      [],
      [coat(0, 'factory')],
      [coat(0, 'unknown')],
      [coat(0, 'owner'), coat(1, 'factory')],
      [coat(0, 'factory'), coat(1, 'owner', { areaId: 'in' })],
      [coat(0, 'factory'), coat(1, 'owner', { areaId: 'base-out' })],
      [coat(0, 'factory'), coat(1, 'owner', { stage: 'planned' })],
      [coat(0, 'factory'), coat(1, 'owner', { kind: 'decal' })],
    ])
      expect(findOverpaint(specimen(layers))).equal(null);
  });

  it('is there also when it was only found so, on the whole body', () => {
    const found = (specimenPartId: string, feature = '') =>
      findOverpaint(specimen([], { findings: [{ specimenPartId, kind: 'overpaint', feature }] }));
    expect(found('body')).equal('overpaint');
    expect(found('base')).equal(null);
    expect(found('body', 'grille')).equal(null);
  });

  it('speaks for no issue in a colour that the factory used, and against untouched', () => {
    const colour = makeFeature({ key: 'colour', states: ['red', 'cream'], group: 'outer coat' });
    const variants = ['red', 'cream'].map((state) => ({
      ...{ id: state, name: state, castingId: 'c', rarity: 0, span: null, sizesMm: {}, statements: [] },
      states: { [colour.id]: { [colour.states.find((one) => one.label === state || one.id.endsWith(state))!.id]: 1 } },
    }));
    const catalogue = makeCatalogue([colour], variants);
    const observations = [
      { ...(look('colour', 'red') as StateAnswer), specimenId: 'here', captureIds: [], size: null },
    ];
    const plain = identifySpecimen(catalogue, selectAnswers(catalogue, { observations }));
    const under = identifySpecimen(catalogue, selectAnswers(catalogue, { observations, isOverpainted: true }));
    expect(plain.ranked[0]!.probability).greaterThan(0.8);
    expect(under.ranked[0]!.probability).closeTo(0.49, 0.01);
    expect(plain.untouchedProbability).greaterThan(0.5);
    expect(under.untouchedProbability).lessThan(0.001);
  });
});
