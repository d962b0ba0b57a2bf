import { expect } from 'chai';
import { LABEL_SHEET, layLabels, type Label } from './layLabels.ts';

const label = (title: string, lines: readonly string[] = []): Label => ({ title, lines, address: `at ${title}` });

describe('labels on a sheet', () => {
  it('by hand: three across and ten down on A4; the thirty-first begins a page', () => {
    const pages = layLabels(Array.from({ length: 31 }, (_, i) => label(String(i))));
    expect(pages.map(({ length }) => length)).deep.equal([30, 1]);
    expect(pages[0]![4]).deep.include({ title: '4', x: 8.5 + 65, y: 8.5 + 26 });
    expect(pages[1]![0]).deep.include({ x: 8.5, y: 8.5 });
    expect(layLabels([])).deep.equal([]);
  });

  it('lie on the page, and none on another', () => {
    const [page] = layLabels(Array.from({ length: 30 }, (_, i) => label(String(i))));
    const { width, height, labelWidth, labelHeight } = LABEL_SHEET;
    for (const a of page!) {
      expect(a.x + labelWidth).at.most(width);
      expect(a.y + labelHeight).at.most(height);
      for (const b of page!)
        if (a !== b) expect(Math.abs(a.x - b.x) >= labelWidth || Math.abs(a.y - b.y) >= labelHeight).equal(true);
    }
  });

  it('count what does not fit', () => {
    const laid = layLabels([label('B3', ['a', 'b', 'c', 'd', 'e'])])[0]![0]!;
    expect(laid.lines).deep.equal(['a', 'b', 'and 3 more']);
    expect(layLabels([label('B3', ['a', 'b', 'c'])])[0]![0]!.lines).deep.equal(['a', 'b', 'c']);
  });
});
