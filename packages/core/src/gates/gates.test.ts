import { expect } from 'chai';
import { createPlainModel, makeFinding, makePart, makeTask, makeTimer } from '../../test/support/planWorld.ts';
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
    const gate = checkPrimingGate(tasks, 'body', [], now)!;
    expect(gate.map((line) => [line.what.split(',')[0], line.isMet])).deep.equal([
      ['Paint off', false],
      ['Straight', true],
      ['Holes drilled and tapped', true],
      ['Fitted dry: new parts', false],
    ]);
    expect(gate[0]!.missing).deep.equal(['wash:body']);
  });

  it('waits for a mend to cure, and says nothing of a part that is not primed', () => {
    const cure = makeTimer({ taskId: 's.mend:body', kind: 'cure', endsAt: '2026-01-01T11:00:00Z' });
    const mended = (at: Date) =>
      checkPrimingGate(tasks, 'body', [cure], at)!.find((line) => line.what.startsWith('Straight'))!;
    expect(mended(now)).deep.include({ isMet: false, missing: ['mend:body (still cures)'] });
    expect(mended(new Date('2026-01-01T12:00:00Z')).isMet).equal(true);
    expect(checkPrimingGate(tasks, 'base', [], now)).equal(null);
  });
});

describe('bench hours', () => {
  const soak = makeTask('soak', { handsOnMin: 10, watchedMin: 30 });
  const local = (hour: number, minute = 0) => new Date(2026, 0, 1, hour, minute);
  const people = [{ name: 'A', sessions: [{ weekday: local(0).getDay(), startHour: 18, minutes: 120 }] }];
  const codes = (at: Date, task = soak) => checkBenchHours(task, people, at).map((one) => one.code);

  it('hold back what cannot be watched to its end', () => {
    expect(codes(local(18))).deep.equal([]);
    expect(codes(local(19, 20))).deep.equal([]);
    expect(codes(local(19, 21))).deep.equal(['outside-bench-hours']);
    expect(codes(local(17, 59))).deep.equal(['outside-bench-hours']);
    expect(codes(new Date(2026, 0, 2, 18))).deep.equal(['outside-bench-hours']);
  });

  it('do not matter to what nobody watches, nor where no calendar is', () => {
    expect(codes(local(3), makeTask('look'))).deep.equal([]);
    expect(checkBenchHours(soak, [], local(3))).deep.equal([]);
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
  const spray = makeTask('colour', { tags: ['spray'], colours: ['Red'] });
  const codes = (tools: Parameters<typeof checkTools>[1], usesGun = true, task = spray) =>
    checkTools(task, tools, usesGun).map((one) => one.code);

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

  it('take another colour only when they are clean (O35)', () => {
    expect(codes([{ ...gun, holds: 'Red' }])).deep.equal([]);
    expect(codes([{ ...gun, holds: 'Black' }])).deep.equal(['gun-not-clean']);
    expect(codes([{ ...gun, state: 'needs cleaning' }])).deep.equal(['gun-not-clean']);
    expect(codes([{ ...gun, holds: 'Black' }], true, makeTask('gun-ready', { tags: ['gun ready'] }))).deep.equal([]);
  });

  it('are not asked about when nobody wrote them down, or when cans are used', () => {
    expect(codes([])).deep.equal([]);
    expect(codes([{ ...gun, state: 'lent' }], false)).deep.equal([]);
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
    const after = { ...plain, parts, opening, closed: [post!], decisions: { S11: 'caustic' } };
    expect(explainChange(plain, after)).deep.equal([
      'Stripping: caustic instead of gel (S11)',
      'body: lead alloy instead of zinc alloy',
      'body: found bent, roof',
      'front-post: stays closed now',
    ]);
    expect(explainChange(after, plain)).include('body: no longer bent, roof').and.include('front-post: opened now');
    expect(explainChange(plain, plain)).deep.equal([]);
  });

  it('puts the job before the house, with whose reason it is', () => {
    const house = [
      { school: 'S11', option: 'caustic', reason: 'a tub' },
      { school: 'S1', option: 'dress all', reason: 'taste' },
    ];
    expect(mergeDecisions(house, [{ school: 'S11', option: 'dip', reason: 'thick' }])).deep.equal({
      decisions: { S11: 'dip', S1: 'dress all' },
      reasons: { S11: 'on this job, thick', S1: 'house style, taste' },
    });
  });
});
