import { expect } from 'chai';
import { makeCoat, makeFinding, makePart } from '../../test/support/planWorld.ts';
import type { Area, CoatingLayer, SpecimenPart } from '../model/workpiece.ts';
import { compilePlan } from '../compile/compilePlan.ts';
import { createSpecimenFacts, type SpecimenRows } from '../facts/createSpecimenFacts.ts';
import { describePieces } from '../facts/describePieces.ts';
import { listInHand } from './listInHand.ts';
import type { ClosedJoint, PlanPart } from '../facts/specimenFacts.ts';
import type { PlanInput, PlannedTask } from '../compile/planTypes.ts';

const CREAM = '#e6d9b4';
const BLACK = '#222222';
const painted = (key: string, colourHex: string, changes: Partial<PlanPart> = {}) =>
  makePart(key, { painted: true, coats: [makeCoat('primer'), makeCoat('colour', { colourHex })], ...changes });
const closed = (...partKeys: string[]): ClosedJoint => ({
  ...{ key: partKeys.join('-'), label: partKeys.join(' to '), kind: 'bent tab', partKeys },
});
const glazing = makePart('glazing', { role: 'glazing', material: 'clear styrene' });
const plan = (parts: readonly PlanPart[], joints: readonly ClosedJoint[]) => {
  const input: PlanInput = {
    ...{ scope: 'full', parts, decisions: {}, reasons: {}, hasSecondWheels: true, sessionMin: 120 },
    ...{ opening: [], closed: joints },
  };
  const compiled = compilePlan(input);
  if (compiled.kind !== 'plan') throw new Error(compiled.because);
  return { tasks: compiled.tasks, notices: compiled.notices.map((notice) => notice.words) };
};
const keysOf = (tasks: readonly PlannedTask[]) => tasks.map((task) => task.key);

describe('describePieces', () => {
  it('joins what closed joints hold, through others too, and leaves out what is missing', () => {
    const parts = [makePart('a'), makePart('b'), makePart('c'), makePart('d', { state: 'missing' })];
    const { neighboursOf } = describePieces(parts, [closed('a', 'b'), closed('b', 'c'), closed('c', 'd')]);
    expect(neighboursOf('a').map((part) => part.key)).have.members(['b', 'c']);
    expect(neighboursOf('d')).deep.equal([]);
    expect(describePieces(parts, []).neighboursOf('a')).deep.equal([]);
  });

  it('masks the lighter of two colours, and bare metal beside paint', () => {
    const parts = [
      painted('roof', CREAM),
      painted('body', BLACK),
      makePart('axles', { role: 'axle', material: 'steel' }),
    ];
    const { masked } = describePieces(parts, [closed('roof', 'body'), closed('body', 'axles')]);
    expect(masked.map(({ part, against }) => [part.key, against.map((one) => one.key)])).deep.equal([
      ['roof', ['body']],
      ['axles', ['roof', 'body']],
    ]);
  });

  it('masks nothing between parts that wear the same', () => {
    const parts = [painted('roof', BLACK), painted('body', BLACK)];
    expect(describePieces(parts, [closed('roof', 'body')]).masked).deep.equal([]);
  });
});

