import { expect } from 'chai';
import { makeLog, makeTask } from '../../test/support/planWorld.ts';
import { findMissingSides } from '../photo/findMissingSides.ts';
import type { CoatingLayer, SpecimenPart, Want } from '../model/workpiece.ts';
import { checkSignOff } from '../gates/checkSignOff.ts';
import type { TaskLog } from '../model/task.ts';
import type { DisclosedPart } from './recordInput.ts';
import { describeDisclosure } from './describeDisclosure.ts';
import { NOTHING_DONE } from '../facts/selectPartDone.ts';

const want = (state: Want['state'], reason = ''): Want => ({
  id: 'w',
  version: 1,
  specimenPartId: 'p',
  kind: 'part',
  feature: '',
  getBy: null,
  what: 'a tyre',
  bits: [],
  state,
  solution: 'donor',
  origin: 'donor',
  reason,
  dueOn: null,
  price: null,
  taken: null,
});
const part = (changes: Partial<SpecimenPart> = {}): SpecimenPart => ({
  id: 'p',
  version: 1,
  specimenId: 's',
  key: 'body',
  name: 'Body',
  isKept: false,
  role: 'body',
  material: 'zinc alloy',
  materialCertainty: 'sure',
  state: 'sound',
  origin: 'original',
  originNote: '',
  takenFromId: null,
  ...changes,
});
const applied = {
  areaId: 'a',
  area: 'outside',
  stage: 'applied',
  name: 'Deep green',
  thicknessUm: 22,
  thicknessOrigin: 'product sheet',
  tempC: 20,
  appliedAt: '2026-11-20T19:00:00Z',
  appliedBy: 'Imke Varga',
  rejection: null,
  removedAt: null,
  ...{ keyedAt: null, coats: null, isMist: false, how: null, decalMm: null },
} as CoatingLayer & { area: string };
const STRIP = makeTask('strip:body', {
  ...{
    title: 'Brush gel stripper on the body',
    act: 'strip',
    method: 'gel',
    handsOnMin: 12,
    partKeys: ['body'],
    because: 'Painted.',
    specimenId: 's',
  },
});
const NOW = new Date('2026-11-25T18:30:00Z');
const disclosed = (own: SpecimenPart, changes: Partial<DisclosedPart> = {}): DisclosedPart => ({
  ...{ part: own, of: '', wants: [], done: NOTHING_DONE, layers: [] },
  ...changes,
});
const LOG = [
  makeLog(STRIP, 'done', { at: '2026-11-20T18:00:00Z', note: 'two passes', partNames: ['Body'] }),
  makeLog(makeTask('open:p', { handsOnMin: 99 }), 'not needed', { at: '2026-11-21T18:00:00Z', note: 'stays closed' }),
];
describe('checkSignOff', () => {
  it('lets a job go whose wants are solved or waived with a reason and whose tasks are done', () => {
    const tasks = [makeTask('a', { state: 'done' }), makeTask('b', { state: 'not needed' })];
    expect(checkSignOff([want('solved'), want('waived', 'never had one')], tasks, NOW)).deep.equal([]);
    expect(checkSignOff([], [], NOW)).deep.equal([]);
  });

  it('holds back what is still wet, until the clock or somebody says that it is dry', () => {
    const wet = makeTask('colour:a:outside', { state: 'done', passiveMin: 240, doneAt: '2026-11-25T16:30:00Z' });
    expect(checkSignOff([], [wet], NOW).map((one) => one.code)).deep.equal(['still-waiting']);
    expect(checkSignOff([], [wet], new Date('2026-11-25T20:30:00Z'))).deep.equal([]);
    expect(checkSignOff([], [{ ...wet, lookedAt: '2026-11-25T18:00:00Z' }], NOW)).deep.equal([]);
    expect(checkSignOff([], [{ ...wet, lookedAt: '2026-11-25T16:00:00Z' }], NOW)).length(1);
  });

  it('names every open want, every waiver without a reason, every open task', () => {
    const refusals = checkSignOff(
      [want('open'), want('ordered'), want('waived', '  ')],
      [makeTask('a'), makeTask('b', { state: 'doing' })],
      NOW,
    );
    expect(refusals.map((refusal) => refusal.code)).deep.equal([
      'want-open',
      'want-open',
      'want-open',
      'task-open',
      'task-open',
    ]);
    expect(refusals[3]!.message).equal('"a" is not done.');
    expect(refusals[4]!.message).equal('"b" is still under way.');
  });
});

