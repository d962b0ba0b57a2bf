import { expect } from 'chai';
import type { Feature, FeatureState, Source, Variant, VariantState } from '../model/catalogue.ts';
import { alignObservations } from './alignObservations.ts';
import { believeUnlisted } from './believeUnlisted.ts';
import type { StateAnswer } from './catalogue.ts';
import { assembleCatalogue, type CatalogueRows } from './assembleCatalogue.ts';
import { DEFAULT_HISTORIES } from './histories.ts';
import { identifySpecimen } from './identifySpecimen.ts';
import { selectAnswers, selectStatements } from './selectAnswers.ts';

const feature = (key: string): Feature => ({
  ...{ id: `r.${key}`, version: 1, rangeId: 'r', key, label: key, howToLook: 'look', partRole: 'body' },
  ...{ effort: 2, destroys: '', group: 'outer coat' },
});
const state = (featureKey: string, key: string, more: Partial<FeatureState> = {}): FeatureState => ({
  ...{ id: `r.${featureKey}.${key}`, version: 1, featureId: `r.${featureKey}`, key, label: key, colourHex: null },
  ...{ colour: null, size: null, fromYear: null, toYear: null, lookAlikes: [] },
  ...more,
});
const variant = (id: string, castingId: string): Variant => ({
  ...{ id, version: 1, castingId, key: id, name: `issue ${id}`, rarity: 2, rarityEvidence: '', foundOnId: null },
  ...{ startEarliest: 1960, startLatest: 1960.5, endEarliest: 1962, endLatest: 1963 },
});
const recorded = (variantId: string, featureKey: string, key: string, share = 1): VariantState => ({
  origin: '',
  ...{ id: `${variantId}.${featureKey}.${key}`, version: 1, variantId, share },
  ...{ featureId: `r.${featureKey}`, stateId: `r.${featureKey}.${key}` },
});
const said = (variantId: string | null, fromYear: number | null, toYear: number | null): Source => ({
  ...{ id: `s${variantId}`, version: 1, castingId: 'c1', variantId, specimenId: null, statement: 'shown' },
  ...{ fromYear, toYear, origin: 'trade list', certainty: 'likely' },
});
const rows: CatalogueRows = {
  ranges: [
    { id: 'r', name: 'Hand-Span' },
    { id: 'q', name: 'Quayside' },
  ],
  castings: [
    { id: 'c1', number: '4/2', name: 'Float', lengthMm: 62, wheelbaseMm: 36, listed: 'all' },
    { id: 'c2', number: '5/1', name: 'Van', lengthMm: 70, wheelbaseMm: 40, listed: null },
  ],
  features: [feature('colour'), feature('unused')],
  states: [state('colour', 'red', { lookAlikes: ['maroon', 'gone'] }), state('colour', 'maroon'), state('unused', 'x')],
  variants: [variant('v1', 'c1'), variant('v2', 'c2')],
  variantStates: [
    recorded('v1', 'colour', 'red', 0.7),
    recorded('v1', 'colour', 'maroon', 0.3),
    recorded('v2', 'colour', 'red'),
  ],
  sources: [said('v1', 1961, 1961), said(null, 1950, 1951)],
  histories: DEFAULT_HISTORIES.map((history) => ({ ...history, id: history.key, version: 1 })),
  settled: [],
};

