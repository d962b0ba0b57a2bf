import type { ColourView } from '@sardonyx/contract';
import type { Mix } from '@sardonyx/core';
import type { Page } from 'playwright-core';

const WHO = 'Imke Varga';
const LAB = [40.7, -2.7, -14.2];

/** A captured colour for SG-03, where there is none yet, so that Match has something to aim at. */
export async function haveCapture(page: Page): Promise<void> {
  if ((await readColours(page)).captures.length > 0) return;
  const common = {
    specimenPartId: 'sg-03-1.body',
    spectrum: null,
    geometry: 'gloss left out',
    method: 'photo',
    who: WHO,
  };
  const at = { photoId: 'sg-03.colour', point: { x: 490, y: 171 }, sd: [0.9, 1.2, 1.3] };
  await post(page, 'captures', { ...common, ...at, place: 'sheltered', note: 'behind the flap', lab: LAB });
  await post(page, 'captures', { ...common, ...at, place: 'exposed', note: 'side panel', lab: [45.4, -2.8, -11.9] });
}

const RECIPE = [
  { productId: 'paint-marlstone-slate-blue', name: 'Slate blue', ml: 1.3 },
  { productId: 'paint-marlstone-harbour-blue', name: 'Harbour blue', ml: 0.55 },
  { productId: 'paint-marlstone-maroon', name: 'Maroon', ml: 0.15 },
];

/** A mix for SG-03 of three full pots, nothing poured yet. */
export async function startMix(page: Page): Promise<string> {
  await haveCapture(page);
  const { captures } = await readColours(page);
  const mix = (await post(page, 'mixes', {
    ...{ jobId: 'sg-03', specimenPartId: 'sg-03-1.body', captureId: captures[0]!.id, name: 'Body, sheltered colour' },
    ...{ target: LAB, targetA: [39.2, -5.6, -16.4], geometry: 'gloss left out', needMl: 2, tolerance: 1 },
    ...{ dosing: 'scales', doseMl: 0.01, way: 'light end', recipe: RECIPE },
  })) as Mix;
  return mix.id;
}

/** A mix under way: poured, one patch, the next addition due. */
export async function haveMix(page: Page): Promise<void> {
  const { mixes } = await readColours(page);
  if (mixes.some((mix) => mix.endedAt === null)) return;
  const id = await startMix(page);
  for (const { productId, ml } of RECIPE)
    await post(page, `mixes/${id}/pours`, { productId, ml: 0.65 * ml, source: 'scales', who: WHO });
  await post(page, `mixes/${id}/patches`, {
    ...{ lab: [42.6, -3.4, -11.3], sd: [0.2, 0.3, 0.3], how: 'spectrophotometer', words: null, who: WHO },
  });
}

const readColours = (page: Page): Promise<ColourView> =>
  page.evaluate(async () => (await fetch('/api/jobs/sg-03/colour')).json() as Promise<ColourView>);

async function post(page: Page, path: string, body: object): Promise<unknown> {
  const { status, answer } = await page.evaluate(
    async ([to, sent]) => {
      const response = await fetch(`/api/${to}`, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: sent!,
      });
      return { status: response.status, answer: (await response.json()) as unknown };
    },
    [path, JSON.stringify(body)],
  );
  if (status !== 201) throw new Error(`${path} answered ${status}: ${JSON.stringify(answer)}`);
  return answer;
}
