import { readFile } from 'node:fs/promises';
import type { JobView } from '@sardonyx/contract';
import { expect } from 'chai';
import { choose } from './support/choose.ts';
import { expectNoFaults, hold, isWeighed, taskLine } from './support/restorer.ts';
import { useBench } from './support/useBench.ts';

/** Identifying, and what follows from it, as a restorer does it with the keyboard. */
describe('identify and date', function () {
  this.timeout(90_000);
  const test = useBench({ isDemo: true }, { who: 'Osric Bell' });

  const verdict = () => test.page.locator('main .text-act').first();
  const inHand = () => test.page.getByRole('region', { name: /^Look in hand/ });
  const jobOf = async (id: string) =>
    (await (await test.page.request.get(`${test.bench.address}/api/jobs/${id}`)).json()) as JobView;

  /** Goes through the looks as the bench asks for them, until the verdict reads as it should. */
  async function lookUntil(wanted: RegExp, truth: Readonly<Record<string, string>>): Promise<string[]> {
    const taken: string[] = [];
    await test.page.locator('[aria-current="true"]').last().focus();
    while (!wanted.test(await verdict().innerText())) {
      expect(taken.length, `${taken.join(', ')}: ${await verdict().innerText()}`).lessThan(10);
      const name = await inHand().getByRole('heading', { level: 2 }).innerText();
      const states = await inHand()
        .getByRole('radiogroup', { name: `${name}: what do you see?` })
        .getByRole('radio')
        .allInnerTexts();
      const digit = states.find((state) => state.includes(truth[name] ?? 'nothing of the kind'))?.trim()[0];
      await test.page.keyboard.press(digit ?? 'c');
      await test.page
        .getByRole('list', { name: 'Things to look at on the model' })
        .getByText(digit ? `${truth[name]}, sure` : 'cannot see')
        .last()
        .waitFor();
      taken.push(name);
      await isWeighed(test.page);
      await test.page.keyboard.press('n');
      await test.page.waitForFunction(
        (before) => document.querySelector('section[aria-label^="Look in hand"] h2')?.textContent !== before,
        name,
      );
    }
    return taken;
  }

  it('sees through an overpaint in a colour that the factory also used, by keyboard (SG-01)', async () => {
    await test.page.goto(`${test.bench.address}/jobs/sg-01/identify`);
    const evidence = test.page.getByRole('region', { name: 'What speaks for and against' });
    await evidence.getByText(/^The body is overpainted \(Red household paint\)/).waitFor();
    expect(await verdict().innerText()).not.include('Export, signal red');
    // Taken for the factory's, the same red is believed.
    const { specimens } = await jobOf('sg-01');
    const overpaint = specimens[0]!.findings.find((finding) => finding.kind === 'overpaint')!;
    await test.page.request.delete(`${test.bench.address}/api/findings/${overpaint.id}?version=${overpaint.version}`);
    await test.page.goto(`${test.bench.address}/jobs/sg-01/survey?part=sg-01-1.body`);
    const whose = test.page.getByLabel('Whose coat is Red household paint').first();
    await choose(whose, 'the factory');
    await test.page.goto(`${test.bench.address}/jobs/sg-01/identify`);
    await evidence.waitFor();
    expect(await verdict().innerText()).include('Export, signal red');
    const taken = await lookUntil(/^Second issue, cream with crest.*repainted.*body colour/, {
      'Colour in sheltered places': 'Cream',
      'Axle ends': 'Crimped flat',
      'Finish of the base': 'Painted black',
      'How the loose part is held': 'Loose, hooked in',
      Grille: 'Solid, ribs only',
      Glazing: 'Clear',
    });
    expect(taken).include('Colour in sheltered places');
    expect(taken).not.include('First coat in a cut window');
    expect(await test.page.getByRole('region', { name: 'Originality' }).innerText()).match(/body: altered/);
    await test.page.goto(`${test.bench.address}/jobs/sg-01/survey?part=sg-01-1.body`);
    await choose(whose, 'an owner');
    await test.page.goto(`${test.bench.address}/jobs/sg-01/identify`);
    await evidence.getByText(/^The body is overpainted/).waitFor();
  });

  it('holds back the stripping of a rare tool, and writes down why it goes on (SG-02)', async () => {
    await test.page.goto(`${test.bench.address}/jobs/sg-02/identify`);
    await test.page.getByRole('heading', { name: 'Stop before you strip' }).waitFor();
    expect(await verdict().innerText()).match(/^Short hose, works ochre, early 1961/);
    // Everything that comes before the first step that cannot be undone.
    for (;;) {
      const { tasks } = await jobOf('sg-02');
      const isDone = (key: string) => tasks.every((task) => task.key !== key || task.state === 'done');
      const open = tasks.filter((task) => task.state === 'to do' && task.after.every((link) => isDone(link.key)));
      const grave = open.find((task) => task.irreversible);
      if (!grave) {
        const data = { act: 'done otherwise', who: 'Osric Bell', note: 'at another bench' };
        await test.page.request.post(`${test.bench.address}/api/tasks/${open[0]!.id}/acts`, { data });
        continue;
      }
      await test.page.goto(`${test.bench.address}/jobs/sg-02/${grave.station}`);
      const line = taskLine(test.page, grave.key);
      await line.waitFor();
      const isFolded = await line.getByRole('button', { expanded: false }).count();
      if (isFolded) await line.getByRole('button', { expanded: false }).press('Enter');
      await hold(line.getByRole('button', { name: /^Start: / }));
      const stop = line.getByRole('alert');
      await stop.getByText(/expected loss \d\.\d of 10/).waitFor();
      expect(await stop.getByRole('button', { name: /^Go on all the same/ }).isDisabled()).equal(true);
      await stop.getByLabel('Why it goes on').fill('The museum keeps two others.');
      await hold(stop.getByRole('button', { name: /^Go on all the same/ }));
      await test.page.locator(`li[data-task="${grave.key}"][data-state="doing"]`).waitFor();
      break;
    }
    const { log } = await jobOf('sg-02');
    expect(log.find((entry) => entry.act === 'went ahead')!.note).include('The museum keeps two others.');
  });

  it('says of SG-05 which part does not belong, and compares two issues and two examples', async () => {
    await test.page.goto(`${test.bench.address}/jobs/sg-05/identify`);
    await test.page.getByText('These did not leave the factory together').waitFor();
    expect(await verdict().innerText()).match(/^Maroon, .*two tools are mixed: the base belongs to another issue/);
    await test.page.getByRole('button', { name: 'compare Maroon' }).click();
    await test.page.getByRole('button', { name: 'compare Sand, stud crest' }).click();
    await test.page.getByText(/Maroon came first: (over 99|100) %/).waitFor();
    await test.page.goto(`${test.bench.address}/jobs/sg-07/identify?specimen=sg-07-2`);
    await choose(test.page.getByLabel('Compare part by part with'), /./);
    await test.page.getByText(/parts are better on|has nothing better to give|Nothing is known to be better/).waitFor();
    expectNoFaults(test.page);
  });

  it('keeps what people say of a date side by side, and lets it count (SG-10)', async () => {
    await test.page.goto(`${test.bench.address}/jobs/sg-10/identify`);
    await test.page.getByText('Add what somebody says').click();
    for (const [says, who, from, to] of [
      ['Bought new', 'The owner, from memory', '1957', '1957'],
      ['A later present', 'A letter', '1962', '1963'],
    ] as const) {
      await test.page.getByLabel('What it says').fill(says);
      await test.page.getByLabel('Who says so, and where').fill(who);
      await test.page.getByLabel('From year').fill(from);
      await test.page.getByLabel('To year').fill(to);
      await test.page.getByRole('button', { name: 'Add the statement' }).click();
      await test.page.getByText(`${says} (`).waitFor();
    }
    const said = test.page.getByRole('region', { name: 'What is said of its date' });
    await said.getByText('A later present (1962 to 1963): A letter').waitFor();
    await said.getByText('Bought new (1957): The owner, from memory').waitFor();
    expectNoFaults(test.page);
  });

  it('teaches to read a casting, and scores it against its own path', async () => {
    await test.page.goto(`${test.bench.address}/practice?casting=milk-float&seed=4`);
    const looks = test.page.getByRole('button', { name: /^Look, effort/ });
    await test.page.getByRole('button', { name: /^Look, effort 1 ?: Decal/ }).click();
    await test.page.getByRole('button', { name: /^Look, effort 1 ?: Grille/ }).click();
    expect(await looks.count()).greaterThan(5);
    await test.page.getByLabel(/Second issue, cream with crest/).check();
    await test.page.getByRole('button', { name: 'That is my reading' }).click();
    await test.page
      .getByRole('status')
      .getByText(/\d+ of 100: it is/)
      .waitFor();
    await test.page.getByText('How the tool would have looked').waitFor();
    expectNoFaults(test.page);
  });

  describe('catalogue', () => {
    const bring = (name: string, text: string) =>
      test.page.locator('input[type="file"]').setInputFiles({ name, mimeType: 'text/csv', buffer: Buffer.from(text) });
    async function download(link: string): Promise<string> {
      const [file] = await Promise.all([
        test.page.waitForEvent('download'),
        test.page.getByRole('link', { name: link }).click(),
      ]);
      return readFile(await file.path(), 'utf8');
    }

    it('shows the castings as a table too: sorted by year, kept in the address, opened from the keyboard', async () => {
      const { page } = test;
      await page.goto(`${test.bench.address}/catalogue`);
      await page.getByRole('radio', { name: 'Table' }).click();
      const table = page.getByRole('table', { name: 'Castings' });
      await table.waitFor();
      expect(new URL(page.url()).searchParams.get('as')).equal('table');
      const from = table.getByRole('columnheader', { name: 'From' });
      await from.getByRole('button').click();
      await from.getByRole('button').click();
      expect(await from.getAttribute('aria-sort')).equal('ascending');
      const years = (await table.locator('tbody tr td:nth-child(5)').allInnerTexts()).filter(Boolean).map(Number);
      expect(years.length).at.least(8);
      expect(years).deep.equal([...years].sort((a, b) => a - b));
      await page.reload();
      await table.waitFor();
      await page.getByLabel('Narrow down').fill('milk');
      await table.getByRole('button', { name: '4/2', exact: true }).press('Enter');
      await page
        .getByRole('heading', { name: /Milk Float/ })
        .first()
        .waitFor();
    });

    it('takes nothing from a broken CSV and names the lines', async () => {
      await test.page.goto(`${test.bench.address}/catalogue`);
      const before = await download('Catalogue as CSV');
      const [header] = before.split('\r\n');
      const row = (cells: Readonly<Record<string, string>>) =>
        header!
          .split(',')
          .map((column) => cells[column] ?? '')
          .join(',');
      const maker = row({ kind: 'maker', maker: 'tern', name: 'Tern Works' });
      const casting = row({
        kind: 'casting',
        range: 'nowhere',
        casting: '1',
        name: 'X',
        body_type: 'ship',
        length_mm: '50',
        wheelbase_mm: '30',
      });
      await bring('broken.csv', [header, maker, casting].join('\n'));
      const problems = test.page.getByRole('region', { name: 'Problems by line' });
      await problems.getByRole('row', { name: /3 body_type "ship" is not one of/ }).waitFor();
      await problems.getByRole('row', { name: /3 range There is no range "nowhere"/ }).waitFor();
      await test.page.getByText('Nothing was taken: 2 problems.').waitFor();
      expect(await download('Catalogue as CSV')).equal(before);
    });

    it('comes back as it was: out, a casting removed, in again', async () => {
      await test.page.goto(`${test.bench.address}/catalogue`);
      const before = await download('Catalogue as CSV');
      await test.page
        .getByRole('link', { name: /^Seafront Coach, side 33\/2 Seafront Coach|33\/2 Seafront Coach/ })
        .click();
      await test.page.getByRole('button', { name: 'Edit what is known' }).click();
      await test.page.getByRole('button', { name: 'Remove this casting from the catalogue' }).click();
      await test.page.getByRole('button', { name: 'Remove 33/2 Seafront Coach' }).click();
      await test.page.getByRole('heading', { name: /^64 castings/ }).waitFor();
      await bring('catalogue.csv', before);
      const changes = test.page.getByRole('region', { name: 'What it would change' });
      await changes.getByRole('row', { name: /casting: hand-span, 33\/2, Seafront Coach new/ }).waitFor();
      // Left, and brought again.
      await test.page.getByRole('button', { name: 'Leave it' }).click();
      await test.page.getByText('Left; nothing was taken').waitFor();
      await test.page.getByRole('heading', { name: /^64 castings/ }).waitFor();
      await bring('catalogue.csv', before);
      await test.page.getByRole('button', { name: 'Take it in' }).click();
      await test.page.getByText(/^Done: \d+ rows added, 0 changed/).waitFor();
      await test.page.getByRole('heading', { name: /^65 castings/ }).waitFor();
      expect(await download('Catalogue as CSV')).equal(before);
    });

    it('tells which of two tools came first, and by which features', async () => {
      await test.page.goto(`${test.bench.address}/catalogue/coal-cart`);
      await choose(test.page.getByLabel('2/1 Coal Cart or'), '15/3 Mobile Library');
      const order = test.page.getByRole('region', { name: 'Which tool came first' });
      await order.getByText(/^2\/1 Coal Cart came first: (over 99|100) %/).waitFor();
      await order.getByText(/Wheels: cast metal against .*black plastic/).waitFor();
    });

    it('answers while typing what the shelf holds and lacks', async () => {
      await test.page.goto(`${test.bench.address}/catalogue`);
      await test.page.getByLabel('Narrow down').fill('signal red');
      await test.page.getByRole('heading', { name: /^\d+ castings? with/ }).waitFor();
      await test.page.getByLabel('Begun, not complete').check();
      await test.page.getByRole('link', { name: /4\/2 Milk Float/ }).waitFor();
      expect(new URL(test.page.url()).search).equal('?q=signal+red&shelf=begun');
    });

    it('takes an edited issue back before it is saved, saves it, and takes one out only when asked twice', async () => {
      const { page } = test;
      const cell = (label: string) =>
        page.getByRole('region', { name: 'Sheet', exact: true }).getByLabel(label, { exact: true });
      await page.goto(`${test.bench.address}/catalogue/horse-box`);
      await page.getByRole('button', { name: 'Edit what is known' }).click();
      await cell('Rarity, Maroon').fill('9');
      await page.getByText('Saving makes 1 issue changed.').waitFor();
      await page.getByRole('button', { name: 'Take back what was typed' }).click();
      expect(await cell('Rarity, Maroon').inputValue()).equal('2');
      await cell('Rarity, Maroon').fill('4');
      await page.getByRole('button', { name: 'Save the sheet' }).click();
      await page.getByText('Saved.', { exact: true }).waitFor();
      await page.reload();
      await page.getByRole('button', { name: 'Edit what is known' }).click();
      expect(await cell('Rarity, Maroon').inputValue()).equal('4');
      // What takes others with it is asked twice.
      await page.getByText('Take an issue out').click();
      await page.getByRole('button', { name: 'Remove “Sand, stud crest”' }).click();
      await page.getByText('What it is known by goes with it').waitFor();
      await page.getByRole('button', { name: 'Keep it' }).click();
      await page.getByRole('button', { name: 'Remove “Sand, stud crest”' }).click();
      await page.getByRole('button', { name: 'Remove Sand, stud crest' }).click();
      await page.getByRole('heading', { name: /^22\/2 Horse Box: 2 issues/ }).waitFor();
    });
  });
});
