import type { EveningsView, JobView } from '@sardonyx/contract';
import type { Casting, Job } from '@sardonyx/core';
import { expect } from 'chai';
import ICAL from 'ical.js';
import { DEMO_NOW } from '../packages/server/test/support/demoNow.ts';
import { OWN_LORRY, ownJob } from '../packages/server/test/support/ownLorry.ts';
import { choose } from './support/choose.ts';
import { expectSoon } from './support/expectSoon.ts';
import { expectNoFaults } from './support/restorer.ts';
import { runAxe } from './support/runAxe.ts';
import { sendTo } from './support/sendTo.ts';
import { useBench } from './support/useBench.ts';

/** Two days in December, one of them every year since long ago, one in spring, and an hour that is no holiday. */
const HOLIDAYS = [
  ...['BEGIN:VCALENDAR', 'VERSION:2.0', 'PRODID:-//test//EN'],
  ...['BEGIN:VEVENT', 'UID:1', 'DTSTART;VALUE=DATE:20261225', 'SUMMARY:First', 'END:VEVENT'],
  ...['BEGIN:VEVENT', 'UID:2', 'DTSTART;VALUE=DATE:19991226', 'RRULE:FREQ=YEARLY', 'SUMMARY:Second', 'END:VEVENT'],
  ...['BEGIN:VEVENT', 'UID:3', 'DTSTART;VALUE=DATE:20270329', 'SUMMARY:Monday', 'END:VEVENT'],
  ...['BEGIN:VEVENT', 'UID:4', 'DTSTART:20261205T100000Z', 'DTEND:20261205T110000Z', 'END:VEVENT'],
  ...['END:VCALENDAR', ''],
].join('\r\n');

