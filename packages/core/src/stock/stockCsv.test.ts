import { expect } from 'chai';
import { createSeededRandom } from '../numeric/seededRandom.ts';
import { readStockCsv, STOCK_COLUMNS, writeStockCsv, type StockLine } from './stockCsv.ts';

const AXLE: Omit<StockLine, 'lineNumber'> = {
  ...{ kind: 'axle', name: 'Bright axle', drawer: 'B3', amount: 12, reorderAt: 4, unitPrice: 0.35 },
  ...{ supplier: 'Fennimar Axle', batch: '7', sizes: { diameter: 1.2, length: 30, headHeight: 0.6 } },
  ...{ traits: { ends: 'one domed', finish: 'bright' }, note: '=not a formula' },
};
const WIRE: Omit<StockLine, 'lineNumber'> = {
  ...{ kind: 'wire', name: 'Brass, half round; "soft"', drawer: '', amount: 812.5, reorderAt: null, unitPrice: null },
  ...{ supplier: '', batch: '', sizes: { diameter: 0.8 }, traits: { material: 'brass' }, note: '' },
};
const problemsOf = (text: string) =>
  readStockCsv(text).problems.map(({ line, column, message }) => `${line} ${column}: ${message}`);

describe('drawers as CSV', () => {
  it('are written and read as they were, whatever stands in their words', () => {
    const text = writeStockCsv([WIRE, AXLE]);
    const { lines, problems } = readStockCsv(text);
    expect(problems).deep.equal([]);
    expect(lines).deep.equal([
      { lineNumber: 2, ...AXLE },
      { lineNumber: 3, ...WIRE },
    ]);
    expect(text).include("'=not a formula");
  });

  it('are read with semicolons, tabs, and columns in any order', () => {
    for (const mark of [';', '\t', ','])
      expect(
        readStockCsv(
          ['amount', 'thread', 'kind', 'name'].join(mark) + '\n' + ['5', 'M2', 'Screw', 'Pan head'].join(mark),
        ).lines[0],
      ).deep.include({ kind: 'screw', amount: 5, traits: { thread: 'M2' }, name: 'Pan head' });
  });

  it('tell each wrong cell by line and column, and keep what is right', () => {
    const text = [
      'kind,name,amount,diameter_mm,thread',
      'axle,Good,3,1.2,',
      'bolt,Bad kind,3,,',
      'axle,,2.5,-1,',
      'axle,With a thread,3,1.2,M2',
      'wire,Half,2.5,0.8,',
      'gloves,None said,,,',
      'axle,Good,5,1.4,',
    ].join('\n');
    expect(readStockCsv(text).lines.map(({ name }) => name)).deep.equal(['Good', 'Half']);
    expect(problemsOf(text).map((one) => one.split(':')[0])).deep.equal([
      ...['3 kind', '4 name', '4 amount', '4 diameter_mm', '5 thread', '7 amount', '8 name'],
    ]);
  });

  it('without their columns, or endless, are refused whole', () => {
    expect(problemsOf('name,amount\nx,1')).deep.equal(['1 kind: Missing columns: kind.']);
    expect(problemsOf('x'.repeat(200_000))[0]).include('must name the columns');
    expect(problemsOf('')).length(1);
  });

  it('damaged at random are read or refused in words', () => {
    const random = createSeededRandom(11);
    const text = writeStockCsv([WIRE, AXLE]);
    for (let i = 0; i < 300; i++) {
      const letters = [...text];
      for (let k = 0; k < 5; k++)
        letters[Math.floor(letters.length * random())] = String.fromCharCode(Math.floor(200 * random()));
      const { lines, problems } = readStockCsv(letters.join(''));
      expect(lines.every(({ amount }) => amount >= 0)).equal(true);
      expect(problems.every(({ message }) => message.length > 0)).equal(true);
    }
  });

  it('have a column for everything that any kind is measured by', () =>
    expect(new Set(STOCK_COLUMNS).size).equal(STOCK_COLUMNS.length));
});
