import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { createSilentLog } from '../packages/server/src/http/log.ts';
import { openDatabase } from '../packages/server/src/data-source.ts';
import { seedDemo } from '../packages/server/src/demo/seedDemo.ts';
import { keepNothing } from '../packages/server/src/workroom.ts';
import type { Topic } from './figure.ts';

export const demo: Topic = {
  names: ['demo.seedMs'],
  measure: async () => {
    const folder = await mkdtemp(join(tmpdir(), 'sardonyx-bench-'));
    const began = performance.now();
    const source = await openDatabase(folder);
    await seedDemo({
      source,
      folder,
      benchName: '',
      isDemo: true,
      now: () => new Date('2026-11-25T18:30:00Z'),
      kept: keepNothing(),
      log: createSilentLog(),
      trouble: null,
      clockBehind: null,
    });
    const value = performance.now() - began;
    await source.destroy();
    await rm(folder, { recursive: true, force: true });
    return [
      {
        name: 'demo.seedMs',
        value,
        unit: 'ms',
        goal: { kind: 'at most', value: 10_000 },
        yardstick: 'an empty folder to the whole demo world, once',
      },
    ];
  },
};
