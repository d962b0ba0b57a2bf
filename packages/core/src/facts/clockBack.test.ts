import { expect } from 'chai';
import { makeLog, makeTask } from '../../test/support/planWorld.ts';
import { isBefore, selectWrittenEarlier } from './clockBack.ts';

const hours = (...at: readonly string[]) =>
  at.map((hour, i) => makeLog(makeTask('wash'), 'note', { at: `2026-03-0${hour}:00Z`, seq: i + 1 }));
const marked = (...at: readonly string[]) => {
  const log = hours(...at);
  const earlier = selectWrittenEarlier(log);
  return log.map(({ id }) => earlier.has(id));
};

describe('a clock that was set back', () => {
  it('is told from one that was set right by seconds', () => {
    expect(isBefore('2026-03-01T10:00:00Z', '2026-03-01T10:01:30Z')).equal(false);
    expect(isBefore('2026-03-01T10:00:00Z', '2026-03-01T10:02:30Z')).equal(true);
    expect(isBefore('2026-03-01T10:00:00Z', '2026-03-01T09:00:00Z')).equal(false);
  });

  it('marks what was written until it stands where it stood, and nothing after that', () => {
    expect(marked('1T10:00', '1T12:00', '1T11:00', '1T11:30', '1T12:01')).deep.equal([false, false, true, true, false]);
    expect(marked('1T10:00', '1T10:00', '2T08:00')).deep.equal([false, false, false]);
    expect(marked()).deep.equal([]);
  });
});
