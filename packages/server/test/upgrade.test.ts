import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { DEFAULT_HISTORIES } from '@sardonyx/core';
import { expect } from 'chai';
import { createDataSource, openDatabase } from '../src/data-source.ts';
import { DATABASE_FILE } from '../src/disk/folderNames.ts';
import { CastingRow, FeatureRow, FeatureStateRow, HistoryRow } from '../src/entities/catalogue.ts';
import { PaintProductRow } from '../src/entities/paint.ts';
import { HouseStyleRow } from '../src/entities/house.ts';
import { ObservationRow, SourceRow } from '../src/entities/workpiece.ts';
import { MIGRATIONS } from '../src/migrations/index.ts';

describe('a bench from before identification knew groups', () => {
  let folder: string;
  before(async () => {
    folder = await mkdtemp(join(tmpdir(), 'sardonyx-old-'));
    const old = createDataSource(join(folder, DATABASE_FILE));
    old.setOptions({ migrations: MIGRATIONS.slice(0, 1) });
    await old.initialize();
    await old.runMigrations();
    const run = (sql: string) => old.query(sql);
    await run("INSERT INTO maker (id, version, name, about) VALUES ('m', 1, 'Tern', '')");
    await run(
      "INSERT INTO paint_product (id, version, line, name, kind, binder, gloss, colourHex, dryFilmUm, flashMin, recoatMin, cureMin, minC, maxC) VALUES ('p', 1, 'Tern', 'Stone', 'colour', 'enamel', 'gloss', '#c9c2ae', 22, 20, 360, 10080, 12, 28)",
    );
    await run("INSERT INTO toy_range (id, version, makerId, name, about) VALUES ('r', 1, 'm', 'Range', '')");
    await run(
      "INSERT INTO casting (id, version, rangeId, number, name, bodyType, lengthMm, wheelbaseMm, construction, drawing) VALUES ('c', 1, 'r', '1', 'Van', 'van', 60, 34, '', '{\"views\":[]}')",
    );
    for (const [key, role] of [
      ['grille', 'body'],
      ['body-colour', 'body'],
      ['sheltered-colour', 'body'],
      ['decal', 'body'],
      ['base-text', 'base'],
      ['base-finish', 'base'],
      ['wheel-type', 'wheel'],
      ['load-fixing', 'load'],
    ])
      await run(
        `INSERT INTO feature (id, version, rangeId, key, label, howToLook, partRole, effort, castIn, alteredChance) VALUES ('${key}', 1, 'r', '${key}', '${key}', '', '${role}', 1, 0, 0.1)`,
      );
    await run(
      "INSERT INTO feature_state (id, version, featureId, key, label, lookAlikes) VALUES ('solid', 1, 'grille', 'solid', 'Solid', '[]')",
    );
    await run("INSERT INTO specimen (id, version, castingId, name, note, isDonor) VALUES ('s', 1, 'c', 'Van', '', 0)");
    await run(
      "INSERT INTO observation (id, version, specimenId, featureId, stateId, certainty) VALUES ('o', 3, 's', 'grille', 'solid', 'sure')",
    );
    await run(
      "INSERT INTO dated_source (id, version, castingId, statement, origin, certainty) VALUES ('d', 1, 'c', 'Shown', 'list', 'likely')",
    );
    await old.destroy();
  });
  after(() => rm(folder, { recursive: true, force: true }));

  it('keeps its pots, with what stands for a drop and a density until somebody measured them', async () => {
    const source = await openDatabase(folder);
    const pot = await source.manager.findOneByOrFail(PaintProductRow, { id: 'p' });
    await source.destroy();
    expect(pot).deep.include({ name: 'Stone', optics: null, recipe: null, dropMl: 0.05, densityGPerMl: 1.15 });
  });

  it('loses nothing, gets groups from what was said of its features, histories and a house style; once', async () => {
    for (let time = 0; time < 2; time++) {
      const source = await openDatabase(folder);
      const { manager } = source;
      const groups = Object.fromEntries((await manager.find(FeatureRow)).map((row) => [row.key, row.group]));
      expect(groups).deep.equal({
        grille: 'body casting',
        'body-colour': 'outer coat',
        'sheltered-colour': 'sheltered coat',
        decal: 'decals',
        'base-text': 'base casting',
        'base-finish': 'base coat',
        'wheel-type': 'wheels',
        'load-fixing': 'fitted part',
      });
      expect(await manager.count(FeatureStateRow)).equal(1);
      expect(await manager.findOneBy(ObservationRow, { id: 'o' })).include({ version: 3, stateId: 'solid' });
      expect(await manager.findOneBy(SourceRow, { id: 'd' })).include({ castingId: 'c', variantId: null });
      expect(await manager.count(HistoryRow)).equal(DEFAULT_HISTORIES.length);
      expect(await manager.findOneBy(HouseStyleRow, { id: 'house' })).include({ lossThreshold: 1 });
      await source.destroy();
    }
  });
});

describe('a bench from before a trace said where the view under it lies', () => {
  it('keeps its traces, with that view in its corner and no joints placed', async () => {
    const folder = await mkdtemp(join(tmpdir(), 'sardonyx-old-'));
    const old = createDataSource(join(folder, DATABASE_FILE));
    const before = MIGRATIONS.findIndex(({ name }) => name.startsWith('SourcedCells'));
    old.setOptions({ migrations: MIGRATIONS.slice(0, before) });
    await old.initialize();
    await old.runMigrations();
    await old.query("INSERT INTO maker (id, version, name, about) VALUES ('m', 1, 'Tern', '')");
    await old.query("INSERT INTO toy_range (id, version, makerId, name, about) VALUES ('r', 1, 'm', 'Range', '')");
    await old.query(
      `INSERT INTO casting (id, version, rangeId, number, name, bodyType, lengthMm, wheelbaseMm, construction, drawing, traces) VALUES ('c', 1, 'r', '1', 'Van', 'van', 60, 34, '', '{"views":[]}', '{"side":{"view":"side","shapes":[]}}')`,
    );
    await old.destroy();
    const source = await openDatabase(folder);
    const { traces } = await source.manager.findOneByOrFail(CastingRow, { id: 'c' });
    await source.destroy();
    await rm(folder, { recursive: true, force: true });
    expect(traces).deep.equal({ side: { view: 'side', shapes: [], underAt: { x: 0, y: 0 }, joints: [] } });
  });
});
