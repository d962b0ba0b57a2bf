import { existsSync, rmSync } from 'node:fs';
import { cp, mkdtemp, rename, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import supertest from 'supertest';
import { createSilentLog } from '../../src/http/log.ts';
import { createApp } from '../../src/app.ts';
import { openDatabase } from '../../src/data-source.ts';
import { seedDemo } from '../../src/demo/seedDemo.ts';
import { keepNothing, type Workroom } from '../../src/workroom.ts';
import { DEMO_NOW } from './demoNow.ts';

export const NOW = new Date(DEMO_NOW);

export interface TestBench {
  readonly room: Workroom;
  readonly http: ReturnType<typeof supertest>;
  /** Moves the bench's clock on. */
  pass(minutes: number): void;
  get<T>(path: string): Promise<T>;
  clear(): Promise<void>;
}

let demoTemplate: Promise<string> | null = null;

/** A bench over HTTP on a migrated database in a folder of its own: empty, or with the demo data. */
export async function createTestBench({ isDemo = true } = {}): Promise<TestBench> {
  const folder = await mkdtemp(join(tmpdir(), 'sardonyx-test-'));
  if (isDemo) await cp(await (demoTemplate ??= seedTemplate()), folder, { recursive: true });
  let now = NOW.getTime();
  const room = await openRoom(folder, isDemo, () => new Date(now));
  const http = supertest(createApp({ room, webRoot: null }));
  return {
    room,
    http,
    pass: (minutes) => void (now += minutes * 60_000),
    get: async <T>(path: string) => (await http.get(`/api/${path}`).expect(200)).body as T,
    clear: async () => {
      await room.source.destroy();
      await rm(folder, { recursive: true, force: true });
    },
  };
}

export async function openRoom(folder: string, isDemo: boolean, now = () => NOW): Promise<Workroom> {
  return {
    source: await openDatabase(folder),
    folder,
    benchName: 'Test bench',
    isDemo,
    now,
    kept: keepNothing(),
    log: createSilentLog(),
    trouble: null,
    clockBehind: null,
  };
}

/**
 * Seeding once and copying the folder keeps every test on fresh data without seeding each time. A folder that is named from
 * outside is filled by the first run and taken by the others: the trial of mutants runs thousands.
 */
export async function seedTemplate(): Promise<string> {
  const shared = process.env.SARDONYX_TEST_DEMO;
  if (shared && existsSync(shared)) return shared;
  const folder = await mkdtemp(join(tmpdir(), 'sardonyx-template-'));
  const room = await openRoom(folder, true);
  await seedDemo(room);
  await room.source.destroy();
  if (shared) await rename(folder, shared);
  else process.on('exit', () => rmSync(folder, { recursive: true, force: true }));
  return shared ?? folder;
}

/** Reads a binary answer into a Buffer; for supertest's parse(). */
export function readBinary(answer: unknown, done: (error: Error | null, body: unknown) => void): void {
  const pieces: Buffer[] = [];
  const stream = answer as NodeJS.ReadableStream;
  stream.on('data', (piece: Buffer) => pieces.push(piece));
  stream.on('end', () => done(null, Buffer.concat(pieces)));
}
