import { expect } from 'chai';
import { makeTask } from '../../test/support/planWorld.ts';
import { findMissingSides } from '../photo/findMissingSides.ts';
import type { Job } from '../model/work.ts';
import type { CoatingLayer, SpecimenPart, Want } from '../model/workpiece.ts';
import { checkSignOff } from '../gates/checkSignOff.ts';
import {
  createRecord,
  describeDisclosure,
  type RecordColour,
  type RecordInput,
  type RecordMix,
  type RecordPart,
} from './createRecord.ts';

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
  what: 'a tyre',
  dependentBits: '',
  state,
  solution: 'donor',
  reason,
  dueOn: null,
});
const part = (changes: Partial<SpecimenPart> = {}): SpecimenPart => ({
  id: 'p',
  version: 1,
  specimenId: 's',
  key: 'body',
  name: 'Body',
  role: 'body',
  material: 'zinc alloy',
  materialCertainty: 'sure',
  state: 'sound',
  origin: 'original',
  originNote: '',
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
} as CoatingLayer & { area: string };
const record = (parts: readonly RecordPart[], changes: Partial<RecordInput> = {}): RecordInput => ({
  job,
  tasks: [
    makeTask('strip', { state: 'done', handsOnMin: 12 }),
    makeTask('open', { state: 'not needed', handsOnMin: 99 }),
  ],
  log: [
    {
      id: 'e',
      taskId: 's.strip',
      jobId: 'j',
      who: 'Osric Bell',
      at: '2026-11-20T18:00:00Z',
      act: 'done',
      note: 'two passes',
    },
  ],
  photos: [],
  colours: [],
  mixes: [],
  specimens: [{ name: 'Dumper', casting: '19/1', verdict: 'First issue', parts }],
  ...changes,
});

describe('checkSignOff', () => {
  it('lets a job go whose wants are solved or waived with a reason and whose tasks are done', () => {
    const tasks = [makeTask('a', { state: 'done' }), makeTask('b', { state: 'not needed' })];
    expect(checkSignOff([want('solved'), want('waived', 'never had one')], tasks)).deep.equal([]);
    expect(checkSignOff([], [])).deep.equal([]);
  });

  it('names every open want, every waiver without a reason, every open task', () => {
    const refusals = checkSignOff(
      [want('open'), want('ordered'), want('waived', '  ')],
      [makeTask('a'), makeTask('b', { state: 'doing' })],
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
          },
        ],
        comingsOff: [
          { id: 'o', version: 1, specimenPartId: 'p', fromSide: 'top', note: 'notch to the front', photoId: null },
        ],
        wants: [want('solved'), want('waived', 'too dear')],
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
    expect({ colours, mixes, formatVersion }).deep.equal({ colours: [colour], mixes: [mix], formatVersion: 2 });
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
    expect(made.work).deep.equal([
      { task: 'strip', who: 'Osric Bell', at: '2026-11-20T18:00:00Z', act: 'done', note: 'two passes' },
    ]);
    expect(made.handsOnMinutesPlanned).equal(12);
  });

  it('survives being written as JSON and read again', () => expect(JSON.parse(JSON.stringify(made))).deep.equal(made));
});

describe('describeDisclosure', () => {
  it('says plainly that it was restored, repainted, and what is not original', () => {
    const text = describeDisclosure(
      record([
        { part: part(), findings: [], wants: [], comingsOff: [], layers: [applied] },
        { part: part({ name: 'Tyres', origin: 'bought' }), findings: [], wants: [], comingsOff: [], layers: [] },
      ]),
    );
    expect(text)
      .include('has been restored')
      .include('Repainted: body.')
      .include('tyres (bought)')
      .include('not a toy for a child');
  });

  it('says "cleaned only" only when nothing was painted or replaced', () => {
    const cleaned = { job: { ...job, scope: 'clean only' as const } };
    expect(
      describeDisclosure(record([{ part: part(), findings: [], wants: [], comingsOff: [], layers: [] }], cleaned)),
    ).match(/^Cleaned only/);
    expect(
      describeDisclosure(
        record([{ part: part(), findings: [], wants: [], comingsOff: [], layers: [applied] }], cleaned),
      ),
    ).match(/^This model has been restored/);
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
  });
});
