import {
  BENCH_CARD,
  computeDe00,
  convertHexToLab,
  convertLabToHex,
  createSeededRandom,
  drawColourCardFace,
  fitCamera,
  findCard,
  sampleColour,
  type Picture,
  type Point,
  type RandomSource,
} from '@sardonyx/core';
import sharp from 'sharp';
import {
  createSceneCamera,
  createSensor,
  projectPoint,
  renderPhoto,
  type Scene,
} from '../../packages/server/src/demo/renderPhoto.ts';
import { median, percentile, type Figure, type Topic } from '../figure.ts';
import { tryColours } from './tryColours.ts';

const PHOTOS = 40;
const SECOND_PHOTOS = 120;
const TROUBLED_PHOTOS = 30;
const TROUBLE_DE = 4;
const SIZE = { widthPx: 1280, heightPx: 960 };
const WIDTH_MM = 125;
const CARD_TOP = 62;
/** A painted body above the card, in three fields, each with chips, an edge and a glint. */
const FIELDS = [
  { left: 20, top: 12, width: 26, height: 30 },
  { left: 50, top: 8, width: 26, height: 34 },
  { left: 80, top: 14, width: 26, height: 26 },
] as const;

/** One rendered photograph and the true colours of its three places. */
async function shoot(seed: number) {
  const random = createSeededRandom(seed);
  const fields = FIELDS.map((box) => {
    const hex = convertLabToHex([22 + 60 * random(), 70 * (random() - 0.5), 70 * (random() - 0.5)]);
    return { box, hex, lab: convertHexToLab(hex) };
  });
  const scene: Scene = {
    ...{ left: -10, top: -6, widthMm: WIDTH_MM + 20, heightMm: 136 },
    layers: [
      {
        nearerMm: 0,
        svg: `${fields.map((field) => drawField(field, random)).join('')}<g transform="translate(${(WIDTH_MM - BENCH_CARD.widthMm) / 2} ${CARD_TOP})">${drawColourCardFace()}</g>`,
      },
    ],
  };
  const between = (low: number, high: number) => low + (high - low) * random();
  const camera = createSceneCamera({
    size: SIZE,
    target: { x: WIDTH_MM / 2, y: 60 },
    aside: { x: between(-40, 40), y: between(-40, 40) },
    distanceMm: between(280, 380),
    widthMm: 175,
    rollDegrees: between(-5, 5),
    bend: between(-0.09, -0.02),
  });
  const jpeg = await renderPhoto(scene, camera, seed, 7, createSensor(random));
  const { data, info } = await sharp(jpeg).ensureAlpha().raw().toBuffer({ resolveWithObject: true });
  const picture: Picture = { width: info.width, height: info.height, data };
  const places = fields.map(({ box, lab }) => ({
    lab,
    at: projectPoint(camera, box.left + box.width / 2, box.top + box.height * 0.6),
  }));
  return { picture, places };
}

function drawField({ box, hex }: { box: (typeof FIELDS)[number]; hex: string }, random: RandomSource): string {
  const chips = Array.from({ length: 14 }, () => {
    const [x, y] = [box.left + random() * box.width, box.top + random() * box.height];
    return `<circle cx="${x}" cy="${y}" r="${0.15 + 0.5 * random()}" fill="#a5a6a6"/>`;
  }).join('');
  const glint = `<rect x="${box.left}" y="${box.top + 3}" width="${box.width}" height="1.2" fill="#fff" fill-opacity=".85"/>`;
  return `<rect x="${box.left}" y="${box.top}" width="${box.width}" height="${box.height}" fill="${hex}"/>${chips}${glint}`;
}

/** By a camera that shares no code with the first, where the spreads were made. */
function measureSecondCamera(): Figure[] {
  const even = tryColours(SECOND_PHOTOS, 'none');
  const troubled = (['hard shadow', 'glare'] as const).map((trouble) => tryColours(TROUBLED_PHOTOS, trouble));
  // Taken all the same, and a colour is off by more than anybody would accept.
  const off = troubled.flatMap((one) => one.off);
  const refused = troubled.reduce((sum, one) => sum + one.refused, 0);
  return [
    {
      ...{ name: 'colour.cardCoverage95', value: even.covered / even.coordinates, unit: '' },
      goal: { kind: 'within', least: 0.93, most: 0.97 },
      yardstick: `true L*, a* and b* in the stated 95 % interval, ${even.coordinates} of them on ${even.taken} pictures by a renderer of its own; median ${median(even.off).toFixed(2)} dE00, 95 of 100 within ${percentile(even.off, 0.95).toFixed(1)}; ${even.refused} cards refused`,
    },
    {
      ...{ name: 'colour.cardTroubleTaken', value: off.filter((de) => de > TROUBLE_DE).length, unit: '' },
      goal: { kind: 'at most', value: 0 },
      yardstick: `places off by more than ${TROUBLE_DE} dE00 on ${2 * TROUBLED_PHOTOS} pictures with a hard shadow or glare on the card; ${refused} refused`,
    },
  ];
}

export const colourCard: Topic = {
  names: [
    'colour.cardDeMedian',
    'colour.cardDeP95',
    'colour.cardCoverage',
    'colour.cardFound',
    'colour.cardCoverage95',
    'colour.cardTroubleTaken',
  ],
  measure: async () => {
    const off: number[] = [];
    let covered = 0;
    let found = 0;
    for (let seed = 1; seed <= PHOTOS; seed++) {
      const { picture, places } = await shoot(seed);
      const control = findCard(picture);
      found++;
      const fit = fitCamera(picture, control);
      for (const { lab, at } of places) {
        const sample = sampleColour(picture, fit, at as Point, 22);
        const de = computeDe00(lab, sample.lab);
        off.push(de);
        // Within two standard deviations in every coordinate.
        if (lab.every((one, c) => Math.abs(one - sample.lab[c]!) <= 2 * sample.sd[c]!)) covered++;
      }
    }
    const where = `${off.length} places on ${PHOTOS} rendered photographs: lens, uneven light, a camera of its own, noise, chips`;
    return [
      {
        ...{ name: 'colour.cardDeMedian', value: median(off), unit: 'dE00', yardstick: where },
        goal: { kind: 'at most', value: 1.5 },
      },
      {
        ...{ name: 'colour.cardDeP95', value: percentile(off, 0.95), unit: 'dE00', yardstick: 'the same' },
        goal: null,
      },
      {
        ...{ name: 'colour.cardCoverage', value: covered / off.length, unit: '' },
        yardstick: 'truth within two stated standard deviations in all three coordinates',
        goal: { kind: 'at least', value: 0.9 },
      },
      {
        ...{ name: 'colour.cardFound', value: found / PHOTOS, unit: '', yardstick: 'cards found without pointing' },
        goal: null,
      },
      ...measureSecondCamera(),
    ];
  },
};
