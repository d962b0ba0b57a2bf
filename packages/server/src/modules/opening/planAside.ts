import { InvalidInputError, type Opening, type OpeningQuestion } from '@sardonyx/core';
import type { Worker } from 'node:worker_threads';
import { startTsWorker } from '../../startTsWorker.ts';
import type { ThreadAnswer, ThreadQuestion } from './openingThread.ts';

interface Waiting {
  readonly done: (opening: Opening) => void;
  readonly fail: (error: Error) => void;
}

let thread: Worker | null = null;
let last = 0;
const waiting = new Map<number, Waiting>();

/** Plans in a thread beside the server, which goes on answering: large models take seconds. */
export function planAside(question: OpeningQuestion): Promise<Opening> {
  return new Promise((done, fail) => {
    const id = ++last;
    waiting.set(id, { done, fail });
    thread ??= startThread();
    // Held while something is asked; a server that is told to end is not kept by an idle thread.
    thread.ref();
    thread.postMessage({ id, question } satisfies ThreadQuestion);
  });
}

function startThread(): Worker {
  const own = startTsWorker(new URL('./openingThread.ts', import.meta.url), {});
  own.on('message', (answer: ThreadAnswer) => {
    const one = waiting.get(answer.id);
    waiting.delete(answer.id);
    if (waiting.size === 0) own.unref();
    if ('opening' in answer) one?.done(answer.opening);
    else if ('invalid' in answer)
      one?.fail(new InvalidInputError(answer.invalid.code, answer.invalid.message, answer.invalid.path));
    else one?.fail(new Error(answer.fault));
  });
  own.on('error', (error) => {
    thread = null;
    for (const one of waiting.values()) one.fail(error);
    waiting.clear();
  });
  return own;
}
