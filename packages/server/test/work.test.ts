import type { BenchView, ErrorBody, JobView, TimersView } from '@sardonyx/contract';
import type { Job, Task, Timer } from '@sardonyx/core';
import { expect } from 'chai';
import { forget } from '../src/workroom.ts';
import { createTestBench, type TestBench } from './support/createTestBench.ts';

describe('work at the bench', () => {
  let bench: TestBench;
  beforeEach(async () => void (bench = await createTestBench()));
  afterEach(() => bench.clear());

  const who = 'Osric Bell';
  const view = (id: string) => bench.get<JobView>(`jobs/${id}`);
  const act = (task: string, what: string, changes: object = {}) =>
    bench.http.post(`/api/tasks/${encodeURIComponent(task)}/acts`).send({ act: what, who, note: '', ...changes });
  const stateOf = async (id: string) =>
    (await bench.room.source.query('SELECT state FROM task WHERE id = ?', [id]))[0]?.state as string;
  const clock = (changes: object = {}) => ({
    jobId: 'sg-04',
    taskId: null,
    label: 'Gel on the skip',
    kind: 'bath',
    minutes: 25,
    ...changes,
  });

  describe('tasks', () => {
    it('start, end, and go into the log with who and when', async () => {
      await act('sg-04-1.identify', 'start').expect(200);
      bench.pass(12);
      const { body } = await act('sg-04-1.identify', 'done', { note: 'plain skip' }).expect(200);
      expect((body as Task).state).equal('done');
      const { log, job } = await view('sg-04');
      expect(log.map((entry) => [entry.act, entry.who, entry.note])).deep.equal([
        ['started', who, ''],
        ['done', who, 'plain skip'],
      ]);
      expect(log[1]!.at).equal('2026-11-25T18:42:00.000Z');
      expect(job.station).equal('survey');
    });

    it('do not start while what they wait for is open: the reason names it, and no code of ours', async () => {
      const { body } = await act('sg-04-1.strip:body', 'start').expect(422);
      expect((body as ErrorBody).code).equal('predecessor-open');
      expect((body as ErrorBody).message)
        .match(/First ".+": .+\./)
        .not.match(/\b[ONS]\d/);
      expect(await stateOf('sg-04-1.strip:body')).equal('to do');
      await act('sg-04-1.strip:body', 'done').expect(422);
    });

    it('refuse a spark while a bath runs, and start when its clock was silenced', async () => {
      const grind = (await view('sg-06')).tasks.find((task) => task.tags.includes('spark'))!;
      const { body } = await bench.http.post('/api/timers').send(clock()).expect(201);
      const refused = await act(grind.id, 'start').expect(422);
      expect((refused.body as ErrorBody).code).equal('spark-beside-vapour');
      expect((refused.body as ErrorBody).message).include('Gel on the skip');
      bench.pass(60);
      await act(grind.id, 'start').expect(422);
      await bench.http.post(`/api/timers/${(body as Timer).id}/acknowledge`).expect(200);
      await act(grind.id, 'start').expect(200);
    });

    it('refuse vapour while something sparks in the room, whatever the job', async () => {
      const grind = (await view('sg-06')).tasks.find((task) => task.tags.includes('spark'))!;
      await act(grind.id, 'start').expect(200);
      const { tasks } = await view('sg-08');
      const strip = tasks.find((task) => task.key === 'strip:roof')!;
      const { body } = await act(strip.id, 'start').expect(422);
      expect((body as ErrorBody).code).equal('vapour-beside-spark');
      const lane = (await bench.get<BenchView>('bench')).lanes.find((one) => one.job.number === 'SG-06')!;
      expect(lane.next).deep.include({ taskId: grind.id, underWay: true });
    });

    it('are taken back only while nothing rests on them', async () => {
      const { tasks } = await view('sg-08');
      const done = tasks.filter((task) => task.state === 'done');
      expect(((await act('sg-08-1.identify', 'take back').expect(422)).body as ErrorBody).code).equal('rests-on');
      await act(done.at(-1)!.id, 'take back').expect(200);
      expect(await stateOf(done.at(-1)!.id)).equal('to do');
      expect(((await act(done.at(-1)!.id, 'take back').expect(422)).body as ErrorBody).code).equal('not-begun');
    });

    it('do not call a want got before it lies on the bench', async () => {
      const want = (await view('sg-03')).specimens[0]!.wants.find((one) => one.kind === 'part')!;
      expect(((await act(`sg-03-1.get:${want.id}`, 'done').expect(422)).body as ErrorBody).code).equal('want-open');
      await bench.http.patch(`/api/wants/${want.id}`).send({ version: 1, state: 'solved' }).expect(422);
      await bench.http
        .patch(`/api/wants/${want.id}`)
        .send({ version: 1, state: 'solved', origin: 'donor', solution: 'from the drawer' })
        .expect(200);
      await act(`sg-03-1.get:${want.id}`, 'done').expect(200);
      const part = (await view('sg-03')).specimens[0]!.parts.find((one) => one.id === want.specimenPartId)!;
      expect(part).deep.include({ origin: 'donor', originNote: 'from the drawer' });
    });

    it('take a want for waived only with its reason, and leave an open one open without', async () => {
      const want = (await view('sg-03')).specimens[0]!.wants.find((one) => one.kind === 'part')!;
      const change = (version: number, changes: object) =>
        bench.http.patch(`/api/wants/${want.id}`).send({ version, ...changes });
      expect(((await change(1, { state: 'waived' }).expect(422)).body as ErrorBody).code).equal('reason');
      await change(1, { state: 'waived', reason: 'It never had one.' }).expect(200);
      await change(2, { state: 'open', reason: '' }).expect(200);
    });

    it('count towards a station only while they are asked for', async () => {
      const progressOf = async () =>
        (await bench.get<BenchView>('bench')).lanes.find((one) => one.job.number === 'SG-04')!.progress;
      expect((await progressOf()).identify).equal(0);
      await act('sg-04-1.identify', 'not needed', { note: 'It is known.' }).expect(200);
      expect((await progressOf()).identify, 'nothing else is asked there').equal(null);
      const { survey } = await progressOf();
      await bench.room.source.query("UPDATE task SET state = 'set aside' WHERE id = 'sg-04-1.photograph'");
      forget(bench.room, 'all');
      const { tasks } = await view('sg-04');
      const asked = tasks.filter((task) => task.station === 'survey' && task.state !== 'set aside');
      expect(survey).equal(0);
      await bench.room.source.query("UPDATE task SET state = 'done' WHERE id = ?", [asked[0]!.id]);
      forget(bench.room, 'all');
      expect((await progressOf()).survey).equal(1 / asked.length);
    });

    it('ask who did it', async () => {
      const { body } = await act('sg-04-1.identify', 'done', { who: '' }).expect(400);
      expect((body as ErrorBody).fields).deep.equal({ who: 'Say who did it.' });
      await act('sg-04-1.identify', 'dance').expect(400);
      await act('nobody', 'done').expect(404);
    });

    it('are never lost when the plan changes under them', async () => {
      const { body } = await bench.http
        .post('/api/findings')
        .send({ specimenPartId: 'sg-08-1.body', kind: 'cracked', severity: 2, note: '' })
        .expect(201);
      const mend = 'sg-08-1.mend:body';
      for (const key of ['wash:body', 'inspect:body', 'mend:body']) {
        const task = (await view('sg-08')).tasks.find((one) => one.key === key)!;
        bench.pass(30);
        await act(task.id, 'start').expect(200);
        await act(task.id, 'done').expect(200);
      }
      await bench.http.delete(`/api/findings/${(body as { id: string }).id}`).expect(204);
      expect(await stateOf(mend)).equal('done');
    });
  });

  describe('clocks', () => {
    it('run on the server’s time and are seen by every window', async () => {
      await bench.http
        .post('/api/timers')
        .send(clock({ minutes: 10 }))
        .expect(201);
      bench.pass(4);
      const { now, timers } = await bench.get<TimersView>('timers');
      const timer = timers.find((one) => one.label === 'Gel on the skip')!;
      expect((Date.parse(timer.endsAt) - Date.parse(now)) / 60_000).closeTo(6, 0.01);
    });

    it('stay until somebody silences them, once', async () => {
      const { body } = await bench.http
        .post('/api/timers')
        .send(clock({ minutes: 1 }))
        .expect(201);
      bench.pass(30);
      const { id } = body as Timer;
      expect((await bench.get<TimersView>('timers')).timers.some((one) => one.id === id)).equal(true);
      await bench.http.post(`/api/timers/${id}/acknowledge`).expect(200);
      expect((await bench.get<TimersView>('timers')).timers.some((one) => one.id === id)).equal(false);
      await bench.http.post(`/api/timers/${id}/acknowledge`).expect(422);
    });

    it('refuse lengths that are none', async () => {
      for (const minutes of [0, -5, 'soon', null, 1e9])
        await bench.http.post('/api/timers').send(clock({ minutes })).expect(400);
      await bench.http
        .post('/api/timers')
        .send(clock({ jobId: 'sg-00' }))
        .expect(422);
    });
  });

  describe('coats', () => {
    const green = 'paint-marlstone-deep-green';
    const primer = 'paint-lanthorn-light-grey-primer';
    const coat = (areaId: string, changes: object = {}) => ({
      areaId,
      productId: primer,
      tempC: 20,
      appliedAt: '2026-11-25T18:00:00Z',
      who,
      note: '',
      ...changes,
    });
    const areaOf = async (job: string, part: string) => {
      const { specimens } = await view(job);
      for (const { areas } of specimens)
        for (const area of areas) if (area.specimenPartId === part && area.name === 'outside') return area.id;
      throw new Error('no such area');
    };

    it('are refused on a part that is not stripped, at the field', async () => {
      const { body } = await bench.http
        .post('/api/coats')
        .send(coat(await areaOf('sg-04', 'sg-04-1.body')))
        .expect(422);
      expect(body).deep.include({ code: 'not-stripped' });
      expect((body as ErrorBody).fields!.productId).match(/old paint/);
    });

    it('go on primer first, then colour, and show on the part', async () => {
      const area = await areaOf('sg-07', 'sg-07-2.body');
      const send = () => bench.http.post('/api/coats').send(coat(area, { productId: green }));
      // The colour's step still waits: the primer is not judged, the mist coat is not on.
      expect(((await send().expect(422)).body as ErrorBody).code).equal('predecessor-open');
      for (const key of ['judge:body', 'mix:Quay Chalk white', 'mist:body:outside'])
        await act(`sg-07-2.${key}`, 'not needed', { note: 'seen' }).expect(200);
      await send().expect(201);
      const applied = (await view('sg-07')).specimens[1]!.layers.filter(
        (layer) => layer.areaId === area && layer.stage === 'applied',
      );
      expect(applied.map((layer) => layer.kind)).deep.equal(['primer', 'colour']);
      expect(applied[1]).deep.include({ appliedBy: who, tempC: 20, thicknessUm: 22 });
    });

    it('cannot go on in the future, before the model came in, or in the cold', async () => {
      const area = await areaOf('sg-07', 'sg-07-2.base');
      for (const appliedAt of ['2026-11-25T19:00:00Z', '2026-01-01T10:00:00Z']) {
        const { body } = await bench.http.post('/api/coats').send(coat(area, { appliedAt })).expect(400);
        expect(body).deep.include({ code: 'impossible-date' });
      }
      for (const appliedAt of ['2026-11-31T10:00:00Z', 'yesterday'])
        await bench.http.post('/api/coats').send(coat(area, { appliedAt })).expect(400);
      const { body } = await bench.http
        .post('/api/coats')
        .send(coat(area, { tempC: 4 }))
        .expect(422);
      expect((body as ErrorBody).fields).have.property('tempC');
    });
  });

  describe('jobs', () => {
    const foundLayer = (areaId: string) => ({
      ...{ areaId, stage: 'found', seq: 0, kind: 'colour', name: 'Silver', colourHex: '#a8aaab' },
      ...{ thicknessUm: 12, thicknessOrigin: 'planning estimate', productId: null },
    });
    const intake = (changes: object = {}) => ({
      title: 'Ferry',
      castingId: 'coal-cart',
      scope: 'full',
      target: 'as issued',
      why: '',
      dueOn: null,
      ...changes,
    });

    it('come in with a number, parts and a plan from the casting', async () => {
      const { body } = await bench.http.post('/api/jobs').send(intake()).expect(201);
      expect(body).deep.include({ number: 'SG-11', station: 'identify', intakeOn: '2026-11-25' });
      const made = await view((body as Job).id);
      expect(made.specimens[0]!.parts.map((part) => part.key)).deep.equal(['body', 'base', 'wheels', 'axles']);
      expect(made.tasks.map((task) => task.key)).include.members([
        'identify',
        'photograph',
        'know-materials',
        'pest-check',
      ]);
      // Nothing is opened before the survey says what must come apart.
      expect(made.tasks.map((task) => task.key)).not.include('open:front-post');
      const area = made.specimens[0]!.areas.find((one) => one.specimenPartId.endsWith('.wheels'))!;
      await bench.http.post('/api/layers').send(foundLayer(area.id)).expect(201);
      expect((await view((body as Job).id)).tasks.map((task) => task.key)).include.members([
        'open:axle-ends',
        'strip:wheels',
        'check:axle-ends',
        'close:axle-ends',
      ]);
    });

    it('have a name for each planned decal, and a step of its own', async () => {
      const { body } = await bench.http.post('/api/jobs').send(intake()).expect(201);
      const { id } = body as Job;
      const area = (await view(id)).specimens[0]!.areas.find((one) => one.specimenPartId.endsWith('.body'))!;
      const decal = (name: string, seq: number) =>
        bench.http.post('/api/layers').send({ ...foundLayer(area.id), stage: 'planned', kind: 'decal', name, seq });
      await decal('door shield, left', 0).expect(201);
      const { body: double } = await decal('door shield, left', 1).expect(422);
      expect((double as ErrorBody).code).equal('double');
      await decal('door shield, right', 1).expect(201);
      const titles = (await view(id)).tasks.filter((task) => task.act === 'decal').map(({ title }) => title);
      expect(titles.length).equal(2);
      expect(titles.join()).include('left').and.include('right');
      expect(new Set(titles).size).equal(2);
    });

    it('come in unknown, and get parts and joints when the casting is settled', async () => {
      const { body } = await bench.http
        .post('/api/jobs')
        .send(intake({ castingId: null }))
        .expect(201);
      const { id } = body as Job;
      const unknown = await view(id);
      expect(unknown.specimens[0]!.catalogue.variants.length).greaterThan(400);
      expect(unknown.tasks.map((task) => task.key)).deep.equal([
        'identify',
        'photograph',
        'know-materials',
        'sign-off-photos',
        'box-card',
      ]);
      await bench.http
        .patch(`/api/specimens/${unknown.specimens[0]!.specimen.id}`)
        .send({ version: 1, castingId: 'coal-cart' })
        .expect(200);
      const known = await view(id);
      expect(known.specimens[0]!.parts).length(4);
      const area = known.specimens[0]!.areas.find((one) => one.specimenPartId.endsWith('.wheels'))!;
      await bench.http.post('/api/layers').send(foundLayer(area.id)).expect(201);
      expect((await view(id)).tasks.map((task) => task.key)).include('open:axle-ends');
    });

    it('are refused with the field that is wrong', async () => {
      expect(
        (
          (
            await bench.http
              .post('/api/jobs')
              .send(intake({ title: '' }))
              .expect(400)
          ).body as ErrorBody
        ).fields,
      ).have.property('title');
      expect(
        (
          (
            await bench.http
              .post('/api/jobs')
              .send(intake({ castingId: 'ufo' }))
              .expect(400)
          ).body as ErrorBody
        ).fields,
      ).have.property('castingId');
      expect(
        (
          (
            await bench.http
              .post('/api/jobs')
              .send(intake({ dueOn: '2020-01-01' }))
              .expect(400)
          ).body as ErrorBody
        ).fields,
      ).have.property('dueOn');
    });

    it('are not signed off while something is open; it says what', async () => {
      const { body } = await bench.http.post('/api/jobs/sg-05/sign-off').send({ who, because: 'Seen.' }).expect(422);
      expect(body).deep.include({ code: 'want-open' });
      expect((body as ErrorBody).message)
        .include('a base with the framed name')
        .match(/And \d+ more/);
    });

    it('are signed off when all is done, once', async () => {
      const { tasks } = await view('sg-10');
      for (const task of tasks) await act(task.id, 'done otherwise', { note: 'seen' }).expect(200);
      const { body } = await bench.http.post('/api/jobs/sg-10/sign-off').send({ who, because: 'Seen.' }).expect(200);
      expect(body).deep.include({ signedOffBy: who, signedOffAt: '2026-11-25T18:30:00.000Z' });
      await bench.http.post('/api/jobs/sg-10/sign-off').send({ who, because: 'Seen.' }).expect(422);
      await act(tasks[0]!.id, 'take back').expect(422);
    });
  });
});
