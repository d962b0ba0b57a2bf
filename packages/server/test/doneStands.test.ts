import type { ErrorBody, JobView } from '@sardonyx/contract';
import type { CoatingLayer, JobRecord, Task } from '@sardonyx/core';
import { expect } from 'chai';
import { TaskRow } from '../src/entities/work.ts';
import { recompileAnew } from '../src/modules/tasks/recompilePlan.ts';
import { createTestBench, type TestBench } from './support/createTestBench.ts';

describe('work done is history', () => {
  let bench: TestBench;
  beforeEach(async () => void (bench = await createTestBench()));
  afterEach(() => bench.clear());

  const who = 'Osric Bell';
  const view = (id: string) => bench.get<JobView>(`jobs/${id}`);
  const record = (id: string) => bench.get<JobRecord>(`jobs/${id}/record.json`);
  const post = (path: string, body: object) => bench.http.post(`/api/${path}`).send(body);
  const act = (task: string, what: string, changes: object = {}) =>
    post(`tasks/${encodeURIComponent(task)}/acts`, { act: what, who, note: '', ...changes });
  const codeOf = (answer: { body: unknown }) => (answer.body as ErrorBody).code;
  const taskOf = async (job: string, id: string) => (await view(job)).tasks.find((task) => task.id === id)!;

  describe('a later decision', () => {
    const decide = (school: string, option: string) =>
      post('decisions', { jobId: 'sg-07', school, option, reason: 'because' }).expect(201);
    const history = async () =>
      (await view('sg-07')).tasks.filter((task) => task.state === 'done' || task.state === 'doing');

    it('leaves tasks, log and record of what was done as they were, and says that it disagrees', async () => {
      const before = await history();
      const work = (await record('sg-07')).work;
      expect(work.filter((line) => line.by === 'gel').length).greaterThan(1);
      await decide('S11', 'mild slow');
      await decide('S5', 'hammer on a dimple');
      await decide('S21', 'pick through the axle hole');
      expect(await history()).deep.equal(before);
      expect((await record('sg-07')).work).deep.equal(work);
      const { planNotices } = await view('sg-07');
      expect(planNotices.join('\n'))
        .include('Stripped already with gel')
        .and.include('“mild slow” holds only for what is still to be stripped')
        .and.include('Decided since: pick through the axle hole. What is done stands.');
    });

    it('opens nothing for a bath that no longer comes', async () => {
      const cuts = async () => (await view('sg-07')).specimens[1]!.opening.opening.map((joint) => joint.key);
      const before = await cuts();
      await decide('S11', 'caustic');
      expect(await cuts()).deep.equal(before);
    });

    it('cannot rename the way in which a joint was opened', async () => {
      const { specimens, log } = await view('sg-07');
      const opened = log.find((entry) => entry.work.act === 'open' && entry.taskId.startsWith('sg-07-3'))!;
      await decide('S4', 'pull');
      const joint = (await view('sg-07')).specimens[2]!.facts.joints.find(
        (one) => one.key === opened.work.of.jointKey,
      )!;
      expect(joint.openedBy).equal(opened.work.way!.key);
      expect(specimens[2]!.facts.joints.find((one) => one.key === joint.key)!.openedBy).equal(joint.openedBy);
    });
  });

  describe('a wait', () => {
    const wash = 'sg-08-1.wash:body';
    const inspect = 'sg-08-1.inspect:body';

    it('refuses with the reason and from when, ends by the clock, or by name when somebody looked', async () => {
      await act(wash, 'start').expect(200);
      await act(wash, 'done').expect(200);
      bench.pass(5);
      const { body } = await act(inspect, 'done').expect(422);
      expect(body).deep.include({ code: 'still-waiting', taskId: wash });
      expect((body as ErrorBody).from).equal('2026-11-25T18:50:00.000Z');
      await act(wash, 'looked', { note: 'dry to the corner' }).expect(200);
      await act(inspect, 'done').expect(200);
      const looked = (await record('sg-08')).work.find((line) => line.act === 'looked')!;
      expect(looked).deep.include({ who, note: 'dry to the corner', task: 'Neutralise, rinse and dry the body' });
    });

    it('is over when its minutes are', async () => {
      await act(wash, 'start').expect(200);
      await act(wash, 'done').expect(200);
      bench.pass(19);
      expect(codeOf(await act(inspect, 'done').expect(422))).equal('still-waiting');
      bench.pass(1);
      await act(inspect, 'done').expect(200);
    });

    it('is done again as is decided now, when it is taken back after a later decision', async () => {
      const gun = 'sg-03-1.gun-ready';
      await act(gun, 'done otherwise', { note: 'tried with thinner' }).expect(200);
      await post('decisions', { jobId: 'sg-03', school: 'S6', option: 'spray can', reason: 'the gun is lent' }).expect(
        201,
      );
      expect((await taskOf('sg-03', gun)).title).equal('See that the gun is complete and clean');
      await act(gun, 'take back').expect(200);
      expect(await taskOf('sg-03', gun)).deep.include({ state: 'to do', title: 'Try the cans on card' });
      expect((await view('sg-03')).planNotices.filter((words) => words.includes('What is done stands'))).deep.equal([]);
    });

    it('is to be done in the words of the program that runs, and done in those of the one that ran', async () => {
      const { manager } = bench.room.source;
      const [open, done] = ['sg-03-1.gun-ready', 'sg-07-2.prime:body'];
      await manager.update(TaskRow, [open, done], { how: 'as an older program said' });
      await recompileAnew(manager, bench.room.now());
      expect((await taskOf('sg-03', open)).how).include('Needle, nozzle');
      expect((await taskOf('sg-07', done)).how).equal('as an older program said');
    });

    it('looks at nothing that is not done', async () => {
      expect(codeOf(await act(inspect, 'looked').expect(422))).equal('not-begun');
    });
  });

  describe('what is done, is done', () => {
    const coat = (areaId: string, productId: string) =>
      post('coats', { areaId, productId, tempC: 20, appliedAt: '2026-11-25T18:29:00Z', who, note: '' });
    const chalk = 'paint-quay-chalk-white';
    const body = 'sg-07-2.body';
    const outside = async () =>
      (await view('sg-07')).specimens[1]!.areas.find((area) => area.specimenPartId === body && area.kind === 'outside')!
        .id;
    /** The trolley's body with everything before its colour settled. */
    const reachColour = async () => {
      for (const key of ['judge:body', 'mix:Quay Chalk white', 'mist:body:outside'])
        await act(`sg-07-2.${key}`, 'not needed', { note: 'tried on card' }).expect(200);
      return 'sg-07-2.colour:body:outside';
    };

    it('ends a step of painting with its coat, and not before', async () => {
      const colour = await reachColour();
      await act(colour, 'start').expect(200);
      expect(codeOf(await act(colour, 'done').expect(422))).equal('no-coat');
      await coat(await outside(), chalk).expect(201);
      const task = await taskOf('sg-07', colour);
      expect(task).deep.include({ state: 'done', doneAt: '2026-11-25T18:29:00.000Z' });
      const line = (await record('sg-07')).work.find((one) => one.act === 'done' && one.task === task.title)!;
      expect(line.products).deep.equal(['Quay Chalk white']);
      expect(codeOf(await act(colour, 'take back').expect(422))).equal('coat-on');
    });

    it('keeps a rejected coat, plans its removal and the next one, and records both', async () => {
      const colour = await reachColour();
      const first = (await coat(await outside(), chalk).expect(201)).body as CoatingLayer;
      await post(`coats/${first.id}/reject`, { who, because: '' }).expect(400);
      await post(`coats/${first.id}/reject`, { who, because: 'orange peel' }).expect(200);
      await post(`coats/${first.id}/reject`, { who, because: 'again' }).expect(422);
      expect((await taskOf('sg-07', colour)).state).equal('done');
      const keys = (await view('sg-07')).tasks.filter((task) => task.state === 'to do').map((task) => task.id);
      const second = `${colour}#2`;
      const off = `sg-07-2.take-off:${first.id}`;
      expect(keys).include.members([off, second, 'sg-07-2.mist:body:outside#2', 'sg-07-2.degrease:body#2']);
      expect(codeOf(await act(second, 'start').expect(422))).equal('predecessor-open');
      await act(off, 'start').expect(200);
      await act(off, 'done').expect(200);
      for (const key of ['degrease:body#2', 'mist:body:outside#2'])
        await act(`sg-07-2.${key}`, 'not needed', { note: 'in one go' }).expect(200);
      bench.pass(60);
      await post('coats', {
        ...{ areaId: await outside(), productId: chalk, tempC: 20, who, note: '' },
        appliedAt: '2026-11-25T19:29:00Z',
      }).expect(201);
      expect((await taskOf('sg-07', second)).state).equal('done');
      const part = (await record('sg-07')).models[1]!.parts.find((one) => one.name === 'Body')!;
      const coats = part.coatsApplied.filter((one) => one.name === 'Quay Chalk white');
      expect(coats.map((one) => [one.rejection?.because ?? null, one.removedAt !== null])).deep.equal([
        ['orange peel', true],
        [null, false],
      ]);
    });

    it('leaves a step out, or lets it be done otherwise, only with a reason that the record prints', async () => {
      const id = 'sg-04-1.identify';
      for (const what of ['not needed', 'done otherwise', 'note'])
        expect((await act(id, what, { note: '  ' }).expect(400)).body).deep.include({ code: 'reason' });
      await act(id, 'note', { note: 'came in a shoe box' }).expect(200);
      expect((await taskOf('sg-04', id)).state).equal('to do');
      await act(id, 'not needed', { note: 'known for years' }).expect(200);
      expect(codeOf(await act(id, 'start').expect(422))).equal('not-needed');
      await act(id, 'note', { note: 'asked the owner again' }).expect(200);
      await act('sg-04-1.photograph', 'done').expect(422);
      await act('sg-04-1.photograph', 'done otherwise', { note: 'on film' }).expect(200);
      const { exceptions, work } = await record('sg-04');
      expect(exceptions).deep.equal([
        { task: 'Settle which issue it is', act: 'not needed', reason: 'known for years' },
        { task: 'Photograph every side', act: 'done otherwise', reason: 'on film' },
      ]);
      expect(work.filter((line) => line.act === 'note').map((line) => line.note)).deep.equal([
        'came in a shoe box',
        'asked the owner again',
      ]);
    });

    it('keeps what a restorer left out when the plan is compiled again, and takes it up when taken back', async () => {
      await act('sg-04-1.pest-check', 'not needed', { note: 'seen last week' }).expect(200);
      await post('findings', { specimenPartId: 'sg-04-1.body', kind: 'bent', severity: 2, note: '' }).expect(201);
      expect((await taskOf('sg-04', 'sg-04-1.pest-check')).state).equal('not needed');
      await act('sg-04-1.pest-check', 'take back').expect(200);
      expect((await taskOf('sg-04', 'sg-04-1.pest-check')).state).equal('to do');
    });

    it('measures with a measure', async () => {
      const { tasks } = await view('sg-05');
      const measure = tasks.find((task) => task.act === 'axle-in-hand' && task.state === 'to do')!;
      expect((await act(measure.id, 'done').expect(422)).body).deep.include({ code: 'no-measure' });
      await act(measure.id, 'done', { measures: [{ what: 'length', valueMm: -1 }] }).expect(400);
      const measures = [
        { what: 'length', valueMm: 31.25 },
        { what: 'diameter', valueMm: 1.6 },
        { what: 'over the wheels', valueMm: 27.2 },
      ];
      await act(measure.id, 'done', { measures }).expect(200);
      const line = (await record('sg-05')).work.find((one) => one.task === measure.title && one.act === 'done')!;
      expect(line.measures).deep.equal(measures);
    });

    it('orders with an order, and shows what a photo step asks for', async () => {
      await act('sg-01-1.list-wants', 'done').expect(200);
      const { body: refusal } = await act('sg-01-1.order-wants', 'done').expect(422);
      expect(refusal).deep.include({ code: 'not-ordered' });
      const want = (await view('sg-01')).specimens[0]!.wants.find((one) => one.state === 'open')!;
      await bench.http.patch(`/api/wants/${want.id}`).send({ version: want.version, state: 'ordered' }).expect(200);
      // On order now: there is nothing more to send off.
      expect((await view('sg-01')).tasks.some((task) => task.act === 'order-wants')).equal(false);
      const photograph = (await view('sg-04')).tasks.find((task: Task) => task.act === 'photograph')!;
      expect((await act(photograph.id, 'done').expect(422)).body).deep.include({ code: 'no-photo' });
    });
  });
});
