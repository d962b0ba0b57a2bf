import { expect } from 'chai';
import type { PlanCoat } from '../facts/specimenFacts.ts';
import { createPlainModel, makeCoat, makeFinding, makePart, makeTask } from '../../test/support/planWorld.ts';
import { checkBenchHours } from './checkBenchHours.ts';
import { checkPrimingGate } from './checkPrimingGate.ts';
import { checkTools } from './checkTools.ts';
import { explainChange } from '../compile/explainChange.ts';
import { mergeDecisions } from '../schools/mergeDecisions.ts';

const now = new Date('2026-01-01T10:00:00Z');

describe('the priming gate', () => {
  const task = (
    key: string,
    tag: 'strip' | 'wash' | 'drill and tap' | 'dry fit' | 'repair' | 'prime',
    state: 'to do' | 'done',
    partKeys = ['body'],
  ) => makeTask(key, { tags: [tag], state, partKeys });
  const tasks = [
    task('strip:body', 'strip', 'done'),
    task('wash:body', 'wash', 'to do'),
    task('wash:base', 'wash', 'to do', ['base']),
    task('mend:body', 'repair', 'done'),
    task('tap', 'drill and tap', 'done'),
    task('dry-fit', 'dry fit', 'to do', []),
    task('prime:body', 'prime', 'to do'),
  ];

  it('names what must be true, and what is missing for it', () => {
    const gate = checkPrimingGate(tasks, 'body', now)!;
    expect(gate.map((line) => [line.what.split(',')[0], line.isMet])).deep.equal([
      ['Paint off', false],
      ['Straight', true],
      ['Holes drilled and tapped', true],
      ['Fitted dry: axles', false],
    ]);
    expect(gate[0]!.missing).deep.equal(['wash:body']);
  });

  it('waits for a mend to cure, and says nothing of a part that is not primed', () => {
    const cured = (lookedAt: string | null = null) =>
      tasks.map((one) =>
        one.key === 'mend:body' ? { ...one, doneAt: '2026-01-01T09:30:00Z', passiveMin: 60, lookedAt } : one,
      );
    const mended = (at: Date, lookedAt?: string) =>
      checkPrimingGate(cured(lookedAt), 'body', at)!.find((line) => line.what.startsWith('Straight'))!;
    expect(mended(now)).deep.include({ isMet: false, missing: ['mend:body (not dry or set yet)'] });
    expect(mended(now, '2026-01-01T09:50:00Z').isMet).equal(true);
    expect(mended(new Date('2026-01-01T12:00:00Z')).isMet).equal(true);
    expect(checkPrimingGate(tasks, 'base', now)).equal(null);
  });
});

describe('bench hours', () => {
  const needs = { tools: [], booth: false, bath: null, stays: true, air: null };
  const soak = makeTask('soak', { handsOnMin: 10, watchedMin: 30, needs });
  // A Thursday in Lisbon, where the winter clock is the world's.
  const local = (hour: number, minute = 0) => new Date(Date.UTC(2026, 0, 1, hour, minute));
  const people = [{ name: 'A', exceptions: [], sessions: [{ weekday: 4, startHour: 18, minutes: 120 }] }];
  const codes = (at: Date, task = soak, zone = 'Europe/Lisbon') =>
    checkBenchHours(task, people, at, zone).map((one) => one.code);

  it('hold back what cannot be watched to its end', () => {
    expect(codes(local(18))).deep.equal([]);
    expect(codes(local(19, 20))).deep.equal([]);
    expect(codes(local(19, 21))).deep.equal(['outside-bench-hours']);
    expect(codes(local(17, 59))).deep.equal(['outside-bench-hours']);
    expect(codes(new Date(Date.UTC(2026, 0, 2, 18)))).deep.equal(['outside-bench-hours']);
  });

  it('do not matter to what nobody watches, nor where no calendar is', () => {
    expect(codes(local(3), makeTask('look'))).deep.equal([]);
    expect(checkBenchHours(soak, [], local(3), 'UTC')).deep.equal([]);
  });

  it('are hours of the bench, wherever the server and the season are', () => {
    // 18:00 in Auckland on that Thursday is 05:00 of the world's clock.
    expect(codes(local(5), soak, 'Pacific/Auckland')).deep.equal([]);
    expect(codes(local(18), soak, 'Pacific/Auckland')).deep.equal(['outside-bench-hours']);
    // Summer time: 18:00 in Lisbon is 17:00 of the world's clock.
    expect(codes(new Date(Date.UTC(2026, 6, 2, 17)))).deep.equal([]);
    expect(codes(new Date(Date.UTC(2026, 6, 2, 16, 59)))).deep.equal(['outside-bench-hours']);
  });
});

