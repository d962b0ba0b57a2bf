import { expect } from 'chai';
import fc from 'fast-check';
import { makeTask } from '../../test/support/planWorld.ts';
import type { PaintProduct } from '../model/work.ts';
import type { Area, CoatingLayer } from '../model/workpiece.ts';
import { layersUnder } from './layersUnder.ts';
import { checkCoat, type CoatAttempt } from './checkCoat.ts';
import { computePaint } from './computePaint.ts';
import { computeBand, computeStack } from './computeStack.ts';

const layer = (changes: Partial<CoatingLayer> = {}): CoatingLayer => ({
  id: 'l',
  version: 1,
  areaId: 'area',
  stage: 'found',
  seq: 0,
  kind: 'colour',
  name: 'Red',
  colourHex: '#aa2222',
  thicknessUm: 20,
  thicknessOrigin: 'measured',
  productId: null,
  whose: 'restorer',
  tempC: null,
  appliedAt: null,
  appliedBy: null,
  note: '',
  rejection: null,
  removedAt: null,
  ...{ keyedAt: null, coats: null, isMist: false, how: null, decalMm: null },
  ...changes,
});
const metal = { colourHex: '#999999', name: 'zinc alloy' };

describe('computeStack', () => {
  it('adds thicknesses, and independent spreads in squares', () => {
    const stack = computeStack([
      layer({ thicknessUm: 40 }),
      layer({ thicknessUm: 30, thicknessOrigin: 'product sheet' }),
    ]);
    expect(stack.totalUm).equal(70);
    expect(stack.spreadUm).closeTo(Math.hypot(2, 6), 1e-12);
    expect(stack.measured).equal(false);
  });

  it('spreads by where a thickness comes from: measured 5 %, sheet 20 %, estimate 35 %', () => {
    const spreadOf = (thicknessOrigin: CoatingLayer['thicknessOrigin']) =>
      computeStack([layer({ thicknessUm: 100, thicknessOrigin })]).spreadUm;
    expect(spreadOf('measured')).closeTo(5, 1e-9);
    expect(spreadOf('product sheet')).closeTo(20, 1e-9);
    expect(spreadOf('planning estimate')).closeTo(35, 1e-9);
  });

  it('is zero for bare metal', () => expect(computeStack([])).deep.equal({ totalUm: 0, spreadUm: 0, measured: true }));
});

describe('computeBand', () => {
  it('puts the outermost coat on top and the metal at the bottom, without gaps', () => {
    const slices = computeBand(
      [layer({ seq: 0, thicknessUm: 10, name: 'Primer' }), layer({ seq: 1, thicknessUm: 30, name: 'Red' })],
      100,
      metal,
    );
    expect(slices.map((slice) => slice.name)).deep.equal(['Red', 'Primer', 'zinc alloy']);
    expect(slices[0]!.heightPx / slices[1]!.heightPx).closeTo(3, 1e-9);
    expect(slices.map((slice) => slice.topPx)).deep.equal([0, slices[0]!.heightPx, 70]);
    expect(slices[2]!.heightPx).closeTo(30, 1e-9);
  });

  it('shows every coat at least 3 px high', () => {
    const slices = computeBand([layer({ thicknessUm: 1 }), layer({ seq: 1, thicknessUm: 500 })], 100, metal);
    expect(slices[1]!.heightPx).equal(3);
    expect(slices[0]!.heightPx).equal(67);
  });

  it('shows bare metal alone', () =>
    expect(computeBand([], 50, metal)).deep.equal([
      { kind: 'metal', ...metal, thicknessUm: null, topPx: 0, heightPx: 50 },
    ]));

  it('fills the height exactly, whatever the coats (property)', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 0.1, max: 900, noNaN: true }), { maxLength: 12 }),
        fc.integer({ min: 12, max: 200 }),
        (thicknesses, height) => {
          const slices = computeBand(
            thicknesses.map((thicknessUm, seq) => layer({ thicknessUm, seq })),
            height,
            metal,
          );
          expect(slices.reduce((sum, slice) => sum + slice.heightPx, 0)).closeTo(height, 1e-6);
          const floor = Math.min(3, (height * 0.7) / Math.max(1, thicknesses.length));
          for (const slice of slices.slice(0, -1)) expect(slice.heightPx).least(floor - 1e-9);
        },
      ),
    );
  });
});

