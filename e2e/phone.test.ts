import { randomFillSync } from 'node:crypto';
import type { JobView } from '@sardonyx/contract';
import { expect } from 'chai';
import sharp from 'sharp';
import { DEMO_NOW } from '../packages/server/test/support/demoNow.ts';
import { addressOf, comeIn, openDoor } from './support/letPhoneIn.ts';
import { openWindow } from './support/openBrowser.ts';
import { expectNoFaults } from './support/restorer.ts';
import { runAxe } from './support/runAxe.ts';
import { useBench } from './support/useBench.ts';

describe('a phone beside the bench', function () {
  this.timeout(90_000);
  const test = useBench({ isDemo: true, now: DEMO_NOW });
  const jobOf = async (id: string) => (await (await fetch(`${test.bench.address}/api/jobs/${id}`)).json()) as JobView;
  it('takes a picture into the step that stands open, over a connection that is lost, reads the step and ticks it', async () => {
    const { page, bench } = test;
    await page.goto(`${bench.address}/jobs/sg-04/survey`);
    await page.getByRole('button', { name: 'Let a phone in' }).first().click();
    await page.getByText('not encrypted').waitFor();
    const phone = await comeIn(test.browser, await openDoor(page, bench.address), 'Imke Varga');
    await phone.getByRole('heading', { name: 'SG-04 Clay-pit Dumper' }).waitFor();
    expect(await phone.evaluate(() => document.documentElement.scrollWidth)).equal(390);
    expect(await runAxe(phone, 'any')).deep.equal([]);
    await page.getByText('Imke Varga').waitFor();
    await page.keyboard.press('Escape');

    let pieces = 0;
    await phone.route(/phone\/pictures\/.*at=/, (route) =>
      [2, 3, 5].includes(++pieces) ? route.abort('connectionfailed') : route.continue(),
    );
    const noise = randomFillSync(Buffer.alloc(700 * 500 * 3));
    const picture = await sharp(noise, { raw: { width: 700, height: 500, channels: 3 } })
      .png()
      .toBuffer();
    await phone
      .getByLabel('Take a picture: left')
      .setInputFiles({ name: 'left.png', mimeType: 'image/png', buffer: picture });
    await phone.getByText('Waiting for the network').waitFor();
    await phone.getByText('1 picture is on the bench.').waitFor();
    await phone.getByLabel('Take a picture: right').waitFor({ state: 'attached' });
    await page.getByRole('img', { name: 'left, before' }).waitFor();

    // Out of reach before the first word of it: it waits as one does that was half sent.
    await phone.unroute(/phone\/pictures\/.*at=/);
    await phone.route(/phone\/pictures$/, (route) => route.abort('connectionfailed'));
    const right = { name: 'right.png', mimeType: 'image/png', buffer: picture };
    await phone.getByLabel('Take a picture: right').setInputFiles(right);
    await phone.getByText('Waiting for the network').waitFor();
    await phone.unroute(/phone\/pictures$/);
    // Refused at the end by a full disk: it is kept on the phone, and goes when it is sent again.
    const full = { code: 'disk', message: 'The disk is full: nothing of this was saved.' };
    await phone.route(/done$/, (route) => route.fulfill({ status: 507, json: full }));
    await phone.getByText('The disk is full').waitFor();
    await phone.unroute(/done$/);
    await phone.getByRole('button', { name: 'Send again: right' }).click();
    await phone.getByText('2 pictures are on the bench.').waitFor();
    await page.getByRole('img', { name: 'right, before' }).waitFor();
    await phone.getByRole('button', { name: /^Send again/ }).waitFor({ state: 'detached' });

    const { title } = (await jobOf('sg-04')).tasks.find(({ state }) => state === 'to do')!;
    await phone.getByRole('heading', { name: title }).waitFor();
    await phone.getByRole('button', { name: 'It is done' }).click();
    await phone.getByRole('heading', { name: title }).waitFor({ state: 'detached' });
    const { log, photos } = await jobOf('sg-04');
    expect(log.map(({ who, act }) => `${who} ${act}`)).deep.equal(['Imke Varga done']);
    expect(photos.map(({ side, stage }) => `${side} ${stage}`)).deep.equal(['left before', 'right before']);

    await page.getByRole('button', { name: 'Phones: 1 phone is in' }).click();
    await page.getByRole('button', { name: 'Send it out' }).click();
    await phone.getByRole('heading', { name: 'The bench has sent this phone out' }).waitFor();
    await page.getByRole('button', { name: 'Shut it now' }).click();
    await page.getByText('It was shut at the bench.').waitFor();
    expectNoFaults(page);
    await phone.context().close();
  });

  it('is shut out with its number tried too often, and the bench says so', async () => {
    const { page, bench } = test;
    const door = await openDoor(page, bench.address);
    const phone = await openWindow(test.browser, { width: 390, height: 844 });
    await phone.goto(addressOf(door));
    await phone.getByLabel('Whose phone is this?').fill('Somebody');
    const wrong = door.pin === '123456' ? '654321' : '123456';
    for (const left of [4, 3, 2, 1]) {
      await phone.getByLabel('Number on the bench’s screen').fill(wrong);
      await phone.getByRole('button', { name: 'Come in' }).click();
      await phone.getByText(`${left} ${left === 1 ? 'try is' : 'tries are'} left`).waitFor();
    }
    await page.getByText('1 try is left, then it is shut').waitFor();
    await phone.getByRole('button', { name: 'Come in' }).click();
    await page.getByText('The number was guessed at too often: it was shut, and every phone was sent out.').waitFor();
    expect(await fetch(addressOf(door)).catch(() => 'nobody is at home')).equal('nobody is at home');
    await phone.context().close();
  });
});
