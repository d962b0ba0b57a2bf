import { expect } from 'chai';
import type { AppError } from './appError.ts';
import { sendAll } from './sendAll.ts';

const bad = (message: string): AppError => ({ kind: 'bad input', message });
const full: AppError = { kind: 'disk', message: 'full' };

describe('sending several pictures', () => {
  const send = async (answers: readonly (AppError | 'ended' | null)[]) => {
    let asked = 0;
    const done = await sendAll(answers, (answer) => {
      asked++;
      return Promise.resolve(answer);
    });
    return { ...done, asked };
  };

  it('goes on after one that is refused, and tells of every one', async () => {
    const done = await send([null, bad('a.'), null, bad('b.')]);
    expect(done).deep.equal({ sent: 2, kept: [], error: bad('a. b.'), asked: 4 });
  });

  it('keeps the one that waits and all after it, and asks no further', async () => {
    expect(await send([null, full, null])).deep.equal({ sent: 1, kept: [full, null], error: full, asked: 2 });
  });

  it('lets go of the rest when it is ended', async () => {
    expect(await send([null, 'ended', null])).deep.equal({ sent: 1, kept: [], error: null, asked: 2 });
  });
});