describe('a plan with closed joints', () => {
  it('paints light, masks it, then paints dark (O21, O23)', () => {
    const { tasks } = plan([painted('roof', CREAM), painted('body', BLACK)], [closed('roof', 'body')]);
    const keys = keysOf(tasks);
    expect(keys.indexOf('colour:roof:outside')).lessThan(keys.indexOf('mask:roof'));
    expect(keys.indexOf('mask:roof')).lessThan(keys.indexOf('colour:body:outside'));
    expect(keys).not.include('mask:body');
  });

  it('masks bare metal before the primer of what it is joined to', () => {
    const parts = [painted('base', BLACK), makePart('axles', { role: 'axle', material: 'steel' })];
    const keys = keysOf(plan(parts, [closed('base', 'axles')]).tasks);
    expect(keys.indexOf('mask:axles')).within(0, keys.indexOf('prime:base'));
  });

  it('brushes stripper on, never dips, and rinses the seam for long', () => {
    const { tasks } = plan([painted('canopy', CREAM), painted('body', CREAM)], [closed('canopy', 'body')]);
    const how = (key: string) => tasks.find((task) => task.key === key)!.how;
    expect(how('strip:body')).include('It stays joined to the canopy: brush on only, no bath');
    expect(how('wash:body')).include('Rinse the closed seam for long');
    expect(how('wash:body')).not.include('Dry warm');
  });

  it('strips nothing that has plastic inside: it is keyed wet, with the reason', () => {
    const { tasks, notices } = plan([painted('body', CREAM), glazing], [closed('body', 'glazing')]);
    expect(keysOf(tasks)).include('key:body').and.not.include('strip:body');
    const key = tasks.find((task) => task.key === 'key:body')!;
    expect(key.because).include('The glazing stays inside a closed joint');
    expect(key.hazards).deep.equal(['old-paint']);
    expect(key.how).match(/kept wet/);
    expect(notices).deep.equal(['The body keeps its old paint: the glazing stays in, and stripper would reach it.']);
  });

  it('bends nothing warm that is joined to other parts, and says so', () => {
    const bent = painted('body', CREAM, { findings: [makeFinding('bent')] });
    const alone = plan([bent], []);
    expect(keysOf(alone.tasks)).include('straighten:body');
    const joined = plan([bent, painted('canopy', CREAM)], [closed('body', 'canopy')]);
    expect(keysOf(joined.tasks)).not.include('straighten:body');
    expect(joined.notices.join()).include('Not straightened: the body. It is joined to other parts');
  });

  it('leaves alone whatever stays joined to pest-suspect zinc', () => {
    const pest = painted('body', CREAM, { material: 'pest-suspect zinc' });
    const { tasks, notices } = plan([pest, painted('base', BLACK)], [closed('body', 'base')]);
    expect(keysOf(tasks).filter((key) => /^(strip|wash|prime|colour|degrease|mask):/.test(key))).deep.equal([]);
    expect(notices).include('The base stays joined to a part with signs of pest and is left alone.');
  });
});

