import type { PartMap } from '@sardonyx/core';
import type { PlacedPart } from '../../../../core/src/drawing/computePartMap.ts';
import { expect } from 'chai';
import { placeCuts } from './placeCuts.ts';

const leader = [
  { x: 0, y: 0 },
  { x: 0, y: 5 },
];
const placed = (partKey: string, holder: string | null): PlacedPart => ({
  ...{ partKey, holder, shapes: [], dx: 0, dy: 0, box: [0, 0, 1, 1], label: { x: 0, y: 0 } },
  leader: holder ? leader : [],
});
const map: PartMap = {
  ...{ widthMm: 10, heightMm: 10 },
  parts: [placed('body', null), placed('base', 'body'), placed('wheels', 'base'), placed('axles', 'base')],
};

describe('cuts on the part map', () => {
  it('stand on the line of the part that comes off, several together', () => {
    const cuts = placeCuts(map, [
      { partKeys: ['body', 'base'], number: 2 },
      { partKeys: ['body', 'base'], number: 5 },
    ]);
    expect(cuts).deep.equal([{ partKey: 'base', leader, text: '2, 5', isClosed: false }]);
  });

  it('say on every line of a joint of three parts that it is cut', () => {
    const cuts = placeCuts(map, [{ partKeys: ['base', 'axles', 'wheels'], number: 1 }]);
    expect(cuts.map(({ partKey, text }) => [partKey, text])).deep.equal([
      ['wheels', '1'],
      ['axles', '1'],
    ]);
  });

  it('mark a line where one joint stays closed, with or without another that is cut', () => {
    const [both] = placeCuts(map, [
      { partKeys: ['body', 'base'], number: 3 },
      { partKeys: ['body', 'base'], number: null },
    ]);
    expect(both).deep.include({ text: '3', isClosed: true });
    const [only] = placeCuts(map, [{ partKeys: ['body', 'base'], number: null }]);
    expect(only).deep.include({ text: '', isClosed: true });
  });

  it('leave out joints whose parts do not hang on each other here', () => {
    expect(placeCuts(map, [{ partKeys: ['body', 'wheels'], number: 1 }])).deep.equal([]);
    expect(placeCuts(map, [])).deep.equal([]);
  });
});
