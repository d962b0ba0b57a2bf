import { expect } from 'chai';
import { flattenPath } from '../../drawing/flattenPath.ts';
import { enclose } from '../../drawing/computeOutlineArea.ts';
import type { DrawnElement, DrawnPoint } from '../../model/decal.ts';
import { createDrawnArtwork } from './createDecalArtwork.ts';
import { drawDecal, scaleDrawn, traceLine } from './drawDecal.ts';

const corner = (x: number, y: number): DrawnPoint => ({ x, y, isBend: false });
const bend = (x: number, y: number): DrawnPoint => ({ x, y, isBend: true });
const area = (points: readonly DrawnPoint[], ink = '#e8dfc4'): DrawnElement => ({
  ...{ kind: 'area', points, ink, strokeMm: 0 },
});
const text = (words: string, more: object = {}): DrawnElement => ({
  ...{ kind: 'text', text: words, x: 2, y: 6, heightMm: 3, widthMm: null, isBold: false, ink: '#101010' },
  ...more,
});
const decal = (...elements: DrawnElement[]) => ({ widthMm: 60, heightMm: 20, elements });
const BOARD = [corner(5, 4), corner(35, 4), corner(35, 10), corner(5, 10)];

describe('a decal that is traced', () => {
  it('is its elements one over the other, from the corner of what is printed', () => {
    const { widthMm, heightMm, shapes } = drawDecal(
      decal(area(BOARD), { kind: 'line', points: [corner(6, 7), corner(34, 7)], ink: '#101010', strokeMm: 0.4 }),
    );
    expect([widthMm, heightMm]).deep.equal([30, 6]);
    expect(shapes.map(({ d }) => d)).deep.equal(['M0 0L30 0 30 6 0 6 0 0Z', 'M1 3L29 3']);
    expect(shapes[1]).deep.include({ fill: null, stroke: '#101010', strokeMm: 0.4 });
  });

  it('counts half the width of a line to its size', () => {
    const line: DrawnElement = { kind: 'line', points: [corner(6, 7), corner(34, 7)], ink: '#101010', strokeMm: 0.4 };
    const { widthMm, heightMm } = drawDecal(decal(line));
    expect(widthMm).closeTo(28.4, 1e-9);
    expect(heightMm).closeTo(0.4, 1e-9);
  });

  it('bends in arcs: two half circles are a circle, a bend on the line is straight', () => {
    const circle = traceLine([corner(-2, 0), bend(0, -2), corner(2, 0), bend(0, 2)], true);
    expect(Math.abs(enclose(flattenPath(circle)[0]!))).closeTo(4 * Math.PI, 0.05);
    // Three quarters of it by one bend.
    const [ring] = flattenPath(traceLine([corner(2, 0), bend(-Math.SQRT2, -Math.SQRT2), corner(0, 2)], true));
    expect(Math.abs(enclose(ring!))).closeTo((3 / 4) * 4 * Math.PI + 2, 0.05);
    for (const { x, y } of ring!.slice(0, -1)) expect(Math.hypot(x, y)).closeTo(2, 0.01);
    expect(traceLine([corner(0, 0), bend(2, 0), corner(4, 0)], false)).equal('M0 0L4 0');
    // It may begin with its bend when it is closed.
    expect(
      Math.abs(enclose(flattenPath(traceLine([bend(0, -2), corner(2, 0), bend(0, 2), corner(-2, 0)], true))[0]!)),
    ).closeTo(4 * Math.PI, 0.05);
  });

  it('has text in the shipped font, as high as is said, and as wide where that is said', () => {
    const [x, wide] = [drawDecal(decal(text('HIH'))), drawDecal(decal(text('HIH', { widthMm: 20 })))];
    // H stands on the line and ends at the height of capitals.
    expect(x.heightMm).closeTo(3, 1e-3);
    expect(wide.heightMm).closeTo(3, 1e-3);
    expect(wide.widthMm).closeTo(20, 1e-3);
    expect(drawDecal(decal(text('HIH', { isBold: true }))).shapes[0]!.d).not.equal(x.shapes[0]!.d);
    expect(drawDecal(decal(text('Fähre'), area(BOARD))).shapes).lengthOf(2);
    expect(() => drawDecal(decal(area(BOARD), text('Ω?Ω'))))
      .throw(/The font has no “Ω”/)
      .property('path', 'elements[1].text');
  });

  it('is refused with what is missing', () => {
    expect(() => drawDecal(decal())).throw(/Nothing is traced yet/);
    expect(() => drawDecal(decal(text('   ')))).throw(/Nothing is traced yet/);
    expect(() => drawDecal(decal(area([corner(0, 0), corner(1, 0)])))).throw(/at least three points/);
    expect(() => traceLine([corner(0, 0)], false)).throw(/two ends/);
    expect(() => traceLine([corner(0, 0), bend(1, 1)], false)).throw(/two ends/);
    expect(() => traceLine([bend(0, 0), corner(1, 1), corner(2, 2)], false)).throw(/begins and ends/);
    expect(() => traceLine([corner(0, 0), bend(1, 1), bend(2, 1), corner(3, 0)], false)).throw(/one bend at most/);
  });

  it('is an artwork as any other, and is traced on at its new size', () => {
    const drawn = decal(area(BOARD), text('STABLES', { x: 8, y: 9 }));
    const artwork = createDrawnArtwork(drawn);
    expect(artwork).deep.include({ sizeFrom: 'traced', widthMm: 30 });
    expect(artwork.inks.map(({ hex }) => hex)).deep.equal(['#e8dfc4', '#101010']);
    const smaller = drawDecal(scaleDrawn(drawn, 0.5));
    expect(smaller.widthMm).closeTo(15, 1e-9);
    expect(smaller.heightMm).closeTo(3, 1e-9);
  });
});
