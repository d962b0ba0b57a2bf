import { testRequests } from '../test/support/requestCases.ts';
import { ChangePrint, CreateWant, LogPrint, PutBackWant, SetBitHere, TakeWant } from './index.ts';

const BIT = { id: 'b', what: 'pin', amount: 1, by: 'drawer', thingId: null, isHere: false, price: null };

describe('what wants, their small bits and printed parts send', () => {
  testRequests([
    {
      type: SetBitHere,
      good: { isHere: true, price: null, who: 'Nell' },
      wrong: [
        ['isHere', 'yes'],
        ['price', 'dear'],
        ['price', -1],
        ['who', ''],
      ],
    },
    {
      type: TakeWant,
      good: { thingId: 't', amount: 2, origin: 'bought', who: 'Nell' },
      wrong: [
        ['thingId', ''],
        ['amount', 0],
        ['amount', 'NaN'],
        ['origin', 'found'],
        ['who', ''],
      ],
    },
    { type: PutBackWant, good: { who: 'Nell' }, wrong: [['who', '']] },
    {
      type: ChangePrint,
      good: { version: 1, name: 'Hopper', wanted: [21, null, 4.5], resin: 'Grey', note: '' },
      mayMiss: ['name', 'wanted', 'resin', 'note'],
      wrong: [
        ['name', ''],
        ['wanted', [21, null]],
        ['wanted', [0, null, null]],
        ['wanted', ['NaN', null, null]],
        ['wanted', null],
        ['resin', 4],
      ],
    },
    {
      type: LogPrint,
      good: { copies: 2, cure: '', measure: null, price: null, wantId: null, thingId: null, who: 'Nell', note: '' },
      wrong: [
        ['copies', 0],
        ['copies', 1.5],
        ['copies', 'NaN'],
        ['measure', { axis: 'w', mm: 4, sdMm: 0.03 }],
        ['measure', { axis: 'x', mm: 0, sdMm: 0.03 }],
        ['price', -1],
        ['who', ''],
      ],
    },
    {
      type: CreateWant,
      good: {
        ...{ specimenPartId: 'p', what: 'hook', state: 'open', solution: '', reason: '', dueOn: null },
        ...{ bits: [BIT], price: null },
      },
      mayMiss: ['bits', 'price'],
      wrong: [
        ['what', ''],
        ['bits', [{ ...BIT, what: '' }]],
        ['bits', [{ ...BIT, amount: 0 }]],
        ['bits', [{ ...BIT, by: 'post' }]],
        ['bits', [{ ...BIT, colour: 'red' }]],
        ['bits', [BIT, BIT]],
        ['bits', Array.from({ length: 31 }, (_, i) => ({ ...BIT, id: `b${i}` }))],
        ['price', 'NaN'],
        ['dueOn', 'soon'],
      ],
    },
  ]);
});
