import { expect } from 'chai';
import { keepNoNumber } from './keepNoNumber.ts';

describe('what is sent of a number', () => {
  it('a typed word is not sent as nothing', () => {
    const body = { price: NaN, size: [NaN, 2, null], far: Infinity, name: 'x', none: null };
    expect(JSON.parse(JSON.stringify(body, keepNoNumber))).deep.equal({
      ...{ price: 'NaN', size: ['NaN', 2, null], far: 'Infinity', name: 'x', none: null },
    });
  });
});
