import { expect } from 'chai';
import { makeLog, makeTask } from '../../test/support/planWorld.ts';
import { findMissingSides } from '../photo/findMissingSides.ts';
import type { Job } from '../model/work.ts';
import type { CoatingLayer, SpecimenPart, Want } from '../model/workpiece.ts';
import { checkSignOff } from '../gates/checkSignOff.ts';
import { createRecord } from './createRecord.ts';
import type { RecordColour, RecordInput, RecordMix, RecordPart } from './recordInput.ts';
import { describeDisclosure } from './describeDisclosure.ts';
import { NOTHING_DONE } from '../facts/selectPartDone.ts';

const job: Job = {
  id: 'j',
  version: 1,
  number: 'SG-04',
  title: 'Clay-pit Dumper',
  scope: 'full',
  target: 'as issued',
  why: 'because',
  station: 'sign-off',
  dueOn: null,
  intakeOn: '2026-11-01',
  signedOffAt: '2026-11-25T19:00:00Z',
  signedOffBy: 'Osric Bell',
};
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
    method: 'gel',
    handsOnMin: 12,
    partKeys: ['body'],
    because: 'Painted.',
  },
});
const NOW = new Date('2026-11-25T18:30:00Z');
const record = (parts: readonly RecordPart[], changes: Partial<RecordInput> = {}): RecordInput => ({
  job,
  log: [
    makeLog(STRIP, 'done', { at: '2026-11-20T18:00:00Z', note: 'two passes', partNames: ['Body'] }),
    makeLog(makeTask('open:p', { handsOnMin: 99 }), 'not needed', { at: '2026-11-21T18:00:00Z', note: 'stays closed' }),
  ],
  photos: [],
  colours: [],
  mixes: [],
  specimens: [{ name: 'Dumper', casting: '19/1', verdict: 'First issue', parts }],
  ...changes,
});

const bare = (own: SpecimenPart, changes: Partial<RecordPart> = {}): RecordPart => ({
  ...{ part: own, findings: [], wants: [], comingsOff: [], done: NOTHING_DONE, layers: [] },
  ...changes,
});

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

describe('createRecord', () => {
  const made = createRecord(
    record([
      {
        part: part(),
        findings: [
          {
            ...{ id: 'f', version: 1, specimenPartId: 'p', kind: 'chips', severity: 1, note: 'edges' },
            ...{ pinnedTo: null, pinX: null, pinY: null, measuredValue: null, measuredUnit: null },
            ...{ feature: '', carriesLoad: null, mend: null },
          },
        ],
        comingsOff: [
          { id: 'o', version: 1, specimenPartId: 'p', fromSide: 'top', note: 'notch to the front', photoId: null },
        ],
        wants: [want('solved'), want('waived', 'too dear')],
        done: NOTHING_DONE,
        layers: [applied],
      },
    ]),
  );

  it('keeps the old colours and what was mixed for them', () => {
    const colour: RecordColour = {
      ...{ part: 'body', place: 'sheltered', note: 'under the base', lab: [41, -3, -14], sd: [0.5, 0.5, 0.5] },
      ...{ geometry: 'gloss left out', method: 'photo', takenAt: '2026-11-20T18:00:00Z', who: 'Imke Varga' },
    };
    const mix: RecordMix = {
      ...{ name: 'Slate', part: 'body', target: [41, -3, -14], patches: 2, lastDe00: 0.6, isKept: true },
      paints: [{ name: 'Marlstone Slate blue', ml: 1.4 }],
    };
    const { colours, mixes, formatVersion } = createRecord(record([], { colours: [colour], mixes: [mix] }));
    expect({ colours, mixes, formatVersion }).deep.equal({ colours: [colour], mixes: [mix], formatVersion: 5 });
  });

  it('tells of each part what was found, wanted and put on', () => {
    const [body] = made.specimens[0]!.parts;
    expect(body!.findings).deep.equal(['chips: edges']);
    expect(body!.cameOff).deep.equal(['from the top: notch to the front']);
    expect(body!.wants).deep.equal(['a tyre: solved, donor', 'a tyre: waived, too dear']);
    expect(body!.coatsApplied[0]).deep.include({
      area: 'outside',
      name: 'Deep green',
      thicknessUm: 22,
      tempC: 20,
      appliedBy: 'Imke Varga',
    });
  });

  it('names the work with who and when, and counts the minutes of what was done', () => {
    expect(made.work[0]).deep.equal({
      ...{ task: 'Brush gel stripper on the body', parts: ['Body'], by: 'gel', because: 'Painted.', products: [] },
      ...{ measures: [], who: 'Osric Bell', at: '2026-11-20T18:00:00Z', act: 'done', note: 'two passes' },
    });
    expect(made.handsOnMinutesPlanned).equal(12);
  });

  it('survives being written as JSON and read again', () => expect(JSON.parse(JSON.stringify(made))).deep.equal(made));
});

describe('describeDisclosure', () => {
  it('says plainly that it was restored, repainted, and what is not original', () => {
    const text = describeDisclosure(
      record([bare(part(), { layers: [applied] }), bare(part({ name: 'Tyres', origin: 'bought' }))]),
    );
    expect(text)
      .include('has been restored')
      .include('Repainted: body.')
      .include('tyres (bought)')
      .include('not a toy for a child');
  });

  it('says "cleaned only" only when nothing was painted or replaced', () => {
    const cleaned = { job: { ...job, scope: 'clean only' as const } };
    expect(describeDisclosure(record([bare(part())], { ...cleaned, log: [makeLog(makeTask('dust'), 'done')] }))).match(
      /^Cleaned only/,
    );
    expect(describeDisclosure(record([bare(part())], { ...cleaned, log: [] }))).match(/^Nothing was logged/);
    expect(describeDisclosure(record([bare(part(), { layers: [applied] })], { ...cleaned, log: [] }))).match(
      /^This model has been restored/,
    );
  });

  it('goes by what was logged: stripped and bare, planned and not put on, rejected, of unknown origin', () => {
    const planned = { ...applied, stage: 'planned', kind: 'colour' } as typeof applied;
    const rejected = { ...applied, kind: 'colour', rejection: { at: '', by: '', because: 'runs' } } as typeof applied;
    const stripped = { ...NOTHING_DONE, stripped: 'gel' as const };
    const text = describeDisclosure(
      record([
        bare(part(), { done: stripped, layers: [planned, rejected] }),
        bare(part({ name: 'Wheels', origin: 'unknown' })),
      ]),
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
    const told = (layers: (typeof applied)[]) =>
      describeDisclosure(record([bare(part(), { layers: layers as never })]));
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
