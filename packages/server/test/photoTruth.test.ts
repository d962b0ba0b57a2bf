import type { JobView } from '@sardonyx/contract';
import { CARD_DOTS, computePhotoMeasure, findCard, type PhotoControl, type Picture } from '@sardonyx/core';
import { expect } from 'chai';
import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import sharp from 'sharp';
import { TRUTH_FOLDER } from '../src/demo/truth.ts';
import type { PhotoTruth } from '../src/demo/photoScene.ts';
import { photoPath } from '../src/modules/photos/photoStore.ts';
import { createTestBench, type TestBench } from './support/createTestBench.ts';

/** The demo's photographs, measured from the stored JPEG to millimetres, against what is known of them (all of them: bench). */
describe('the demo’s photographs', function () {
  this.timeout(60_000);
  let bench: TestBench;
  before(async () => void (bench = await createTestBench()));
  after(() => bench.clear());

  async function open(id: string): Promise<{ truth: PhotoTruth; picture: Picture; control: PhotoControl }> {
    const { photos } = await bench.get<JobView>(`jobs/${id.split('.')[0]}`);
    const photo = photos.find((one) => one.id === id)!;
    const truth = JSON.parse(await readFile(join(bench.room.folder, TRUTH_FOLDER, `${id}.json`), 'utf8')) as PhotoTruth;
    const { data, info } = await sharp(photoPath(bench.room.folder, photo.hash))
      .ensureAlpha()
      .raw()
      .toBuffer({ resolveWithObject: true });
    const picture = { width: info.width, height: info.height, data };
    const rough = truth.dots.slice(0, 4).map(({ x, y }, i) => ({ x: x + (i % 2 ? 3 : -2), y: y - 2 }));
    return { truth, picture, control: { name: 'bench card', points: findCard(picture, rough) } };
  }
  const sizeOf = ({ width, height }: Picture) => ({ widthPx: width, heightPx: height });

  for (const id of ['sg-03.before-left', 'sg-05.before-left', 'sg-06.before-right', 'sg-09.before-left'])
    it(`give wheelbase and length within what is stated (${id})`, async () => {
      const { truth, picture, control } = await open(id);
      expect(control.points).length(12);
      for (const { pixel, mm } of control.points) {
        const dot = truth.dots[CARD_DOTS.indexOf(mm)]!;
        expect(Math.hypot(pixel.x - dot.x, pixel.y - dot.y)).lessThan(0.5);
      }
      const measure = (points: PhotoTruth['hubs']) =>
        computePhotoMeasure(control, sizeOf(picture), { kind: 'length', points, nearerMm: 0, distanceMm: null });
      const wheelbase = measure(truth.hubs.slice(0, 2));
      if (truth.hubs.length === 2) expect(truth.wheelbaseMm).within(wheelbase.low, wheelbase.high);
      const length = measure(truth.ends);
      expect(truth.lengthMm).within(length.low, length.high);
      expect(Math.abs(length.value - truth.lengthMm)).lessThan(0.1);
    });

  it('give the twist of SG-05 in its end view, and none where there is none', async () => {
    for (const [id, twist] of [
      ['sg-05.before-front', 1.4],
      ['sg-03.before-front', 0],
    ] as const) {
      const { truth, picture, control } = await open(id);
      const read = computePhotoMeasure(control, sizeOf(picture), {
        ...{ kind: 'twist', points: truth.feet, nearerMm: 0, distanceMm: null },
      });
      expect(truth.twistDegrees).equal(twist);
      expect(read.value).closeTo(twist, 0.1);
    }
  });

  it('hold the measure that the demo keeps on SG-03', async () => {
    const { photos, photoMeasures } = await bench.get<JobView>('jobs/sg-03');
    expect(photos.find((photo) => photo.control)!.side).equal('left');
    expect(photoMeasures).length(1);
    expect(photoMeasures[0]!.value).closeTo(43, 0.1);
  });
});
