import { expect } from 'chai';
import fc from 'fast-check';
import { guardCell, unguardCell } from './formulaCells.ts';

describe('cells that a spreadsheet would run', () => {
  it('stand behind an apostrophe, plain text and numbers do not', () => {
    for (const text of ['=1+1', '+cmd', '@sum', '-x', '\tx', "'=1"]) expect(guardCell(text)).equal(`'${text}`);
    for (const text of ['', 'x=1', '-4.5', "it's", "'quoted'", 'pale green']) expect(guardCell(text)).equal(text);
  });

  it('come back as they went, whatever they are', () => {
    const text = fc.string({ unit: fc.constantFrom("'", '=', '+', '-', '@', '\t', '1', '.', 'a'), maxLength: 6 });
    fc.assert(fc.property(text, (one) => unguardCell(guardCell(one)) === one));
    fc.assert(fc.property(text, (one) => !/^[=+@\t\r]/.test(guardCell(one))));
  });
});
