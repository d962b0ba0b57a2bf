import { expect } from 'chai';
import { countOn } from './countOn.ts';

const on = (kind: 'primer' | 'colour', changes: object = {}) => ({
  ...{ kind, stage: 'applied' as const, rejection: null, isMist: false },
  ...changes,
});
const PLANNED = [
  { kind: 'primer', coats: 1 },
  { kind: 'colour', coats: 2 },
  { kind: 'colour', coats: 3 },
] as const;

describe('coats that are on', () => {
  it('count for the lowest of their kind first, and none beyond what is planned', () => {
    expect(countOn(PLANNED, [on('primer'), on('colour'), on('colour'), on('colour')])).deep.equal([1, 2, 1]);
    expect(
      countOn(
        PLANNED,
        Array.from({ length: 9 }, () => on('colour')),
      ),
    ).deep.equal([0, 2, 3]);
  });

  it('are neither mists, nor what was rejected, nor what is only planned', () => {
    const none = [on('colour', { isMist: true }), on('colour', { rejection: {} }), on('colour', { stage: 'planned' })];
    expect(countOn(PLANNED, none)).deep.equal([0, 0, 0]);
  });
});
