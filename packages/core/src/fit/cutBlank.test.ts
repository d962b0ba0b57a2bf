import { expect } from 'chai';
import { BLANK_SHAPES, cutBlank, type BlankMeasure, type BlankShape } from './cutBlank.ts';

describe('what to cut for a piece that is made here', () => {
  it('by hand: bent, bent twice, a tab, an arc, a ball, a horn', () => {
    const quarter = (radius: number) => (Math.PI / 2) * radius;
    // Sharp: a third of the thickness in; wide: the middle of it.
    const sharp = { 'first straight': 10, angle: 90, 'inner radius': 0.5, 'second straight': 6, thickness: 1 };
    expect(cutBlank('bent', sharp)!.mm).closeTo(16 + quarter(0.5 + 0.33), 1e-9);
    const wide = { ...sharp, 'inner radius': 4, 'third straight': 2 };
    expect(cutBlank('bent twice', wide)!.mm).closeTo(18 + 2 * quarter(4.5), 1e-9);
    expect(cutBlank('tab', { 'goes through': 2, 'bent over': 3, thickness: 0.4 })!.mm).closeTo(
      2 + 2.6 + quarter(0.33 * 0.4),
      1e-9,
    );
    expect(cutBlank('rail or pillar', { chord: 20, rise: 10 })!.mm, 'half a circle').closeTo(10 * Math.PI, 1e-9);
    expect(cutBlank('rail or pillar', { chord: 20, rise: 0 })!.mm, 'straight').equal(20);
    // A ball of 2 out of wire of 1: 4.19 mm3 by 0.785 mm2.
    expect(cutBlank('ball', { ball: 2, wire: 1 })!.mm).closeTo(((4 / 3) * Math.PI) / (Math.PI / 4), 1e-9);
    expect(cutBlank('horn', { length: 6, 'wide end': 1, 'narrow end': 1, wire: 1 })!.mm, 'no cone at all').closeTo(
      6,
      1e-9,
    );
  });

  it('says nothing until all of it is measured, nor of what is less than nothing', () => {
    for (const shape of Object.keys(BLANK_SHAPES) as BlankShape[]) {
      const asked: readonly BlankMeasure[] = BLANK_SHAPES[shape];
      const all = Object.fromEntries(asked.map((what) => [what, 2]));
      expect(cutBlank(shape, all)!.mm, shape).greaterThan(0);
      for (const what of asked) {
        const rest = Object.fromEntries(Object.entries(all).filter(([name]) => name !== what));
        expect(cutBlank(shape, rest), `${shape} without ${what}`).equal(null);
        expect(cutBlank(shape, { ...all, [what]: -1 }), `${shape}, ${what} below nothing`).equal(null);
      }
    }
  });

  it('spreads more with more bends and thicker stock, and by the rise of an arc', () => {
    const one = { 'first straight': 10, angle: 90, 'inner radius': 1, 'second straight': 6, thickness: 1 };
    const sd = (shape: BlankShape, measures: object) => cutBlank(shape, measures)!.sd;
    expect(sd('bent twice', { ...one, 'third straight': 3 })).greaterThan(sd('bent', one));
    expect(sd('bent', { ...one, thickness: 2 })).greaterThan(sd('bent', one));
    expect(sd('rail or pillar', { chord: 20, rise: 5 })).greaterThan(sd('rail or pillar', { chord: 20, rise: 1 }));
  });

  it('property: an arc is as long as its true curve, laid out in small steps', () => {
    for (const [chord, rise] of [
      [20, 1],
      [20, 6],
      [7, 3.5],
      [40, 0.2],
    ] as const) {
      const radius = (chord * chord) / (8 * rise) + rise / 2;
      const half = Math.asin(Math.min(1, chord / (2 * radius)));
      let length = 0;
      const steps = 20_000;
      for (let i = 0; i < steps; i++) {
        const [a, b] = [-half + (2 * half * i) / steps, -half + (2 * half * (i + 1)) / steps];
        length += Math.hypot(radius * (Math.sin(b) - Math.sin(a)), radius * (Math.cos(b) - Math.cos(a)));
      }
      expect(cutBlank('rail or pillar', { chord, rise })!.mm, `${chord} ${rise}`).closeTo(length, 1e-5);
    }
  });
});
