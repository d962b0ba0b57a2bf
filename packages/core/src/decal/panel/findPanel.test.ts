import { expect } from 'chai';
import type { Drawing } from '../../model/drawing.ts';
import { findPanel } from './findPanel.ts';

const drawing: Drawing = {
  views: [
    {
      ...{ view: 'side', widthMm: 80, heightMm: 40, anchors: [] },
      shapes: [
        { partKey: 'body', surface: 'coat', d: '', box: [0, 0, 70, 30] },
        { partKey: 'body', surface: 'coat', mask: 'panel', d: '', box: [10, 8, 20, 14] },
        { partKey: 'body', surface: 'coat', mask: 'panel', d: '', box: [24, 8, 40, 15] },
        { partKey: 'base', surface: 'coat', mask: 'panel', d: '', box: [0, 0, 1, 1] },
      ],
    },
  ],
};

describe('the panel that a decal is for', () => {
  it('is what was measured, before all else', () => {
    const measured = { widthMm: 31, heightMm: 7, sdMm: 0.1, marginMm: 0.2 };
    expect(findPanel(measured, drawing, 'body', { name: 'panel', outline: null })).deep.equal({
      ...{ width: { mm: 31, sd: 0.1 }, height: { mm: 7, sd: 0.1 }, from: 'measured', marginMm: 0.2 },
      middle: { view: 'side', x: 25, y: 11.5 },
    });
  });

  it('else all that is drawn under its name on its part, or what was drawn by hand', () => {
    const drawn = findPanel(null, drawing, 'body', { name: 'panel', outline: null })!;
    expect([drawn.width.mm, drawn.height.mm, drawn.from]).deep.equal([30, 7, 'drawing']);
    const points = [
      { x: 3, y: 4 },
      { x: 9, y: 4 },
      { x: 6, y: 8 },
    ];
    const outlined = findPanel(null, null, 'body', { name: '', outline: { view: 'side', points } })!;
    expect([outlined.width.mm, outlined.height.mm]).deep.equal([6, 4]);
  });

  it('is not known where neither is: a whole side is no panel', () => {
    expect(findPanel(null, drawing, 'body', { name: '', outline: null })).equal(null);
    expect(findPanel(null, drawing, 'body', { name: 'stripe', outline: null })).equal(null);
    expect(findPanel(null, null, 'body', { name: 'panel', outline: null })).equal(null);
  });
});