describe('tools', () => {
  const gun = {
    id: 'g',
    version: 1,
    name: 'Airbrush',
    kind: 'airbrush' as const,
    state: 'ready' as const,
    note: '',
    holds: '',
  };
  const withGun = { tools: ['airbrush' as const], booth: true, bath: null, stays: false, air: null };
  const spray = makeTask('colour', { needs: withGun, colours: ['Red'] });
  const codes = (tools: Parameters<typeof checkTools>[1], task = spray) =>
    checkTools(task, tools).map((one) => one.code);

  it('start nothing when they are lent, worn or incomplete', () => {
    for (const state of ['lent', 'worn', 'incomplete', 'to be made'] as const)
      expect(codes([{ ...gun, state }]), state).deep.equal(['tool-not-ready']);
    expect(
      codes([
        { ...gun, state: 'lent' },
        { ...gun, id: 'h' },
      ]),
    ).deep.equal([]);
  });

  it('take another colour only when they are clean', () => {
    expect(codes([{ ...gun, holds: 'Red' }])).deep.equal([]);
    expect(codes([{ ...gun, holds: 'Black' }])).deep.equal(['gun-not-clean']);
    expect(codes([{ ...gun, state: 'needs cleaning' }])).deep.equal(['gun-not-clean']);
    expect(codes([{ ...gun, holds: 'Black' }], makeTask('gun-ready', { needs: withGun }))).deep.equal([]);
  });

  it('are not asked about when nobody wrote them down, or when cans are used', () => {
    expect(codes([])).deep.equal([]);
    expect(codes([{ ...gun, state: 'lent' }], makeTask('colour', { colours: ['Red'] }))).deep.equal([]);
  });
});

describe('what changed', () => {
  const plain = createPlainModel();

  it('is said in words: schools, findings, materials, joints', () => {
    const parts = plain.parts.map((part) =>
      part.key === 'body'
        ? makePart('body', { ...part, material: 'lead alloy', findings: [makeFinding('bent', { note: 'roof' })] })
        : part,
    );
    const [post, ...opening] = plain.opening;
    const after = { ...plain, parts, opening, closed: [post!], decisions: { S11: 'caustic' } } as const;
    expect(explainChange(plain, after)).deep.equal([
      'Stripping: caustic instead of gel',
      'body: lead alloy instead of zinc alloy',
      'body: found bent, roof',
      'front-post: stays closed now',
    ]);
    expect(explainChange(after, plain)).include('body: no longer bent, roof').and.include('front-post: opened now');
    expect(explainChange(plain, plain)).deep.equal([]);
  });

  it('is another coat, not how much of it is poured', () => {
    const withCoat = (changes: Partial<PlanCoat>) =>
      createPlainModel({ parts: [makePart('body', { coats: [makeCoat('colour', changes)] })] });
    expect(explainChange(withCoat({}), withCoat({ pour: 2.4 }))).deep.equal([]);
    expect(explainChange(withCoat({}), withCoat({ coats: 3 }))).deep.equal(['body: another coat is planned']);
    expect(explainChange(withCoat({}), withCoat({ name: 'Slate blue' }))).deep.equal(['body: another coat is planned']);
  });

  it('puts the job before the house, with whose reason it is', () => {
    const house = [
      { school: 'S11', option: 'caustic', reason: 'a tub' },
      { school: 'S1', option: 'dress all', reason: 'taste' },
      { school: 'S2', option: 'superglue', reason: 'misspelt' } as never,
    ] as const;
    expect(mergeDecisions(house, [{ school: 'S11', option: 'dip', reason: 'thick' }])).deep.equal({
      decisions: { S11: 'dip', S1: 'dress all' },
      reasons: { S11: { whose: 'job', reason: 'thick' }, S1: { whose: 'house', reason: 'taste' } },
    });
  });
});