describe('assembleCatalogue', () => {
  const whole = assembleCatalogue(rows, false);
  const one = assembleCatalogue({ ...rows, variants: rows.variants.slice(0, 1) }, true);

  it('gathers the states of a variant with their shares, and leaves out features nobody is known by', () => {
    expect(whole.features.map((entry) => entry.id)).deep.equal(['r.colour']);
    expect(whole.variants[0]!.states).deep.equal({ 'r.colour': { 'r.colour.red': 0.7, 'r.colour.maroon': 0.3 } });
  });

  it('says what each list may lack: by what was said of it, and by the models that were settled', () => {
    expect(one.unlisted).deep.equal({ c1: believeUnlisted('all', { settled: 0, ofFound: 0 }) });
    expect(whole.unlisted!.c2).equal(believeUnlisted('most', { settled: 0, ofFound: 0 }));
    const settled = assembleCatalogue(
      {
        ...rows,
        variants: [rows.variants[0]!, { ...rows.variants[1]!, foundOnId: 'sg-1' }],
        settled: ['v2', 'v2', 'gone'].map((variantId) => ({ castingId: 'c2', variantId })),
      },
      false,
    );
    expect(settled.unlisted).deep.equal({
      c1: one.unlisted!.c1,
      c2: believeUnlisted(null, { settled: 3, ofFound: 2 }),
    });
  });

  it('turns look-alikes from keys to ids and drops those that are gone', () => {
    expect(whole.features[0]!.states[0]!.lookAlikes).deep.equal(['r.colour.maroon']);
  });

  it('names the casting and gives its sizes only where several are to be told apart', () => {
    expect(whole.variants[0]!).deep.include({ name: '4/2 Float, issue v1', sizesMm: { length: 62, wheelbase: 36 } });
    expect(whole.measures.map((measure) => measure.id)).deep.equal(['length', 'wheelbase']);
    expect(one.variants[0]!).deep.include({ name: 'issue v1', sizesMm: {} });
    expect(one.measures).deep.equal([]);
  });

  it('takes statements about a variant only, and a whole year as all of it', () => {
    expect(whole.variants[0]!.statements).deep.equal([
      { label: 'shown', fromYear: 1961, toYear: 1962, certainty: 'likely' },
    ]);
    expect(whole.variants[1]!.statements).deep.equal([]);
    expect(selectStatements([said('v1', null, 1961.5)])[0]).include({ fromYear: null, toYear: 1961.5 });
  });

  it('can be identified with', () => {
    const { ranked } = identifySpecimen(whole, [{ featureId: 'length', valueMm: 62.1, spreadMm: 0.1 }]);
    expect(ranked[0]!.variantId).equal('v1');
  });
});

