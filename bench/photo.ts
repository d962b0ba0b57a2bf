import {
  computePhotoMeasure,
  createSeededRandom,
  findCard,
  refineEdge,
  type PhotoControl,
  type Point,
  type RandomSource,
} from '@sardonyx/core';
import { drawNormal } from '../packages/core/test/support/simulatedPhotos.ts';
import { createCatalogue } from '../packages/server/src/demo/createCatalogue.ts';
import { aimCamera, createScene, describeTruth, type Sitter } from '../packages/server/src/demo/photoScene.ts';
import { renderPhoto } from '../packages/server/src/demo/renderPhoto.ts';
import { median, percentile, type Topic } from './figure.ts';
import { decodePicture } from './photo/decodePicture.ts';
import { timeRectifying } from './photo/timeRectifying.ts';
import { traceCastings } from './photo/traceCastings.ts';
import { tryAllCards } from './photo/tryAllCards.ts';

const CARDS = 720;
const PHOTOS = 40;
const SIZE = { widthPx: 2400, heightPx: 1800 };
const PX_PER_MM = 20;
/** How well somebody points at a magnified picture, px. */
const POINTING_PX = 1;
const CORNER_PX = 5;
const RECTIFIED_MP = 12;
const TRACED = 24;

export const photo: Topic = {
  names: [
    'photo.cardTurnedWrong',
    'photo.cardFound',
    'photo.coverage95',
    'photo.lengthErrorMedianMm',
    'photo.twistErrorDeg',
    'photo.traceErrorMm',
    'photo.rectify12MpMs',
  ],
  measure: async () => {
    const cards = await tryAllCards(CARDS);
    const { lengths, twists } = await measurePhotos();
    const traced = await traceCastings(Array.from({ length: TRACED }, (_, i) => i + 1));
    const times = await timeRectifying(RECTIFIED_MP);
    return [
      {
        ...{ name: 'photo.cardTurnedWrong', value: cards.wrong, unit: '' },
        goal: { kind: 'at most', value: 0 },
        yardstick: `cards taken as found with dots paired wrongly, of ${CARDS} pictures by a renderer of its own: all angles, tilts to 35 degrees, white paper, black felt, planks, speckled stone, to three dots covered, blur, lens`,
      },
      {
        ...{ name: 'photo.cardFound', value: cards.found / cards.inSight, unit: '' },
        goal: { kind: 'at least', value: 0.98 },
        yardstick: `of ${cards.inSight} of these with nine dots or more in sight; looking takes ${median(cards.ms).toFixed(0)} ms`,
      },
      {
        ...{ name: 'photo.coverage95', value: cards.covered / cards.measured, unit: '' },
        goal: { kind: 'within', least: 0.93, most: 0.97 },
        yardstick: `true lengths in the stated 95 % interval, ${cards.measured} lengths on the pictures of the same renderer, on the card and round it, pointed at by 1 px`,
      },
      {
        name: 'photo.lengthErrorMedianMm',
        value: median(lengths),
        unit: 'mm',
        goal: { kind: 'at most', value: 0.1 },
        yardstick: `length of a 74 mm model in ${PHOTOS} rendered photographs (${SIZE.widthPx} by ${SIZE.heightPx}, perspective, lens, uneven light, grain, JPEG), card found from four rough corners, ends pointed at by ${POINTING_PX} px; 95 of 100 within ${percentile(lengths, 0.95).toFixed(2)} mm`,
      },
      {
        name: 'photo.twistErrorDeg',
        value: percentile(twists, 0.95),
        unit: '°',
        goal: { kind: 'at most', value: 0.3 },
        yardstick: `rear axle against front one, 36 mm behind it, in ${PHOTOS} rendered end views, each line by four points under the tyres, snapped to their edge; 95 of 100 are nearer; median ${median(twists).toFixed(2)}`,
      },
      {
        ...{ name: 'photo.traceErrorMm', value: median(traced.errors), unit: 'mm' },
        goal: { kind: 'at most', value: 0.15 },
        yardstick: `from the true outline to the traced one, ${traced.shapes} outlines on ${TRACED} rendered side views, pressed 0.4 mm beside the edge (then off by ${median(traced.roughErrors).toFixed(2)} mm) and laid on it; 95 of 100 within ${percentile(traced.errors, 0.95).toFixed(2)} mm`,
      },
      {
        name: 'photo.rectify12MpMs',
        value: median(times),
        unit: 'ms',
        goal: null,
        yardstick: `${RECTIFIED_MP} megapixels through plane and lens in a worker thread; the page goes on meanwhile`,
      },
    ];
  },
};

/** The mobile library, 74 mm long. */
function createSitter(isEnd: boolean, random: RandomSource): Sitter {
  const { castings, parts } = createCatalogue();
  const casting = castings.find((one) => one.id === 'mobile-library')!;
  const own = parts
    .filter((part) => part.castingId === casting.id)
    .map((part) => ({ ...part, state: 'sound' as const }));
  const view = casting.drawing.views.find((one) => one.view === (isEnd ? 'end' : 'side'))!;
  return {
    ...{ view, parts: own, paint: { body: { outside: '#6a2330' } }, isMirrored: random() < 0.5, chipCount: 20 },
    ...(isEnd ? { rearAxle: { behindMm: 36, twistDegrees: 6 * random() - 3 } } : {}),
  };
}

async function measurePhotos() {
  const lengths: number[] = [];
  const twists: number[] = [];
  for (let seed = 1; seed <= PHOTOS; seed++) {
    const random = createSeededRandom(seed);
    const side = await takePhoto(createSitter(false, random), seed, random);
    const measured = side.measure('length', side.truth.ends);
    lengths.push(Math.abs(measured - side.truth.lengthMm));
    const end = await takePhoto(createSitter(true, random), seed + PHOTOS, random);
    const twist = end.measure('twist', end.truth.feet.length === 4 ? spread(end.truth.feet) : []);
    twists.push(Math.abs(twist - end.truth.twistDegrees));
  }
  return { lengths, twists };
}

/** Four points on each axle's line: two under each tyre. */
function spread([a, b, c, d]: readonly Point[]): Point[] {
  const along = (from: Point, to: Point) =>
    [-0.035, 0.035, 0.965, 1.035].map((share) => ({
      x: from.x + share * (to.x - from.x),
      y: from.y + share * (to.y - from.y),
    }));
  return [...along(a!, b!), ...along(c!, d!)];
}

async function takePhoto(sitter: Sitter, seed: number, random: RandomSource) {
  const camera = aimCamera(sitter, SIZE, seed);
  const truth = describeTruth(sitter, camera);
  const jpeg = await renderPhoto(createScene(sitter, seed), camera, seed, PX_PER_MM);
  const picture = await decodePicture(jpeg);
  const shake = ({ x, y }: Point, sd: number) => ({ x: x + sd * drawNormal(random), y: y + sd * drawNormal(random) });
  const control: PhotoControl = {
    name: 'bench card',
    points: findCard(
      picture,
      truth.dots.slice(0, 4).map((dot) => shake(dot, CORNER_PX)),
    ),
  };
  return {
    truth,
    measure: (kind: 'length' | 'twist', points: readonly Point[]) =>
      computePhotoMeasure(control, SIZE, {
        kind,
        points: points.map((point) => {
          const pointed = shake(point, POINTING_PX);
          return kind === 'twist' ? (refineEdge(picture, pointed) ?? pointed) : pointed;
        }),
        nearerMm: 0,
        distanceMm: null,
      }).value,
  };
}
