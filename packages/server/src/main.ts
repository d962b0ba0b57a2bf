/** Starts the bench: `--demo` serves the demo data from its own folder, otherwise the restorer's. */
import { rm } from 'node:fs/promises';
import { createApp } from './app.ts';
import { readConfig } from './config.ts';
import { forgetActs } from './disk/countAct.ts';
import { FolderError } from './disk/folderError.ts';
import { keepDailyCopy } from './disk/keepCopies.ts';
import { openFolder } from './disk/openFolder.ts';
import { runTransaction } from './disk/runTransaction.ts';
import { JobRow } from './entities/work.ts';
import { BENCH_NAME } from './demo/world.ts';
import { openLog } from './http/log.ts';
import { seedDemo } from './demo/seedDemo.ts';
import { chooseClock } from './clock.ts';
import { keepRoomLog } from './modules/film/keepRoomLog.ts';
import { noteClock } from './modules/bench/noteClock.ts';
import { recompileAnew } from './modules/tasks/recompilePlan.ts';
import { keepNothing, type Workroom } from './workroom.ts';

const config = readConfig(process.env, process.argv.slice(2));
const now = chooseClock(process.env);
// Nobody waits for what may yet be told over it.
process.channel?.unref();
if (config.isDemo && config.isFresh) await rm(config.folder, { recursive: true, force: true });
const opened = await openFolder(config.folder, now()).catch((error: unknown) => {
  if (!(error instanceof FolderError)) throw error;
  console.error(error.message);
  process.exit(1);
});
for (const line of opened.news) console.log(line);
const room: Workroom = {
  source: opened.source,
  folder: config.folder,
  benchName: config.isDemo ? BENCH_NAME : 'My bench',
  isDemo: config.isDemo,
  now,
  kept: keepNothing(),
  log: openLog(config.folder, process.env.SARDONYX_LOG),
  trouble: null,
  clockBehind: null,
};
// A demo that was interrupted while it was filled is filled now; one that was is left as it was edited.
if (config.isDemo && (await room.source.manager.count(JobRow)) === 0) await seedDemo(room);
else
  await runTransaction(room.source, async (manager) => {
    await recompileAnew(manager, now());
    await forgetActs(manager, now());
  });

await noteClock(room);
keepRoomLog(room);

const server = createApp({
  room,
  webRoot: config.webRoot,
  phones: { host: '0.0.0.0', port: config.phonePort },
}).listen(config.port, config.host, (error) => {
  if (error) {
    console.error(`Cannot listen on port ${config.port}: ${error.message}. Set SARDONYX_PORT to a free one.`);
    process.exit(1);
  }
  const address = server.address();
  const port = typeof address === 'object' && address ? address.port : config.port;
  const url = `http://${config.host}:${port}`;
  opened.lock.tell(url);
  console.log(`${room.benchName} is open at ${url}`);
});

// A connection that is closed just as it is used again loses what was sent on it: browsers and tests keep theirs for minutes.
server.keepAliveTimeout = 10 * 60_000;

// A bench that is left open gets its copy each day, too.
setInterval(() => {
  keepDailyCopy(room.folder, now()).catch((error: unknown) => room.log.error({ err: error }, 'the copy of the day'));
}, 3_600_000).unref();

for (const signal of ['SIGINT', 'SIGTERM'] as const) {
  process.on(signal, () => {
    server.close(() => void room.source.destroy().then(() => process.exit(0)));
    server.closeAllConnections();
  });
}
