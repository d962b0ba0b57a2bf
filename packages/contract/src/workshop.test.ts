import { expect } from 'chai';
import { faultsOf, testRequests, type RequestCase } from '../test/support/requestCases.ts';
import {
  BeginPass,
  ChangeInstrument,
  CreateBath,
  CreateHouseChoice,
  CreateTool,
  CreateVessel,
  EndPass,
  TurnDial,
} from './index.ts';

const CASES: readonly RequestCase[] = [
  {
    type: CreateTool,
    good: { name: 'Gun', kind: 'airbrush', state: 'ready', note: '' },
    wrong: [
      ['name', ''],
      ['name', 7],
      ['kind', 'spoon'],
      ['state', 'fine'],
      ['note', 'x'.repeat(301)],
    ],
  },
  {
    type: CreateVessel,
    good: { name: 'Tub', material: 'HDPE', lengthMm: 100, widthMm: 80, depthMm: 60, isRound: false },
    wrong: [
      ['material', 'tin'],
      ['lengthMm', 0],
      ['widthMm', '80'],
      ['depthMm', 2000],
      ['isRound', 'no'],
    ],
  },
  {
    type: CreateBath,
    good: {
      vesselId: 'v',
      kind: 'caustic',
      litres: 0.5,
      gramsPerLitre: 50,
      waterC: 15,
      madeAt: '2026-01-01T10:00:00Z',
    },
    wrong: [
      ['kind', 'acid'],
      ['litres', 0],
      ['gramsPerLitre', -1],
      ['waterC', 90],
      ['madeAt', 'yesterday'],
      ['vesselId', ''],
    ],
  },
  {
    type: BeginPass,
    good: {
      taskId: 't',
      specimenPartId: 'p',
      method: 'gel',
      layers: 2,
      bathId: null,
      minutes: 20,
      size: null,
      who: 'A',
    },
    wrong: [
      ['method', 'fire'],
      ['layers', 0],
      ['layers', 1.5],
      ['minutes', 0],
      ['minutes', 500],
      ['who', ''],
      ['size', { lengthMm: 0 }],
    ],
  },
  { type: EndPass, good: { result: 'bare' }, wrong: [['result', 'clean']] },
  {
    type: TurnDial,
    good: { setC: null },
    wrong: [
      ['setC', 20],
      ['setC', 300],
      ['setC', 'hot'],
    ],
  },
  {
    type: CreateHouseChoice,
    good: { school: 'S11', option: 'gel', reason: 'it works here' },
    wrong: [
      ['school', 'S0'],
      ['option', ''],
      ['reason', ''],
    ],
  },
];

describe('what the workshop and the house send', () => {
  testRequests(CASES);

  it('an instrument stands on this machine: loopback and nothing else', async () => {
    for (const url of ['', 'http://127.0.0.1:8123/probe', 'http://localhost/a/b.json', 'http://[::1]:9/'])
      expect(await faultsOf(ChangeInstrument, { version: 1, url }), url).deep.equal([]);
    for (const url of [
      'https://127.0.0.1/',
      'http://10.0.0.1/',
      'http://127.0.0.1@evil.example/',
      'file:///etc',
      'http://localhost.example/',
    ])
      expect(await faultsOf(ChangeInstrument, { version: 1, url }), url).deep.equal(['url']);
  });

  it('a size in the bath is checked inside', async () => {
    const pass = CASES.find((one) => one.type === BeginPass)!.good;
    const size = { lengthMm: 60, widthMm: 30, heightMm: 20, volumeMl: 5 };
    expect(await faultsOf(BeginPass, { ...pass, size })).deep.equal([]);
    expect(await faultsOf(BeginPass, { ...pass, size: { ...size, volumeMl: -1 } })).deep.equal(['size']);
  });
});
