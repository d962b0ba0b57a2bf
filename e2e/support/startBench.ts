import { spawn, type ChildProcess } from 'node:child_process';
import { existsSync, rmSync } from 'node:fs';
import { cp, mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { DEMO_NOW } from '../../packages/server/test/support/demoNow.ts';
import { buildServer, SERVER } from '../../scripts/buildServer.mjs';

const ROOT = resolve(import.meta.dirname, '../..');

export interface RunningBench {
  readonly address: string;
  readonly port: number;
  readonly folder: string;
  /** Lets time pass for the server. */
  pass(minutes: number): void;
  /** Ends the server and waits until it is gone; the folder stays. */
  stop(): Promise<void>;
  /** Ends the server if it still runs and throws the folder away. */
  clear(): Promise<void>;
}

export interface BenchOptions {
  readonly isDemo: boolean;
  /** ISO time at which the server's clock starts; by the real one when left out. */
  readonly now?: string;
  /** A folder and port used before: starts the same bench again. */
  readonly again?: Pick<RunningBench, 'folder' | 'port'>;
}

/** Starts the real server as a process of its own, on a folder of its own, and waits for its address. */
export async function startBench(options: BenchOptions): Promise<RunningBench> {
  const { isDemo, now, again } = options;
  if (again) return startOn(again.folder, options);
  const folder = await makeFolder();
  if (isDemo) await cp(await (demoFolders[now ?? ''] ??= fillDemoFolder(now)), folder, { recursive: true });
  return startOn(folder, options);
}

const makeFolder = () => mkdtemp(join(tmpdir(), 'sardonyx-e2e-'));

/** Folders with the demo's data by the time the server's clock starts at: filling takes longer than everything after it. */
const demoFolders: Record<string, Promise<string>> = {};

async function fillDemoFolder(now: string | undefined): Promise<string> {
  const shared = process.env.SARDONYX_TEST_DEMO;
  if (shared && existsSync(shared) && now === DEMO_NOW) return shared;
  const folder = await makeFolder();
  process.on('exit', () => rmSync(folder, { recursive: true, force: true }));
  const bench = await startOn(folder, { isDemo: true, ...(now ? { now } : {}) });
  await bench.stop();
  return folder;
}

async function startOn(folder: string, { isDemo, now, again }: BenchOptions): Promise<RunningBench> {
  const env: NodeJS.ProcessEnv = {
    ...process.env,
    SARDONYX_PORT: String(again?.port ?? 0),
    SARDONYX_PHONE_PORT: '0',
    SARDONYX_DATA: folder,
    SARDONYX_DEMO_DATA: folder,
  };
  // A clock that was set can be moved.
  env.SARDONYX_NOW = now ?? new Date().toISOString();
  await buildServer();
  const args = [SERVER, ...(isDemo ? ['--demo'] : [])];
  const server = spawn(process.execPath, args, { cwd: ROOT, env, stdio: ['ignore', 'pipe', 'pipe', 'ipc'] });
  const address = await readAddress(server);
  const stop = () => endProcess(server);
  const bench: RunningBench = {
    address,
    port: Number(new URL(address).port),
    folder,
    stop,
    pass: (minutes) => void server.send({ passMin: minutes }),
    clear: async () => {
      await stop();
      await rm(folder, { recursive: true, force: true });
    },
  };
  running.set(address, bench);
  return bench;
}

const running = new Map<string, RunningBench>();

/** The bench that a page is open on. */
export const benchOf = (url: string): RunningBench => running.get(new URL(url).origin)!;

function readAddress(server: ChildProcess): Promise<string> {
  return new Promise((done, fail) => {
    let output = '';
    const read = (chunk: Buffer) => {
      output += chunk.toString();
      const found = /open at (http:\S+)/.exec(output);
      if (found) done(found[1]!);
    };
    server.stdout?.on('data', read);
    server.stderr?.on('data', read);
    server.on('exit', (code) => fail(new Error(`The server ended with ${code}:\n${output}`)));
  });
}

function endProcess(server: ChildProcess): Promise<void> {
  if (server.exitCode !== null || server.signalCode !== null) return Promise.resolve();
  return new Promise((done) => {
    server.once('exit', () => done());
    server.kill('SIGTERM');
  });
}
