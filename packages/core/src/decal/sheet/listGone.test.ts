import { expect } from 'chai';
import { TRUE_SCALE } from '../print/printerScale.ts';
import { listGone } from './listGone.ts';

const square = [0, 0, 10, 0, 10, 10, 0, 10];
const cutLine = Array.from({ length: 4 }, (_, i) => ({ x: square[2 * i]!, y: square[2 * i + 1]! }));
const artwork = { id: 'a', name: 'a', widthMm: 10, heightMm: 10, shapes: [], cutLine };
const sheet = (id: string, continuesId: string | null, x: number) => ({
  ...{ id, continuesId, paper: 'A6' as const, correctedBy: TRUE_SCALE, artworks: [artwork] },
  pieces: [{ layerId: 'l', artworkId: 'a', x, y: 5, turn: 0 as const }],
});
const leftOf = (outline: readonly { readonly x: number }[]) => Math.min(...outline.map(({ x }) => x));

describe('what is gone of a sheet', () => {
  it('is all that was printed on it, print after print, and nothing of others', () => {
    const sheets = [
      sheet('third', 'second', 40),
      sheet('other', null, 70),
      sheet('second', 'first', 20),
      sheet('first', null, 0),
    ];
    expect(listGone(sheets, 'third', TRUE_SCALE).map(leftOf)).deep.equal([40, 20, 0]);
    expect(listGone(sheets, 'first', TRUE_SCALE).map(leftOf)).deep.equal([0]);
    expect(listGone(sheets, 'nothing', TRUE_SCALE)).deep.equal([]);
    // A circle in an old folder ends all the same.
    expect(listGone([sheet('a', 'b', 0), sheet('b', 'a', 20)], 'a', TRUE_SCALE)).lengthOf(2);
  });

  it('lies where the printer put it, not where it was drawn', () => {
    const [gone] = listGone([sheet('first', null, 88)], 'first', { along: 1.01, down: 1 });
    // The room begins 12 mm from the paper's edge: 100 mm became 101.
    expect(leftOf(gone!)).closeTo(89, 1e-9);
  });
});
