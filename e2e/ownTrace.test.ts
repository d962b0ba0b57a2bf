import type { CastingView, SpecimenView } from '@sardonyx/contract';
import type { Casting, Job, Trace } from '@sardonyx/core';
import { expect } from 'chai';
import { readFile } from 'node:fs/promises';
import { createCatalogue } from '../packages/server/src/demo/createCatalogue.ts';
import { aimCamera, createScene, type Sitter } from '../packages/server/src/demo/photoScene.ts';
import { renderPhoto } from '../packages/server/src/demo/renderPhoto.ts';
import { OWN_LORRY, ownJob } from '../packages/server/test/support/ownLorry.ts';
import { choose } from './support/choose.ts';
import { expectNoFaults } from './support/restorer.ts';
import { pressPlane } from './support/pressPlane.ts';
import { sendTo } from './support/sendTo.ts';
import { useBench } from './support/useBench.ts';

/** What stands before the lens is a bus of the demo; the casting on the bench knows nothing of its shape. */
const BUS = createCatalogue().castings.find(({ id }) => id === 'mobile-library')!;
const SIDE = BUS.drawing.views.find(({ view }) => view === 'side')!;
const BODY = SIDE.shapes.find(({ partKey, surface }) => partKey === 'body' && surface === 'coat')!;
/** The card lies under it, its corner is the origin of the photograph's plane. */
const CARD = { left: SIDE.widthMm / 2 - 85 / 2, top: SIDE.heightMm + 10 };

async function takeSide(): Promise<Buffer> {
  const parts = createCatalogue().parts.filter(({ castingId }) => castingId === BUS.id);
  const sitter: Sitter = {
    ...{ view: SIDE, paint: { body: { outside: '#7a2a2a' } }, isMirrored: false, chipCount: 8 },
    parts: parts.map((part) => ({ ...part, state: 'sound' as const })),
  };
  const size = { widthPx: 1600, heightPx: 1200 };
  return renderPhoto(createScene(sitter, 3), aimCamera(sitter, size, 3), 3, 14);
}

