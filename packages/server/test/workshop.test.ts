import type { ErrorBody, HouseView, JobView, TimersView, WorkshopView } from '@sardonyx/contract';
import type { StripPass } from '@sardonyx/core';
import { expect } from 'chai';
import { createServer, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { createApp } from '../src/app.ts';
import { readFirstEvent } from './support/readFirstEvent.ts';
import { createTestBench, type TestBench } from './support/createTestBench.ts';

const who = 'Osric Bell';

describe('the workshop', () => {
  let bench: TestBench;
  beforeEach(async () => (bench = await createTestBench()));
  afterEach(() => bench.clear());

  const job = (id: string) => bench.get<JobView>(`jobs/${id}`);
  const workshop = () => bench.get<WorkshopView>('workshop');
  const post = (path: string, body: object) => bench.http.post(`/api/${path}`).send(body);
  const codeOf = (answer: { body: unknown }) => (answer.body as ErrorBody).code;
  const act = (id: string, what: string, more = {}) => post(`tasks/${id}/acts`, { act: what, who, note: '', ...more });

  const pass = (more = {}) => ({
    ...{ taskId: 'sg-08-1.strip:roof', specimenPartId: 'sg-08-1.roof', method: 'gel', layers: 1 },
    ...{ bathId: null, minutes: 20, size: null, who },
    ...more,
  });

  describe('passes', () => {
    it('begin with the step, each with its own clock, and end with what came of them', async () => {
      expect(codeOf(await post('passes', pass()).expect(422))).equal('not-begun');
      await act('sg-08-1.strip:roof', 'start').expect(200);
      const { body } = await post('passes', pass()).expect(201);
      const begun = body as StripPass;
      const clock = (await bench.get<TimersView>('timers')).timers.find((timer) => timer.id === begun.timerId)!;
      expect(clock).deep.include({ label: 'Look at the roof again: pass 1', kind: 'soak' });
      expect(codeOf(await post('passes', pass()).expect(422))).equal('soaking');
      expect(codeOf(await act('sg-08-1.strip:roof', 'done').expect(422))).equal('soaking');
      await post(`passes/${begun.id}/end`, { result: 'some left' }).expect(200);
      expect(codeOf(await post(`passes/${begun.id}/end`, { result: 'bare' }).expect(422))).equal('ended');
      const second = (await post('passes', pass()).expect(201)).body as StripPass;
      await post(`passes/${second.id}/end`, { result: 'bare' }).expect(200);
      await act('sg-08-1.strip:roof', 'done').expect(200);
      const view = await job('sg-08');
      expect(view.passes.map((one) => one.result)).deep.equal(['some left', 'bare']);
      expect(view.strippedBefore).deep.include({ method: 'gel', layers: 1, passes: 2 });
    });

    it('never put a material into what it does not stand', async () => {
      await act('sg-08-1.strip:roof', 'start').expect(200);
      const { body } = await post('passes', pass({ method: 'caustic', bathId: 'caustic-bath' })).expect(422);
      expect((body as ErrorBody).code).equal('never');
      expect((body as ErrorBody).message)
        .include('tinplate')
        .and.include('takes the tin off');
    });

    it('check every field', async () => {
      for (const wrong of [
        { minutes: 0 },
        { minutes: 999 },
        { layers: 0 },
        { method: 'acid' },
        { who: '' },
        { extra: 1 },
      ])
        await post('passes', pass(wrong)).expect(400);
      await post('passes/none/end', { result: 'bare' }).expect(404);
      await post('passes/none/end', { result: 'gone' }).expect(400);
    });

    it('share one bath, a clock each, and keep it from being poured away', async () => {
      const size = { lengthMm: 60, widthMm: 30, heightMm: 20, volumeMl: 8 };
      await post('decisions', { jobId: 'sg-09', school: 'S11', option: 'caustic', reason: 'Thick enamel.' }).expect(
        201,
      );
      const { tasks, planNotices } = await job('sg-09');
      // What was stripped stays as it was done; the decision holds for the rest.
      expect(tasks.find((task) => task.key === 'strip:doors')).deep.include({ state: 'done', method: 'gel' });
      expect(planNotices.join()).include('“caustic” holds only for what is still to be stripped');
      for (const key of ['plating-test:trim']) {
        await act(`sg-09-1.${key}`, 'start').expect(200);
        await act(`sg-09-1.${key}`, 'done').expect(200);
      }
      await act('sg-09-1.plating-off:trim', 'start').expect(200);
      const bath = { method: 'caustic', bathId: 'caustic-bath', size };
      await post(
        'passes',
        pass({ ...bath, taskId: 'sg-09-1.plating-off:trim', specimenPartId: 'sg-09-1.trim', minutes: 4 }),
      ).expect(201);
      await post('decisions', { jobId: 'sg-06', school: 'S11', option: 'caustic', reason: 'Thick enamel.' }).expect(
        201,
      );
      const { soaking, baths } = await workshop();
      expect(soaking.map((one) => [one.jobNumber, one.partName, one.bathId])).deep.equal([
        ['SG-09', 'Bumpers and strips', 'caustic-bath'],
      ]);
      expect(
        codeOf(
          await bench.http
            .patch('/api/baths/caustic-bath')
            .send({ version: baths[0]!.version, endedAt: '2026-11-25T19:00:00Z' })
            .expect(422),
        ),
      ).equal('in-use');
      const { passes } = await job('sg-09');
      await post(`passes/${passes.at(-1)!.id}/end`, { result: 'bare' }).expect(200);
      await bench.http
        .patch('/api/baths/caustic-bath')
        .send({ version: baths[0]!.version, endedAt: '2026-11-25T19:00:00Z' })
        .expect(200);
    });
  });

  describe('baths and vessels', () => {
    const bath = {
      vesselId: 'tall-jar',
      kind: 'caustic',
      litres: 0.4,
      gramsPerLitre: 50,
      waterC: 15,
      madeAt: '2026-11-25T18:00:00Z',
    };

    it('are made within what may be made', async () => {
      await post('baths', bath).expect(201);
      expect(codeOf(await post('baths', bath).expect(422))).equal('in-use');
    });

    it('are refused in glass, too strong, too hot or too full', async () => {
      expect(codeOf(await post('baths', { ...bath, vesselId: 'glass-dish' }).expect(422))).equal('vessel');
      for (const wrong of [{ gramsPerLitre: 120 }, { gramsPerLitre: 100, waterC: 50 }])
        expect(codeOf(await post('baths', { ...bath, ...wrong }).expect(422))).equal('caustic');
      for (const kind of ['caustic', 'dip stripper', 'glycol-ether fluid']) {
        const { body } = await post('baths', { ...bath, kind, litres: 0.8 }).expect(422);
        expect((body as ErrorBody).code).equal('vessel');
        expect((body as ErrorBody).message).include('0.8 l want a vessel of 1.6 l');
      }
      await post('baths', { ...bath, litres: -1 }).expect(400);
    });

    it('are topped up, no higher than their vessel allows, and a vessel just written down can be used', async () => {
      const jar = { name: 'New jar', material: 'HDPE', lengthMm: 100, widthMm: 100, depthMm: 200, isRound: false };
      const vessel = (await post('vessels', jar).expect(201)).body as { id: string };
      const made = (await post('baths', { ...bath, vesselId: vessel.id }).expect(201)).body as { id: string };
      const top = (version: number, changes: object) =>
        bench.http.patch(`/api/baths/${made.id}`).send({ version, ...changes });
      await top(1, { litres: 0.8, gramsPerLitre: 25 }).expect(200);
      const after = (await workshop()).baths.find((one) => one.id === made.id)!;
      expect(after).deep.include({ litres: 0.8, gramsPerLitre: 25, kind: 'caustic' });
      expect(codeOf(await top(2, { litres: 1.2 }).expect(422))).equal('vessel');
      expect((await workshop()).baths.find((one) => one.id === made.id)!.litres).equal(0.8);
    });

    it('keep their vessel', async () => {
      expect(codeOf(await bench.http.delete('/api/vessels/caustic-tub').expect(422))).equal('in-use');
      await bench.http.delete('/api/vessels/glass-dish').expect(204);
    });
  });

  describe('what holds a step back', () => {
    it('is named with all its reasons, each by itself; blasting asks for a dry day', async () => {
      const view = await job('sg-03');
      await post('decisions', {
        jobId: view.job.id,
        school: 'S11',
        option: 'blast',
        reason: 'the lettering is gone',
      }).expect(201);
      const blast = (await job('sg-03')).tasks.find((task) => task.act === 'blast')!;
      const { body } = await act(blast.id, 'start').expect(422);
      const codes = (body as ErrorBody).reasons!.map(({ code }) => code);
      expect(codes).include('dry-day').and.include('predecessor-open');
      for (const { message } of (body as ErrorBody).reasons!) expect((body as ErrorBody).message).include(message);
      const dry = await act(blast.id, 'start', { isDryDay: true }).expect(422);
      expect((dry.body as ErrorBody).code).equal('predecessor-open');
      expect((dry.body as ErrorBody).message).not.include('dry day');
      await act(blast.id, 'start', { isDryDay: 'yes' }).expect(400);
    });
  });

  describe('tools', () => {
    it('that are not ready start nothing, and a gun with another colour is cleaned first', async () => {
      const gun = (await workshop()).tools.find((tool) => tool.id === 'airbrush')!;
      await bench.http
        .patch('/api/tools/airbrush')
        .send({ version: gun.version, state: 'lent', note: 'Over the road.' })
        .expect(200);
      const prime = 'sg-07-3.touch-in';
      expect((await job('sg-07')).tasks.some((task) => task.id === prime)).equal(true);
      const judged = (await job('sg-07')).tasks.filter(
        (task) => task.specimenId === 'sg-07-2' && task.key === 'judge:body',
      );
      for (const task of judged) await act(task.id, 'done').expect(200);
      await act('sg-07-2.mix:Quay Chalk white', 'start').expect(200);
      await act('sg-07-2.mix:Quay Chalk white', 'done').expect(200);
      const mist = 'sg-07-2.mist:body:outside';
      const { body } = await act(mist, 'start').expect(422);
      expect((body as ErrorBody).code).equal('tool-not-ready');
      expect((body as ErrorBody).message).include('lent: Over the road');
      await bench.http
        .patch('/api/tools/airbrush')
        .send({ version: gun.version + 1, state: 'ready', holds: 'Marlstone Black' })
        .expect(200);
      expect(codeOf(await act(mist, 'start').expect(422))).equal('gun-not-clean');
      await bench.http
        .patch('/api/tools/airbrush')
        .send({ version: gun.version + 2, holds: '' })
        .expect(200);
      await act(mist, 'start').expect(200);
      expect((await workshop()).tools.find((tool) => tool.id === 'airbrush')!.holds).equal('Quay Chalk white');
    });

    it('check every field', async () => {
      await post('tools', { name: '', kind: 'oven', state: 'ready', note: '' }).expect(400);
      await post('tools', { name: 'x', kind: 'spoon', state: 'ready', note: '' }).expect(400);
      await post('tools', { name: 'Second gun', kind: 'airbrush', state: 'incomplete', note: 'No needle.' }).expect(
        201,
      );
    });
  });

  describe('the room', () => {
    it('is aired after vapour before anything sparks, and the clock ends by itself or by hand', async () => {
      await act('sg-08-1.strip:roof', 'start').expect(200);
      await act('sg-08-1.strip:roof', 'done').expect(200);
      const grind = (await job('sg-06')).tasks.find((task) => task.tags.includes('spark'))!;
      const { body } = await act(grind.id, 'start').expect(422);
      expect((body as ErrorBody).message).include('still being aired');
      const airing = (await bench.get<TimersView>('timers')).timers.filter((timer) => timer.kind === 'airing');
      expect(airing).length(1);
      bench.pass(31);
      expect((await bench.get<TimersView>('timers')).timers.filter((timer) => timer.kind === 'airing')).deep.equal([]);
      await act(grind.id, 'start').expect(200);
    });

    it('is aired from the last vapour on: by one clock that grows, and by a new one after it ended', async () => {
      const airings = async () =>
        (await bench.get<TimersView>('timers')).timers.filter((timer) => timer.kind === 'airing');
      const roof = 'sg-08-1.strip:roof';
      let isDone = false;
      // The same gel once more: what was taken back is done again.
      const smell = async () => {
        if (isDone) await act(roof, 'take back', { note: 'not all came off' }).expect(200);
        await act(roof, 'start', { staysUntilDone: true }).expect(200);
        await act(roof, 'done').expect(200);
        isDone = true;
      };
      await smell();
      bench.pass(20);
      await smell();
      bench.pass(15);
      expect(await airings(), 'a quarter of an hour after the second').length(1);
      bench.pass(16);
      expect(await airings()).deep.equal([]);
      await smell();
      bench.pass(5);
      await smell();
      bench.pass(26);
      expect(await airings(), 'the new clock grew, the old one is left alone').length(1);
    });

    it('is not left while something is watched: outside bench hours only by who stays', async () => {
      bench.pass(115);
      expect(codeOf(await act('sg-08-1.strip:roof', 'start').expect(422))).equal('outside-bench-hours');
      await act('sg-08-1.strip:roof', 'start', { staysUntilDone: true }).expect(200);
    });
  });

  describe('house style', () => {
    const choose = (option: string) =>
      post('house-choices', { school: 'S11', option, reason: 'a good tub stands here' });

    it('changes every open plan, says what changed and why, and a job overrides it', async () => {
      await choose('mild slow').expect(201);
      const strip = async (id: string) => (await job(id)).tasks.find((task) => task.key === 'strip:body')!;
      expect((await strip('sg-06')).title).equal('Lay in glycol-ether fluid: the body');
      expect((await strip('sg-06')).because).include('mild slow. House style, a good tub stands here.');
      await post('decisions', { jobId: 'sg-06', school: 'S11', option: 'gel', reason: 'in a hurry' }).expect(201);
      expect((await strip('sg-06')).because).include('gel. On this job, in a hurry.');
      expect((await strip('sg-04')).title).include('glycol-ether');
      const [latest] = (await bench.get<HouseView>('house')).choices.filter((one) => one.school === 'S11');
      expect(latest).deep.include({ option: 'mild slow' });
    });

    it('is written down where tasks came or went', async () => {
      await post('house-choices', {
        school: 'S1',
        option: 'dress what shows',
        reason: 'the cabinet is lit from the side',
      }).expect(201);
      const [change] = (await job('sg-06')).planChanges;
      expect(change!.because).deep.equal([
        'Parting lines and casting marks: dress what shows instead of leave as issued',
      ]);
      expect(change!.added).include('Dress the parting lines of the body');
      expect(change!.dropped).deep.equal([]);
    });

    it('refuses what no school knows', async () => {
      await post('house-choices', { school: 'S99', option: 'gel', reason: 'x' }).expect(400);
      expect(codeOf(await choose('acid').expect(422))).equal('option');
      await post('house-choices', { school: 'S11', option: 'gel', reason: '' }).expect(400);
    });

    it('says what excludes what, with the finding, and keeps the plan', async () => {
      const { tasks, specimens } = await job('sg-02');
      const before = tasks.length;
      const area = specimens[0]!.areas.find((one) => one.specimenPartId === 'sg-02-1.tank')!;
      await post('layers', layer(area.id)).expect(201);
      await post('decisions', { jobId: 'sg-02', school: 'S6', option: 'powder', reason: 'hard wearing' }).expect(201);
      const view = await job('sg-02');
      expect(view.planNotices[0]).include('exclude each other').and.include('Water tank: cracked');
      expect(view.tasks.length).at.least(before);
    });

    const layer = (areaId: string) => ({
      ...{ areaId, stage: 'planned', seq: 0, kind: 'colour', name: 'Grey', colourHex: '#83888a', thicknessUm: 20 },
      ...{ thicknessOrigin: 'planning estimate', productId: null },
    });
  });

  describe('supplies', () => {
    it('name what is needed before the first step that cannot be undone, wants with their days first', async () => {
      const { supplies } = await job('sg-03');
      expect(supplies[0]).deep.include({ what: 'a rear step', kind: 'part', leadDays: 12, isNeededFirst: true });
      expect(supplies.find((line) => line.what === 'closing screw')).deep.include({ amount: 2, unit: 'pieces' });
      const later = supplies.findIndex((line) => !line.isNeededFirst);
      expect(supplies.slice(later).every((line) => !line.isNeededFirst)).equal(true);
    });
  });

  describe('instruments', () => {
    it('turn the dial of a simulated oven only', async () => {
      await post('instruments/oven-probe/dial', { setC: 60 }).expect(200);
      expect(codeOf(await post('instruments/bath-thermometer/dial', { setC: 60 }).expect(422))).equal('no-dial');
      await post('instruments/oven-probe/dial', { setC: 900 }).expect(400);
      await post('instruments/none/dial', { setC: null }).expect(404);
    });

    it('stand on this machine only, and say what they are', async () => {
      const probe = { name: 'Probe', kind: 'oven probe', source: 'endpoint' };
      expect(codeOf(await post('instruments', { ...probe, url: '' }).expect(422))).equal('url');
      for (const url of ['http://example.org/x', 'ftp://127.0.0.1', 'http://127.0.0.1.example.org'])
        await bench.http.patch('/api/instruments/oven-probe').send({ version: 1, url }).expect(400);
    });

    it('stream readings: the oven warms with its lag, an endpoint answers, and a silent one is said to be silent', async () => {
      const listening = bench.room;
      const server: Server = createServer(createApp({ room: listening, webRoot: null })).listen(0);
      const port = (server.address() as AddressInfo).port;
      let celsius: unknown = 88.5;
      const probe = createServer((_request, answer) => answer.end(JSON.stringify({ celsius }))).listen(0);
      const url = `http://127.0.0.1:${(probe.address() as AddressInfo).port}/probe`;
      try {
        const first = async (id: string) => readFirstEvent(`http://127.0.0.1:${port}/api/instruments/${id}/stream`);
        expect((await first('oven-probe')).data).deep.include({ celsius: 20, setC: null });
        await bench.http
          .patch('/api/instruments/bath-thermometer')
          .send({ version: 1, source: 'endpoint', url })
          .expect(200);
        expect((await first('bath-thermometer')).data).deep.include({ celsius: 88.5 });
        celsius = 'hot';
        expect(JSON.stringify((await first('bath-thermometer')).data)).include('it sent no number called celsius');
        await new Promise((done) => probe.close(done));
        const silent = await first('bath-thermometer');
        expect(silent.event).equal('fault');
        expect(JSON.stringify(silent.data)).include('gives no reading');
      } finally {
        server.closeAllConnections();
        server.close();
        probe.close();
      }
    });
  });
});
