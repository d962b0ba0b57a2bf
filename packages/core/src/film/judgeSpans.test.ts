import { expect } from 'chai';
import { judgeSpans } from './judgeSpans.ts';

describe('what windows mean at a moment', () => {
  const enamel = [
    { from: 20, to: 120 },
    { from: 1440, to: null },
  ];
  const keyed = [{ from: 60, to: 1440 }];

  it('of two windows: not yet, open, in the gap, open for good', () => {
    expect(judgeSpans(enamel, 5)).deep.equal({ state: 'not yet', from: 20, until: 120 });
    expect(judgeSpans(enamel, 20)).deep.equal({ state: 'open', from: null, until: 120 });
    expect(judgeSpans(enamel, 120)).deep.equal({ state: 'gap', from: 1440, until: null });
    expect(judgeSpans(enamel, 1440)).deep.equal({ state: 'open', from: null, until: null });
  });

  it('of one that ends: shut for good', () =>
    expect(judgeSpans(keyed, 1440)).deep.equal({ state: 'shut', from: null, until: null }));

  it('of none: never', () => expect(judgeSpans([], 0)).deep.equal({ state: 'never', from: null, until: null }));
});
