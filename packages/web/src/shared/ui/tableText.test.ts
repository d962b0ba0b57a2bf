import { expect } from 'chai';
import { filterRows, writeCsv, writeTabbed } from './tableText.ts';

const rows = [
  { name: 'Slate blue', left: 12.5, note: 'old, "thick"' },
  { name: 'Maroon', left: null, note: '=1+1' },
];
const columns = [
  { heading: 'Name', read: (row: (typeof rows)[number]) => row.name },
  { heading: 'Left, ml', read: (row: (typeof rows)[number]) => row.left },
  { heading: 'Note', read: (row: (typeof rows)[number]) => row.note },
];

describe('a table as text', () => {
  it('finds rows by words of any column, in any order', () => {
    expect(filterRows(rows, columns, 'thick BLUE')).eql([rows[0]]);
    expect(filterRows(rows, columns, '12.5')).eql([rows[0]]);
    expect(filterRows(rows, columns, 'blue maroon')).eql([]);
    expect(filterRows(rows, columns, '  ')).equal(rows);
  });

  it('is copied with one line a row and a tab between cells', () => {
    expect(writeTabbed([{ ...rows[0]!, note: 'two\nlines\tand a tab' }], columns)).equal(
      'Name\tLeft, ml\tNote\nSlate blue\t12.5\ttwo lines and a tab',
    );
  });

  it('is written out as CSV in which nothing is a formula', async () => {
    expect(await writeCsv(rows, columns)).equal(
      'Name,"Left, ml",Note\r\nSlate blue,12.5,"old, ""thick"""\r\nMaroon,,"\'=1+1"',
    );
  });
});
