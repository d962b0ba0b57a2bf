import { expect } from 'chai';
import type { Drawing } from '../../model/drawing.ts';
import { snapPlace, tryPlace } from './tryPlace.ts';

const drawing: Drawing = {
  views: [
    {
      ...{ view: 'side', widthMm: 80, heightMm: 40, anchors: [] },
      shapes: [{ partKey: 'body', surface: 'coat', d: 'M0 0H70V30H0Z', box: [0, 0, 70, 30] }],
    },
  ],
};
const panel = {
  ...{ width: { mm: 30, sd: 0.1 }, height: { mm: 7, sd: 0.1 }, from: 'measured' as const, marginMm: 0.5 },
  middle: { view: 'side' as const, x: 25, y: 11.5 },
};
const decal = { size: { widthMm: 26, heightMm: 4 }, drawing, partKey: 'body', area: { name: '' }, panel, place: null };
const at = (x: number, y: number, turnDegrees = 0) => ({ view: 'side' as const, x, y, turnDegrees });
const marginsOf = ({ fit }: ReturnType<typeof tryPlace>) =>
  [fit!.margins.left, fit!.margins.right, fit!.margins.above, fit!.margins.below].map(({ mm }) => +mm.toFixed(2));

describe('a decal tried on the drawing', () => {
  it('lies in the middle of its panel until it is moved; then its margins follow', () => {
    const usual = tryPlace(decal);
    expect(usual.place).deep.equal(at(25, 11.5));
    expect(marginsOf(usual)).deep.equal([2, 2, 1.5, 1.5]);
    const moved = tryPlace({ ...decal, place: at(26, 11) });
    expect(marginsOf(moved)).deep.equal([3, 1, 1, 2]);
    expect([usual.off, moved.off]).deep.equal([
      { x: 0, y: 0 },
      { x: 1, y: -0.5 },
    ]);
    expect(moved.fit!.chance).below(usual.fit!.chance);
  });

  it('takes more of its panel when it is turned', () => {
    const turned = tryPlace({ ...decal, place: at(25, 11.5, 90) });
    expect(marginsOf(turned)).deep.equal([13, 13, -9.5, -9.5]);
    expect(turned.fit!.verdict).equal('does not fit');
  });

  it('lies in the middle of its part where no panel is known, or nowhere', () => {
    const free = tryPlace({ ...decal, panel: null });
    expect(free).deep.include({ place: at(35, 15), fit: null });
    expect(tryPlace({ ...decal, panel: null, drawing: null })).deep.equal({
      ...{ place: null, off: { x: 0, y: 0 }, fit: null, crossed: [] },
    });
    // A panel that is only measured has no place, and still a size.
    expect(marginsOf(tryPlace({ ...decal, drawing: null, panel: { ...panel, middle: null } }))).deep.equal([
      2, 2, 1.5, 1.5,
    ]);
  });

  it('jumps to the middle lines and to level when it is near them, and only then', () => {
    expect(snapPlace(at(25.3, 11.3, 1.5), panel)).deep.equal(at(25, 11.5));
    expect(snapPlace(at(25.5, 12, -3), panel)).deep.equal(at(25.5, 12, -3));
    expect(snapPlace({ ...at(25.1, 11.5), view: 'end' }, panel)).deep.equal({ ...at(25.1, 11.5), view: 'end' });
  });
});
