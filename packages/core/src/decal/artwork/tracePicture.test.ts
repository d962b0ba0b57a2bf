import { expect } from 'chai';
import { createSeededRandom } from '../../numeric/seededRandom.ts';
import { createPictureArtwork } from './createDecalArtwork.ts';
import { flattenPath } from '../../drawing/flattenPath.ts';
import { tracePicture } from './tracePicture.ts';

type Rgb = readonly [number, number, number];
type Seen = (x: number, y: number) => Rgb | null;
const WHITE: Rgb = [255, 255, 255];
const RED: Rgb = [156, 31, 34];
const CREAM: Rgb = [243, 230, 192];

/** As a scanner gives it: each pixel the mean of 16 looks, so that edges are blurred over one; null is transparent. */
function scan(width: number, height: number, seen: Seen) {
  const data = new Uint8ClampedArray(4 * width * height);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const sum = [0, 0, 0, 0];
      for (let i = 0; i < 16; i++) {
        const colour = seen(x + ((i % 4) + 0.5) / 4, y + (Math.floor(i / 4) + 0.5) / 4);
        if (colour) [...colour, 1].forEach((value, k) => (sum[k]! += value));
      }
      const at = 4 * (y * width + x);
      for (let k = 0; k < 3; k++) data[at + k] = sum[k]! / (sum[3]! || 1);
      data[at + 3] = (255 * sum[3]!) / 16;
    }
  return { width, height, data };
}

/** Area of all rings by the way they wind, mm². */
const areaOf = (d: string): number =>
  Math.abs(
    flattenPath(d).reduce(
      (total, ring) =>
        total +
        ring.reduce((sum, { x, y }, i) => {
          const next = ring[(i + 1) % ring.length]!;
          return sum + (x * next.y - next.x * y) / 2;
        }, 0),
      0,
    ),
  );

/** A cream board of 400 by 160 px with a red ring on it, in the middle of white paper. */
const board: Seen = (x, y) => {
  const away = Math.hypot(x - 240, y - 120);
  if (away < 50 && away > 30) return RED;
  return x > 40 && x < 440 && y > 40 && y < 200 ? CREAM : WHITE;
};

describe('artwork out of a picture', () => {
  it('is shapes of its flat inks at the stated size, the paper left bare', () => {
    const { widthMm, heightMm, shapes } = tracePicture(scan(480, 240, board), 20, true);
    expect(widthMm).equal(20);
    expect(heightMm).closeTo(8, 0.02);
    expect(shapes.map(({ fill }) => fill)).deep.equal(['#f3e6c0', '#9c1f22']);
    expect(areaOf(shapes[0]!.d)).closeTo(20 * 8, 0.4);
    expect(areaOf(shapes[1]!.d)).closeTo(Math.PI * (2.5 ** 2 - 1.5 ** 2), 0.12);
    const [board0] = flattenPath(shapes[0]!.d);
    const xs = board0!.map(({ x }) => x);
    expect(Math.min(...xs)).closeTo(0, 1e-6);
    expect(Math.max(...xs)).closeTo(20, 1e-6);
  });

  it('prints white where it is no paper, and nothing where it is transparent', () => {
    const all = tracePicture(scan(480, 240, board), 24, false);
    expect(all.shapes.map(({ fill }) => fill)).deep.equal(['#f3e6c0', '#ffffff', '#9c1f22']);
    const cut = tracePicture(
      scan(480, 240, (x, y) => (board(x, y) === WHITE ? null : board(x, y))),
      20,
      false,
    );
    expect(cut.shapes.map(({ fill }) => fill)).deep.equal(['#f3e6c0', '#9c1f22']);
    expect(areaOf(cut.shapes[0]!.d)).closeTo(160, 0.4);
  });

  it('lies on what is below it: nothing shows between two inks', () => {
    const { shapes } = tracePicture(scan(480, 240, board), 20, true);
    // The cream has no hole where the ring is.
    expect(flattenPath(shapes[0]!.d)).lengthOf(1);
  });

  it('forgets specks and the noise of a scanner', () => {
    const random = createSeededRandom(5);
    const picture = scan(480, 240, board);
    for (let i = 0; i < picture.data.length; i++)
      if (i % 4 < 3) picture.data[i] = picture.data[i]! + 8 * (random() - 0.5);
    for (const at of [1000, 50_000, 90_000]) picture.data.set([20, 20, 20], 4 * at);
    const { shapes } = tracePicture(picture, 20, true);
    expect(shapes).lengthOf(2);
    expect(areaOf(shapes[0]!.d)).closeTo(160, 0.6);
  });

  it('is refused when it is coarse, of shades, of nothing, or of no size', () => {
    const picture = scan(100, 60, () => RED);
    expect(() => tracePicture(picture, 24, true)).throw(/a pixel of it is 0\.24 mm.*at least 240 pixels/);
    expect(() => tracePicture(picture, Number.NaN, true)).throw(/Say how wide/);
    expect(() => createPictureArtwork(picture, 0.2, true)).throw(/a decal has/);
    const shades = scan(256, 120, (x, y) => [x, 255 - x, 2 * y]);
    expect(() => tracePicture(shades, 20, true)).throw(/has shades/);
    expect(() =>
      tracePicture(
        scan(100, 60, () => WHITE),
        8,
        true,
      ),
    ).throw(/Nothing of this picture/);
    expect(() =>
      tracePicture(
        scan(100, 60, () => null),
        8,
        false,
      ),
    ).throw(/Nothing of this picture/);
  });

  it('has its cut line and inks worked out as any other', () => {
    const { sizeFrom, inks, cutLine, bareShare } = createPictureArtwork(scan(480, 240, board), 20, true);
    expect(sizeFrom).equal('typed');
    expect(inks.map(({ hex }) => hex)).deep.equal(['#f3e6c0', '#9c1f22']);
    expect(Math.min(...cutLine.map(({ x }) => x))).closeTo(-0.6, 0.1);
    expect(bareShare).below(0.01);
  });
});
