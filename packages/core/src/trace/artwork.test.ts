import { expect } from 'chai';
import { drawCasting } from '../construction/drawCasting.ts';
import { isDrawingShape } from '../drawing/isDrawing.ts';
import { readArtwork, writeArtwork, type SvgElement } from './artwork.ts';

const PARTS = [
  { key: 'body', name: 'Body' },
  { key: 'rear-step', name: 'Rear step' },
];
const element = (
  tag: string,
  attributes: Record<string, string> = {},
  children: readonly SvgElement[] = [],
  title = '',
): SvgElement => ({ tag, attributes, title, children });
const file = (children: readonly SvgElement[], attributes: Record<string, string> = {}) =>
  element('svg', { width: '80mm', viewBox: '0 0 80 30', ...attributes }, children);

describe('artwork of one’s own', () => {
  it('is known by the name of its part, in a title, a label or an id, however it is written', () => {
    const path = element('path', { d: 'M0 0H10V5Z' });
    for (const group of [
      element('g', {}, [path], 'rear STEP'),
      element('g', { 'editor:label': 'Rear step' }, [path]),
      element('g', { id: 'rear-step' }, [path]),
      element('g', {}, [element('g', {}, [path], 'Rear step')], 'Something else'),
    ]) {
      const { shapes } = readArtwork(file([group]), PARTS);
      expect(shapes.map(({ partKey }) => partKey)).deep.equal(['rear-step']);
      expect(shapes.every(isDrawingShape)).equal(true);
    }
  });

  it('is in millimetres, whatever its units, and where its groups were moved to', () => {
    const rect = element('rect', { x: '10', y: '10', width: '20', height: '10', transform: 'translate(5 0)' });
    const inside = element('g', { id: 'body', transform: 'scale(2)' }, [rect]);
    const box = (attributes: Record<string, string>) => readArtwork(file([inside], attributes), PARTS).shapes[0]!.box;
    expect(box({})).deep.equal([30, 20, 70, 40]);
    expect(box({ width: '8cm', viewBox: '10 0 160 60' })).deep.equal([10, 10, 30, 20]);
    expect(box({ width: '400', viewBox: '0 0 80 30' })).deep.equal([30, 20, 70, 40]);
  });

  it('takes circles, ellipses, rounded boxes and polygons, and leaves text and hidden stuff out', () => {
    const { shapes, unknown } = readArtwork(
      file([
        element('defs', {}, [element('path', { d: 'M0 0H1' })]),
        element('g', { id: 'body' }, [
          element('circle', { cx: '5', cy: '5', r: '3' }),
          element('ellipse', { cx: '5', cy: '5', rx: '3', ry: '2' }),
          element('rect', { width: '8', height: '4', rx: '1' }),
          element('polygon', { points: '0,0 4,0 4,4' }),
          element('text', {}),
          element('rect', { width: '0', height: '4' }),
          element('path', { d: 'M0 0H3V3Z', 'data-surface': 'glass' }),
        ]),
        element('path', { id: 'guide', d: 'M0 0H80' }),
      ]),
      PARTS,
    );
    expect(shapes.map(({ surface }) => surface)).deep.equal(['coat', 'coat', 'coat', 'coat', 'glass']);
    expect(shapes[0]!.box.map(Math.round)).deep.equal([2, 2, 8, 8]);
    expect(unknown).deep.equal(['guide']);
  });

  it('is refused where it is none or names no part', () => {
    expect(() => readArtwork(element('html'), PARTS)).throw(/no SVG/);
    expect(() => readArtwork(file([element('path', { d: 'M0 0H9' })]), PARTS)).throw(/“Body”, “Rear step”/);
  });

  it('comes back as it went out', () => {
    const size = { bodyType: 'van', lengthMm: 80, wheelbaseMm: 45 } as const;
    const view = drawCasting(size, [
      { key: 'body', shape: 'shell' },
      { key: 'rear-step', shape: 'bumper' },
    ]).views[0]!;
    const text = writeArtwork(view, PARTS);
    expect(text).include('<title>Rear step</title>');
    const groups = [...text.matchAll(/<title>(.*?)<\/title>([\s\S]*?)<\/g>/g)].map(([, title, paths]) =>
      element(
        'g',
        {},
        [...paths!.matchAll(/data-surface="(.*?)" d="(.*?)"/g)].map(([, surface, d]) =>
          element('path', { 'data-surface': surface!, d: d! }),
        ),
        title,
      ),
    );
    const { shapes } = readArtwork(
      file(groups, { width: `${view.widthMm}mm`, viewBox: `0 0 ${view.widthMm} 30` }),
      PARTS,
    );
    expect(shapes.map(({ partKey, surface }) => [partKey, surface])).deep.equal(
      view.shapes.map(({ partKey, surface }) => [partKey, surface]),
    );
    for (const [i, { box }] of shapes.entries())
      for (const side of [0, 1, 2, 3]) expect(box[side]).closeTo(view.shapes[i]!.box[side]!, 1.5);
  });
});