describe('the evenings of the demo', function () {
  this.timeout(180_000);
  const test = useBench({ isDemo: true, now: DEMO_NOW }, { who: 'Imke Varga' });
  const view = () => sendTo<EveningsView>(test.bench.address, 'GET', 'evenings');
  const weeks = () => test.page.getByRole('group', { name: 'Evenings of all models' });
  const evening = (name: string) => weeks().getByRole('button', { name: new RegExp(`^${name},`) });

  it('say what is ready by which day, and look for a better plan the first time by themselves', async () => {
    await test.page.goto(`${test.bench.address}/evenings`);
    await test.page
      .getByRole('heading', { level: 1, name: /^(All|\d+ of) 10 promised models are ready in time/ })
      .waitFor();
    await test.page.getByText(/^By Wed,? 13 Jan \d+ of 10 can be ready/).waitFor();
    const better = test.page.getByRole('region', { name: 'A better plan' });
    await better.waitFor({ timeout: 120_000 });
    const [promised] = /All 10|\d+ of 10/.exec(await better.getByRole('heading').innerText())!;
    const before = (await view()).kept!;
    await better.getByRole('button', { name: 'Take it' }).click();
    await test.page.getByRole('heading', { level: 1, name: new RegExp(`^${promised} promised`) }).waitFor();
    await better.waitFor({ state: 'detached' });
    expect((await view()).kept!.version).equal(before.version + 1);
    expect(await runAxe(test.page, 'serious')).deep.equal([]);
  });

  it('say which evenings decide the last promised day, when somebody asks', async () => {
    await test.page.getByRole('button', { name: 'Which evening decides it?' }).click();
    await test.page
      .getByText(/decides? it; each other one can be lost|Each single evening can be lost/)
      .waitFor({ timeout: 120_000 });
  });

  it('say what would be with evenings more and without the oven, and keep nothing of it', async () => {
    const { page } = test;
    const before = await view();
    await page.getByRole('button', { name: 'What if ...' }).click();
    const wouldBe = page.getByRole('status', { name: 'What would be' });
    await choose(page.getByLabel('What if', { exact: true }), 'Osric Bell has 2 evenings more');
    await page.getByRole('button', { name: 'Work it out' }).click();
    await wouldBe.getByText(/^Osric Bell would come Thu 26 Nov, Fri 27 Nov\./).waitFor({ timeout: 120_000 });
    await wouldBe.getByText(/^By Wed,? 13 Jan \d+ of 10 can be ready\..* Without it \d+\.$/).waitFor();
    await choose(page.getByLabel('What if', { exact: true }), 'it rains for a week');
    await page.getByRole('button', { name: 'Work it out' }).click();
    await wouldBe.waitFor({ state: 'detached' });
    await wouldBe.waitFor({ timeout: 120_000 });
    expect(await wouldBe.getByRole('button').count(), 'nobody writes rain down').equal(0);
    const after = await view();
    expect(after.kept!.version).equal(before.kept!.version);
    expect(after.restorers).deep.equal(before.restorers);
    expect(after.weather).deep.equal(before.weather);
  });

  it('show the run of the evening that is pressed, by the keyboard too', async () => {
    await evening('Thu 26 Nov').focus();
    await test.page.keyboard.press('Enter');
    const run = test.page.getByRole('region', { name: 'The run of Thu 26 Nov' });
    await run.getByRole('heading', { name: /Imke Varga, 2 h 30 min/ }).waitFor();
    expect(await run.getByRole('listitem').count()).greaterThan(3);
  });

  it('show what hands, gun and places bear, and what the hours go into', async () => {
    const { page } = test;
    await page.getByRole('radio', { name: 'Hands and places' }).click();
    const lines = page.getByRole('list', { name: 'Hands and places' }).getByRole('listitem');
    await lines.filter({ hasText: /^Imke Varga\d+ % of the hours taken$/ }).waitFor();
    await lines.filter({ hasText: /^Gun.* on \d+ evenings$/ }).waitFor();
    await page.getByRole('radio', { name: 'Models' }).click();
    await page.getByRole('button', { name: /^Hours, and what cleaning takes/ }).click();
    await page.getByText(/^\d+ h at the hands by the steps of all open models: cleaning brush and gun \d+ %/).waitFor();
    expect(await runAxe(page, 'serious')).deep.equal([]);
  });

  it('move what Imke would have done when she falls ill, say so, and leave the rest where it is', async () => {
    const { kept } = await view();
    const imke = test.page.getByRole('listitem', { name: 'Imke Varga' });
    await imke.getByRole('button').first().click();
    await imke.getByRole('button', { name: 'Does not come' }).click();
    await imke.getByText('Give the day first.').waitFor();
    await imke.getByRole('textbox', { name: 'Day' }).fill('26/11/2026');
    await imke.getByRole('button', { name: 'Does not come' }).click();
    await imke.getByText('26 Nov 2026: does not come').waitFor();
    await evening('Thu 26 Nov').waitFor({ state: 'detached' });
    const moved = test.page.getByRole('region', { name: 'What moved' });
    const title = moved.getByRole('button', { name: /steps? moved since the last plan/ });
    if ((await title.getAttribute('aria-expanded')) === 'false') await title.click();
    await moved
      .getByText(/from Thu 26 Nov \(Imke Varga\) to .*, because nobody has the bench then/)
      .first()
      .waitFor();
    const after = await view();
    const was = new Map(kept!.starts.map((one) => [one.taskId, one.startsAt]));
    const tonight = after.kept!.starts.filter(({ startsAt }) => startsAt < Date.parse('2026-11-26T00:00:00Z'));
    expect(tonight).not.deep.equal([]);
    for (const { taskId, startsAt } of tonight) expect(startsAt, taskId).equal(was.get(taskId));
  });

  it('ask a simulated forecast, keep what somebody said of a day, and plan by the rest', async () => {
    const { page } = test;
    const weather = page.getByRole('region', { name: 'Weather' });
    const said = (await view()).weather.map(({ on, isDry }) => `${on} ${isDry}`);
    await weather.getByRole('button', { name: 'Ask the forecast' }).click();
    await weather.getByText('simulated').waitFor();
    await weather
      .getByText(/, rain \d+ %/)
      .first()
      .waitFor();
    expect(await weather.getByText(/, rain \d+ %/).count()).equal(7);
    expect((await view()).weather, 'nothing is planned by it before somebody says so').lengthOf(said.length);
    await weather.getByRole('button', { name: /^Plan by it for \d days$/ }).click();
    await weather.getByRole('button', { name: /^Plan by it/ }).waitFor({ state: 'detached' });
    const after = (await view()).weather.map(({ on, isDry }) => `${on} ${isDry}`);
    expect(after).include.members(said);
    expect(new Set(after.map((day) => day.slice(0, 10))).size).equal(after.length);
    expect(after.length).least(7);
  });

  it('put a step where somebody wants it and keep it there, and say why another cannot be', async () => {
    const { page } = test;
    await evening('Wed 25 Nov').click();
    const run = page.getByRole('region', { name: 'The run of Wed 25 Nov' });
    const last = run.getByRole('listitem').last();
    const title = (await last.locator('p').first().innerText()).replace(/^SG-\d\d /, '');
    await last.getByRole('button', { name: /^Put it elsewhere/ }).click();
    await page.getByRole('menuitem', { name: /^Mon 30 Nov, .* Osric Bell/ }).click();
    await evening('Mon 30 Nov').click();
    const there = page
      .getByRole('region', { name: 'The run of Mon 30 Nov' })
      .getByRole('listitem')
      .filter({ has: page.getByRole('button', { name: /^Put here by hand/ }) });
    await there.getByText(title).first().waitFor();
    await there.getByRole('button', { name: /^Put here by hand/ }).waitFor();
    // Another model of the job may have a step of that name.
    const [pin] = (await view()).kept!.pins;
    expect(new Date(pin!.startsAt).toISOString()).equal('2026-11-30T18:00:00.000Z');
    // Spraying is not for Osric.
    const sprays = new Set((await view()).input.tasks.filter(({ kind }) => kind === 'spraying').map(({ id }) => id));
    const spray = (await view())
      .kept!.starts.filter(({ taskId }) => sprays.has(taskId))
      .sort((a, b) => a.startsAt - b.startsAt)[0]!;
    const day = new Intl.DateTimeFormat('en-GB', {
      weekday: 'short',
      day: 'numeric',
      month: 'short',
      timeZone: 'UTC',
    }).format(spray.startsAt);
    await evening(day.replace(',', '')).click();
    const name = (await view()).input.tasks.find(({ id }) => id === spray.taskId)!.title;
    const line = page
      .getByRole('region', { name: `The run of ${day.replace(',', '')}` })
      .getByRole('listitem')
      .filter({ hasText: name })
      .first();
    await line.getByRole('button', { name: /^Put it elsewhere/ }).click();
    await page.getByRole('menuitem', { name: /^Mon 7 Dec, .* Osric Bell/ }).click();
    await line.getByText(/^Not on Mon 7 Dec: .*they leave such work to others/).waitFor();
    expectNoFaults(page);
  });

  it('take a step that is dragged onto another evening, and nothing that is let go beside one', async () => {
    const { page } = test;
    const pins = async () => (await view()).kept!.pins;
    await evening('Wed 25 Nov').click();
    const run = page.getByRole('region', { name: 'The run of Wed 25 Nov' });
    const step = run.getByRole('listitem').last();
    // Where it is let go is measured when the page has come to rest: a scroll moves both.
    const drag = async (find: () => Promise<{ readonly x: number; readonly y: number }>) => {
      await step.locator('[data-grip]').scrollIntoViewIfNeeded();
      const [from, to] = [(await step.locator('[data-grip]').boundingBox())!, await find()];
      await page.mouse.move(from.x + 20, from.y + 20);
      await page.mouse.down();
      await page.mouse.move(from.x + 10, from.y - 20, { steps: 4 });
      await page.mouse.move(to.x, to.y, { steps: 8 });
      await page.mouse.up();
    };
    const before = await pins();
    await drag(async () => {
      const heading = (await run.getByRole('heading').boundingBox())!;
      return { x: heading.x + 5, y: heading.y + 5 };
    });
    expect(await pins()).deep.equal(before);
    const title = (await step.locator('p').first().innerText()).replace(/^SG-\d\d /, '').replace(/, [^,]+$/, '');
    await drag(async () => {
      const day = (await evening('Mon 7 Dec').locator('rect').boundingBox())!;
      return { x: day.x + day.width / 2, y: day.y + day.height - 8 };
    });
    await expectSoon(async () => (await pins()).length === before.length + 1);
    const known = new Set(before.map(({ taskId }) => taskId));
    const pin = (await pins()).find(({ taskId }) => !known.has(taskId))!;
    expect(new Date(pin.startsAt).toISOString().slice(0, 10)).equal('2026-12-07');
    expect((await view()).input.tasks.find(({ id }) => id === pin.taskId)!.title).equal(title);
    expect(await runAxe(page, 'serious')).deep.equal([]);
    expectNoFaults(page);
  });

  it('begin the bench with the next run', async () => {
    await test.page.goto(test.bench.address);
    const run = test.page.getByRole('region', { name: 'The next run' });
    await run.waitFor();
    expect(await run.getByRole('listitem').count()).equal(5);
    await run.getByRole('link', { name: /and the weeks$/ }).click();
    await test.page.getByRole('heading', { level: 1, name: /promised models/ }).waitFor();
  });
});

