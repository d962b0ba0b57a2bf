import { expect } from 'chai';
import { convertToAppError, readAppError } from './api/appError.ts';
import { capitalise, formatClock, formatMinutes } from './format.ts';

describe('format', () => {
  it('says lengths of time in the coarsest true words', () => {
    const cases: readonly (readonly [number, string])[] = [
      [0.4, 'under 1 min'],
      [25, '25 min'],
      [59.7, '1 h'],
      [60, '1 h'],
      [119.6, '2 h'],
      [1439.7, '1 day'],
      [90, '1 h 30 min'],
      [1440, '1 day'],
      [4320, '3 days'],
      [2160, '1.5 days'],
    ];
    for (const [minutes, words] of cases) expect(formatMinutes(minutes)).equal(words);
  });

  it('shows a clock with hours only when there are any', () => {
    expect([5, 65, 3661, -61].map(formatClock)).deep.equal(['0:05', '1:05', '1:01:01', '1:01']);
  });

  it('begins a sentence with a capital', () => expect([capitalise('rust'), capitalise('')]).deep.equal(['Rust', '']));
});

describe('app errors', () => {
  it('keep the server’s message, its fields and the row that stands now', () => {
    const error = convertToAppError(409, { code: 'stale', message: 'Changed meanwhile.', current: { version: 3 } });
    expect(error).deep.equal({ kind: 'stale', code: 'stale', message: 'Changed meanwhile.', current: { version: 3 } });
    expect(convertToAppError(400, { message: 'No.', fields: { who: 'Say who.' } })).deep.include({
      kind: 'bad input',
      fields: { who: 'Say who.' },
    });
  });

  it('have words for an answer that is not ours', () => {
    for (const body of [undefined, '<html>', null])
      expect(convertToAppError(502, body)).deep.include({ kind: 'fault' });
    expect(convertToAppError(422, {}).kind).equal('refused');
  });

  it('pass through, or are made from whatever was thrown', () => {
    const known = { kind: 'refused', message: 'Not yet.' } as const;
    expect(readAppError(known)).equal(known);
    expect(readAppError(new Error('boom'))).deep.equal({ kind: 'fault', message: 'boom' });
    expect(readAppError(42).kind).equal('fault');
  });
});