/** The side of one's own casting traced over a photograph of it, clumsily, left and come back to. */
describe('a casting of one’s own, traced', function () {
  this.timeout(90_000);
  const test = useBench({ isDemo: false }, { who: 'Nell' });
  let castingId: string;
  let jobId: string;
  const send = <T>(method: string, path: string, body?: object) => sendTo<T>(test.bench.address, method, path, body);
  const traced = async () => (await send<CastingView>('GET', `castings/${castingId}`)).casting.traces.side ?? null;
  const press = (x: number, y: number) => pressPlane(test.page, x, y);
  const onPlane = (x: number, y: number) => press(x - CARD.left, y - CARD.top);
  const lines = () => test.page.getByRole('list', { name: 'Lines, back to front' });
  const stepBack = () => test.page.getByRole('button', { name: 'Step back' });

  before(async () => {
    castingId = (
      await send<Casting>('POST', 'castings', { ...OWN_LORRY, bodyType: 'van', lengthMm: 74, wheelbaseMm: 43 })
    ).id;
    jobId = (await send<Job>('POST', 'jobs', ownJob(castingId))).id;
  });

  it('says what it needs while there is no photograph, and can be drawn freely all the same', async () => {
    const { page } = test;
    await page.goto(`${test.bench.address}/catalogue/${castingId}`);
    await page.getByRole('link', { name: 'Trace it over a photograph' }).first().click();
    await page.getByText('There is no photograph of it yet.').waitFor();
    await page.getByRole('button', { name: 'Begin a line' }).click();
    for (const [x, y] of [
      [10, 20],
      [30, 20],
      [30, 10],
    ] as const)
      await press(x, y);
    await page.getByText('3 points.').waitFor();
    expect(await page.getByRole('button', { name: 'Lay it on the edge' }).isDisabled()).equal(true);
    await page.getByRole('button', { name: 'Remove this line' }).click();
    await stepBack().click();
    await lines().getByText('body').waitFor();
    await page.getByRole('button', { name: 'Remove this line' }).click();
  });

  it('has its photograph laid under the drawing by four presses', async () => {
    const { page } = test;
    await page.goto(`${test.bench.address}/jobs/${jobId}/survey`);
    await page
      .locator('input[type="file"]')
      .first()
      .setInputFiles({ name: 'left.jpg', mimeType: 'image/jpeg', buffer: await takeSide() });
    await page.getByRole('img', { name: /^left, before/ }).click();
    await page.getByRole('button', { name: 'Straighten by these points' }).click({ timeout: 60_000 });
    await page.getByText(/^Straight: /).waitFor();
    await page.goto(`${test.bench.address}/catalogue/${castingId}/trace/side`);
    await choose(page.getByLabel('Photograph under it'), /left/);
    await page.getByText('Press the front end.').waitFor({ timeout: 60_000 });
    await page.getByRole('application').waitFor();
    const [left, right] = [BODY.box[0], BODY.box[2]];
    await onPlane(right, 20);
    await onPlane(left, 20);
    await onPlane(14, SIDE.heightMm);
    await onPlane(58, SIDE.heightMm);
    // Front and rear confused: said at once, and pressed anew.
    await page.getByText('front and rear as the two ends do').waitFor();
    expect(await page.getByRole('button', { name: 'Lay it under the drawing' }).isDisabled()).equal(true);
    await page.getByRole('button', { name: 'Press anew' }).click();
    await onPlane(left, 20);
    await onPlane(right, 20);
    await onPlane(14, SIDE.heightMm);
    await onPlane(58, SIDE.heightMm);
    await page.getByRole('button', { name: 'Lay it under the drawing' }).click();
    await page.getByRole('button', { name: 'Lay it anew' }).waitFor();
  });

  it('is traced roughly and laid on the edge, steps taken back, left and come back to', async () => {
    const { page } = test;
    await page.getByRole('button', { name: 'Begin a line' }).click();
    const region = page.getByRole('region', { name: 'Line in hand' });
    await region.getByRole('radio', { name: 'bend' }).first().click();
    // As it stands in the picture, its front end at 0, pressed a little beside the edge.
    const places = await outlineOf(BODY.d, 22);
    const heightMm = (await send<CastingView>('GET', `castings/${castingId}`)).casting.drawing.views[0]!.heightMm;
    const onDrawing = ({ x, y }: { x: number; y: number }) => ({
      x: ((x - BODY.box[0]) * 74) / (BODY.box[2] - BODY.box[0]),
      y: heightMm + ((y - SIDE.heightMm) * 74) / (BODY.box[2] - BODY.box[0]),
    });
    for (const [i, place] of places.entries()) {
      const { x, y } = onDrawing(place);
      await press(x + 0.5 * Math.cos(i), y + 0.5 * Math.sin(2 * i));
    }
    await page.getByText(/^22 points/).waitFor();
    await page.getByRole('button', { name: 'Lay it on the edge' }).click();
    await page.getByText(/% of the line lie on an edge/).waitFor();
    const after = await readDraft();
    expect(after.shapes[0]!.nodes.length).greaterThan(22);
    await stepBack().click();
    await page.getByText(/^22 points/).waitFor();
    await page.getByRole('button', { name: 'Step on' }).click();
    await page.getByRole('button', { name: 'Begin another line' }).click();
    await page.reload();
    await page.getByText('Not saved yet; kept in this browser.').waitFor();
    expect((await readDraft()).shapes).length(2);
    await lines().getByRole('button', { name: /base/ }).click();
    await region.getByRole('button', { name: 'Remove this line' }).click();
    await lines().getByRole('button', { name: /body/ }).click();
    const before = (await readDraft()).shapes[0]!.nodes[0]!;
    await page.getByRole('button', { name: 'Point 1', exact: true }).focus();
    await page.keyboard.press('ArrowRight');
    await page.waitForFunction((x) => JSON.stringify(localStorage).includes(String(x)), before.x + 0.1);
    await stepBack().click();
    expect((await readDraft()).shapes[0]!.nodes[0]!.x).closeTo(before.x, 1e-9);
    const line = await outlineOf(toPath((await readDraft()).shapes[0]!.nodes), 400);
    const truth = (await outlineOf(BODY.d, 400)).map(onDrawing);
    const errors = truth.map((one) => Math.min(...line.map((other) => Math.hypot(one.x - other.x, one.y - other.y))));
    expect(errors.sort((a, b) => a - b)[200]).lessThan(0.3);
  });

  it('is the drawing of the casting then, half done as it is, and of every model of it', async () => {
    const { page } = test;
    await page.getByRole('button', { name: 'Draw the casting so' }).click();
    await page.getByText('The casting is drawn so.').waitFor();
    expect((await traced())!.shapes).length(1);
    await page.goto(`${test.bench.address}/jobs/${jobId}/survey`);
    await page.getByRole('option', { name: /^hook/ }).waitFor();
    const { specimens } = await send<{ specimens: SpecimenView[] }>('GET', `jobs/${jobId}`);
    const { shapes } = specimens[0]!.casting!.casting.drawing.views[0]!;
    expect(shapes.filter(({ partKey }) => partKey === 'body')).length(1);
    expect(new Set(shapes.map(({ partKey }) => partKey)).size).equal(OWN_LORRY.parts.length);
    await expectNoFaults(page);
  });

  it('goes out as artwork and comes in again; what names no part is refused', async () => {
    const { page } = test;
    await page.goto(`${test.bench.address}/catalogue/${castingId}/trace/side`);
    await page.getByRole('button', { name: 'Artwork of your own, as SVG' }).click();
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name: 'Save this view as SVG' }).click(),
    ]);
    const svg = await readFile(await download.path(), 'utf8');
    expect(svg).include('<title>hook</title>');
    const bring = (text: string) =>
      page
        .getByLabel('Bring in an SVG file')
        .setInputFiles({ name: 'own.svg', mimeType: 'image/svg+xml', buffer: Buffer.from(text) });
    await bring('<svg xmlns="http://www.w3.org/2000/svg"><path id="moon" d="M0 0H9V9Z"/></svg>');
    await page.getByText('Nothing in it is named as a part is.').waitFor();
    await bring(
      '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 80 40"><g id="hook"><path d="M72 20H76V24H72Z"/></g><path id="moon" d="M0 0H9V9Z"/></svg>',
    );
    await page.getByText('1 shape of hook. No part is called moon: left out.').waitFor();
    await page.getByRole('button', { name: 'Take these shapes' }).click();
    await page.getByRole('button', { name: 'Draw the casting so' }).click();
    await page.getByText('The casting is drawn so.').waitFor();
    expect((await traced())!.artwork.map(({ box }) => box)).deep.equal([[72, 20, 76, 24]]);
    await page.getByRole('button', { name: 'Draw it from its construction again' }).click();
    await page.getByRole('alertdialog').getByRole('button', { name: 'Draw it from its construction' }).click();
    await page.getByRole('button', { name: 'Begin a line' }).waitFor();
    expect(await traced()).equal(null);
    await expectNoFaults(page);
  });

  const readDraft = async (): Promise<Trace> => {
    const kept = await test.page.evaluate((key) => localStorage.getItem(key), `sardonyx.trace.${castingId}.side`);
    return JSON.parse(kept!) as Trace;
  };
  const toPath = (nodes: readonly { x: number; y: number }[]) =>
    `${nodes.map(({ x, y }, i) => `${i ? 'L' : 'M'}${x} ${y}`).join('')}Z`;
  /** Even steps along a path, by the browser's own reckoning. */
  const outlineOf = (d: string, count: number) =>
    test.page.evaluate(
      ([data, steps]) => {
        const path = document.createElementNS('http://www.w3.org/2000/svg', 'path');
        path.setAttribute('d', data);
        const whole = path.getTotalLength();
        return Array.from({ length: steps }, (_, i) => {
          const { x, y } = path.getPointAtLength((whole * i) / steps);
          return { x, y };
        });
      },
      [d, count] as const,
    );
});
