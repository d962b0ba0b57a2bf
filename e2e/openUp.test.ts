import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import type { JobView } from '@sardonyx/contract';
import { expect } from 'chai';
import { DEMO_NOW } from '../packages/server/test/support/demoNow.ts';
import { choose } from './support/choose.ts';
import { expectNoFaults, hold, makePhoto, openStation, taskLine } from './support/restorer.ts';
import { useBench } from './support/useBench.ts';

interface Place {
  readonly x: number;
  readonly y: number;
}
interface Truth {
  readonly dots: readonly Place[];
  readonly hubs: readonly Place[];
  readonly feet: readonly Place[];
  readonly wheelbaseMm: number;
  readonly twistDegrees: number;
}

/** What is wrong with it, how it comes apart, and what may happen on the way. */
describe('survey, measure and open', function () {
  this.timeout(120_000);
  const test = useBench({ isDemo: true, now: DEMO_NOW });

  const view = async (id: string) =>
    (await (await test.page.request.get(`${test.bench.address}/api/jobs/${id}`)).json()) as JobView;
  const truthOf = async (photoId: string) =>
    JSON.parse(await readFile(join(test.bench.folder, 'truth', `${photoId}.json`), 'utf8')) as Truth;
  const picture = () => test.page.getByRole('application', { name: /^Photograph/ });
  /** Clicks a pixel of the photograph, wherever it is shown. */
  async function pointAt({ x, y }: Place): Promise<void> {
    const at = await picture().evaluate(
      (svg, place) => {
        const { x: left, y: top } = new DOMPoint(place.x, place.y).matrixTransform(
          (svg as SVGSVGElement).getScreenCTM()!,
        );
        return { left, top };
      },
      { x, y },
    );
    await test.page.mouse.click(at.left, at.top);
  }
  const heading = () => test.page.locator('main .text-act').first();

  describe('SG-05, the horse box', () => {
    it('is looked over for pest before anything wet, hot or drilled', async () => {
      await test.page.goto(`${test.bench.address}/jobs/sg-05/survey?part=sg-05-1.ramp`);
      await test.page.getByText(/Not looked over for pest yet/).waitFor();
      await test.page.getByRole('button', { name: 'Looked over: no sign of pest' }).click();
      await test.page.getByText('Looked over for pest: no sign.').waitFor();
    });

    it('gets a finding with a measured value, pinned where it is on the drawing', async () => {
      const ramp = test.page.getByRole('region', { name: 'Part: Ramp' });
      await choose(ramp.getByLabel('Finding', { exact: true }), 'cracked');
      await ramp.getByLabel('Where and how').fill('At the upper corner');
      await ramp.getByLabel('Measured').fill('four');
      await ramp.getByRole('button', { name: 'Add the finding' }).click();
      await ramp.getByText(/What was measured, as a number/).waitFor();
      await ramp.getByLabel('Measured').fill('4.5');
      await ramp.getByRole('button', { name: 'Add the finding' }).click();
      await ramp.getByText('4.5 mm').waitFor();
      await ramp.getByRole('button', { name: 'Pin it cracked' }).click();
      await test.page.getByText('Point at the place on its part.').waitFor();
      await test.page.locator('[data-part="sg-05-1.ramp"] path').first().click();
      await ramp.getByText('pinned on the map').waitFor();
      const { findings, casting } = (await view('sg-05')).specimens[0]!;
      const cracked = findings.find((finding) => finding.kind === 'cracked')!;
      expect(cracked).deep.include({ pinnedTo: 'side', measuredValue: 4.5, measuredUnit: 'mm' });
      const box = casting!.casting.drawing.views[0]!.shapes.find((shape) => shape.partKey === 'ramp')!.box;
      expect(cracked.pinX!).within(box[0] - 1, box[2] + 1);
      expect(cracked.pinY!).within(box[1] - 1, box[3] + 1);
    });

    it('has its photo straightened by the card, which is found by itself with all twelve dots', async () => {
      await test.page.getByRole('img', { name: /^left, before/ }).click();
      await test.page.getByRole('heading', { name: /SG-05 Horse Box, left/ }).waitFor();
      await test.page.getByText('Not straightened yet').waitFor();
      await test.page.getByText(/^12 points of the bench card, they fit within 0\.\d\d mm; the lens bends/).waitFor();
      await test.page.getByRole('button', { name: 'Straighten by these points' }).click();
      await test.page.getByText(/^Straight: 12 points/).waitFor();
    });

    it('gives its wheelbase, with what is uncertain, and lets it speak at Identify', async () => {
      const { hubs, wheelbaseMm } = await truthOf('sg-05.before-left');
      await test.page.getByText('Point at one end.').waitFor();
      for (const hub of hubs) await pointAt(hub);
      const read = await test.page
        .getByRole('region', { name: 'Measure', exact: true })
        .getByRole('status')
        .innerText();
      const [value = 0, spread = 0] = read.split(' ± ').map(parseFloat);
      expect(Math.abs(value - wheelbaseMm))
        .lessThan(spread)
        .lessThan(1);
      await test.page.getByRole('button', { name: 'Keep the measure' }).click();
      const measured = test.page.getByRole('region', { name: 'Measured' });
      await measured.getByText(/^Wheelbase/).waitFor();
      await measured.getByRole('button', { name: 'Use it at Identify' }).click();
      await measured.getByRole('button', { name: 'used at Identify' }).waitFor();
      const [size] = (await view('sg-05')).specimens[0]!.measurements;
      expect(size!.what).equal('wheelbase');
      expect(size!.valueMm).closeTo(wheelbaseMm, 0.6);
    });

    it('moves a point by the arrow keys, and refuses a nearer plane without the distance', async () => {
      const { hubs } = await truthOf('sg-05.before-left');
      for (const hub of hubs) await pointAt(hub);
      const status = test.page.getByRole('region', { name: 'Measure', exact: true }).getByRole('status');
      const before = await status.innerText();
      await test.page.getByRole('button', { name: 'Point 2' }).focus();
      await test.page.keyboard.press('Shift+ArrowRight');
      for (let i = 0; i < 40 && (await status.innerText()) === before; i++) await test.page.waitForTimeout(50);
      expect(await status.innerText()).not.equal(before);
      await test.page.getByText('It lies nearer to the lens than the card').click();
      await test.page.getByLabel('Nearer by, mm').fill('12');
      await test.page.getByText(/reads too long: give the distance/).waitFor();
      await test.page.getByLabel('Lens to card, mm').fill('300');
      await test.page
        .getByText(/± \d\.\d\d mm/)
        .first()
        .waitFor();
      await test.page.getByRole('button', { name: 'Point anew' }).click();
    });

    it('lies over the drawing of its casting, wheel on wheel', async () => {
      await test.page.getByRole('radio', { name: 'Compare' }).click();
      await test.page.getByRole('application', { name: /left seen straight, under the drawing/ }).waitFor();
      await test.page.getByText('Laid wheel on wheel, by the measured wheelbase.').waitFor();
    });

    it('shows the twist of its axles in the end view', async () => {
      const { feet, twistDegrees } = await truthOf('sg-05.before-front');
      await test.page.goto(`${test.bench.address}/jobs/sg-05/photos/sg-05.before-front`);
      await test.page.getByText(/^12 points of the bench card/).waitFor();
      await test.page.getByRole('button', { name: 'Straighten by these points' }).click();
      await test.page.getByLabel('twist', { exact: true }).check();
      for (const foot of feet) await pointAt(foot);
      const read = await test.page
        .getByRole('region', { name: 'Measure', exact: true })
        .getByRole('status')
        .innerText();
      const [value = 0, spread = 0] = read.split(' ± ').map(parseFloat);
      expect(twistDegrees).equal(1.4);
      expect(Math.abs(value - twistDegrees)).lessThan(spread);
    });

    it('has a finding pinned on the photo too', async () => {
      await test.page.getByRole('radio', { name: 'Pin findings' }).click();
      await test.page.getByRole('button', { name: 'Pin it bent' }).click();
      await pointAt({ x: 500, y: 200 });
      await test.page.getByText('pinned here').waitFor();
      await test.page.goto(`${test.bench.address}/jobs/sg-05/survey?part=sg-05-1.ramp`);
      await test.page.getByRole('link', { name: 'a photo' }).waitFor();
    });
  });

  describe('SG-06, the snowplough', () => {
    const joint = (key: string) => test.page.locator(`li[data-joint="${key}"]`);

    it('shows why every joint is opened or left closed, and what else could be done', async () => {
      await test.page.goto(`${test.bench.address}/jobs/sg-06/open`);
      await heading()
        .getByText(/^Open 6 joints/)
        .waitFor();
      await joint('glazing')
        .getByText(/Glazing: clear styrene that stands no stripper/)
        .waitFor();
      await joint('glazing')
        .getByText(/Left closed, the best plan costs \d+ min more/)
        .waitFor();
      await joint('tyres')
        .getByText(/get the same: soap and water/)
        .waitFor();
      const nothing = test.page.getByRole('row', { name: /^Open nothing/ });
      expect(await nothing.innerText()).match(/old paint stays on: body, base, .*grit body/);
    });

    it('changes its plan and its reasons at once when a joint is forced closed, and back again', async () => {
      await joint('front-tabs').getByLabel('leave it closed').click();
      await heading()
        .getByText(/^Open [1-5] joints?/)
        .waitFor();
      await joint('front-tabs').getByText('You want it left closed.').waitFor();
      await joint('glazing').getByText('It lies behind the front tabs, which stays closed.').waitFor();
      await test.page.getByText(/The body keeps its old paint: the glazing stays in/).waitFor();
      expect(await taskLine(test.page, 'open:front-tabs').count()).equal(0);
      await openStation(test.page, 'Strip');
      await taskLine(test.page, 'key:body').waitFor();
      expect(await taskLine(test.page, 'strip:body').count()).equal(0);
      await openStation(test.page, 'Open');
      await joint('front-tabs').getByLabel('as planned').click();
      await heading()
        .getByText(/^Open 6 joints/)
        .waitFor();
      await taskLine(test.page, 'open:front-tabs').waitFor();
    });

    it('keeps how a part came off, and takes a joint nobody knew of into the plan', async () => {
      const came = test.page.getByRole('region', { name: 'While it comes apart' });
      await choose(came.getByLabel('Part in hand'), 'Blade');
      await choose(came.getByLabel('Came off from'), 'front');
      await came.getByLabel('Which way round it sat').fill('Chevrons pointing down');
      await came.getByRole('button', { name: 'Write it down' }).click();
      await came.getByText('Blade: off from the front, Chevrons pointing down').waitFor();
      const hidden = came.getByRole('form', { name: 'Hidden joint' });
      await hidden.getByRole('button', { name: 'Add the joint to the plan' }).click();
      await hidden.getByText(/Name the joint/).waitFor();
      await choose(came.getByLabel('Part in hand'), 'Grit body');
      await hidden.getByLabel('Grit body to').waitFor();
      await hidden.getByLabel('A joint nobody knew of').fill('tab behind the grit body');
      await choose(hidden.getByLabel('It is a'), 'bent tab');
      await choose(hidden.getByLabel('Grit body to'), 'Body');
      await hidden.getByRole('button', { name: 'Add the joint to the plan' }).click();
      await test.page.getByRole('button', { name: /^Lift the tabs: tab behind the grit body/ }).waitFor();
    });

    it('wants a new part when one breaks, and is not signed off before that is settled', async () => {
      const came = test.page.getByRole('region', { name: 'While it comes apart' });
      await choose(came.getByLabel('Part in hand'), 'Glazing');
      await came.getByLabel('The glazing broke').fill('Across the left pillar');
      await came.getByRole('button', { name: 'It broke: want a new one' }).click();
      await openStation(test.page, 'Survey');
      const wants = test.page.getByRole('region', { name: 'Wants' });
      await wants.getByRole('strong').getByText('glazing').waitFor();
      await taskLine(test.page, 'photograph').waitFor({ state: 'attached' });
      expect((await view('sg-06')).tasks.some((task) => task.key.startsWith('get:'))).equal(true);
      await openStation(test.page, 'Sign off');
      await hold(test.page.getByRole('button', { name: /^Sign it off/ }));
      await test.page
        .getByRole('alert')
        .getByText(/"glazing" is open/)
        .waitFor();
    });

    it('shows at Close how each part came off', async () => {
      await test.page.goto(`${test.bench.address}/jobs/sg-06/open`);
      await test.page
        .getByLabel('Add a photo, or drop it here')
        .first()
        .setInputFiles(await makePhoto('blade.jpg', '#777777'));
      await openStation(test.page, 'Close');
      await test.page.getByText('Chevrons pointing down').waitFor();
      await test.page.getByText('It has not been put together dry yet.').waitFor();
      expectNoFaults(test.page);
    });
  });
});
