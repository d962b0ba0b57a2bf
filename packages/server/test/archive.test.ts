import { execFileSync } from 'node:child_process';
import type { AddressInfo } from 'node:net';
import { mkdtemp, readdir, readFile, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { ArchiveReport, ErrorBody, JobView } from '@sardonyx/contract';
import { readCgats, type Casting, type JobRecord } from '@sardonyx/core';
import { expect } from 'chai';
import { createApp } from '../src/app.ts';
import { NAMED, OF_A_JOB, OF_THE_HOUSE, STAYS } from '../src/modules/archive/packingList.ts';
import { closeBag, listAnew, openBag } from './support/alteredBags.ts';
import { bringAltered } from './support/bringAltered.ts';
import { compareBenches } from './support/compareBenches.ts';
import { createTestBench, readBinary, type TestBench } from './support/createTestBench.ts';
import { bringArchive, packJob, putOwnJob, putOwnLorry } from './support/packOwnJob.ts';

describe('an archive of jobs', function () {
  this.timeout(300_000);
  let bench: TestBench;
  let other: TestBench;
  const open = async (isDemo: boolean) => {
    bench = await createTestBench({ isDemo });
    other = await createTestBench({ isDemo: false });
  };
  afterEach(async () => {
    await bench.clear();
    await other.clear();
  });
  const take = async (zip: Buffer, to = other) => (await bringArchive(to, zip).expect(200)).body as ArchiveReport;

  it('has every table in one list: of a job, of the house, or staying with a reason', async () => {
    await open(false);
    const lists = [['job'], OF_A_JOB.map(([table]) => table), Object.keys(OF_THE_HOUSE), Object.keys(STAYS)].flat();
    const tables = bench.room.source.entityMetadatas.map(({ tableName }) => tableName);
    expect([...lists].sort()).deep.equal([...tables].sort());
    const columns = new Map(
      bench.room.source.entityMetadatas.map((one) => [
        one.tableName,
        one.columns.map(({ databaseName }) => databaseName),
      ]),
    );
    for (const [table, ...by] of OF_A_JOB) for (const [column] of by) expect(columns.get(table)).include(column);
    for (const [table, column] of NAMED) expect(columns.get(table)).include(column);
  });

  it('is a bag that sha256sum finds whole, with record, papers, pictures, spectra, artwork and STL', async () => {
    await open(true);
    await bench.room.source.query('UPDATE print_run SET wantId = (SELECT id FROM want LIMIT 1)');
    const { body } = await bench.http.get('/api/archive.zip').buffer(true).parse(readBinary).expect(200);
    const folder = await mkdtemp(join(tmpdir(), 'sardonyx-bag-'));
    try {
      await writeFile(join(folder, 'bag.zip'), body as Buffer);
      execFileSync('unzip', ['-q', 'bag.zip'], { cwd: folder });
      const root = join(folder, 'sardonyx-jobs');
      for (const list of ['manifest-sha256.txt', 'tagmanifest-sha256.txt'])
        execFileSync('sha256sum', ['--check', '--strict', '--quiet', list], { cwd: root });
      const files = (await readdir(join(root, 'data'), { recursive: true, withFileTypes: true }))
        .filter((one) => one.isFile())
        .map((one) => join(one.parentPath, one.name).slice(root.length + 1));
      const listed = (await readFile(join(root, 'manifest-sha256.txt'), 'utf8')).split('\n').filter(Boolean);
      expect(listed.map((line) => line.slice(66)).sort()).deep.equal(files.sort());
      const info = await readFile(join(root, 'bag-info.txt'), 'utf8');
      expect(info)
        .match(new RegExp(`^Payload-Oxum: \\d+\\.${files.length}$`, 'm'))
        .match(/^Bagging-Date: 2026-11-25$/m);
      expect(files).include.members(['data/jobs/SG-00/record.pdf', 'data/jobs/SG-07/label.pdf', 'data/rows.json']);
      expect(files.filter((name) => name.endsWith('.svg')).length).greaterThan(0);
      expect(files.filter((name) => name.endsWith('.stl')).length).greaterThan(0);
      expect(files.filter((name) => name.startsWith('data/photos/')).length).greaterThan(30);
      const record = JSON.parse(await readFile(join(root, 'data/jobs/SG-00/record.json'), 'utf8')) as JobRecord;
      expect(record).deep.equal(await bench.get('jobs/sg-00/record.json'));
    } finally {
      await rm(folder, { recursive: true, force: true });
    }
  });

  it('goes, job by job, into an empty bench, and every row and picture is there as it was', async () => {
    await open(true);
    const jobs = await bench.room.source.query<{ id: string }[]>('SELECT id FROM job ORDER BY number DESC');
    const stock: string[] = [];
    for (const { id } of jobs) {
      const report = await take(await packJob(bench, id));
      expect(report.kept, id).deep.equal([]);
      stock.push(...report.stock);
    }
    expect(await compareBenches(bench, other)).deep.equal([]);
    // What the other bench has left in its pots comes along, and that is said.
    expect(stock).include.members(['Marlstone Deep green', 'Lanthorn Light grey primer']);
    const record = (of: TestBench, id: string) => of.get<JobRecord>(`jobs/${id}/record.json`);
    // What the house decides is of the other house.
    const said = async (of: TestBench, id: string) => ({ ...(await record(of, id)), decisions: [] });
    for (const { id } of jobs) expect(await said(other, id)).deep.equal(await said(bench, id));
    expect(await record(other, 'sg-00')).deep.equal(await record(bench, 'sg-00'));
    // And is whole: it can be worked on.
    const [task] = (await other.get<JobView>('jobs/sg-01')).tasks.filter(({ state }) => state === 'to do');
    const acts = `/api/tasks/${encodeURIComponent(task!.id)}/acts`;
    await other.http.post(acts).send({ act: 'not needed', who: 'Nell', note: 'Seen.' }).expect(200);
  });

  it('carries the colours of a job as spectra that are read again', async () => {
    await open(true);
    const { specimens } = await bench.get<JobView>('jobs/sg-03');
    const spectrum = Array.from({ length: 31 }, (_, i) => 0.05 + i / 100);
    const [part] = specimens[0]!.parts;
    await bench.room.source.query(
      `INSERT INTO colour_capture (id, jobId, specimenPartId, place, note, lab, sd, spectrum, geometry, method, takenAt, who)
       VALUES ('own', 'sg-03', ?, 'sheltered', '', '[50,1,2]', '[1,1,1]', ?, 'gloss left out', 'spectrophotometer', '2026-11-25T18:00:00.000Z', 'Nell')`,
      [part!.id, JSON.stringify(spectrum)],
    );
    const { files } = openBag(await packJob(bench, 'sg-03'));
    const { samples } = readCgats(Buffer.from(files['data/jobs/SG-03/spectra.txt']!).toString());
    const [sample] = samples;
    expect(sample!.name).include('sheltered');
    sample!.spectrum.forEach((value, i) => expect(value).closeTo(spectrum[i]!, 1e-5));
  });

  it('is looked at first; twice it changes nothing, and another job of its number keeps it', async () => {
    await open(false);
    const job = await putOwnLorry(bench);
    const zip = await packJob(bench, job.id);
    const own = await putOwnLorry(other, 'Another lorry');
    expect(own.number).equal(job.number);
    const looked = (await bringArchive(other, zip, '?look=1').expect(200)).body as ArchiveReport;
    expect(looked).deep.include({ isTaken: false, missingPictures: 0 });
    await other.http.get(`/api/jobs/${job.id}`).expect(404);
    const { jobs } = await take(zip);
    expect(jobs).deep.equal([{ id: job.id, number: 'B-01', title: 'Attic Lorry', numberHere: 'B-02', isHere: false }]);
    const view = await other.get<JobView>(`jobs/${job.id}`);
    expect(view.job.number).equal('B-02');
    expect((await other.get<JobView>(`jobs/${own.id}`)).job.number).equal('B-01');
    await other.http
      .get(`/api/photos/${view.photos[0]!.id}/file`)
      .expect((answer) => expect(answer.status).not.equal(500));
    const again = await take(zip);
    expect(again.rows).equal(0);
    expect(again.jobs[0]!.isHere).equal(true);
  });

  it('never overwrites a job that went on, and keeps the bench’s own word about a casting, and says so', async () => {
    await open(false);
    const job = await putOwnLorry(bench);
    const zip = await packJob(bench, job.id);
    await bench.http.patch(`/api/jobs/${job.id}`).send({ version: job.version, why: 'For the fair.' }).expect(200);
    const { body } = await bringArchive(bench, zip).expect(400);
    expect((body as ErrorBody).message).equal(
      'Nothing was taken: B-01 Attic Lorry is on this bench already, in another state, and is not overwritten.',
    );
    await take(zip);
    const [casting] = await other.room.source.query<Casting[]>('SELECT * FROM casting');
    await other.http
      .patch(`/api/castings/${casting!.id}`)
      .send({ version: casting!.version, name: 'Own name' })
      .expect(200);
    const second = (
      await bench.http.post('/api/jobs').send({
        ...{ title: 'Second', castingId: casting!.id, scope: 'clean only', target: 'as issued', why: '', dueOn: null },
      })
    ).body as { id: string };
    const { kept, rows } = await take(await packJob(bench, second.id));
    expect(kept).deep.equal([{ table: 'casting', name: 'Own name', fields: ['name'] }]);
    expect(rows).greaterThan(5);
    const [still] = await other.room.source.query<Casting[]>('SELECT * FROM casting');
    expect(still!.name).equal('Own name');
  });

  it('is refused where a row of it has the id of one of another job: it would be lost without a word', async () => {
    await open(false);
    const job = await putOwnLorry(bench);
    const own = await putOwnLorry(other, 'Another lorry');
    const { base, files } = openBag(await packJob(bench, job.id));
    const [finding] = await other.room.source.query<{ id: string }[]>('SELECT id FROM finding');
    const rows = JSON.parse(Buffer.from(files['data/rows.json']!).toString()) as {
      tables: { finding: { id: string }[] };
    };
    rows.tables.finding[0]!.id = finding!.id;
    const altered = listAnew({ ...files, 'data/rows.json': new Uint8Array(Buffer.from(JSON.stringify(rows))) });
    const { body } = await bringArchive(other, closeBag(base, altered)).expect(400);
    expect((body as ErrorBody).message).include('of another job (finding)');
    await other.http.get(`/api/jobs/${job.id}`).expect(404);
    expect((await other.get<JobView>(`jobs/${own.id}`)).specimens[0]!.findings).have.length(1);
  });

  it('has a folder for each of two jobs whose numbers differ by signs alone', async () => {
    await open(false);
    for (const [title, number] of [
      ['First', 'A/1'],
      ['Second', 'A-1'],
    ]) {
      const { id } = await putOwnJob(bench, title!);
      await bench.room.source.query('UPDATE job SET number = ? WHERE id = ?', [number, id]);
    }
    const answer = await bench.http.get('/api/archive.zip').buffer(true).parse(readBinary).expect(200);
    const names = Object.keys(openBag(answer.body as Buffer).files);
    expect(names).include.members(['data/jobs/A-1/record.json', 'data/jobs/A-1-2/record.json']);
    expect((await take(answer.body as Buffer)).jobs).have.length(2);
  });

  it('says that a picture was gone when it was packed, and is whole without it', async () => {
    await open(false);
    const job = await putOwnLorry(bench);
    const [photo] = (await bench.get<JobView>(`jobs/${job.id}`)).photos;
    await rm(join(bench.room.folder, 'photos', `${photo!.hash}.jpg`));
    const report = await take(await packJob(bench, job.id));
    expect(report.missingPictures).equal(1);
    expect((await other.get<JobView>(`jobs/${job.id}`)).photos).have.length(2);
  });

  it('is taken with files that somebody put beside and listed, and with another folder’s name', async () => {
    await open(false);
    const job = await putOwnLorry(bench);
    const { files } = openBag(await packJob(bench, job.id));
    const letter = new Uint8Array(Buffer.from('From the owner.'));
    await take(closeBag('renamed', listAnew({ ...files, 'data/letter.txt': letter })));
    expect(
      (await readdir(other.room.folder, { recursive: true })).filter((name) => name.includes('letter')),
    ).deep.equal([]);
  });

  it('is refused where it was altered, cut, blown up or leads out of its folder, and nothing is left behind', async () => {
    await open(false);
    const { brought, accepted, faults } = await bringAltered(75, 22);
    expect(brought).equal(75);
    expect(accepted).deep.equal([]);
    expect(faults).deep.equal([]);
  });

  it('is given up when whoever asked has left; nothing of it stays, and the next one is whole', async () => {
    await open(true);
    const server = createApp({ room: bench.room, webRoot: null }).listen(0, '127.0.0.1');
    await new Promise((done) => server.once('listening', done));
    const address = `http://127.0.0.1:${(server.address() as AddressInfo).port}/api/archive.zip`;
    const asked = new AbortController();
    const answer = fetch(address, { signal: asked.signal }).catch((error: Error) => error.name);
    await new Promise((done) => setTimeout(done, 1500));
    asked.abort();
    expect(await answer).equal('AbortError');
    const drafts = async () => (await readdir(bench.room.folder)).filter((name) => name.startsWith('restoring-'));
    for (let i = 0; i < 200 && (await drafts()).length; i++) await new Promise((done) => setTimeout(done, 50));
    expect(await drafts()).deep.equal([]);
    server.closeAllConnections();
    await new Promise((done) => server.close(done));
    expect((await take(await packJob(bench, 'sg-10'))).jobs).have.length(1);
  });

  it('refuses what is none, and asks that it does not know', async () => {
    await open(false);
    await bench.http.get('/api/jobs/none/archive.zip').expect(404);
    await bench.http.get('/api/archive.zip').expect(404);
    await bringArchive(other, Buffer.from('no zip')).expect(400);
    await bringArchive(other, Buffer.from('no zip'), '?look=2').expect(400);
    await other.http.post('/api/archive.zip').send({}).expect(400);
  });
});
