import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect } from 'chai';
import { DoneStands1795891946051 } from '../src/migrations/1795891946051-DoneStands.ts';
import { createDataSource, openDatabase } from '../src/data-source.ts';
import { DATABASE_FILE } from '../src/disk/folderNames.ts';
import { TaskLogRow, TaskRow } from '../src/entities/work.ts';
import { WantRow } from '../src/entities/workpiece.ts';
import { MIGRATIONS } from '../src/migrations/index.ts';
import { readJobView } from '../src/modules/jobs/readJobView.ts';

/** A job as it was kept when a task was its words: one part stripped with gel, and then renamed by a later decision. */
describe('a bench from before tasks were fields', () => {
  let folder: string;
  before(async () => {
    folder = await mkdtemp(join(tmpdir(), 'sardonyx-old-'));
    const old = createDataSource(join(folder, DATABASE_FILE));
    old.setOptions({ migrations: MIGRATIONS.slice(0, 6) });
    await old.initialize();
    await old.runMigrations();
    const run = (sql: string) => old.query(sql);
    await run("INSERT INTO maker (id, version, name, about) VALUES ('m', 1, 'Tern', '')");
    await run("INSERT INTO toy_range (id, version, makerId, name, about) VALUES ('r', 1, 'm', 'Range', '')");
    await run(
      "INSERT INTO casting (id, version, rangeId, number, name, bodyType, lengthMm, wheelbaseMm, construction, drawing) VALUES ('c', 1, 'r', '1', 'Van', 'van', 60, 34, '', '{\"views\":[]}')",
    );
    const ways = JSON.stringify(
      [
        ...[{ key: 'grind', label: 'Grind one head off', tool: 'rotary', minutes: 9, risk: 0.1, destroys: 'one head' }],
        ...[{ key: 'cut', label: 'Cut it through', tool: 'rotary', minutes: 4, risk: 0.1, destroys: 'the axle' }],
      ].map((way) => ({ ...way, behindJoints: [] })),
    );
    await run(
      `INSERT INTO joint (id, version, castingId, key, label, kind, partKeys, ways) VALUES ('cj', 1, 'c', 'ends', 'axle ends', 'formed axle', '["body","axles"]', '${ways}')`,
    );
    await run(
      "INSERT INTO job (id, version, number, title, scope, target, why, station, intakeOn) VALUES ('j', 1, 'B-01', 'Van', 'full', 'as issued', '', 'strip', '2026-01-01')",
    );
    await run(
      "INSERT INTO specimen (id, version, castingId, jobId, name, note, isDonor) VALUES ('s', 1, 'c', 'j', 'Van', '', 0)",
    );
    for (const [key, role, material] of [
      ['body', 'body', 'zinc alloy'],
      ['axles', 'axle', 'steel'],
    ])
      await run(
        `INSERT INTO specimen_part (id, version, specimenId, key, name, role, material, state, origin, originNote) VALUES ('s.${key}', 1, 's', '${key}', '${key === 'body' ? 'Body' : 'Axles'}', '${role}', '${material}', 'sound', 'unknown', '')`,
      );
    const task = (key: string, title: string, state: string, because = '') =>
      run(
        `INSERT INTO task (id, version, jobId, specimenId, key, seq, station, title, how, partKeys, tags, hazards, irreversible, cannotBeUndone, handsOnMin, watchedMin, passiveMin, because, after, state) VALUES ('s.${key}', 1, 'j', 's', '${key}', 0, 'strip', '${title}', '', '["body"]', '["strip","vapour"]', '[]', 1, 'paint', 10, 25, 0, '${because}', '[{"key":"identify","rule":"O1","because":"so"}]', '${state}')`,
      );
    await task('strip:body', 'Lay in glycol-ether fluid: the body', 'done', 'Stripping: mild slow (S11): patient.');
    await task('open:ends', 'Cut it through: axle ends', 'done');
    await task('polish:glass', 'Polish the glass', 'not needed');
    const log = (id: string, taskId: string, at: string) =>
      run(
        `INSERT INTO task_log (id, taskId, jobId, who, at, act, note) VALUES ('${id}', '${taskId}', 'j', 'A', '${at}', 'done', '')`,
      );
    await log('l1', 's.strip:body', '2026-01-02T10:00:00Z');
    await log('l2', 's.open:ends', '2026-01-01T10:00:00Z');
    await run(
      "INSERT INTO strip_pass (id, jobId, taskId, specimenPartId, method, layers, who, startedAt, endedAt, result) VALUES ('p', 'j', 's.strip:body', 's.body', 'gel', 1, 'A', '2026-01-02T09:00:00Z', '2026-01-02T09:30:00Z', 'bare')",
    );
    await run(
      "INSERT INTO want (id, version, specimenPartId, what, dependentBits, state, solution, reason) VALUES ('w', 1, 's.body', 'a door transfer', '', 'open', '', '')",
    );
    await old.destroy();
  });
  after(() => rm(folder, { recursive: true, force: true }));

  it('freezes what the log can still say, believes the passes, and compiles its plans again', async () => {
    const source = await openDatabase(folder);
    const { manager } = source;
    const strip = await manager.findOneByOrFail(TaskRow, { key: 'strip:body' });
    expect(strip).deep.include({ act: 'strip', method: 'gel', title: 'Brush gel stripper on the body', state: 'done' });
    expect(strip.doneAt).equal('2026-01-02T10:00:00Z');
    expect(strip.after[0]).deep.include({ key: 'identify', waitMin: 0, latestMin: null });
    const { work } = await manager.findOneByOrFail(TaskLogRow, { id: 'l1' });
    expect(work).deep.include({ act: 'strip', method: 'gel', partNames: ['Body'], because: '' });
    const opened = (await manager.findOneByOrFail(TaskLogRow, { id: 'l2' })).work;
    expect(opened).deep.include({ of: { jointKey: 'ends' }, because: '' });
    expect(opened.way).deep.equal({ key: 'cut', label: 'Cut it through', destroys: 'the axle' });
    expect((await manager.findOneByOrFail(WantRow, { id: 'w' })).kind).equal('decal');
    const view = await readJobView(manager, 'j', new Date('2026-02-01T10:00:00Z'));
    const { facts, opening } = view.specimens[0]!;
    expect(facts.parts[0]!.done.stripped).equal('gel');
    expect(opening.opening[0]!.way.key).equal('cut');
    expect(view.tasks.some((task) => task.key === 'photograph')).equal(true);
    // Nobody has a log of it, and the plan does not ask for it: it is gone or set aside, never "not needed" by a restorer.
    expect(view.tasks.every((task) => task.state !== 'not needed')).equal(true);
    await source.destroy();
  });

  it('goes back down to where it was', async () => {
    const source = createDataSource(join(folder, DATABASE_FILE));
    await source.initialize();
    for (let i = MIGRATIONS.length; i > MIGRATIONS.indexOf(DoneStands1795891946051); i--)
      await source.undoLastMigration();
    const columns = (await source.query("SELECT name FROM pragma_table_info('task')")) as { name: string }[];
    expect(columns.map(({ name }) => name)).not.include('act');
    await source.destroy();
  });
});
