import { expect } from 'chai';
import { findFirst } from './findFirst.ts';

describe('findFirst', () => {
  it('is where looking one by one finds it, at either end and nowhere too', () => {
    for (let count = 0; count < 20; count++)
      for (let from = 0; from <= count; from++) expect(findFirst(count, (i) => i >= from)).equal(from);
  });
});
