import { expect } from 'chai';
import { faultsOf, testRequests, type RequestCase } from '../test/support/requestCases.ts';
import {
  AddPot,
  ChangeHouseStyle,
  ChangePot,
  ChangeProduct,
  CreateCapture,
  CreateMix,
  KeepMix,
  LogPatch,
  LogPour,
  LogWet,
  MeasureColour,
  MovePot,
  PourOnScales,
  ShelfFile,
  UndoStep,
} from './index.ts';

const LAB = [41, -3, -14];
const SD = [0.5, 0.6, 0.6];
const line = { productId: 'p', name: 'Slate', ml: 1.2 };

const CASES: readonly RequestCase[] = [
  {
    type: CreateCapture,
    good: {
      ...{ specimenPartId: 'part', place: 'sheltered', note: '', lab: LAB, sd: SD, spectrum: null },
      ...{ geometry: 'gloss left out', method: 'photo', photoId: null, point: null, who: 'Imke Varga' },
    },
    wrong: [
      ['specimenPartId', ''],
      ['place', 'under it'],
      ['note', 'x'.repeat(201)],
      ['lab', [41, -3]],
      ['lab', [41, -3, 'blue']],
      ['lab', [NaN, 0, 0]],
      ['sd', [-1, 0, 0]],
      ['spectrum', Array.from({ length: 30 }, () => 0.5)],
      ['spectrum', Array.from({ length: 31 }, () => 2)],
      ['geometry', 'shiny'],
      ['method', 'guessed'],
      ['photoId', 7],
      ['point', { x: 'left', y: 2 }],
      ['point', { x: 1, y: 2, z: 3 }],
      ['who', ''],
    ],
  },
  {
    type: CreateMix,
    good: {
      ...{ jobId: 'j', specimenPartId: null, captureId: null, name: 'Slate', target: LAB, targetA: LAB },
      ...{ geometry: 'gloss included', needMl: 2, tolerance: 1, dosing: 'drops', doseMl: 0.05, way: 'nearest pot' },
      recipe: [line],
    },
    wrong: [
      ['jobId', ''],
      ['name', ''],
      ['target', null],
      ['targetA', [1, 2, 3, 4]],
      ['needMl', 0.1],
      ['needMl', 'two'],
      ['tolerance', 0],
      ['dosing', 'spoons'],
      ['doseMl', 1],
      ['way', 'by luck'],
      ['recipe', []],
      ['recipe', Array.from({ length: 6 }, () => line)],
      ['recipe', [{ ...line, ml: -1 }]],
      ['recipe', [{ ...line, colour: 'red' }]],
    ],
  },
  {
    type: LogPour,
    good: { productId: 'p', ml: 0.4, source: 'counted', who: 'Imke Varga' },
    wrong: [
      ['productId', ''],
      ['ml', 0],
      ['ml', Infinity],
      ['ml', 201],
      ['source', 'felt'],
      ['who', ''],
    ],
  },
  {
    type: LogPatch,
    good: { lab: LAB, sd: SD, how: 'typed', words: null, who: 'Imke Varga' },
    wrong: [
      ['lab', []],
      ['sd', [1, 1, 61]],
      ['how', 'by ear'],
      ['words', [{ step: 'slight', way: 1 }]],
      ['words', Array.from({ length: 3 }, () => ({ step: 'huge', way: 1 }))],
      ['words', Array.from({ length: 3 }, () => ({ step: 'none', way: 0 }))],
      ['who', 3],
    ],
  },
  {
    type: LogWet,
    good: { lab: LAB, sd: [0.3, 0.3, 0.3], how: 'spectrophotometer', words: null, who: 'Imke Varga' },
    wrong: [
      ['lab', [1]],
      ['sd', [-1, 0, 0]],
      ['how', 'typed'],
      ['words', [{ step: 'slight', way: 1 }]],
      ['who', ''],
    ],
  },
  {
    type: UndoStep,
    good: { stepId: 's', who: 'Imke Varga' },
    wrong: [
      ['stepId', ''],
      ['who', ''],
    ],
  },
  {
    type: KeepMix,
    good: { name: 'Slate', place: 'Jar 4', areaId: null, who: 'Imke Varga' },
    wrong: [
      ['name', ''],
      ['name', 'x'.repeat(61)],
      ['place', null],
      ['areaId', 5],
      ['who', ''],
    ],
  },
  {
    type: AddPot,
    good: {
      ...{ line: 'Tern', name: 'Stone', kind: 'colour', binder: 'enamel', gloss: 'satin' },
      ...{ colourHex: '#C9C2AE', leftMl: 12, place: '' },
    },
    wrong: [
      ['line', ''],
      ['name', ''],
      ['kind', 'soup'],
      ['binder', 'egg'],
      ['gloss', 'shiny'],
      ['colourHex', 'red'],
      ['colourHex', '#12345'],
      ['leftMl', -1],
      ['leftMl', '12'],
      ['place', 4],
    ],
  },
  {
    type: ShelfFile,
    good: { format: 'cgats', text: 'CGATS.17', geometry: 'gloss left out', take: 'good lines' },
    wrong: [
      ['format', 'pdf'],
      ['text', ''],
      ['text', 'x'.repeat(6_000_001)],
      ['geometry', ''],
      ['take', 'some'],
    ],
  },
  {
    type: MeasureColour,
    good: { what: 'wet patch', id: 'm', place: 'exposed' },
    wrong: [
      ['what', 'sky'],
      ['id', ''],
      ['place', 'there'],
    ],
  },
  {
    type: PourOnScales,
    good: { grams: 0.4 },
    wrong: [
      ['grams', 0],
      ['grams', 301],
      ['grams', null],
    ],
  },
  {
    type: ChangePot,
    good: { version: 1, place: 'Shelf 1', openedOn: '2026-03-01' },
    mayMiss: ['place', 'openedOn'],
    wrong: [
      ['version', 0],
      ['place', null],
      ['openedOn', '2026-02-30'],
    ],
  },
  {
    type: MovePot,
    good: { move: 'bought', amount: 3, jobId: null, price: 2.5, batch: 'B7', who: 'Nell', note: '' },
    mayMiss: [],
    wrong: [
      ['move', 'reserved'],
      ['amount', 'some'],
      ['amount', -1],
      ['amount', 5001],
      ['jobId', 4],
      ['price', -1],
      ['batch', null],
      ['who', ''],
      ['note', null],
    ],
  },
  {
    type: ChangeProduct,
    good: { version: 1, gloss: 'pearl', pricePerMl: 0, densityGPerMl: 1.1, dropMl: 0.03 },
    mayMiss: ['gloss', 'pricePerMl', 'densityGPerMl', 'dropMl'],
    wrong: [
      ['gloss', null],
      ['pricePerMl', -1],
      ['densityGPerMl', 0],
      ['dropMl', 0.3],
    ],
  },
];

describe('what the colour lab and the shelf send', () => {
  testRequests(CASES);

  it('a house’s card has 28 fields and its white, each with L*, a*, b*, or is as it was designed', async () => {
    const card = Array.from({ length: 29 }, () => [50, 0, 0]);
    for (const colourCard of [card, null])
      expect(await faultsOf(ChangeHouseStyle, { version: 1, colourCard })).deep.equal([]);
    for (const colourCard of [
      card.slice(1),
      [...card, card[0]],
      [...card.slice(1), [1, 2]],
      [...card.slice(1), [1, 2, 'x']],
      'card',
      [...card.slice(1), [NaN, 0, 0]],
    ])
      expect(await faultsOf(ChangeHouseStyle, { version: 1, colourCard })).deep.equal(['colourCard']);
  });

  it('a capture may name its place in a photograph, and a pot may have lost its opening day', async () => {
    const capture = { ...CASES[0]!.good, photoId: 'x', point: { x: 10.5, y: 20 } };
    expect(await faultsOf(CreateCapture, capture)).deep.equal([]);
    expect(await faultsOf(ChangePot, { version: 2, openedOn: null })).deep.equal([]);
  });
});