describe('describeDisclosure', () => {
  it('says plainly that it was restored, repainted, and what is not original', () => {
    const text = describeDisclosure(
      [disclosed(part(), { layers: [applied] }), disclosed(part({ name: 'Tyres', origin: 'bought' }))],
      LOG,
      true,
    );
    expect(text)
      .include('has been restored')
      .include('Repainted: body.')
      .include('tyres (bought)')
      .include('not a toy for a child');
  });

  it('says "cleaned only" only when nothing was painted or replaced', () => {
    const say = (layers: (typeof applied)[], log: TaskLog[]) =>
      describeDisclosure([disclosed(part(), { layers })], log, true);
    expect(say([], [makeLog(makeTask('dust'), 'done')])).match(/^Cleaned only/);
    expect(say([], [])).match(/^Nothing was logged/);
    expect(say([applied], [])).match(/^This model has been restored/);
  });

  it('calls nothing restored that is still worked on, and tells parts of several models apart', () => {
    const two = [
      disclosed(part(), { layers: [applied], of: 'Tug' }),
      disclosed(part({ id: 'q' }), { layers: [applied], of: 'Trolley' }),
    ];
    const text = describeDisclosure(two, LOG, false);
    expect(text).include('The work on this model is not finished.').not.include('has been restored');
    expect(text).include('Repainted: body of Tug, body of Trolley.');
  });

  it('goes by what was logged: stripped and bare, planned and not put on, rejected, of unknown origin', () => {
    const planned = { ...applied, stage: 'planned', kind: 'colour' } as typeof applied;
    const rejected = { ...applied, kind: 'colour', rejection: { at: '', by: '', because: 'runs' } } as typeof applied;
    const stripped = { ...NOTHING_DONE, stripped: 'gel' as const };
    const text = describeDisclosure(
      [
        disclosed(part(), { done: stripped, layers: [planned, rejected] }),
        disclosed(part({ name: 'Wheels', origin: 'unknown' })),
      ],
      LOG,
      true,
    );
    expect(text)
      .include('Stripped and bare: body.')
      .include('Planned and not put on: Deep green on the body.')
      .include('A first coat was rejected: body.')
      .include('Of unknown origin: wheels.')
      .not.include('Not original')
      .not.include('Repainted');
    // What is on it is not said to be missing; of two planned and one on, one is.
    const onIt = { ...planned, stage: 'applied' } as typeof applied;
    const told = (layers: (typeof applied)[]) => describeDisclosure([disclosed(part(), { layers })], LOG, true);
    expect(told([planned, onIt]))
      .include('Repainted: body.')
      .and.not.include('Planned and not put on');
    expect(told([planned, planned, onIt])).include('Planned and not put on: Deep green on the body.');
  });
});

describe('findMissingSides', () => {
  it('asks for six sides and counts the stage only', () => {
    expect(findMissingSides([], 'before')).deep.equal(['left', 'right', 'front', 'rear', 'top', 'base']);
    const photos = [
      { stage: 'before', side: 'left' },
      { stage: 'after', side: 'right' },
      { stage: 'before', side: 'detail' },
    ] as const;
    expect(findMissingSides(photos, 'before')).deep.equal(['right', 'front', 'rear', 'top', 'base']);
    expect(findMissingSides(photos, 'during')).deep.equal([]);
  });
});
