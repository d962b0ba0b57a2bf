import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { BenchView, CatalogueView, Health, JobView, ShelfView } from '@sardonyx/contract';
import { STATIONS } from '@sardonyx/core';
import { expect } from 'chai';
import { openDatabase } from '../src/data-source.ts';
import { MIGRATIONS } from '../src/migrations/index.ts';
import { seedDemo } from '../src/demo/seedDemo.ts';
import type { Workroom } from '../src/workroom.ts';
import { createTestBench, NOW, openRoom, type TestBench } from './support/createTestBench.ts';

describe('schema', () => {
  it('is what the entities want: migrations and entities agree', async () => {
    const source = await openDatabase(':memory:');
    const { upQueries } = await source.driver.createSchemaBuilder().log();
    expect(upQueries.map((query) => query.query)).deep.equal([]);
    await source.destroy();
  });

  it('writes ahead and keeps foreign keys', async () => {
    const bench = await createTestBench({ isDemo: false });
    expect(await bench.room.source.query('PRAGMA journal_mode')).deep.equal([{ journal_mode: 'wal' }]);
    expect(await bench.room.source.query('PRAGMA foreign_keys')).deep.equal([{ foreign_keys: 1 }]);
    await bench.clear();
  });

  it('can be taken back and run again', async () => {
    const source = await openDatabase(':memory:');
    for (let i = 0; i < MIGRATIONS.length; i++) await source.undoLastMigration();
    const tables = (await source.query(
      "SELECT name FROM sqlite_master WHERE type = 'table' AND name NOT LIKE 'sqlite%'",
    )) as { name: string }[];
    expect(tables.map((table) => table.name)).deep.equal(['migrations']);
    await source.runMigrations();
    await source.destroy();
  });
});

describe('demo data', function () {
  // Drawing its photographs takes most of the time.
  this.timeout(180_000);
  let bench: TestBench;
  before(async () => void (bench = await createTestBench()));
  after(() => bench.clear());

  const STAGES: Readonly<Record<string, string>> = {
    'SG-00': 'sign-off',
    'SG-01': 'identify',
    'SG-02': 'identify',
    'SG-03': 'survey',
    'SG-04': 'identify',
    'SG-05': 'survey',
    'SG-06': 'open',
    'SG-07': 'open',
    'SG-08': 'strip',
    'SG-09': 'strip',
    'SG-10': 'identify',
  };

  it('puts every job of the story in its stage', async () => {
    const { lanes, castings } = await bench.get<BenchView>('bench');
    expect(Object.fromEntries(lanes.map((lane) => [lane.job.number, lane.job.station]))).deep.equal(STAGES);
    for (const lane of lanes) {
      expect(castings.find(({ id }) => id === lane.castingId)?.side, lane.job.number).include({ view: 'side' });
      expect(lane.band.length, `${lane.job.number} has a band`).greaterThan(0);
    }
  });

  it('puts what hands can do first and what is signed off last', async () => {
    const { lanes } = await bench.get<BenchView>('bench');
    expect(lanes.at(-1)!.job.number).equal('SG-00');
    expect(lanes[0]!.next).not.equal(null);
  });

  it('compiles a plan for every job without a contradiction', async () => {
    for (const number of Object.keys(STAGES)) {
      const view = await bench.get<JobView>(`jobs/${number.toLowerCase()}`);
      expect(
        view.planNotices.filter((notice) => notice.startsWith('These wait')),
        number,
      ).deep.equal([]);
      expect(view.tasks.length).greaterThan(3);
    }
  });

  it('has done no task whose predecessor is open', async () => {
    for (const number of Object.keys(STAGES)) {
      const { tasks } = await bench.get<JobView>(`jobs/${number.toLowerCase()}`);
      for (const task of tasks.filter((one) => one.state === 'done')) {
        for (const link of task.after) {
          const before = tasks.find((one) => one.specimenId === task.specimenId && one.key === link.key);
          expect(before?.state, `${number}: ${link.key} before ${task.key}`).equal('done');
        }
      }
    }
  });

  it('shows the three pieces of SG-07 at three stations', async () => {
    const { tasks, specimens } = await bench.get<JobView>('jobs/sg-07');
    const stationOf = (id: string) =>
      STATIONS.find((station) =>
        tasks.some((task) => task.specimenId === id && task.station === station && task.state === 'to do'),
      );
    expect(specimens.map((one) => stationOf(one.specimen.id))).deep.equal(['open', 'finish', 'close']);
  });

  it('fills the catalogue and the shelf', async () => {
    const { castings } = await bench.get<CatalogueView>('castings');
    expect(castings.length).least(60);
    expect(castings.reduce((sum, casting) => sum + casting.variantCount, 0)).least(400);
    const { products, pots } = await bench.get<ShelfView>('shelf');
    expect(products.length).within(38, 50);
    expect(pots.length).equal(products.length);
  });

  it('says what it is', async () => {
    expect(await bench.get<Health>('health')).deep.include({ ok: true, isDemo: true });
  });

  it('is the same for the same now, and moves with it', async () => {
    const dump = async ({ source }: Workroom) => {
      const tables = (await source.query(
        "SELECT name FROM sqlite_master WHERE type = 'table' AND name NOT IN ('migrations', 'sqlite_sequence') ORDER BY name",
      )) as { name: string }[];
      const rows = await Promise.all(
        tables.map(async ({ name }) => ((await source.query(`SELECT * FROM "${name}"`)) as object[]).map(describeRow)),
      );
      return tables.map(({ name }, i) => ({ name, rows: rows[i]!.sort() }));
    };
    // Areas are made with the parts and have ids of their own; what they hold is compared, not their names.
    const describeRow = (row: object) => JSON.stringify(row).replaceAll(/[0-9a-f]{8}-[0-9a-f-]{27}/g, 'id');
    const seedAt = async (now: string) => {
      const folder = await mkdtemp(join(tmpdir(), 'sardonyx-seed-'));
      const room = await openRoom(folder, true, () => new Date(now));
      await seedDemo(room);
      const dumped = await dump(room);
      await room.source.destroy();
      await rm(folder, { recursive: true, force: true });
      return dumped;
    };
    const one = await dump(bench.room);
    expect(await seedAt(NOW.toISOString())).deep.equal(one);
    expect(JSON.stringify(one)).include('"dueOn\\":\\"2027-01-13');
    expect(JSON.stringify(await seedAt('2026-12-25T18:30:00Z'))).include('"dueOn\\":\\"2027-02-12');
  });
});