describe('a look that several ranges know', () => {
  const ofQ = (key: string, changes: Partial<Feature> = {}): Feature => ({
    ...{ ...feature(key), id: `q.${key}`, rangeId: 'q' },
    ...changes,
  });
  const stateOfQ = (featureKey: string, key: string, more: Partial<FeatureState> = {}): FeatureState => ({
    ...{ ...state(featureKey, key), id: `q.${featureKey}.${key}`, featureId: `q.${featureKey}` },
    ...more,
  });
  const knownBy = (featureId: string, stateId: string): VariantState => ({
    ...{ ...recorded('v2', 'colour', 'red'), id: `v2.${stateId}`, featureId, stateId },
  });
  const both: CatalogueRows = {
    ...rows,
    features: [feature('colour'), ofQ('colour', { label: 'Colour' }), ofQ('lamp')],
    states: [
      state('colour', 'red', { lookAlikes: ['maroon'], fromYear: 1958, toYear: 1962 }),
      state('colour', 'maroon', { colourHex: '#501018' }),
      stateOfQ('colour', 'red', { fromYear: 1960, toYear: null }),
      stateOfQ('colour', 'maroon', { colourHex: '#702028' }),
      stateOfQ('colour', 'grey'),
      stateOfQ('lamp', 'lit'),
    ],
    variantStates: [
      ...rows.variantStates.slice(0, 2),
      ...['red', 'maroon', 'grey'].map((key) => ({ ...knownBy('q.colour', `q.colour.${key}`), share: 1 / 3 })),
      knownBy('q.lamp', 'q.lamp.lit'),
    ],
  };
  const all = assembleCatalogue(both, false);
  const seen = (featureId: string, stateId: string | null) => ({ featureId, stateId, certainty: 'sure' }) as const;

  it('is asked once, with the states of all; those whose colours differ stay apart and are taken for each other', () => {
    expect(all.features.map((one) => one.label)).deep.equal(['colour', 'lamp']);
    expect(all.features[0]!.states.map(({ id, label, lookAlikes }) => [id, label, lookAlikes])).deep.equal([
      ['r.colour.red', 'red', ['r.colour.maroon']],
      ['r.colour.maroon', 'maroon (Hand-Span)', ['q.colour.maroon']],
      ['q.colour.maroon', 'maroon (Quayside)', ['r.colour.maroon']],
      ['q.colour.grey', 'grey', []],
    ]);
    expect(all.features[0]!.states[0]!).include({ fromYear: 1958, toYear: null });
    expect(all.castingNames).deep.equal({ c1: '4/2 Float', c2: '5/1 Van' });
  });

  it('speaks of the issues of all', () => {
    const third = 1 / 3;
    expect(all.variants[1]!.states['r.colour']).deep.equal({
      ...{ 'r.colour.red': third, 'q.colour.maroon': third, 'q.colour.grey': third },
    });
    const { ranked } = identifySpecimen(all, [seen('r.colour', 'q.colour.grey')]);
    expect(ranked[0]!.variantId).equal('v2');
  });

  it('counts for whichever casting it turns out to be', () => {
    const ofV2 = {
      ...both,
      variants: [variant('v2', 'c2')],
      variantStates: both.variantStates.filter((one) => one.variantId === 'v2'),
    };
    const one = assembleCatalogue(ofV2, true);
    const align = (...given: ReturnType<typeof seen>[]) =>
      alignObservations(given, one).map((answer) => [answer.featureId, answer.stateId]);
    expect(align(seen('r.colour', 'r.colour.red'))).deep.equal([['q.colour', 'q.colour.red']]);
    // The same words, whoever's paint it was thought to be; and what is not to be seen.
    expect(align(seen('r.colour', 'r.colour.maroon'))).deep.equal([['q.colour', 'q.colour.maroon']]);
    expect(align(seen('r.colour', null))).deep.equal([['q.colour', null]]);
    // What was answered here counts before what was answered elsewhere, and nothing is asked twice.
    expect(align(seen('r.colour', 'r.colour.red'), seen('q.colour', 'q.colour.grey'))).deep.equal([
      ['q.colour', 'q.colour.grey'],
    ]);
    // A look that is not known here stays as it is.
    expect(align(seen('x.hook', 'x.hook.bent'))).deep.equal([['x.hook', 'x.hook.bent']]);
  });

  it('is no such look where it is altered otherwise, or where one range tells two of one name apart', () => {
    const other = ofQ('colour', { group: 'base coat' });
    const apart = assembleCatalogue({ ...both, features: [feature('colour'), other, ofQ('lamp')] }, false);
    expect(apart.features.map((one) => one.label)).deep.equal(['colour (Hand-Span)', 'colour (Quayside)', 'lamp']);
    const twice = ofQ('colour', { id: 'q.other' });
    const features = [feature('colour'), ofQ('colour'), twice];
    const variantStates = [...both.variantStates, knownBy('q.other', 'q.other.x')];
    expect(assembleCatalogue({ ...both, features, variantStates }, false).features).length(3);
  });
});

describe('selectAnswers', () => {
  const whole = assembleCatalogue(rows, false);
  const seen = { featureId: 'r.colour', stateId: 'r.colour.red', certainty: 'sure' } as const;
  const asKept = (answer: StateAnswer) => ({ ...answer, specimenId: 'here', captureIds: [], size: null });
  const size = { what: 'length', valueMm: 62, spreadMm: 0.1 } as const;

  it('keeps what the catalogue can weigh and leaves the rest on the specimen', () => {
    const foreign = { featureId: 'q.wheels', stateId: 'q.wheels.grey', certainty: 'sure' } as const;
    const gone = { ...seen, stateId: 'r.colour.gone' };
    const observations = [seen, foreign, gone].map(asKept);
    expect(selectAnswers(whole, { observations, measurements: [size] })).deep.equal([
      seen,
      { featureId: 'length', valueMm: 62, spreadMm: 0.1 },
    ]);
  });

  it('leaves sizes out where the casting is known', () => {
    const given = { observations: [asKept(seen)], measurements: [size] };
    expect(selectAnswers(assembleCatalogue(rows, true), given)).deep.equal([seen]);
  });
});
