import type { ErrorBody, JobView } from '@sardonyx/contract';
import type { Finding, FoundCondition, JobRecord, PhotoMeasure, Task, Want, WishForJoint } from '@sardonyx/core';
import { expect } from 'chai';
import { createTestBench, type TestBench } from './support/createTestBench.ts';

describe('survey and opening', () => {
  let bench: TestBench;
  beforeEach(async () => void (bench = await createTestBench()));
  afterEach(() => bench.clear());

  const view = (id: string) => bench.get<JobView>(`jobs/${id}`);
  const keysOf = async (id: string) =>
    (await view(id)).tasks.filter((task) => task.state !== 'not needed').map((task) => task.key);
  const post = (path: string, body: object) => bench.http.post(`/api/${path}`).send(body);
  const refusalOf = (body: unknown) => body as ErrorBody;

  describe('a wish for a joint', () => {
    const wish = { specimenId: 'sg-06-1', jointKey: 'front-tabs', wish: 'closed', reason: 'The ears are thin.' };

    it('changes the plan at once, and taking it back restores it', async () => {
      const before = await keysOf('sg-06');
      expect(before).include('open:front-tabs').and.include('strip:body');
      const { body } = await post('joint-wishes', wish).expect(201);
      const forced = await view('sg-06');
      const keys = forced.tasks.map((task) => task.key);
      expect(keys).include('key:body').and.not.include('strip:body').and.not.include('open:front-tabs');
      expect(forced.planNotices.join(' ')).include('The body keeps its old paint: the glazing stays in');
      expect(forced.specimens[0]!.jointWishes).length(1);
      await bench.http.delete(`/api/joint-wishes/${(body as WishForJoint).id}?version=1`).expect(204);
      expect(await keysOf('sg-06')).deep.equal(before);
    });

    it('is for joints that the model has, one wish a joint', async () => {
      const { body } = await post('joint-wishes', { ...wish, jointKey: 'keel' }).expect(422);
      expect(refusalOf(body).message).equal('This model has no such joint.');
      await post('joint-wishes', wish).expect(201);
      await post('joint-wishes', wish).expect(422);
      await post('joint-wishes', { ...wish, wish: 'ajar' }).expect(400);
    });
  });

  describe('a joint that was found otherwise', () => {
    const found = { specimenId: 'sg-06-1', jointKey: 'front-tabs', condition: 'lost', note: '' };

    it('is not opened, but closed again; put back, the plan is what it was', async () => {
      const before = await keysOf('sg-06');
      const { body } = await post('joint-conditions', found).expect(201);
      const keys = await keysOf('sg-06');
      expect(keys).include('close:front-tabs').and.not.include('open:front-tabs');
      expect((await view('sg-06')).specimens[0]!.jointConditions).length(1);
      await bench.http.delete(`/api/joint-conditions/${(body as FoundCondition).id}?version=1`).expect(204);
      expect(await keysOf('sg-06')).deep.equal(before);
    });

    it('is one that the model has, found in one way', async () => {
      const { body } = await post('joint-conditions', { ...found, jointKey: 'keel' }).expect(422);
      expect(refusalOf(body).message).equal('This model has no such joint.');
      await post('joint-conditions', { ...found, condition: 'ajar' }).expect(400);
      await post('joint-conditions', found).expect(201);
      await post('joint-conditions', found).expect(422);
    });
  });

  describe('surprises while opening', () => {
    it('a hidden tab becomes a joint with its usual way', async () => {
      const found = {
        specimenId: 'sg-06-1',
        kind: 'bent tab',
        label: 'tab under the grit body',
        partKeys: ['body', 'load'],
      };
      await post('found-joints', found).expect(201);
      const { tasks } = await view('sg-06');
      const opening = tasks.find((task) => task.title === 'Lift the tabs: tab under the grit body')!;
      expect(opening.station).equal('open');
      expect(tasks.some((task) => task.key.startsWith('close:found:'))).equal(true);
      const { body } = await post('found-joints', { ...found, partKeys: ['body', 'keel'] }).expect(422);
      expect(refusalOf(body).message).equal('This model has no part keel.');
      await post('found-joints', { ...found, partKeys: ['body'] }).expect(400);
    });

    it('a part that broke is wanted with its small bits, and the job is not signed off before that is settled', async () => {
      const broken = { specimenPartId: 'sg-02-1.hopper', kind: 'broken', severity: 2, note: 'At the lug.' };
      const { body } = await post('findings', broken).expect(201);
      const { specimens } = await view('sg-02');
      const want = specimens[0]!.wants.find((one) => one.specimenPartId === 'sg-02-1.hopper') as Want;
      expect(want).deep.include({ what: 'hopper', state: 'open' });
      expect(want!.bits.map(({ what, amount, by }) => [what, amount, by])).deep.equal([['hinge pin', 1, 'drawer']]);
      expect(specimens[0]!.parts.find((part) => part.key === 'hopper')!.state).equal('damaged');
      expect(await keysOf('sg-02')).include(`get:${want.id}`);
      const refused = await post('jobs/sg-02/sign-off', { who: 'Osric Bell', because: '' }).expect(422);
      expect(refusalOf(refused.body).message).include('hopper');
      // One finding more asks for nothing more; the mistaken one takes its untouched want along.
      await post('findings', { ...broken, note: 'And again.' }).expect(201);
      expect((await view('sg-02')).specimens[0]!.wants).length(1);
      await bench.http.delete(`/api/findings/${(body as Finding).id}?version=1`).expect(204);
      const after = (await view('sg-02')).specimens[0]!;
      expect(after.wants).length(0);
      expect(after.parts.find((part) => part.key === 'hopper')!.state).equal('worn');
    });

    it('a part written down as missing is wanted too', async () => {
      await bench.http.patch('/api/specimen-parts/sg-05-1.glazing').send({ version: 1, state: 'missing' }).expect(200);
      const { wants } = (await view('sg-05')).specimens[0]!;
      expect(wants.some((want) => want.what === 'glazing' && want.state === 'open')).equal(true);
    });

    it('how a part came off is kept', async () => {
      const note = { specimenPartId: 'sg-06-1.wheels', fromSide: 'left', note: 'Dished side outwards.', photoId: null };
      await post('comings-off', note).expect(201);
      await post('comings-off', { ...note, fromSide: 'below' }).expect(400);
      expect((await view('sg-06')).specimens[0]!.comingsOff[0]).deep.include(note);
      const record = await bench.get<JobRecord>('jobs/sg-06/record.json');
      const wheels = record.models[0]!.parts.find((part) => part.name === 'Wheels')!;
      expect(wheels.cameOff).deep.equal([{ fromSide: 'left', note: 'Dished side outwards.', photo: null }]);
    });
  });

  it('keeps an opened joint opened, in the way it was done, whatever is decided later', async () => {
    const { tasks } = await view('sg-06');
    const cut = tasks.find((task) => task.key === 'open:axle-ends')!;
    await post(`tasks/${cut.id}/acts`, { act: 'done', who: 'Osric Bell', note: '' }).expect(200);
    await post('decisions', { jobId: 'sg-06', school: 'S4', option: 'leave and mask', reason: 'Seized.' }).expect(201);
    const after = (await view('sg-06')).tasks.find((task) => task.key === 'open:axle-ends') as Task;
    expect(after).deep.include({ state: 'done', title: 'Grind one head off each axle: axle ends' });
    expect(await keysOf('sg-06')).include('close:axle-ends');
  });

  it('looks for pest before anything wet, hot or drilled (O12)', async () => {
    const { tasks } = await view('sg-02');
    const waits = (key: string): string[] => {
      const task = tasks.find((one) => one.key === key)!;
      return task.after.flatMap((link) => [link.key, ...waits(link.key)]);
    };
    expect(waits('strip:body')).include('pest-check');
    expect(waits('pilot:front-post')).include('pest-check');
  });

  describe('photo measures', () => {
    const corner = (x: number, y: number) => ({ pixel: { x: 10 * x + 3, y: 10 * y + 7 }, mm: { x, y } });
    const control = { name: 'card', points: [corner(0, 0), corner(85, 0), corner(85, 54), corner(0, 54)] };
    const length = {
      ...{ photoId: 'sg-05.before-left', kind: 'length', label: 'wheelbase', nearerMm: 0, distanceMm: null },
      points: [
        { x: 103, y: 207 },
        { x: 463, y: 207 },
      ],
    };
    const straighten = (body: object) =>
      bench.http.patch('/api/photos/sg-05.before-left').send({ version: 1, ...body });

    it('are worked out from points on a straightened photo, with their spread', async () => {
      expect(refusalOf((await post('photo-measures', length).expect(422)).body).code).equal('not-straightened');
      await straighten({ control }).expect(200);
      const { body } = await post('photo-measures', length).expect(201);
      expect((body as PhotoMeasure).value).closeTo(36, 1e-6);
      expect((body as PhotoMeasure).sd)
        .greaterThan(0.05)
        .lessThan(0.3);
      expect((await view('sg-05')).photoMeasures).length(1);
      await bench.http
        .patch('/api/photos/sg-05.before-left')
        .send({
          version: 2,
          control: {
            ...control,
            points: control.points.map(({ pixel, mm }) => ({ pixel, mm: { x: 2 * mm.x, y: 2 * mm.y } })),
          },
        })
        .expect(200);
      expect((await view('sg-05')).photoMeasures[0]!.value).closeTo(72, 1e-6);
    });

    it('in a nearer plane are corrected by the distance of the lens, or refused with the reason', async () => {
      await straighten({ control }).expect(200);
      const { body } = await post('photo-measures', { ...length, nearerMm: 15 }).expect(422);
      expect(refusalOf(body).message).match(/lies nearer to the lens than the card/);
      const made = await post('photo-measures', { ...length, nearerMm: 15, distanceMm: 300 }).expect(201);
      expect((made.body as PhotoMeasure).value).closeTo((36 * 285) / 300, 1e-6);
    });

    it('refuse points that span no plane, and fewer than the measure needs', async () => {
      const line = { ...control, points: [corner(0, 0), corner(20, 0), corner(50, 0), corner(85, 0)] };
      expect(refusalOf((await straighten({ control: line }).expect(422)).body).code).equal('flat-points');
      await straighten({ control: { ...control, points: control.points.slice(1) } }).expect(400);
      await straighten({ control }).expect(200);
      expect(refusalOf((await post('photo-measures', { ...length, kind: 'twist' }).expect(422)).body).code).equal(
        'too-few-points',
      );
    });
  });
});