describe('evenings on an empty bench, clumsily', function () {
  this.timeout(120_000);
  const test = useBench({ isDemo: false, now: DEMO_NOW }, { who: 'Nell' });
  const send = <T>(method: string, path: string, body?: object) => sendTo<T>(test.bench.address, method, path, body);

  it('have nobody; a name twice, an hour that is none and no minutes are refused, and what was typed stays', async () => {
    const { page } = test;
    await page.goto(`${test.bench.address}/evenings`);
    await page.getByRole('heading', { name: 'Nobody is down for this bench yet.' }).waitFor();
    const people = page.getByRole('region', { name: 'Who works here' });
    expect(await people.getByLabel('Somebody else works here too').inputValue()).equal('Nell');
    await people.getByRole('button', { name: 'Write them down' }).click();
    const nell = people.getByRole('listitem', { name: 'Nell' });
    await nell.getByText('no hours yet').waitFor();
    await people.getByLabel('Somebody else works here too').fill('Nell');
    await people.getByRole('button', { name: 'Write them down' }).click();
    await people.getByText('Give another name.').waitFor();
    await nell.getByRole('button').first().click();
    await nell.getByLabel('From').first().fill('25:00');
    await nell.getByLabel('Minutes').first().fill('0');
    await nell.getByRole('button', { name: 'Add it' }).click();
    await nell.getByText('A time of the day: 19:00.').waitFor();
    await nell.getByText('Whole minutes, 10 to 720.').waitFor();
    expect(await nell.getByLabel('From').first().inputValue()).equal('25:00');
    await nell.getByLabel('From').first().fill('9.30');
    await nell.getByLabel('Minutes').first().fill('90');
    await choose(nell.getByLabel('Every'), 'Saturday');
    await nell.getByRole('button', { name: 'Add it' }).click();
    await nell.getByText('Saturday 09:30, 1 h 30 min').first().waitFor();
  });

  it('give every open step of an own model its evening, and none when she thinks better of coming', async () => {
    const { page } = test;
    await page.getByText('Nothing is open.').waitFor();
    const castingId = (await send<Casting>('POST', 'castings', OWN_LORRY)).id;
    await send<Job>('POST', 'jobs', ownJob(castingId));
    await page.reload();
    const run = page.getByRole('region', { name: 'The run of Sat 28 Nov' });
    await run.getByRole('listitem').first().waitFor();
    await page.getByRole('heading', { name: 'Nothing is promised by a day.' }).waitFor();
    await page.goto(test.bench.address);
    await page.getByRole('heading', { name: /^Nell has the bench next: Saturday/ }).waitFor();
    await page.goto(`${test.bench.address}/evenings`);
    const nell = page.getByRole('listitem', { name: 'Nell' });
    await nell.getByRole('button').first().click();
    // A file that is none, then holidays of which one is a Saturday.
    const holidays = nell.getByLabel('Holidays out of a calendar file (ICS)');
    await holidays.setInputFiles({ name: 'x.ics', mimeType: 'text/calendar', buffer: Buffer.from('hello') });
    await nell.getByText('x.ics: This is no calendar file (ICS)').waitFor();
    await holidays.setInputFiles({ name: 'year.ics', mimeType: 'text/calendar', buffer: Buffer.from(HOLIDAYS) });
    await nell.getByText('3 whole days of the coming year; Nell would come on 1. 1 with hours: left alone.').waitFor();
    await nell.getByRole('button', { name: 'Does not come then' }).click();
    await nell.getByText('26 Dec 2026: does not come').waitFor();
    // She wonders, and makes it true.
    await page.getByRole('button', { name: 'What if ...' }).click();
    await choose(page.getByLabel('What if', { exact: true }), 'Nell has an evening more');
    await page.getByRole('button', { name: 'Work it out' }).click();
    await page.getByRole('button', { name: 'Write these evenings down' }).click();
    await nell.getByText('26 Nov 2026: 09:30, 1 h 30 min').waitFor();
    // Her calendar, by its address.
    await page.getByRole('button', { name: 'As a calendar (ICS)' }).click();
    const address = await page.locator('code').filter({ hasText: 'restorer=' }).innerText();
    const text = await (await fetch(address)).text();
    const [extra] = new ICAL.Component(ICAL.parse(text) as unknown[]).getAllSubcomponents('vevent');
    expect(new ICAL.Event(extra!).startDate.toJSDate().toISOString()).equal('2026-11-26T09:30:00.000Z');
    await nell.getByRole('button', { name: /^Strike it ?, 26 Nov 2026/ }).click();
    await nell.getByRole('button', { name: /^Strike it ?, Saturday/ }).click();
    await page
      .getByText(/nobody at this bench does such work, or has hours/)
      .first()
      .waitFor();
    await nell.getByRole('button', { name: 'Take it out of the list' }).click();
    await page.getByRole('heading', { name: 'Nobody is down for this bench yet.' }).waitFor();
    expectNoFaults(page);
  });

  it('blast on another day when it rains, say why, and show it in the weeks', async () => {
    const { page } = test;
    const [job] = (await send<EveningsView>('GET', 'evenings')).input.jobs;
    const own = await send<JobView>('GET', `jobs/${job!.id}`);
    const area = own.specimens[0]!.areas.find((one) => one.specimenPartId.endsWith('.body'))!;
    await send('POST', 'layers', {
      ...{ areaId: area.id, stage: 'found', seq: 0, kind: 'colour', name: 'Old red', colourHex: '#a02020' },
      ...{ thicknessUm: 25, thicknessOrigin: 'planning estimate', productId: null },
    });
    await send('POST', 'decisions', { jobId: job!.id, school: 'S11', option: 'blast', reason: 'a trial' });
    const daily = [0, 1, 2, 3, 4, 5, 6].map((weekday) => ({ weekday, startHour: 18, minutes: 180 }));
    await send('POST', 'restorers', { name: 'Nell', does: '', sessions: daily, exceptions: [], leaves: [] });
    const view = () => send<EveningsView>('GET', 'evenings');
    const isBlast = ({ isDry }: EveningsView['input']['tasks'][number]) => isDry;
    const blastOf = ({ input, kept }: EveningsView) =>
      kept?.starts.find(({ taskId }) => input.tasks.some((task) => task.id === taskId && isBlast(task)));
    await page.reload();
    await expectSoon(async () => blastOf(await view()) !== undefined);
    const before = await view();
    const { title } = before.input.tasks.find(isBlast)!;
    const dayOf = ({ startsAt }: { readonly startsAt: number }) =>
      new Intl.DateTimeFormat('en-GB', { weekday: 'short', day: 'numeric', month: 'short', timeZone: 'UTC' })
        .format(startsAt)
        .replace(',', '');
    const was = dayOf(blastOf(before)!);
    const run = (day: string) => page.getByRole('region', { name: `The run of ${day}` });
    const evening = (day: string) => page.getByRole('button', { name: new RegExp(`^${day},`) });
    await evening(was).click();
    await run(was).getByText(title).first().waitFor();

    await page.getByLabel(`Weather of ${was}`).getByRole('radio', { name: 'wet' }).click();
    await expectSoon(async () => dayOf(blastOf(await view())!) !== was);
    const is = dayOf(blastOf(await view())!);
    const moved = page.getByRole('region', { name: 'What moved' });
    const fold = moved.getByRole('button', { name: /moved since the last plan/ });
    if ((await fold.getAttribute('aria-expanded')) === 'false') await fold.click();
    await moved.getByText(new RegExp(`${title}.* from ${was}.* to ${is}.*, because it is not dry then`, 'i')).waitFor();
    await evening(is).click();
    await run(is).getByText(title).first().waitFor();
    expect(await runAxe(page, 'serious')).deep.equal([]);
    expectNoFaults(page);
  });
});
