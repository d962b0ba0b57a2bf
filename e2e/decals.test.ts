import type { DecalsView, JobView } from '@sardonyx/contract';
import type { Area, Casting, CoatingLayer, Job } from '@sardonyx/core';
import { expect } from 'chai';
import sharp from 'sharp';
import { OWN_LORRY, ownJob } from '../packages/server/test/support/ownLorry.ts';
import { choose } from './support/choose.ts';
import { expectSoon } from './support/expectSoon.ts';
import { expectNoFaults } from './support/restorer.ts';
import { pressPlane } from './support/pressPlane.ts';
import { sendTo } from './support/sendTo.ts';
import { useBench } from './support/useBench.ts';

const svg = (head: string, inner: string) =>
  Buffer.from(`<svg xmlns="http://www.w3.org/2000/svg" ${head}>${inner}</svg>`);
const PANEL = '<rect width="22" height="9" fill="#f3e6c0"/><path d="M3 2H19V4H3ZM3 5H15V7H3Z" fill="#9c1f22"/>';

/** A lorry of one's own that is to have a panel on its door, by somebody who changes her mind. */
describe('Decals on an empty bench, clumsily', function () {
  this.timeout(120_000);
  const test = useBench({ isDemo: false }, { who: 'Nell' });
  let jobId = '';
  const send = <T>(method: 'GET' | 'POST' | 'PATCH', path: string, body?: object) =>
    sendTo<T>(test.bench.address, method, path, body);
  const view = () => send<DecalsView>('GET', 'decals');
  const bring = (name: string, buffer: Buffer) =>
    test.page.getByLabel(/^Bring artwork in/).setInputFiles({ name, mimeType: 'image/svg+xml', buffer });
  const list = () => test.page.getByRole('region', { name: 'Planned decals' });
  const sheet = () => test.page.getByRole('region', { name: 'The next sheet' });

  before(async () => {
    const { id } = await send<Casting>('POST', 'castings', OWN_LORRY);
    jobId = (await send<Job>('POST', 'jobs', ownJob(id))).id;
  });

  it('says that nothing is planned, and takes artwork all the same; what is hostile it does not', async () => {
    await test.page.goto(`${test.bench.address}/decals`);
    await test.page.getByText('No open job plans a decal.').waitFor();
    await bring('bad.svg', svg('width="9mm"', '<script>alert(1)</script><rect width="9" height="9"/>'));
    await test.page.getByText(/runs or moves something/).waitFor();
    await bring('words.svg', svg('width="9mm"', '<text>DAIRY</text>'));
    await test.page.getByText(/Convert the text to paths/).waitFor();
    await bring('Dairy panel.svg', svg('width="88" height="36" viewBox="0 0 22 9"', PANEL));
    const artwork = test.page.getByRole('region', { name: 'Dairy panel' });
    await artwork
      .getByText('23.28 × 9.53 mm, by the px of the file')
      .or(artwork.getByText(/by the px of the file/))
      .first()
      .waitFor();
    await artwork.getByText(/names no unit of length/).waitFor();
    await artwork.getByLabel('Width, mm').fill('wide');
    await artwork.getByLabel('Width, mm').press('Enter');
    await artwork.getByRole('alert').or(artwork.locator('[aria-invalid="true"]')).first().waitFor();
    await artwork.getByLabel('Width, mm').fill('22');
    await artwork.getByLabel('Width, mm').press('Enter');
    await artwork.getByText('22.00 × 9.00 mm').waitFor();
    expect((await view()).artworks).lengthOf(1);
  });

  it('makes artwork of a PNG once she says how wide it is, and keeps what she typed when that is too wide', async () => {
    const board =
      '<rect width="300" height="120" fill="#fff"/><rect x="30" y="30" width="240" height="60" fill="#24407a"/>';
    const buffer = await sharp(svg('width="300" height="120"', board)).png().toBuffer();
    await test.page.getByLabel(/^Bring artwork in/).setInputFiles({ name: 'Sign.png', mimeType: 'image/png', buffer });
    const form = test.page.getByRole('form', { name: 'How large is Sign.png?' });
    await form.getByRole('button', { name: 'Make it an artwork' }).click();
    await form.getByText(/^How wide what is printed is/).waitFor();
    await form.getByLabel('What is printed is wide, mm').fill('60');
    await form.getByRole('button', { name: 'Make it an artwork' }).click();
    await form.getByText(/takes at least 600 pixels across; here it has 240/).waitFor();
    await form.getByLabel('What is printed is wide, mm').fill('12');
    await form.getByRole('button', { name: 'Make it an artwork' }).click();
    const sign = test.page.getByRole('region', { name: 'Sign' });
    await sign.getByText('12.00 × 3.00 mm').waitFor();
    await sign.getByText('as it was typed').waitFor();
    await form.waitFor({ state: 'detached' });
  });

  it('is traced: corners, a bend and text; what she began is there when she comes back, and can be changed afterwards', async () => {
    await test.page.getByRole('link', { name: /^Trace one after the old decal/ }).click();
    await test.page.getByRole('button', { name: 'Make it an artwork' }).click();
    await test.page.getByText(/name/i).first().waitFor();
    await test.page.getByLabel('Name', { exact: true }).fill('Arch');
    await test.page.getByRole('button', { name: 'Make it an artwork' }).click();
    await test.page.getByText('Nothing is traced yet.').waitFor();
    await test.page.getByRole('button', { name: 'New area' }).click();
    // An arch of 20 by 10: flat below, half a circle above.
    await pressPlane(test.page, 5, 12);
    await test.page.getByRole('button', { name: 'Make it an artwork' }).click();
    await test.page.getByText(/An area has at least three points/).waitFor();
    const hand = test.page.getByRole('region', { name: 'In hand' });
    await hand.getByRole('radio', { name: 'a bend' }).click();
    await pressPlane(test.page, 15, 2);
    await hand.getByRole('radio', { name: 'a corner' }).click();
    await pressPlane(test.page, 25, 12);
    await test.page.getByRole('button', { name: 'New text' }).click();
    await hand.getByLabel('Text', { exact: true }).fill('DAIRY Ω');
    await hand.getByLabel('Capitals high, mm').fill('2,4');
    await hand.getByLabel('Wide, mm').fill('12');
    await pressPlane(test.page, 9, 11);
    // She leaves, and comes back.
    await test.page.goto(`${test.bench.address}/decals`);
    await test.page.getByRole('link', { name: /^Trace one after the old decal/ }).click();
    await test.page.getByRole('button', { name: '2. Text “DAIRY Ω”' }).waitFor();
    await test.page.getByRole('button', { name: 'Make it an artwork' }).click();
    await test.page.getByText('The font has no “Ω”.').waitFor();
    await test.page.getByRole('button', { name: '2. Text “DAIRY Ω”' }).click();
    await hand.getByLabel('Text', { exact: true }).fill('DAIRY');
    await test.page.getByRole('button', { name: 'Make it an artwork' }).click();
    const arch = test.page.getByRole('region', { name: 'Arch' });
    await arch.getByText('as it was traced').waitFor();
    const traced = (await view()).artworks.find(({ name }) => name === 'Arch')!;
    expect(traced.widthMm).closeTo(20, 0.3);
    expect(traced.heightMm).closeTo(10, 0.3);
    expect(traced.inks.map(({ hex }) => hex)).deep.equal(['#e8dfc4', '#101010']);
    // Twice as large it is traced on at that size.
    await arch.getByLabel('Width, mm').fill('40');
    await arch.getByLabel('Width, mm').press('Enter');
    await arch.getByText(/^40\.00 × /).waitFor();
    await arch.getByRole('link', { name: 'Go on tracing it' }).click();
    await test.page.getByRole('button', { name: '2. Text “DAIRY”' }).click();
    await hand.getByRole('button', { name: 'Take it off' }).click();
    await test.page.getByRole('button', { name: 'Save it' }).click();
    await arch.getByText('as it was traced').waitFor();
    const changed = (await view()).artworks.find(({ name }) => name === 'Arch')!;
    expect(changed.widthMm).closeTo(40, 0.6);
    expect(changed.shapes).lengthOf(1);
  });

  it('names a decal that is planned as that artwork, tells what it needs, and lets her change her mind', async () => {
    const { specimens } = await send<JobView>('GET', `jobs/${jobId}`);
    const body = specimens[0]!.parts.find(({ role }) => role === 'body')!;
    const outside = specimens[0]!.areas.find(
      (area: Area) => area.specimenPartId === body.id && area.kind === 'outside',
    )!;
    const layer = (kind: string, name: string, colourHex: string) => ({
      ...{
        areaId: outside.id,
        stage: 'planned',
        kind,
        name,
        colourHex,
        thicknessUm: 20,
        seq: kind === 'decal' ? 9 : 1,
      },
      ...{ thicknessOrigin: 'planning estimate', productId: null, whose: 'restorer' },
    });
    await send<CoatingLayer>('POST', 'layers', layer('colour', 'Deep green', '#1f3d2b'));
    await send<CoatingLayer>('POST', 'layers', layer('decal', 'Door panel', '#f3e6c0'));
    await test.page.goto(`${test.bench.address}/decals`);
    await test.page.getByRole('heading', { name: '1 decal on 1 job: 1 without artwork' }).waitFor();
    await choose(list().getByLabel('Artwork'), 'Dairy panel');
    await list()
      .getByText(/2 to print, the spare set included; needs white: white film does it/)
      .waitFor();
    await choose(list().getByLabel('In a set'), '2');
    await list()
      .getByText(/4 to print/)
      .waitFor();
    await choose(list().getByLabel('Artwork'), 'none yet');
    await list()
      .getByText(/No artwork/)
      .waitFor();
    await choose(list().getByLabel('Artwork'), 'Dairy panel');
    // The door of this casting is on no drawing: she measures it, wrongly first.
    await list().getByText('Nobody knows its panel').waitFor();
    await list().getByRole('button', { name: 'Measure the panel' }).click();
    const panel = list().getByRole('form', { name: 'Panel of Door panel' });
    await panel.getByLabel('Width, mm').fill('about 22');
    await panel.getByLabel('Height, mm').fill('11');
    await panel.getByRole('button', { name: 'So it measures' }).click();
    await panel.locator('[aria-invalid="true"]').first().waitFor();
    await panel.getByLabel('Width, mm').fill('22,4');
    await panel.getByRole('button', { name: 'So it measures' }).click();
    await list()
      .getByText(/Does not fit its panel .22.4 × 11.0 mm as measured.: 0.6 mm too long/)
      .waitFor();
    await list()
      .getByRole('button', { name: /^Make the artwork 2\d\.\d\d mm wide/ })
      .click();
    await list()
      .getByText(/Fits its panel/)
      .waitFor();
    const artwork = test.page.getByRole('region', { name: 'Dairy panel' });
    await artwork.getByText(/does not: the paint shows through the ink/).waitFor();
  });

  it('wants it of a supplier, thinks better of it twice, and says how what came is', async () => {
    const wants = async () => (await send<JobView>('GET', `jobs/${jobId}`)).specimens[0]!.wants;
    const change = async (changes: object) => {
      const [want] = await wants();
      await send('PATCH', `wants/${want!.id}`, { version: want!.version, ...changes });
      await test.page.reload();
    };
    await list().getByRole('button', { name: 'Have it printed by a supplier' }).click();
    const form = list().getByRole('form', { name: 'Wanted of a supplier: Door panel' });
    await form.getByLabel('Pieces, all sets').fill('some');
    await form.getByRole('button', { name: 'Put it on the shopping list' }).click();
    await form.getByText('How many pieces: a whole number from 1 to 200.').waitFor();
    expect(await wants()).lengthOf(0);
    await form.getByLabel('Pieces, all sets').fill('4');
    await form.getByRole('button', { name: 'Put it on the shopping list' }).click();
    await list()
      .getByText(/^4 wanted of a supplier; needs white/)
      .waitFor();
    // Another artwork is another order; back again it is the same.
    await choose(list().getByLabel('Artwork'), 'Arch');
    await list()
      .getByText(/^4 to print/)
      .waitFor();
    await choose(list().getByLabel('Artwork'), 'Dairy panel');
    await list()
      .getByText(/^4 wanted of a supplier/)
      .waitFor();
    // Nobody wants it any more; then it lay in the post after all, from nobody that the bench knows.
    await change({ state: 'waived', reason: 'printed here' });
    await list().getByText('not wanted of a supplier any more', { exact: false }).waitFor();
    await list()
      .getByText(/^4 to print/)
      .waitFor();
    await change({ state: 'solved', origin: 'bought', reason: '' });
    await list()
      .getByText(/^4 in hand/)
      .waitFor();
    const from = test.page.getByRole('region', { name: 'From suppliers' });
    await from.getByRole('button', { name: 'Say how the sheet is' }).click();
    const rate = from.getByRole('form', { name: 'How the sheet of Dairy panel is' });
    const answer = (question: string, word: string) =>
      rate.getByLabel(question).getByRole('radio', { name: word, exact: true }).click();
    await answer('Sharp under the magnifier?', 'yes');
    await answer('Sharp under the magnifier?', 'no');
    await answer('White without holes?', 'yes');
    await rate.getByLabel('Note').fill('pinholes at one end');
    await rate.getByRole('button', { name: 'Write it down' }).click();
    await expectSoon(async () => {
      const { rating } = (await view()).orders[0]!;
      return rating?.isSharp === false && rating.isWhiteDense === true && rating.note === 'pinholes at one end';
    });
    await answer('Sharp under the magnifier?', 'not looked at');
    await rate.getByRole('button', { name: 'Write it down' }).click();
    await expectSoon(async () => (await view()).orders[0]!.rating?.isSharp === null);
    // A want that is taken away takes its order along.
    const [want] = await wants();
    await fetch(`${test.bench.address}/api/wants/${want!.id}?version=${want!.version}`, { method: 'DELETE' });
    await test.page.reload();
    await list()
      .getByText(/^4 to print/)
      .waitFor();
    expect(await from.count()).equal(0);
  });

  it('says why it cannot be laid over a photograph, and tries it on the drawing of her own casting', async () => {
    await list().getByRole('button', { name: 'Lay it over a photograph' }).click();
    await test.page.getByText(/None of its photographs is straightened by a card/).waitFor();
    await test.page.keyboard.press('Escape');
    const { tried } = (await view()).decals[0]!;
    const onDrawing = list().getByRole('button', { name: 'Try it on the drawing' });
    expect(await onDrawing.count()).equal(tried?.place ? 1 : 0);
    if (!tried?.place) return void (await list().getByText('No drawing to try it on.').waitFor());
    await onDrawing.click();
    const trial = test.page.getByRole('dialog');
    await trial.getByRole('button', { name: 'Point middle of the decal' }).focus();
    for (let i = 0; i < 3; i++) await test.page.keyboard.press('Shift+ArrowRight');
    await trial.getByRole('button', { name: 'So it is planned' }).click();
    await expectSoon(async () => (await view()).decals[0]!.plan!.place !== null);
    await trial.getByRole('button', { name: 'Back to the middle' }).click();
    await trial.getByRole('button', { name: 'So it is planned' }).click();
    await expectSoon(async () => (await view()).decals[0]!.plan!.place === null);
    await trial.getByRole('button', { name: 'Close', exact: true }).click();
  });

  it('lays the pieces, prints them on white film, and asks for none again', async () => {
    await choose(sheet().getByLabel('Film'), 'Clear film, office printer');
    await sheet()
      .getByText(/Not on this film: .*Door panel/)
      .waitFor();
    await choose(sheet().getByLabel('Film'), 'White film, office printer');
    await sheet().getByRole('button', { name: 'Lay 4 pieces' }).click();
    await sheet()
      .getByText(/^1 new sheet, fewer are not possible/)
      .waitFor();
    await sheet().getByRole('img', { name: 'Sheet 1: 4 pieces' }).waitFor();
    await sheet().getByRole('button', { name: 'Take this sheet to the printer' }).click();
    await list()
      .getByText(/4 in hand/)
      .waitFor();
    await sheet().getByText('Nothing is to be printed on this film.').waitFor();
    const { sheets } = await view();
    expect(sheets.map(({ who, pieces }) => [who, pieces.length])).deep.equal([['Nell', 4]]);
  });

  it('leads through placing one; when it folds the rescue stands there, and a lost one takes the spare', async () => {
    await list().getByRole('button', { name: 'Place it' }).click();
    const card = test.page.getByRole('region', { name: 'Placing Door panel' });
    await card.getByText(/planning estimate by its length/).waitFor();
    await card.getByRole('button', { name: 'Into the water' }).click();
    await card.getByText(/^[1-9] s$/).waitFor();
    // She comes back to a page read anew: it lies in the water still.
    await test.page.reload();
    await list().getByRole('button', { name: 'Place it' }).click();
    await card.getByRole('button', { name: 'It slides' }).click();
    await card.getByText(/learned from 1/).waitFor();
    await card.getByRole('radio', { name: 'folded' }).click();
    await card.getByText(/Flood it/).waitFor();
    await card.getByText(/Never pull two sides that stick together/).waitFor();
    await card.getByRole('radio', { name: 'torn' }).click();
    await card.getByText(/Never overlap the edges/).waitFor();
    // She only looked: nothing is written down before she says so.
    expect((await view()).decals[0]!.acts.map(({ act }) => act)).deep.equal(['slid']);
    await card.getByRole('button', { name: 'Write down: torn' }).click();
    await card.getByText('Written down last: torn.').waitFor();
    await card.getByRole('button', { name: 'It is lost: take the spare' }).click();
    await list()
      .getByText(/1 to print/)
      .waitFor();
    for (const left of [2, 1]) {
      await card.getByRole('radio', { name: 'torn' }).click();
      await card.getByRole('button', { name: 'It is lost: take the spare' }).click();
      await list()
        .getByText(`${4 - left} to print`, { exact: false })
        .waitFor();
    }
    await card.getByText('It is the last one:').waitFor();
    // One of them was found again.
    await card.getByRole('button', { name: 'Take it back' }).click();
    await list()
      .getByText(/2 to print/)
      .waitFor();
    const { decals } = await view();
    expect(decals[0]!.acts.map(({ act, trouble }) => trouble ?? act)).deep.equal(['slid', 'torn', 'lost', 'lost']);
    await card.getByRole('radio', { name: 'torn' }).click();
    await card.getByRole('button', { name: 'It is lost: take the spare' }).click();
    await list()
      .getByText(/3 to print/)
      .waitFor();
  });

  it('has the same at the step, where the model is closed', async () => {
    await test.page.goto(`${test.bench.address}/jobs/${jobId}/close`);
    await test.page.getByText('Place the Door panel').first().click();
    const card = test.page.getByRole('region', { name: 'Placing Door panel' });
    await card.getByText('It is the last one:').waitFor();
    await card.getByText(/learned from 1/).waitFor();
    await test.page.goto(`${test.bench.address}/decals`);
  });

  it('corrects the next sheet by the rule that she measured, and not by one that cannot be', async () => {
    const printed = test.page.getByRole('region', { name: 'Printed sheets' });
    await printed.getByLabel(/^Rule along, drawn 130 mm/).fill('113');
    await printed.getByLabel(/^Rule down, drawn 80 mm/).fill('80.4');
    await printed.getByRole('button', { name: 'So it came out' }).click();
    await printed.getByText(/fit to page/).waitFor();
    await printed.getByLabel(/^Rule along/).fill('131,3');
    await printed.getByRole('button', { name: 'So it came out' }).click();
    await printed.getByText(/1.00 % too large along and 0.50 % too large down/).waitFor();
    // Another size is another print.
    const artwork = test.page.getByRole('region', { name: 'Dairy panel' });
    await artwork.getByLabel('Width, mm').fill('21.5');
    await artwork.getByLabel('Width, mm').press('Enter');
    await list()
      .getByText(/4 to print/)
      .waitFor();
    await choose(sheet().getByLabel('On which sheet'), /begun$/);
    await sheet().getByRole('button', { name: 'Lay 4 pieces' }).click();
    await sheet().getByText('What is left of the sheet is enough', { exact: false }).waitFor();
    await sheet().getByRole('button', { name: 'Take this sheet to the printer' }).click();
    await printed.getByRole('listitem').nth(1).waitFor();
    const { sheets } = await view();
    expect(sheets[0]!.correctedBy.along).closeTo(1.01, 1e-6);
    expect(sheets[0]!.continuesId).equal(sheets[1]!.id);
    // Those that were lost were of the old size: four of the new one are in hand, until the sheet jams.
    await list()
      .getByText(/^4 in hand; needs white/)
      .waitFor();
    await printed.getByRole('button', { name: 'It did not come out' }).first().click();
    await list()
      .getByText(/4 to print/)
      .waitFor();
    await printed.getByRole('button', { name: 'It did come out' }).click();
    await list()
      .getByText(/^4 in hand; needs white/)
      .waitFor();
    const pdf = await test.page.request.get(`${test.bench.address}/api/decal-sheets/${sheets[0]!.id}/sheet.pdf`);
    expect(pdf.headers()['content-type']).match(/pdf/);
    expectNoFaults(test.page);
  });
});
