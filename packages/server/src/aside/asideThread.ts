/** Runs what takes long beside the server, one order after the other, over a connection of its own. */
import 'reflect-metadata';
import { join } from 'node:path';
import { parentPort } from 'node:worker_threads';
import { createDataSource } from '../data-source.ts';
import { DATABASE_FILE } from '../disk/folderNames.ts';
import { readDriverCode, runTransaction } from '../disk/runTransaction.ts';
import { HttpError } from '../http/errors.ts';
import { Stopped, type AsideOrder, type FromThread, type Hands, type ToThread } from './asideTask.ts';
import { TASKS, type TaskName } from './tasks.ts';

const port = parentPort!;
const say = (message: FromThread) => port.postMessage(message);
const waiting = new Map<number, () => void>();
let last = Promise.resolve();

port.on('message', (message: ToThread) => {
  if ('mayWrite' in message) return waiting.get(message.id)?.();
  last = last.then(() => carryOut(message));
});

async function carryOut(order: AsideOrder): Promise<void> {
  const { id } = order;
  const source = createDataSource(join(order.folder, DATABASE_FILE), true);
  try {
    await source.initialize();
    const hands: Hands = {
      look: async (act) => {
        await source.query('BEGIN');
        return act(source.manager).finally(() => source.query('COMMIT'));
      },
      change: async (act) => {
        await new Promise<void>((go) => {
          waiting.set(id, go);
          say({ id, wantsToWrite: true });
        });
        return runTransaction(source, act);
      },
      tell: (news) => say({ id, news }),
      goOn: () => {
        if (Atomics.load(new Int32Array(order.stop), 0) !== 0) throw new Stopped();
      },
    };
    const result = await TASKS[order.task as TaskName](order.input as never, hands);
    say({ id, result });
  } catch (error) {
    if (error instanceof Stopped) say({ id, isStopped: true });
    else if (error instanceof HttpError) say({ id, refusal: { status: error.status, body: error.body } });
    else say({ id, fault: String((error as Error).stack ?? error), code: readDriverCode(error) });
  } finally {
    waiting.delete(id);
    if (source.isInitialized) await source.destroy();
  }
}
