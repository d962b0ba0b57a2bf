import { expect } from 'chai';
import { outlineRectangle } from '../drawing/paths.ts';
import type { DrawingShape, DrawingView, Surface } from '../model/drawing.ts';
import { drawFields } from './drawFields.ts';

const shape = (partKey: string, surface: Surface, mask?: string): DrawingShape => ({
  ...{ partKey, surface, ...outlineRectangle(0, 0, 60, 20) },
  ...(mask ? { mask } : {}),
});
const view: DrawingView = {
  ...{ view: 'side', widthMm: 60, heightMm: 20, anchors: [] },
  shapes: [shape('body', 'coat'), shape('body', 'coat', 'roof'), shape('body', 'line'), shape('base', 'coat')],
};
const PARTS = ['body', 'base'].map((key) => ({ id: key, key }));
const area = (name: string, on: 'side' | 'end' | null, kind: 'mask' | 'outside' = 'mask') => ({
  ...{ specimenPartId: 'body', kind, name },
  outline: on && { view: on, points: [1, 2, 3].map((i) => ({ x: i, y: i * i })) },
});
const say = ({ shapes }: DrawingView) => shapes.map(({ partKey, surface, mask }) => [partKey, surface, mask].join(' '));

describe('fields that the restorer drew', () => {
  it('lie over the coat of their part and under its lines; other parts stay', () =>
    expect(say(drawFields(view, PARTS, [area('stripe', 'side')]))).deep.equal([
      ...['body coat ', 'body coat roof', 'body coat stripe', 'body line ', 'base coat '],
    ]));

  it('replace what the casting has of that name, on every view: nobody sees it twice', () => {
    expect(say(drawFields(view, PARTS, [area('roof', 'side')]))).deep.equal([
      ...['body coat ', 'body coat roof', 'body line ', 'base coat '],
    ]);
    expect(drawFields(view, PARTS, [area('roof', 'side')]).shapes[1]!.d).not.equal(view.shapes[1]!.d);
    // Drawn on the end, it is no longer where the side had it.
    expect(say(drawFields(view, PARTS, [area('roof', 'end')]))).deep.equal(['body coat ', 'body line ', 'base coat ']);
  });

  it('are none where nobody drew any: the view stays the same one', () =>
    expect(drawFields(view, PARTS, [area('roof', null), area('', null, 'outside')])).equal(view));
});
