import type { JobView, ShelfView } from '@sardonyx/contract';
import { createSeededRandom, pickOne, type JobRecord } from '@sardonyx/core';
import { expect } from 'chai';
import { createTestBench, type TestBench } from './support/createTestBench.ts';
import { OWN_LORRY, OWN_POT, ownJob } from './support/ownLorry.ts';

/*
 * Somebody clumsy on an empty bench, with a casting of their own: acts out of order, twice, taken back, choices changed
 * after the work, coats on the wrong place, findings that come and go. Whatever they do, the server answers with a reason
 * and not with a fault, and what was logged stands as it was written.
 */
describe('an own casting on an empty bench, clumsily', function () {
  this.timeout(120_000);
  let bench: TestBench;
  beforeEach(async () => void (bench = await createTestBench({ isDemo: false })));
  afterEach(() => bench.clear());

  const who = 'Nell';
  async function putOnTheBench(): Promise<string> {
    const casting = await bench.http.post('/api/castings').send(OWN_LORRY);
    expect(casting.status, JSON.stringify(casting.body)).equal(201);
    const job = await bench.http.post('/api/jobs').send(ownJob((casting.body as { id: string }).id));
    expect(job.status, JSON.stringify(job.body)).equal(201);
    for (const [kind, name] of [
      ['primer', 'Grey'],
      ['colour', 'Green'],
    ] as const) {
      const pot = await bench.http.post('/api/shelf/pots').send({ ...OWN_POT, name, kind });
      expect(pot.status, JSON.stringify(pot.body)).equal(201);
    }
    return (job.body as { id: string }).id;
  }

  /** The version of every row in the house, by table and id. */
  async function readVersions(): Promise<Map<string, number>> {
    const { source } = bench.room;
    const tables = source.entityMetadatas.filter(({ columns }) =>
      columns.some((one) => one.propertyName === 'version'),
    );
    const rows = await Promise.all(
      tables.map(async ({ tableName }) =>
        (await source.query<{ id: string; version: number }[]>(`SELECT id, version FROM "${tableName}"`)).map(
          ({ id, version }) => [`${tableName} ${id}`, version] as const,
        ),
      ),
    );
    return new Map(rows.flat());
  }

  for (const seed of [1, 2, 3, 4])
    it(`answers, and keeps what was logged (seed ${seed})`, async () => {
      const random = createSeededRandom(seed);
      const jobId = await putOnTheBench();
      const { products } = await bench.get<ShelfView>('shelf');
      let versions = await readVersions();
      let logged: JobRecord['work'] = [];
      let done = 0;
      for (let step = 0; step < 120; step++) {
        const view = await bench.get<JobView>(`jobs/${jobId}`);
        const { specimen, parts, areas, layers, findings } = view.specimens[0]!;
        const post = (path: string, body: object) => bench.http.post(`/api/${path}`).send(body);
        const anyPart = () => pickOne(parts, random);
        const acts: readonly (() => PromiseLike<{ status: number; body: unknown; text: string }>)[] = [
          ...Array.from({ length: 10 }, () => () => {
            const task = pickOne(view.tasks, random);
            const act = pickOne(
              ['start', 'done', 'done otherwise', 'not needed', 'take back', 'looked', 'note'],
              random,
            );
            return post(`tasks/${encodeURIComponent(task.id)}/acts`, {
              ...{ act, who, note: random() < 0.8 ? 'so it was' : '' },
              ...(random() < 0.5 ? { staysUntilDone: true } : {}),
            });
          }),
          // The way a careful one goes, now and then, so that the walk gets anywhere.
          ...Array.from({ length: 8 }, () => () => {
            const open = view.tasks.filter((task) => task.state === 'doing' || task.state === 'to do');
            const task =
              open.find(({ state }) => state === 'doing') ??
              open[Math.floor(random() * Math.min(3, open.length))] ??
              pickOne(view.tasks, random);
            return post(`tasks/${encodeURIComponent(task.id)}/acts`, {
              ...{ act: random() < 0.5 ? 'done otherwise' : 'done', who, note: 'in my own way', staysUntilDone: true },
            });
          }),
          () =>
            post('findings', {
              ...{
                specimenPartId: anyPart().id,
                kind: pickOne(['bent', 'cracked', 'rust', 'pitted', 'missing', 'broken', 'brittle'], random),
              },
              ...{ severity: 2, note: '', measuredValue: null, measuredUnit: 'mm' },
            }),
          () =>
            findings.length
              ? bench.http.delete(`/api/findings/${pickOne(findings, random).id}`).query({ version: 1 })
              : post('findings', {}),
          () =>
            post('layers', {
              ...{
                areaId: pickOne(areas, random).id,
                stage: pickOne(['found', 'planned'], random),
                seq: Math.floor(random() * 5),
              },
              ...{ kind: pickOne(['colour', 'primer', 'decal'], random), name: 'Green', colourHex: '#506070' },
              ...{ thicknessUm: 20, thicknessOrigin: 'planning estimate', productId: null },
            }),
          () =>
            post('coats', {
              ...{
                areaId: pickOne(areas, random).id,
                productId: pickOne(products, random).id,
                tempC: 20,
                who,
                note: '',
              },
              appliedAt: bench.room.now().toISOString(),
            }),
          () => post(`coats/${layers.length ? pickOne(layers, random).id : 'none'}/reject`, { who, because: 'runs' }),
          () => {
            const [school, option] = pickOne(
              [
                ['S11', 'mild slow'],
                ['S11', 'caustic'],
                ['S5', 'crimp flat'],
                ['S6', 'spray can'],
                ['S6', 'powder'],
                ['S5', 'none, it fits tight'],
                ['S2', 'never opened'],
                ['S22', 'honest wear'],
              ] as const,
              random,
            );
            const made = view.decisions.find((one) => one.school === school);
            return made
              ? bench.http
                  .patch(`/api/decisions/${made.id}`)
                  .send({ version: made.version, option, reason: 'changed my mind' })
              : post('decisions', { jobId, school, option, reason: 'why not' });
          },
          () =>
            post('wants', {
              ...{ specimenPartId: anyPart().id, what: 'a part', bits: [], state: 'open', solution: '' },
              ...{ reason: '', dueOn: null },
            }),
          () => {
            const condition = pickOne(['open', 'lost', 'glued', 'loose', 'never assembled'], random);
            const made = view.specimens[0]!.jointConditions[0];
            if (made && random() < 0.3)
              return bench.http.delete(`/api/joint-conditions/${made.id}`).query({ version: made.version });
            const jointKey = pickOne(view.specimens[0]!.facts.joints, random).key;
            return made?.jointKey === jointKey
              ? bench.http.patch(`/api/joint-conditions/${made.id}`).send({ version: made.version, condition })
              : post('joint-conditions', { specimenId: specimen.id, jointKey, condition, note: '' });
          },
          () => {
            const { id, version, isKept } = anyPart();
            return bench.http.patch(`/api/specimen-parts/${id}`).send({ version, isKept: !isKept });
          },
          () => {
            const wants = view.specimens[0]!.wants;
            if (wants.length === 0) return post('wants', {});
            const { id, version } = pickOne(wants, random);
            const state = pickOne(['open', 'ordered', 'solved', 'waived'], random);
            const origin = pickOne(['bought', 'donor', 'printed'], random);
            return bench.http.patch(`/api/wants/${id}`).send({ version, state, origin, reason: 'so be it' });
          },
          () =>
            bench.http.patch(`/api/specimens/${specimen.id}`).send({ version: specimen.version, name: 'Lorry again' }),
          () => post(`jobs/${jobId}/sign-off`, { who, because: 'Clumsy.' }),
          () =>
            post('findings', {
              ...{ specimenPartId: anyPart().id, note: '', severity: pickOne([1, 2, 3], random) },
              kind: pickOne(['missing', 'broken', 'brittle', 'twisted', 'over-drilled', 'slanted'], random),
              feature: pickOne(['', 'pillar', 'rear post'], random),
            }),
          () => {
            if (findings.length === 0) return post('findings', {});
            const { id, version } = pickOne(findings, random);
            const mend = pickOne([null, 'gel', 'solder', 'splint', 'new piece'], random);
            const feature = pickOne(['', 'hook'], random);
            const changes = pickOne([{ mend }, { carriesLoad: random() < 0.5 }, { feature }], random);
            return bench.http.patch(`/api/findings/${id}`).send({ version, ...changes });
          },
          () => {
            const wants = view.specimens[0]!.wants;
            if (wants.length === 0) return post('wants', {});
            const { id, version } = pickOne(wants, random);
            const getBy = pickOne([null, 'print', 'make', 'donor', 'buy'], random);
            return bench.http
              .patch(`/api/wants/${id}`)
              .send({ version, getBy, kind: pickOne(['part', 'feature'], random) });
          },
          () => {
            const { version, scope } = view.job;
            const target = pickOne(['as issued', 'period-correct', 'custom'], random);
            const changes = random() < 0.5 ? { target } : { scope: scope === 'full' ? 'repair only' : 'full' };
            return bench.http.patch(`/api/jobs/${jobId}`).send({ version, ...changes });
          },
          () => {
            const { castingId } = specimen;
            const [, second] = view.specimens;
            if (!second) return post(`jobs/${jobId}/specimens`, { name: 'Second', castingId, isDonor: false });
            const [from, into] = random() < 0.5 ? [second, view.specimens[0]!] : [view.specimens[0]!, second];
            const part = pickOne(from.parts, random);
            return post(`specimen-parts/${part.id}/take`, { intoSpecimenId: into.specimen.id });
          },
          () => {
            const found = layers.filter((layer) => layer.stage === 'found');
            if (found.length === 0) return post('layers', {});
            const { id, version } = pickOne(found, random);
            const whose = pickOne(['factory', 'owner', 'restorer'], random);
            return bench.http.patch(`/api/layers/${id}`).send({ version, whose });
          },
          () =>
            bench.http
              .patch(`/api/specimens/${specimen.id}`)
              .send({ version: specimen.version, settledBy: 'opened and seen', settledVariantId: 'none' }),
        ];
        const answer = await pickOne(acts, random)();
        expect(answer.status, `step ${step}: ${answer.text}`).lessThan(500);
        bench.pass(Math.floor(random() * 40));
        const { work } = await bench.get<JobRecord>(`jobs/${jobId}/record.json`);
        expect(work.slice(0, logged.length), `step ${step}: what was logged`).deep.equal(logged);
        const before = versions;
        versions = await readVersions();
        for (const [id, version] of versions) {
          const was = before.get(id);
          if (was === undefined) expect(version, `step ${step}: ${id} is new`).equal(1);
          else expect(version, `step ${step}: ${id}`).within(was, was + 2);
        }
        if (answer.status >= 400) expect(work, `step ${step}: refused, and logged all the same`).deep.equal(logged);
        logged = work;
        const { tasks: after, planChanges } = await bench.get<JobView>(`jobs/${jobId}`);
        for (const change of planChanges)
          expect(change.because, `step ${step}: ${JSON.stringify(change)}`).not.deep.equal([]);
        for (const { id, title, how, because, method } of view.tasks.filter(({ state }) => state === 'done')) {
          const now = after.find((task) => task.id === id);
          expect(now, `step ${step}: ${id} is still there`).not.equal(undefined);
          if (now!.state === 'done') expect(now, `step ${step}`).deep.include({ title, how, because, method });
        }
        done = after.filter((task) => task.state === 'done').length;
      }
      expect(logged.length, 'the walk got somewhere').greaterThan(15);
      expect(done).greaterThan(3);
    });
});
