import { expect } from 'chai';
import fc from 'fast-check';
import { mergeStale } from './mergeStale.ts';

const before = { id: 'j', version: 1, title: 'Tug', why: 'old', dueOn: null };

describe('mergeStale', () => {
  it('sends again when the other window touched other fields', () => {
    expect(mergeStale(before, { why: 'mine' }, { ...before, version: 2, title: 'Tug and trolleys' })).deep.equal({
      kind: 'send again',
    });
  });

  it('shows the fields that both touched', () => {
    expect(mergeStale(before, { why: 'mine', title: 'Tug' }, { ...before, version: 2, why: 'theirs' })).deep.equal({
      kind: 'conflict',
      fields: ['why'],
    });
  });

  it('does not call it a conflict when both wrote the same', () => {
    expect(mergeStale(before, { why: 'same' }, { ...before, version: 2, why: 'same' })).deep.equal({
      kind: 'send again',
    });
  });

  it('compares lists by what is in them', () => {
    const row = { ...before, partKeys: ['body'] };
    expect(mergeStale(row, { partKeys: ['base'] }, { ...row, version: 2 })).deep.equal({ kind: 'send again' });
    expect(mergeStale(row, { partKeys: ['base'] }, { ...row, version: 2, partKeys: ['roof'] })).deep.equal({
      kind: 'conflict',
      fields: ['partKeys'],
    });
  });

  it('never loses the other’s change: a field that only they changed is not among those sent (property)', () => {
    const fields = fc.record({
      a: fc.integer({ min: 0, max: 2 }),
      b: fc.integer({ min: 0, max: 2 }),
      c: fc.integer({ min: 0, max: 2 }),
    });
    fc.assert(
      fc.property(fields, fields, fc.subarray(['a', 'b', 'c'] as const), fields, (row, current, touched, mine) => {
        const changes = Object.fromEntries(touched.map((field) => [field, mine[field]]));
        const outcome = mergeStale(row, changes, current);
        const overlapping = touched.filter((field) => row[field] !== current[field] && mine[field] !== current[field]);
        expect(outcome).deep.equal(
          overlapping.length ? { kind: 'conflict', fields: overlapping } : { kind: 'send again' },
        );
      }),
    );
  });
});