describe('checkCoat', () => {
  const product: PaintProduct = {
    id: 'p',
    version: 1,
    line: 'Marlstone',
    name: 'Deep green',
    kind: 'colour',
    binder: 'enamel',
    gloss: 'gloss',
    colourHex: '#2f5a3c',
    dryFilmUm: 22,
    flashMin: 20,
    recoatMin: 360,
    cureMin: 10080,
    minC: 12,
    maxC: 28,
    ...{ optics: null, densityGPerMl: 1.1, dropMl: 0.03, pricePerMl: 0.3, drying: null, recipe: null },
  };
  const primer = layer({ stage: 'applied', kind: 'primer', appliedAt: '2026-01-01T10:00:00Z' });
  const attempt = (changes: Partial<CoatAttempt> = {}): CoatAttempt => ({
    partKey: 'body',
    partName: 'Body',
    material: 'zinc alloy',
    product,
    tempC: 20,
    appliedAt: new Date('2026-01-02T10:00:00Z'),
    layers: [primer],
    ...{ under: [], taped: [] },
    ...{ tasks: [], standing: [], products: [], isMist: false, reliefUm: null, overBecause: '' },
    ...changes,
  });
  const codesOf = (changes: Partial<CoatAttempt>) => checkCoat(attempt(changes)).map((refusal) => refusal.code);
  const strip = makeTask('strip:body', { tags: ['strip'], partKeys: ['body'], title: 'Strip the body' });

  it('lets a colour go over primer', () => expect(codesOf({})).deep.equal([]));

  it('refuses a coat over old paint while stripping is open', () => {
    const [refusal] = checkCoat(attempt({ layers: [layer(), primer], tasks: [strip] }));
    expect(refusal).deep.include({ code: 'not-stripped', field: 'productId' });
    expect(refusal!.message).include('Strip the body');
    expect(codesOf({ layers: [layer(), primer], tasks: [{ ...strip, state: 'done' }] })).deep.equal([]);
    expect(codesOf({ layers: [layer(), primer], tasks: [{ ...strip, partKeys: ['base'] }] })).deep.equal([]);
  });

  it('refuses colour straight on bare metal, and enamel on smooth plastic; not acrylic there, nor primer or powder', () => {
    expect(codesOf({ layers: [] })).deep.equal(['bare-metal']);
    expect(codesOf({ layers: [], material: 'hard plastic' })).deep.equal(['barrier-first']);
    const acrylic = { ...product, binder: 'acrylic' as const };
    expect(codesOf({ layers: [], material: 'hard plastic', product: acrylic })).deep.equal([]);
    expect(codesOf({ layers: [], product: { ...product, kind: 'primer' } })).deep.equal([]);
    expect(codesOf({ layers: [], product: { ...product, kind: 'powder', binder: 'powder' } })).deep.equal([]);
  });

  it('lets the colour of an area go over the primer of the outside that it lies upon', () => {
    const areas = [
      { id: 'out', kind: 'outside' as const, specimenPartId: 'body' },
      { id: 'other', kind: 'outside' as const, specimenPartId: 'base' },
    ];
    const layers = [{ ...primer, areaId: 'out' }, layer({ areaId: 'other' })];
    const under = layersUnder({ id: 'band', kind: 'mask', specimenPartId: 'body' }, areas, layers);
    expect(under).deep.equal([layers[0]]);
    expect(codesOf({ layers: [], under })).deep.equal([]);
    expect(layersUnder({ id: 'in', kind: 'inside', specimenPartId: 'body' }, areas, layers)).deep.equal([]);
    expect(
      codesOf({ layers: [], under: [{ ...primer, rejection: { at: '', by: '', because: '' } as never }] }),
    ).deep.equal(['bare-metal']);
  });

  it('refuses outside the product’s temperatures', () => {
    expect(codesOf({ tempC: 11.9 })).deep.equal(['temperature']);
    expect(codesOf({ tempC: 28.1 })).deep.equal(['temperature']);
    for (const tempC of [12, 28]) expect(codesOf({ tempC })).deep.equal([]);
  });

  it('refuses a coat dated before the one under it', () =>
    expect(codesOf({ appliedAt: new Date('2026-01-01T09:00:00Z') })).deep.equal(['before-the-last']));

  it('says everything that is wrong at once', () =>
    expect(codesOf({ layers: [layer()], tasks: [strip], tempC: 3 })).deep.equal([
      'not-stripped',
      'bare-metal',
      'temperature',
    ]));
});

describe('computePaint', () => {
  const area = (id: string, name: string, kind: Area['kind'] = 'outside'): Area => ({
    id,
    version: 1,
    specimenPartId: 'part',
    kind,
    name,
    crossesSeam: false,
    reliefUm: null,
    size: null,
    outline: null,
  });
  const parts = [{ id: 'part', key: 'body' }];

  it('shows what was applied before what was found, the outermost of it', () => {
    const found = [layer({ seq: 0, colourHex: '#111111' }), layer({ seq: 1, colourHex: '#222222' })];
    expect(computePaint(parts, [area('area', 'outside')], found)).deep.equal({ body: { outside: '#222222' } });
    expect(
      computePaint(parts, [area('area', 'outside')], [...found, layer({ stage: 'applied', colourHex: '#333333' })]),
    ).deep.equal({ body: { outside: '#333333' } });
  });

  it('leaves planned coats and decals out', () => {
    const layers = [layer({ stage: 'planned' }), layer({ kind: 'decal' })];
    expect(computePaint(parts, [area('area', 'outside')], layers)).deep.equal({ body: {} });
  });

  it('keeps masks apart by name', () => {
    const layers = [layer({ colourHex: '#111111' }), layer({ areaId: 'roof', colourHex: '#444444' })];
    expect(computePaint(parts, [area('area', 'outside'), area('roof', 'roof', 'mask')], layers)).deep.equal({
      body: { outside: '#111111', roof: '#444444' },
    });
  });
});
