import type { EveningsView } from '@sardonyx/contract';
import type { Page } from 'playwright-core';
import { haveCapture, haveMix } from './colourToShow.ts';
import { haveTrace } from './traceToShow.ts';

export interface View {
  readonly name: string;
  /** File name of its picture in docs/screenshots; null when it needs none. */
  readonly picture: string | null;
  readonly path: string;
  /** A text that is there when the view is. */
  readonly ready: string | RegExp;
  readonly act?: (page: Page) => Promise<void>;
}

/** The main views, on the demo data, each at a place where it has something to show. */
export const VIEWS: readonly View[] = [
  { name: 'Bench', picture: 'bench', path: '/', ready: /and the weeks$/ },
  { name: 'Bench mode', picture: 'bench-mode', path: '/bench-mode', ready: 'Space, for 1.5 seconds' },
  { name: 'Wants of all models', picture: null, path: '/?as=wants', ready: 'To be had' },
  { name: 'Identify', picture: 'identify', path: '/jobs/sg-01/identify', ready: 'What speaks for and against' },
  { name: 'Survey', picture: 'survey', path: '/jobs/sg-03/survey?part=sg-03-1.step', ready: 'Wants' },
  { name: 'Open', picture: 'open', path: '/jobs/sg-06/open', ready: 'Every joint, and why' },
  { name: 'The record', picture: 'record', path: '/jobs/sg-00/record', ready: 'What was planned and not done' },
  {
    name: 'A photograph',
    picture: null,
    path: '/jobs/sg-03/photos/sg-03.before-left',
    ready: 'Point at one end.',
  },
  {
    name: 'Two pictures compared',
    picture: null,
    path: '/jobs/sg-03/photos/sg-03.before-left?tool=compare',
    ready: 'Laid wheel on wheel',
  },
  {
    name: 'Strip & mend',
    picture: 'strip',
    path: '/jobs/sg-08/strip',
    ready: 'Ready for primer',
  },
  {
    name: 'Colour: capture',
    picture: null,
    path: '/jobs/sg-03/colour/capture',
    ready: /^Card found/,
    act: async (page) => {
      await haveCapture(page);
      await page.reload();
      await page.getByText('it has faded').waitFor();
    },
  },
  { name: 'Colour: match', picture: 'match', path: '/jobs/sg-03/colour/match', ready: 'SG-03', act: showMatch },
  {
    name: 'Colour: mix',
    picture: 'mix',
    path: '/jobs/sg-03/colour/mix',
    ready: 'SG-03',
    act: async (page) => {
      await haveMix(page);
      await page.reload();
      await page.getByText('What each way costs').waitFor();
    },
  },
  {
    name: 'Finish',
    picture: 'finish',
    path: '/jobs/sg-07/finish?specimen=sg-07-2',
    ready: /^Pour/,
  },
  { name: 'Close', picture: 'close', path: '/jobs/sg-07/close?specimen=sg-07-3', ready: 'Close, in this order' },
  { name: 'Sign off', picture: 'sign-off', path: '/jobs/sg-00/sign-off', ready: 'Its record stands as it is.' },
  { name: 'Sign off, not yet', picture: null, path: '/jobs/sg-05/sign-off', ready: /^Not yet/ },
  { name: 'Catalogue', picture: 'catalogue', path: '/catalogue', ready: 'Narrow down' },
  {
    name: 'Issue sheet',
    picture: null,
    path: '/catalogue/milk-float',
    ready: 'What was said of its dates',
    act: async (page) => {
      await page.getByRole('button', { name: 'Edit what is known' }).click();
      await page.getByRole('region', { name: 'Sheet', exact: true }).scrollIntoViewIfNeeded();
    },
  },
  {
    name: 'Tracing a casting',
    picture: 'trace',
    path: '/catalogue/mobile-library/trace/side',
    ready: 'Artwork of your own, as SVG',
    act: async (page) => {
      await haveTrace(page);
      await page.reload();
      await page.getByRole('button', { name: 'Lay it anew' }).waitFor();
      await page.locator('[role="application"] image').waitFor({ timeout: 60_000 });
    },
  },
  { name: 'Casting', picture: null, path: '/catalogue/milk-float', ready: 'What was said of its dates' },
  { name: 'Constructions', picture: null, path: '/catalogue/new', ready: 'Two shells and a post' },
  {
    name: 'New casting',
    picture: null,
    path: '/catalogue/new',
    ready: 'Two shells and a post',
    act: async (page) => {
      await page.getByRole('button', { name: /^Two posts/ }).click();
      await page.getByRole('button', { name: 'Add it to the catalogue' }).waitFor();
    },
  },
  {
    name: 'Parts and joints',
    picture: null,
    path: '/catalogue/milk-float',
    ready: 'What was said of its dates',
    act: async (page) => {
      await page.getByRole('button', { name: 'Change parts and joints' }).click();
      await page.getByRole('region', { name: 'Parts and joints' }).evaluate((region) => region.scrollIntoView());
    },
  },
  { name: 'Practice', picture: null, path: '/practice?casting=milk-float&seed=4', ready: 'Which issue is it?' },
  {
    name: 'House style',
    picture: null,
    path: '/house',
    ready: 'What has usually happened to a model',
    act: async (page) =>
      page.getByRole('region', { name: 'Strip & mend' }).evaluate((region) => region.scrollIntoView()),
  },
  {
    name: 'Workshop',
    picture: null,
    path: '/workshop',
    ready: 'Instruments',
    act: async (page) =>
      page
        .getByText(/in the last [3-9] s/)
        .first()
        .waitFor(),
  },
  {
    name: 'Shelf',
    picture: null,
    path: '/shelf?near=40.7,-2.7,-14.2',
    ready: /dE00/,
    act: async (page) => {
      const pot = page.getByRole('button', { name: /^Slate blue/ });
      if ((await pot.getAttribute('aria-expanded')) === 'false') await pot.click();
      await page.getByText('Wet to dry').waitFor();
    },
  },
  { name: 'Drawers', picture: 'drawers', path: '/drawers?drawer=B3', ready: 'Drawer B3' },
  { name: 'Evenings', picture: 'evenings', path: '/evenings', ready: /^Blocks: hands/, act: takeBetter },
  { name: 'Orders', picture: 'orders', path: '/orders', ready: 'Suppliers' },
  { name: 'Decals', picture: 'decals', path: '/decals', ready: 'Planned on open jobs' },
  { name: 'Printed parts', picture: null, path: '/prints', ready: 'As it lay' },
  { name: 'Match the pot', picture: null, path: '/practice/match-the-pot?seed=3', ready: 'Take a pot.' },
  { name: 'Place a decal', picture: null, path: '/practice/decals?seed=4', ready: 'What comes next?' },
  { name: 'Trace a decal', picture: null, path: '/decals/trace', ready: 'New area' },
  { name: 'Put on the bench', picture: null, path: '/put-on-bench', ready: 'Put it on the bench' },
  { name: 'Safe', picture: null, path: '/safe', ready: 'Restore a copy' },
  { name: 'Find', picture: null, path: '/', ready: 'Put a model on the bench', act: findGreen },
  {
    name: 'Keys',
    picture: null,
    path: '/',
    ready: 'Put a model on the bench',
    act: (page) => press(page, '?', 'To the bench'),
  },
];

/** The first plan is searched by itself; what was found is taken once. */
async function takeBetter(page: Page): Promise<void> {
  const { kept } = (await (await page.request.get(new URL('/api/evenings', page.url()).href)).json()) as EveningsView;
  if (kept && kept.version > 1) return;
  await page.getByRole('button', { name: 'Take it' }).click({ timeout: 120_000 });
  await page.getByRole('button', { name: 'Look for a better plan' }).waitFor();
}

async function showMatch(page: Page): Promise<void> {
  await haveCapture(page);
  await page.reload();
  await page.getByText(/^Should come within/).waitFor();
}

async function findGreen(page: Page): Promise<void> {
  await page.keyboard.press('Control+k');
  await page.getByRole('dialog').getByRole('combobox').fill('green');
  await page.getByRole('dialog').getByRole('option').first().waitFor();
}

async function press(page: Page, key: string, ready: string): Promise<void> {
  await page.keyboard.press(key);
  await page.getByText(ready).waitFor();
}
