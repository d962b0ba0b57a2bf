import type { Worker } from 'node:worker_threads';
import { HttpError } from '../http/errors.ts';
import { startTsWorker } from '../startTsWorker.ts';
import { changeAside, withDisk, type Workroom } from '../workroom.ts';
import { Stopped, type FromThread, type ToThread } from './asideTask.ts';
import type { TaskInput, TaskName, TaskResult } from './tasks.ts';

interface Running {
  readonly onNews: (news: unknown) => void;
  readonly takeTurn: () => void;
  done: (result: unknown) => void;
  fail: (error: Error) => void;
}

/** What is brought must not take the memory of the whole machine. */
const MOST_MB = 1024;
/** What it reads lives long or not at all: a small nursery costs little time and keeps what it takes of memory low. */
const YOUNG_MB = 8;
const TOO_MUCH = { code: 'too-big', message: 'There is more in this than can be read at once. Nothing was changed.' };

let thread: Worker | null = null;
let last = 0;
const running = new Map<number, Running>();

/** An order that was given: its end, and the way to stop it at its next step. */
export interface Aside<Result> {
  readonly ended: Promise<Result>;
  stop(): void;
}

/**
 * Has a task carried out in the thread beside the server, which goes on answering. `ended` rejects with Stopped, with the
 * HttpError of what was refused (507 where the disk did not take it), or with a fault; nothing of the task stands then.
 */
export function runAside<K extends TaskName>(
  room: Workroom,
  task: K,
  input: TaskInput<K>,
  onNews: (news: unknown) => void = () => undefined,
): Aside<TaskResult<K>> {
  const stop = new SharedArrayBuffer(Int32Array.BYTES_PER_ELEMENT);
  const id = ++last;
  const ended = new Promise<TaskResult<K>>((done, fail) => {
    const own = (thread ??= startThread());
    const send = (message: ToThread) => own.postMessage(message);
    const one: Running = {
      onNews,
      done: (result) => done(result as TaskResult<K>),
      fail,
      // What was written ends with its turn, which tells what the disk has to do with it.
      takeTurn: () =>
        void changeAside(
          room,
          () =>
            new Promise<TaskResult<K>>((wrote, failed) => {
              Object.assign(one, { done: wrote, fail: failed });
              send({ id, mayWrite: true });
            }),
        ).then(done, fail),
    };
    running.set(id, one);
    // Held while something is asked; a server that is told to end is not kept by an idle thread.
    own.ref();
    send({ id, task, input, folder: room.folder, stop });
  });
  // Before it writes, too, the disk may be the reason.
  return { ended: withDisk(room, () => ended), stop: () => void Atomics.store(new Int32Array(stop), 0, 1) };
}

function startThread(): Worker {
  const own = startTsWorker(new URL('./asideThread.ts', import.meta.url), {
    resourceLimits: { maxOldGenerationSizeMb: MOST_MB, maxYoungGenerationSizeMb: YOUNG_MB },
  });
  own.on('message', (message: FromThread) => {
    const one = running.get(message.id);
    if ('news' in message) return one?.onNews(message.news);
    if ('wantsToWrite' in message) return one?.takeTurn();
    running.delete(message.id);
    if (running.size === 0) own.unref();
    if ('result' in message) one?.done(message.result);
    else one?.fail(describe(message));
  });
  const lose = (error: Error) => {
    if (thread !== own) return;
    thread = null;
    for (const one of running.values()) one.fail(error);
    running.clear();
  };
  own.on('error', (error: Error & { code?: string }) =>
    lose(error.code === 'ERR_WORKER_OUT_OF_MEMORY' ? new HttpError(413, TOO_MUCH) : error),
  );
  own.on('exit', () => lose(new Error('The thread beside the server ended.')));
  return own;
}

function describe(
  message: Exclude<FromThread, { news: unknown } | { wantsToWrite: true } | { result: unknown }>,
): Error {
  if ('isStopped' in message) return new Stopped();
  if ('refusal' in message) return new HttpError(message.refusal.status, message.refusal.body);
  return Object.assign(new Error(message.fault), message.code ? { code: message.code } : {});
}
