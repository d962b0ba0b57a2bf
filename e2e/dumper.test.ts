import type { JobRecord } from '@sardonyx/core';
import { expect } from 'chai';
import { PDFDocument } from 'pdf-lib';
import { choose } from './support/choose.ts';
import {
  expectNoFaults,
  hold,
  holdWithPointer,
  makePhoto,
  openStation,
  taskLine,
  workThrough,
  isWeighed,
} from './support/restorer.ts';
import { startBench } from './support/startBench.ts';
import { useBench } from './support/useBench.ts';

/** SG-04, the clay-pit dumper, from bare intake to a signed record, as one evening after another. */
describe('SG-04 from intake to sign-off', function () {
  this.timeout(240_000);
  const test = useBench({ isDemo: true });

  const heading = () => test.page.locator('main .text-act').first();

  it('stands on the bench, waiting to be identified', async () => {
    await test.page.goto(test.bench.address);
    const lane = test.page.getByRole('link', { name: /SG-04 Clay-pit Dumper/ }).last();
    await lane.getByText('Settle which issue it is').waitFor();
    await lane.click();
    await test.page.getByRole('heading', { name: 'SG-04 Clay-pit Dumper' }).waitFor();
    expect(await heading().innerText()).match(/^Nothing looked at yet; 4 variants are possible/);
  });

  it('is identified by what can be seen on it, by keyboard and pointer', async () => {
    const looks: readonly (readonly [feature: string, state: string])[] = [
      ['Wheels', 'Cast metal'],
      ['Lettering on the base', 'Works name in full, two lines'],
      ['Colour in sheltered places', 'Works ochre'],
      ['Body colour', 'Works ochre'],
      ['Finish of the base', 'Body colour'],
    ];
    for (const [i, [feature, state]] of looks.entries()) {
      const points = test.page.getByRole('list', { name: 'Things to look at on the model' });
      const line = points.getByRole('button', { name: new RegExp(`^\\d+ ${feature}`) });
      await line.click();
      const answer = test.page
        .getByRole('radiogroup', { name: `${feature}: what do you see?` })
        .getByRole('radio', { name: state });
      if (i % 2) {
        await answer.focus();
        await test.page.keyboard.press('Enter');
      } else await answer.click();
      // Two looks may have the same answer: its own line has to say it.
      await line.getByText(new RegExp(`${state}, sure`)).waitFor();
    }
    await test.page
      .getByRole('radiogroup', { name: 'Finish of the base: how sure are you?' })
      .getByRole('radio', { name: 'likely', exact: true })
      .click();
    await test.page.getByText('Body colour, likely').waitFor();
    await isWeighed(test.page);
    expect(await heading().innerText()).match(/^Works ochre, plain skip, .*1957 to .*19(59|60), (over )?\d\d\s%/);
    expect(await workThrough(test.page)).deep.equal(['identify']);
  });

  it('is photographed from every side and surveyed part by part', async () => {
    await openStation(test.page, 'Survey');
    expect(await heading().innerText()).include('before-set lacks left, right, front, rear, top, base');
    for (const side of ['left', 'right', 'front', 'rear', 'top', 'base']) {
      await test.page
        .getByLabel('Add a photo, or drop it here')
        .first()
        .setInputFiles(await makePhoto(`${side}.jpg`));
      await test.page.getByRole('img', { name: `${side}, before` }).waitFor();
    }
    expect(await heading().innerText()).include('before-set complete');

    await test.page.getByRole('option', { name: /^Axles/ }).click();
    const axles = test.page.getByRole('region', { name: 'Part: Axles' });
    await choose(axles.getByLabel('Finding', { exact: true }), 'rust');
    await choose(axles.getByLabel('How bad'), 'must be mended');
    await axles.getByLabel('Where and how').fill('Seized in the wheels');
    await axles.getByRole('button', { name: 'Add the finding' }).click();
    await axles.getByText('Seized in the wheels').waitFor();

    await test.page.getByRole('option', { name: /^Axles/ }).press('ArrowRight');
    await test.page.getByRole('option', { name: /^Tyres \(missing\)/ }).click();
    const tyres = test.page.getByRole('region', { name: 'Part: Tyres' });
    await tyres.getByRole('button', { name: 'Add the want' }).click();
    await tyres.getByText('Say what is wanted.').waitFor();
    // What is missing is wanted already; nobody had to write it down.
    const wants = test.page.getByRole('region', { name: 'Wants' });
    expect(await wants.getByRole('listitem').allInnerTexts()).length(1);
    expect(await wants.innerText()).include('tyres: open');
    const done = await workThrough(test.page, async (key) => {
      if (key === 'order-wants') await orderWant();
      if (key.startsWith('get:')) await solveWant();
    });
    expect(done).include.members(['photograph', 'know-materials', 'pest-check', 'capture-colour']);
    expect(done.some((key) => key.startsWith('get:'))).equal(true);
  });

  async function orderWant(): Promise<void> {
    await taskLine(test.page, 'order-wants').getByRole('button', { name: 'Done', exact: true }).click();
    await taskLine(test.page, 'order-wants').getByText('Not on order yet: tyres.').waitFor();
    await test.page.getByRole('button', { name: 'Change tyres' }).click();
    await choose(test.page.getByRole('region', { name: 'Wants' }).getByLabel('State'), 'ordered');
    await test.page.getByRole('button', { name: 'Save the want' }).click();
    // On order now: nothing more is to be sent off.
    await taskLine(test.page, 'order-wants').waitFor({ state: 'detached' });
  }

  async function solveWant(): Promise<void> {
    const get = test.page.locator('li[data-task^="get:"]');
    await get.getByRole('button', { name: 'Done', exact: true }).click();
    await get
      .getByRole('alert')
      .getByText(/is ordered: mark the want solved/)
      .waitFor();
    await openStation(test.page, 'Sign off');
    await hold(test.page.getByRole('button', { name: /^Sign it off/ }));
    await test.page
      .getByRole('alert')
      .getByText(/Not signed off\. "tyres" is ordered/)
      .waitFor();
    await openStation(test.page, 'Survey');
    await test.page.getByRole('button', { name: 'Change tyres' }).click();
    const wants = test.page.getByRole('region', { name: 'Wants' });
    await choose(wants.getByLabel('State'), 'waived');
    await test.page.getByRole('button', { name: 'Save the want' }).click();
    await test.page.getByText('A want is waived with a reason').waitFor();
    await choose(wants.getByLabel('State'), 'solved');
    await test.page.getByLabel('From where, or how').fill('Tern Street Spares');
    await test.page.getByRole('button', { name: 'Save the want' }).click();
    await test.page.getByText('A want is solved with where it came from').waitFor();
    await choose(wants.getByLabel('It is'), 'bought');
    await test.page.getByRole('button', { name: 'Save the want' }).click();
    await test.page.getByText('solved, Tern Street Spares').first().waitFor();
  }

  it('gets its coats planned: primer and ochre on body and skip', async () => {
    await openStation(test.page, 'Finish');
    for (const part of ['Body', 'Tipping skip']) {
      await test.page.getByRole('option', { name: new RegExp(`^${part}`) }).click();
      const coats = test.page.getByRole('region', { name: `Coats: ${part}` });
      for (const pot of ['Lanthorn Light grey primer (primer)', 'Marlstone Works ochre (colour)']) {
        await choose(coats.getByLabel('Plan a coat for the outside'), pot);
        await coats.getByRole('button', { name: 'Plan it' }).first().click();
        await coats.getByRole('list', { name: 'Planned for the outside' }).getByText(pot.split(' (')[0]!).waitFor();
      }
    }
    await taskLine(test.page, 'prime:body').waitFor();
    expect(await taskLine(test.page, 'prime:body').innerText()).include('Waits for');
  });

  it('refuses a coat while the old paint is on, at its field, and keeps what was typed', async () => {
    await test.page.getByRole('option', { name: /^Body/ }).click();
    await test.page.getByText('Log a coat on the body').click();
    const form = test.page.getByRole('form', { name: 'Log a coat on the Body' });
    await choose(form.getByLabel('Pot'), 'Marlstone Works ochre (colour)');
    await form.getByLabel('Note').fill('too early');
    await form.getByRole('button', { name: 'Log the coat' }).click();
    await form
      .getByText(/still carries its old paint/)
      .first()
      .waitFor();
    expect(await form.getByLabel('Note').inputValue()).equal('too early');
  });

  it('is opened joint by joint, each step that destroys something held, with its photograph', async () => {
    await openStation(test.page, 'Open');
    let photographed = false;
    const done = await workThrough(test.page, async (key) => {
      if (!key.startsWith('pilot:') || photographed) return;
      photographed = true;
      await taskLine(test.page, key).getByText('Photograph it before this step').waitFor();
      await taskLine(test.page, key).getByRole('region', { name: 'Hazard: Drilling a small casting' }).waitFor();
      await taskLine(test.page, key)
        .getByLabel('Add a photo, or drop it here')
        .setInputFiles(await makePhoto('post.jpg', '#777777'));
      await taskLine(test.page, key).getByText('Photograph it again').waitFor();
      await taskLine(test.page, key)
        .getByRole('button', { name: /^Start: / })
        .click();
      expect(await taskLine(test.page, key).getAttribute('data-state'), 'a short press does nothing').equal('to do');
    });
    expect(done.indexOf('pilot:rear-post')).lessThan(done.indexOf('open:rear-post'));
    expect(done).include.members(['open:axle-ends', 'open:skip-pin', 'separate', 'meltables-out']);
    expect(await heading().innerText()).equal('It is open; every part lies on the bench.');
  });

  it('is all still there when the server was ended and started again', async () => {
    await test.bench.stop();
    await test.page.getByText('The bench cannot be reached.').waitFor();
    test.bench = await startBench({ isDemo: true, again: test.bench });
    await test.page.getByText('The bench cannot be reached.').waitFor({ state: 'detached' });
    await test.page.reload();
    expect(await heading().innerText()).equal('It is open; every part lies on the bench.');
  });

  it('is stripped and mended', async () => {
    await openStation(test.page, 'Strip & mend');
    const done = await workThrough(test.page);
    expect(done).include.members([
      'strip:body',
      'wash:skip',
      'inspect:body',
      'dress:axles',
      'tap:front-post',
      'trial-fit:tyres',
    ]);
    expect(done.indexOf('strip:body')).lessThan(done.indexOf('inspect:body'));
    expect(await heading().innerText()).equal('Bare, mended and ready for primer.');
  });

  it('is finished, each coat logged where it went on', async () => {
    await openStation(test.page, 'Finish');
    const done = await workThrough(test.page);
    expect(done).include.members(['prime:body', 'colour:body:outside', 'prime:skip', 'colour:skip:outside']);
    await test.page.getByRole('option', { name: /^Body/ }).click();
    await test.page.getByRole('img', { name: /Body, outside, on it now.*Works ochre/ }).waitFor();
    expect(await heading().innerText()).equal('All coats are on.');
  });

  it('is closed in the order of its construction', async () => {
    await openStation(test.page, 'Close');
    const done = await workThrough(test.page);
    expect(done.indexOf('fit:skip')).lessThan(done.indexOf('fit:base'));
    expect(done.indexOf('close:axle-ends')).lessThan(done.indexOf('touch-in'));
    expect(done.at(-1)).equal('touch-in');
  });

  it('is signed off, and after that nothing can be changed', async () => {
    await openStation(test.page, 'Sign off');
    await choose(test.page.getByLabel('Stage'), 'after');
    for (const side of ['left', 'right', 'front', 'rear', 'top', 'base']) {
      await test.page
        .getByLabel('Add a photo, or drop it here')
        .first()
        .setInputFiles(await makePhoto(`${side}-done.jpg`, '#c08a2c'));
      await test.page.getByRole('img', { name: `${side}, after` }).waitFor();
    }
    expect(await workThrough(test.page)).deep.equal(['sign-off-photos', 'box-card']);
    await test.page.getByText('Everything is done. It can be signed.').waitFor();
    await test.page.getByLabel('Why it is signed without').fill('It came in without a picture.');
    await holdWithPointer(test.page.getByRole('button', { name: /^Sign it off/ }));
    await test.page
      .getByText(/^Signed off .* by Osric Bell\.$/)
      .first()
      .waitFor();
    expect(await test.page.getByRole('button', { name: /^Sign it off/ }).count()).equal(0);
    await openStation(test.page, 'Survey');
    expect(await test.page.getByRole('button', { name: 'Add the finding' }).count()).equal(0);
  });

  it('leaves a record that tells all of it', async () => {
    await openStation(test.page, 'Sign off');
    const download = test.page.waitForEvent('download');
    await test.page.getByRole('button', { name: 'Data (JSON)' }).click();
    const path = await (await download).path();
    const { readFile } = await import('node:fs/promises');
    const record = JSON.parse(await readFile(path, 'utf8')) as JobRecord;
    expect(record.job).deep.include({ number: 'SG-04', signedOffBy: 'Osric Bell', target: 'as issued' });
    const [dumper] = record.models;
    expect(dumper!.verdict).match(/^Works ochre, plain skip/);
    const partOf = (name: string) => dumper!.parts.find((part) => part.name === name)!;
    const [rust] = partOf('Axles').findings;
    expect(rust).deep.include({ kind: 'rust', note: 'Seized in the wheels' });
    const [tyres] = partOf('Tyres').wants;
    expect(tyres).deep.include({ what: 'tyres', state: 'solved', solution: 'Tern Street Spares' });
    for (const part of ['Body', 'Tipping skip']) {
      expect([...new Set(partOf(part).coatsApplied.map((coat) => coat.name))], part).deep.equal([
        'Lanthorn Light grey primer',
        'Marlstone Works ochre',
      ]);
      // A mist coat, and as many wet ones as hide the grey.
      expect(
        partOf(part)
          .coatsApplied.map((coat) => coat.isMist)
          .slice(0, 3),
      ).deep.equal([false, true, false]);
      expect(partOf(part).coatsApplied.length).equal(5);
      expect(partOf(part).coatsFound[0]).deep.include({ name: 'Ochre', whose: 'factory' });
    }
    expect(record.photos.map((photo) => photo.stage)).include.members(['before', 'during', 'after']);
    expect(record.photos).length(13);
    expect(partOf('Tyres')).deep.include({ origin: 'bought', originNote: 'Tern Street Spares' });
    expect(record.work.some((entry) => entry.act === 'looked')).equal(true);
    expect(record.work.filter((entry) => entry.act === 'done').every((entry) => entry.who === 'Osric Bell')).equal(
      true,
    );
    expect(record.disclosure).include('Repainted: body, tipping skip');
    const card = await test.page.request.get(`${test.bench.address}/api/jobs/sg-04/papers/card.pdf`);
    expect((await PDFDocument.load(await card.body())).getPageCount()).equal(1);
    expectNoFaults(test.page);
  });
});
