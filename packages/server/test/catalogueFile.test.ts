import { readFile } from 'node:fs/promises';
import { resolve } from 'node:path';
import { setTimeout } from 'node:timers/promises';
import type { CastingView, ImportReport } from '@sardonyx/contract';
import { Ajv } from 'ajv';
import { expect } from 'chai';
import { createTestBench, type TestBench } from './support/createTestBench.ts';

const JSON_TYPE = 'application/vnd.sardonyx-catalogue+json';

describe('the catalogue as a file', () => {
  let bench: TestBench;
  beforeEach(async () => void (bench = await createTestBench()));
  afterEach(() => bench.clear());

  const csv = async () => (await bench.http.get('/api/catalogue.csv').expect(200)).text;
  const json = async () => (await bench.http.get('/api/catalogue.json').expect(200)).body as Record<string, object[]>;
  async function bring(text: string, type = 'text/csv'): Promise<ImportReport> {
    const { body } = await bench.http.post('/api/catalogue/imports').set('content-type', type).send(text).expect(202);
    return rest((body as ImportReport).id);
  }
  async function rest(id: string): Promise<ImportReport> {
    for (;;) {
      const report = await bench.get<ImportReport>(`catalogue/imports/${id}`);
      if (!['reading', 'checking', 'writing'].includes(report.state)) return report;
      await setTimeout(20);
    }
  }

  it('changes nothing when it is brought in as it went out', async () => {
    const before = await csv();
    const report = await bring(before);
    expect(report).include({ state: 'done', added: 0, changed: 0 });
    expect(report.unchanged).greaterThan(4000);
    expect(await csv()).equal(before);
  });

  it('comes back exactly after a casting was removed', async () => {
    const before = await csv();
    await bench.http.delete('/api/castings/hand-span-3').expect(204);
    expect(await csv()).not.equal(before);
    const report = await bring(before);
    expect(report.state, JSON.stringify(report.problems)).equal('done');
    expect(report.added).greaterThan(50);
    expect(await csv()).equal(before);
  });

  it('comes back with parts, joints and drawing as JSON', async () => {
    const text = JSON.stringify(await json());
    const before = await bench.get<CastingView>('castings/hand-span-4');
    await bench.http.delete('/api/castings/hand-span-4').expect(204);
    const report = await bring(text, JSON_TYPE);
    expect(report.state, JSON.stringify(report.problems)).equal('done');
    const { castings } = await bench.get<{ castings: { id: string; number: string; rangeName: string }[] }>('castings');
    const { id } = castings.find(
      (casting) => casting.number === before.casting.number && casting.rangeName === 'Hand-Span',
    )!;
    const after = await bench.get<CastingView>(`castings/${id}`);
    expect(after.casting.drawing).deep.equal(before.casting.drawing);
    const keys = (view: CastingView) => [...view.parts, ...view.joints].map((one) => one.key).sort();
    expect(keys(after)).deep.equal(keys(before));
  });

  it('fits its published layout', async () => {
    const file = resolve(import.meta.dirname, '../../../docs/formats/catalogue.schema.json');
    const validate = new Ajv({ allErrors: true }).compile(JSON.parse(await readFile(file, 'utf8')) as object);
    expect(validate(await json()), JSON.stringify(validate.errors?.slice(0, 3))).equal(true);
    expect(validate({ format: 'sardonyx-catalogue' })).equal(false);
  });

  it('takes nothing from a file with one bad row, and names line and column', async () => {
    const before = await csv();
    const lines = before.split('\r\n');
    const at = lines.findIndex((line) => line.startsWith('variant,'));
    const cells = { kind: 'maker', maker: 'tern', name: 'Tern Works' } as Record<string, string>;
    lines.splice(
      1,
      0,
      lines[0]!
        .split(',')
        .map((column) => cells[column] ?? '')
        .join(','),
    );
    lines[at + 1] = lines[at + 1]!.replace(/,(\d+(\.\d+)?),$/, ',many,');
    const report = await bring(lines.join('\r\n'));
    expect(report).include({ state: 'refused', problemCount: 1 });
    expect(report.problems[0]).include({ line: at + 2, column: 'rarity' });
    expect(await csv()).equal(before);
  });

  it('takes thousands of rows while others are served, shows how far it is, and can be stopped', async () => {
    const [header] = (await csv()).split('\r\n');
    const columns = header!.split(',');
    const row = (cells: Readonly<Record<string, string>>) => columns.map((column) => cells[column] ?? '').join(',');
    const years = { from_year: '1960', start_latest: '1960', end_earliest: '1962', to_year: '1963', rarity: '1' };
    const variants = Array.from({ length: 6000 }, (_, i) =>
      row({ kind: 'variant', range: 'hand-span', casting: '4/2', variant: `x${i}`, name: `Made up ${i}`, ...years }),
    );
    const text = [header, ...variants].join('\n');
    const begin = async () =>
      (
        (await bench.http.post('/api/catalogue/imports').set('content-type', 'text/csv').send(text))
          .body as ImportReport
      ).id;
    const first = await begin();
    await bench.http.delete(`/api/catalogue/imports/${first}`).expect(204);
    let stopped: ImportReport;
    do stopped = await bench.get<ImportReport>(`catalogue/imports/${first}`);
    while (['reading', 'checking', 'writing'].includes(stopped.state));
    expect(stopped.state).equal('cancelled');
    expect(await csv()).not.include('Made up');
    const second = await begin();
    const seen = new Set<string>();
    let report: ImportReport;
    do {
      report = await bench.get<ImportReport>(`catalogue/imports/${second}`);
      seen.add(`${report.state} ${report.progress}`);
      await bench.http.get('/api/health').expect(200);
    } while (['reading', 'checking', 'writing'].includes(report.state));
    expect(report).include({ state: 'done', added: 6000 });
    expect(seen.size).greaterThan(2);
    await bench.http.get('/api/catalogue/imports/nobody').expect(404);
  });

  it('shows what it would change before anything is taken, takes it when told, or leaves it', async () => {
    const before = await csv();
    const wanted = before.replace('Small crest', 'Tiny crest').replace('"Export, signal red"', '"Export, red"');
    const look = async () => {
      const { body } = await bench.http
        .post('/api/catalogue/imports?look=1')
        .set('content-type', 'text/csv')
        .send(wanted)
        .expect(202);
      return rest((body as ImportReport).id);
    };
    const left = await look();
    expect(left).include({ state: 'checked', added: 0, changed: 2 });
    expect(left.changes.map(({ kind, columns }) => [kind, columns])).deep.equal([
      ['state', [{ column: 'name', from: 'Small crest', to: 'Tiny crest' }]],
      ['variant', [{ column: 'name', from: 'Export, signal red', to: 'Export, red' }]],
    ]);
    expect(await csv()).equal(before);
    await bench.http.delete(`/api/catalogue/imports/${left.id}`).expect(204);
    expect((await rest(left.id)).state).equal('cancelled');
    await bench.http.post(`/api/catalogue/imports/${left.id}/carry-out`).expect(422);
    const taken = await look();
    await bench.http.post(`/api/catalogue/imports/${taken.id}/carry-out`).expect(202);
    expect(await rest(taken.id)).include({ state: 'done', changed: 2 });
    expect(await csv()).equal(wanted);
    await bench.http.post(`/api/catalogue/imports/${taken.id}/carry-out`).expect(422);
    await bench.http.post('/api/catalogue/imports/nobody/carry-out').expect(404);
  });

  it('is checked anew when it is taken: what changed meanwhile is not lost sight of', async () => {
    const before = await csv();
    const { body } = await bench.http
      .post('/api/catalogue/imports?look=1')
      .set('content-type', 'text/csv')
      .send(before)
      .expect(202);
    expect(await rest((body as ImportReport).id)).include({ state: 'checked', added: 0 });
    await bench.http.delete('/api/castings/hand-span-3').expect(204);
    await bench.http.post(`/api/catalogue/imports/${(body as ImportReport).id}/carry-out`).expect(202);
    const report = await rest((body as ImportReport).id);
    expect(report.added).greaterThan(50);
    expect(await csv()).equal(before);
  });

  it('says what is wrong with a JSON file', async () => {
    expect((await bring('{', JSON_TYPE)).problems[0]!.message).include('not readable JSON');
    const report = await bring(JSON.stringify({ ...(await json()), makers: [{ id: 'x' }] }), JSON_TYPE);
    expect(report.state).equal('refused');
    expect(report.problems.map((problem) => problem.message).join(' ')).include('makers.0.name');
    await bench.http.post('/api/catalogue/imports').send({}).expect(400);
  });
});