describe('createSpecimenFacts', () => {
  const part = { id: 'p', version: 1, specimenId: 's', key: 'body', name: 'Body', role: 'body' } as SpecimenPart;
  const area = (id: string, kind: Area['kind']): Area => ({
    ...{
      id,
      version: 1,
      specimenPartId: 'p',
      kind,
      name: kind,
      crossesSeam: false,
      reliefUm: null,
      size: null,
      outline: null,
    },
  });
  const RED = {
    ...{
      id: 'red',
      kind: 'colour' as const,
      binder: 'lacquer' as const,
      gloss: 'gloss' as const,
      colourHex: '#aa2222',
      dryFilmUm: 12,
    },
    ...{ flashMin: 3, recoatMin: 20, cureMin: 600, drying: null, optics: null, densityGPerMl: 1, dropMl: 0.05 },
  } satisfies SpecimenRows['paints'][number];
  const createParts = (some: Pick<SpecimenRows, 'parts' | 'areas' | 'layers' | 'findings' | 'wants'>) =>
    createSpecimenFacts(
      {
        ...some,
        paints: [RED],
        drawing: null,
        joints: [],
        foundJoints: [],
        jointWishes: [],
        jointConditions: [],
        log: [],
        hasSecondWheels: false,
      },
      {
        choices: [],
        restorers: [],
      },
      { scope: 'full', target: 'as issued', decisions: [] },
    ).parts;
  const layer = (areaId: string, stage: CoatingLayer['stage'], name: string, changes: Partial<CoatingLayer> = {}) =>
    ({
      areaId,
      stage,
      name,
      kind: 'colour',
      colourHex: '#111111',
      whose: 'unknown',
      productId: null,
      rejection: null,
      removedAt: null,
      ...{ keyedAt: null, coats: null, isMist: false, how: null, decalMm: null },
      ...changes,
    }) as CoatingLayer;
  const rows = (layers: CoatingLayer[]) => ({
    ...{ parts: [part], areas: [area('o', 'outside'), area('i', 'inside')], layers, findings: [], wants: [] },
  });

  it('takes the factory’s coat for what it wore, else the innermost one, outside only', () => {
    const found = (...layers: CoatingLayer[]) => createParts(rows(layers))[0]!.foundColour?.name;
    expect(found(layer('o', 'found', 'Cream'), layer('o', 'found', 'Red'))).equal('Cream');
    expect(found(layer('o', 'found', 'Red'), layer('o', 'found', 'Cream', { whose: 'factory' }))).equal('Cream');
    expect(found(layer('i', 'found', 'Blue'))).equal(undefined);
  });

  it('calls a part painted by its coats, not by a decal, and lists what is planned with its place', () => {
    const of = (...layers: CoatingLayer[]) => createParts(rows(layers))[0]!;
    expect(of(layer('o', 'found', 'Crest', { kind: 'decal' })).painted).equal(false);
    expect(of(layer('i', 'found', 'Blue')).painted).equal(true);
    expect(of(layer('i', 'planned', 'Red')).coats).deep.equal([
      {
        ...{ areaKind: 'inside', areaName: 'inside', crossesSeam: false, kind: 'colour', name: 'Red' },
        ...{ colourHex: '#111111', coats: 2, dries: null, pour: null, hasArtwork: false },
      },
    ]);
    expect(of(layer('i', 'planned', 'Red', { productId: 'red' })).coats[0]!.dries).deep.equal({
      ...{ flashMin: 3, recoatMin: 20, betweenMin: 20, cureMin: 600 },
    });
  });

  it('says what a wet coat takes where its pot and its surface are known', () => {
    const pourOf = (size: Area['size'], productId: string | null) => {
      const areas = [{ ...area('o', 'outside'), size }];
      return createParts({ ...rows([layer('o', 'planned', 'Red', { productId })]), areas })[0]!.coats[0]!.pour;
    };
    const measured = { value: 50, relativeSd: 0, way: 'typed' as const };
    expect(pourOf(null, 'red')).equal(null);
    expect(pourOf(measured, null)).equal(null);
    // 50 cm2 under 12 um is 0.06 ml dry, 0.48 ml out of the pot of which half lands, and a quarter ml stays in the cup.
    expect(pourOf(measured, 'red')).within(0.73, 1.1);
    expect(pourOf({ ...measured, value: 100 }, 'red')! - pourOf(measured, 'red')!).within(0.48, 0.8);
  });

  it('says what stands on a part, what was rejected, and what is off again', () => {
    const rejection = { at: '2026-01-02T10:00:00Z', by: 'A', because: 'orange peel' };
    const on = (...layers: CoatingLayer[]) => createParts(rows(layers))[0]!.done;
    expect(on(layer('o', 'applied', 'Red')).coatsOn).deep.equal([{ areaName: 'outside', kind: 'colour' }]);
    const done = on(
      layer('o', 'applied', 'Red', { id: 'a', rejection, removedAt: '2026-01-03T10:00:00Z' }),
      layer('o', 'applied', 'Red', { id: 'b', rejection }),
    );
    expect(done.coatsOn).deep.equal([]);
    expect(done.rejected.map(({ layerId, isOff }) => [layerId, isOff])).deep.equal([
      ['b', false],
      ['a', true],
    ]);
  });
});

describe('listInHand', () => {
  const joint = (kind: ClosedJoint['kind'], risk: number) => ({
    ...closed('body', 'glazing'),
    kind,
    way: { key: 'w', label: 'Open', tool: 'hand' as const, minutes: 3, risk, destroys: '', behindJoints: [] },
  });

  it('asks for what closes the joint again, and for a replacement of what is likely to break', () => {
    expect(listInHand(joint('formed axle', 0.05), [glazing])[0]).include('replacement axle of the right length');
    expect(listInHand(joint('push fit', 0.1), [glazing])).deep.equal([
      'a replacement for the glazing: old clear styrene breaks',
    ]);
    expect(listInHand(joint('push fit', 0.02), [glazing])).deep.equal([]);
    expect(listInHand(joint('rivet post', 0.1), [makePart('body')])).length(1);
  });
});
