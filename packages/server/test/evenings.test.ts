import type { DayWeatherView, ErrorBody, EveningsView, HoursView, JobView, KeptPlan } from '@sardonyx/contract';
import {
  createSeededRandom,
  findPlannable,
  planEvenings,
  runToEnd,
  replanEvenings,
  type EveningsInput,
  type EveningsPlan,
  type PlannedStart,
  type Restorer,
} from '@sardonyx/core';
import { expect } from 'chai';
import ICAL from 'ical.js';
import { readPlan } from '../../core/src/schedule/evenings/planEvenings.ts';
import { findBrokenRules } from '../../core/test/support/schedule/findBrokenRules.ts';
import { DEMO_NOW } from './support/demoNow.ts';
import { createTestBench, type TestBench } from './support/createTestBench.ts';

const NOW = Date.parse(DEMO_NOW);

describe('evenings over HTTP', () => {
  let bench: TestBench;
  before(async () => void (bench = await createTestBench()));
  after(() => bench.clear());
  const view = async () => (await bench.http.get('/api/evenings').expect(200)).body as EveningsView;
  const inputOf = ({ input, restorers, weather, kept }: EveningsView): EveningsInput => ({
    ...{ ...input, restorers, weather, now: NOW, inRoom: [], pins: kept?.pins ?? [] },
  });
  const planOf = (input: EveningsInput): EveningsPlan =>
    runToEnd(planEvenings(input, findPlannable(input), createSeededRandom(1), 2));
  const keep = (plan: EveningsPlan, version: number, pins: readonly PlannedStart[] = []) =>
    bench.http.put('/api/evenings/plan').send({ version, ...plan, pins, moves: [] });

  it('hold every open task of every open job, with what it waits for and when what it needs comes', async () => {
    const { input, restorers, kept } = await view();
    expect(kept).equal(null);
    expect(restorers.map(({ name, leaves }) => [name, leaves])).deep.equal([
      ['Imke Varga', ['decals']],
      ['Osric Bell', ['spraying']],
    ]);
    expect(input.jobs.map(({ number }) => number)).deep.equal(
      Array.from({ length: 10 }, (_, i) => `SG-${String(i + 1).padStart(2, '0')}`),
    );
    const ids = new Set(input.tasks.map(({ id }) => id));
    expect(input.tasks.every(({ after }) => after.every(({ taskId }) => ids.has(taskId)))).equal(true);
    const glazing = input.tasks.find(({ jobId, act }) => jobId === 'sg-09' && act === 'get')!;
    expect(new Date(glazing.arrivesAt!).toISOString()).match(/^2026-12-1[01]T/);
    expect(glazing.isArrivalGuess).equal(false);
  });

  it('are planned, kept, and kept again only by whoever saw the plan that stands', async () => {
    const input = inputOf(await view());
    const plan = planOf(input);
    // By a checker that shares nothing with what plans.
    const made = findPlannable(input);
    const broken = findBrokenRules(made.strict, readPlan(input, made, plan));
    expect(broken.filter((line) => !plan.late.some((id) => line.startsWith(`${id}: `)))).deep.equal([]);
    const { body } = await keep(plan, 0).expect(200);
    expect(body as KeptPlan).deep.include({ version: 1, late: plan.late, pins: [], moves: [] });
    const { kept } = await view();
    expect(kept!.starts).deep.equal(plan.starts);
    const again = await keep(plan, 0).expect(409);
    expect((again.body as ErrorBody).code).equal('stale');
  });

  it('refuse a plan with somebody who is not down here, and nonsense; nothing of it stands', async () => {
    const before = await view();
    const [first] = before.kept!.starts;
    const refused = await keep({ starts: [{ ...first!, restorerId: 'nobody' }], late: [] }, 1).expect(422);
    expect((refused.body as ErrorBody).message).match(/not down at the bench/);
    await keep({ starts: [{ ...first!, startsAt: 'soon' as never }], late: [] }, 1).expect(400);
    await bench.http
      .put('/api/evenings/plan')
      .send({ version: 1, starts: [], late: [], pins: [], moves: [], more: 1 })
      .expect(400);
    expect((await view()).kept).deep.equal(before.kept);
  });

  it('know at once that a task is done, and that it left a wait; a plan forgets it', async () => {
    const before = await view();
    const task = before.input.tasks.find(({ id, act, after }) => act === 'wash' && after.length === 0 && id !== '')!;
    await bench.http
      .post(`/api/tasks/${task.id}/acts`)
      .send({ act: 'not needed', who: 'Osric Bell', note: 'clean as it is' })
      .expect(200);
    const after = await view();
    expect(after.input.tasks.some(({ id }) => id === task.id)).equal(false);
    const { starts, late } = before.kept!;
    const { body } = await keep({ starts, late }, 1).expect(200);
    expect((body as KeptPlan).starts.some(({ taskId }) => taskId === task.id)).equal(false);
  });

  it('take restorers with their week, days off and what they leave; a name stands once, and hours are hours', async () => {
    const body = {
      name: 'Nell',
      does: '',
      sessions: [{ weekday: 5, startHour: 19, minutes: 60 }],
      exceptions: [],
      leaves: [],
    };
    const { body: row } = await bench.http.post('/api/restorers').send(body).expect(201);
    const nell = row as Restorer;
    await bench.http.post('/api/restorers').send(body).expect(422);
    await bench.http
      .post('/api/restorers')
      .send({ ...body, name: 'Ida', sessions: [{ weekday: 7, startHour: 19, minutes: 60 }] })
      .expect(400);
    await bench.http
      .post('/api/restorers')
      .send({ ...body, name: 'Ida', leaves: ['sweeping'] })
      .expect(400);
    const exceptions = [{ on: '2026-12-04', startHour: 0, minutes: 0, note: 'ill' }];
    await bench.http.patch(`/api/restorers/${nell.id}`).send({ version: 1, exceptions }).expect(200);
    await bench.http
      .patch(`/api/restorers/${nell.id}`)
      .send({ version: 2, exceptions: [{ ...exceptions[0], on: '2026-02-30' }] })
      .expect(400);
    expect((await view()).restorers.find(({ id }) => id === nell.id)!.exceptions).deep.equal(exceptions);
    await bench.http.delete(`/api/restorers/${nell.id}?version=2`).expect(204);
    expect((await view()).restorers).lengthOf(2);
  });

  it('move what cannot be when somebody falls ill, and say so', async () => {
    const seen = await view();
    const imke = seen.restorers.find(({ id }) => id === 'imke')!;
    const exceptions = [{ on: '2026-11-26', startHour: 0, minutes: 0, note: 'ill' }];
    await bench.http.patch('/api/restorers/imke').send({ version: imke.version, exceptions }).expect(200);
    const input = inputOf(await view());
    const { plan, moves } = replanEvenings(input, findPlannable(input), seen.kept!);
    const thursday = ({ startsAt, restorerId }: PlannedStart) =>
      restorerId === 'imke' && new Date(startsAt).toISOString().startsWith('2026-11-26');
    expect(seen.kept!.starts.some(thursday)).equal(true);
    expect(plan.starts.some(thursday)).equal(false);
    const own = moves.filter(({ from }) => thursday(from));
    expect(new Set(own.map(({ why }) => why.kind))).deep.equal(new Set(['nobody there']));
  });

  it('take the weather of a day once', async () => {
    const day = { on: '2026-11-26', isDry: false };
    const { body } = await bench.http.post('/api/day-weather').send(day).expect(201);
    await bench.http.post('/api/day-weather').send(day).expect(422);
    await bench.http
      .post('/api/day-weather')
      .send({ ...day, on: 'tomorrow' })
      .expect(400);
    const { id, version } = body as DayWeatherView;
    await bench.http.patch(`/api/day-weather/${id}`).send({ version, isDry: true }).expect(200);
    expect((await view()).weather).deep.include.members([{ id, version: 2, on: '2026-11-26', isDry: true }]);
  });

  it('tell what the hours go into, and how long a step took that was begun and ended', async () => {
    const hours = async () => (await bench.http.get('/api/evenings/hours').expect(200)).body as HoursView;
    const { input } = await view();
    const before = await hours();
    expect(before.jobs.map(({ number }) => number)).deep.equal(input.jobs.map(({ number }) => number));
    const { tasks } = (await bench.http.get('/api/jobs/sg-02').expect(200)).body as JobView;
    // A plain sum over another view.
    const wanted = tasks.filter(({ state }) => state !== 'set aside' && state !== 'not needed');
    const total = wanted.reduce((sum, { handsOnMin, watchedMin }) => sum + handsOnMin + watchedMin, 0);
    const of = ({ jobs }: HoursView) => jobs.find(({ jobId }) => jobId === 'sg-02')!;
    const kinds = Object.values(of(before).kinds);
    expect(kinds.reduce((sum, { plannedMin }) => sum + plannedMin, 0)).closeTo(total, 1e-6);
    const task = wanted.find(({ title }) => title === 'Settle which issue it is')!;
    const act = (what: string) =>
      bench.http.post(`/api/tasks/${task.id}/acts`).send({ act: what, who: 'Imke Varga', note: '' }).expect(200);
    await act('start');
    bench.pass(25);
    await act('done');
    const after = of(await hours());
    expect([after.timedSteps, after.doneSteps]).deep.equal([of(before).timedSteps + 1, of(before).doneSteps + 1]);
    expect(after.kinds.work.timedMin).closeTo(of(before).kinds.work.timedMin + 25, 0.1);
  });

  it('are a calendar that another program reads: every session with its steps, every promised day', async () => {
    const { input, restorers, kept } = await view();
    const response = await bench.http.get('/api/evenings/calendar.ics').expect(200);
    expect(response.headers['content-type']).equal('text/calendar; charset=utf-8');
    const events = readCalendar(response.text);
    const due = events.filter(({ summary }) => summary.endsWith('is promised by today'));
    expect(due.map(({ summary, from }) => `${summary.slice(0, 5)} ${from}`)).deep.equal(
      input.jobs.filter(({ dueOn }) => dueOn).map(({ number, dueOn }) => `${number} ${dueOn}`),
    );
    const sessions = events.filter((one) => !due.includes(one));
    // A plain count of its own: whoever comes on which evenings of the coming weeks.
    const wednesdays = sessions.filter(({ from }) => from.startsWith('2026-12-02'));
    expect(wednesdays.length).equal(
      restorers.filter(({ sessions: own }) => own.some(({ weekday }) => weekday === 3)).length,
    );
    // What was done meanwhile is no longer ahead.
    const open = new Set(input.tasks.map(({ id }) => id));
    const starts = new Map(kept!.starts.flatMap((one) => (open.has(one.taskId) ? [[one.taskId, one] as const] : [])));
    for (const { summary, from, to, description } of sessions.slice(0, 20)) {
      const [begin, end] = [Date.parse(from), Date.parse(to)];
      const who = restorers.find(({ name }) => summary.startsWith(`${name}: `))!;
      const planned = [...starts.values()].filter(
        ({ restorerId, startsAt }) => restorerId === who.id && begin <= startsAt && startsAt < end,
      );
      expect(description.split('\n').filter(Boolean), summary).lengthOf(planned.length);
      for (const { taskId } of planned) expect(description).include(input.tasks.find(({ id }) => id === taskId)!.title);
    }
    expect(new Set(events.map(({ uid }) => uid)).size).equal(events.length);
    expect((await bench.http.get('/api/evenings/calendar.ics')).text.replace(/DTSTAMP.*/g, '')).equal(
      response.text.replace(/DTSTAMP.*/g, ''),
    );
  });

  it('are a calendar of one restorer, and of nobody who is not there', async () => {
    const [first] = (await view()).restorers;
    const { text } = await bench.http.get('/api/evenings/calendar.ics').query({ restorer: first!.id }).expect(200);
    const sessions = readCalendar(text).filter(({ summary }) => !summary.endsWith('is promised by today'));
    expect(sessions.every(({ summary }) => summary.startsWith('bench, '))).equal(true);
    const others = readCalendar((await bench.http.get('/api/evenings/calendar.ics')).text);
    expect(sessions.length).lessThan(others.length);
    await bench.http.get('/api/evenings/calendar.ics').query({ restorer: 'nobody' }).expect(404);
  });
});

describe('evenings of an empty bench', () => {
  let bench: TestBench;
  before(async () => void (bench = await createTestBench({ isDemo: false })));
  after(() => bench.clear());

  it('have nobody, nothing to do and no plan', async () => {
    const { body } = await bench.http.get('/api/evenings').expect(200);
    const { input, restorers, weather, kept } = body as EveningsView;
    expect([input.tasks, input.jobs, restorers, weather, kept]).deep.equal([[], [], [], [], null]);
  });
});

/** By a reader that has nothing to do with the writer. */
function readCalendar(text: string) {
  const calendar = new ICAL.Component(ICAL.parse(text) as unknown[]);
  return calendar.getAllSubcomponents('vevent').map((component) => {
    const event = new ICAL.Event(component);
    const say = (time: ICAL.Time) => (time.isDate ? time.toString() : time.toJSDate().toISOString());
    const { uid, summary, description } = event;
    return { uid, summary, description: description ?? '', from: say(event.startDate), to: say(event.endDate) };
  });
}
