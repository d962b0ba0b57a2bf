import { answerArea } from '../packages/core/src/film/answerArea.ts';
import { answerAt, computeMargins, computeSpans } from '../packages/core/src/film/computeSpans.ts';
import { COATING, COATING_WAYS, computeVolume, SOLIDS } from '../packages/core/src/film/computeVolume.ts';
import { completeProduct } from '../packages/core/src/film/completeProduct.ts';
import { countCoats } from '../packages/core/src/film/countCoats.ts';
import { createDryingClock, type RoomReading } from '../packages/core/src/film/dryingClock.ts';
import { completeSheet } from '../packages/core/src/film/dryingSheet.ts';
import { orderColours } from '../packages/core/src/film/orderColours.ts';
import { computeReadyTime, learnDrying, type TouchedCoat } from '../packages/core/src/film/learnDrying.ts';
import { drawNormal } from '../packages/core/src/numeric/drawNormal.ts';
import { createSeededRandom, type RandomSource } from '../packages/core/src/numeric/seededRandom.ts';
import { drawGround, drawPaint, layUntilHidden } from '../packages/core/test/support/layCoats.ts';
import { drawColours, findCheapestByTrying } from '../packages/core/test/support/coloursWorld.ts';
import { median, percentile, type Figure, type Topic } from './figure.ts';

const MINUTE = 60_000;
const HOUR = 60 * MINUTE;
const DAY = 24 * HOUR;

/** Paint, drying and waiting against worlds that are drawn otherwise than the program reckons. */
export const filmTopic: Topic = {
  names: [
    ...['film.volumeUpper90', 'film.volumeSymmetric90', 'film.clockP90', 'film.clockOneReadingP90', 'film.startsInGap'],
    ...[
      'film.orderMismatches',
      'film.coatsToHideMiss',
      'film.learnCoverage90',
      'film.learnedWaitRatio',
      'film.learnedWaitRatioSix',
      'film.finishAnswerMs',
    ],
  ],
  measure: () =>
    Promise.resolve([
      ...measureVolume(),
      ...measureClock(),
      measureGap(),
      measureOrders(),
      measureHiding(),
      ...measureLearning(),
      measureAnswers(),
    ]),
};

const JOBS = 200;
const DRAWS = 2000;

/** Numbers of a mean and a spread: of a normal that is cut off at nothing, of a log-normal, or even between two ends. */
function createDraw(mean: number, relativeSd: number, random: RandomSource): () => number {
  const kind = Math.floor(3 * random());
  if (kind === 0) return () => Math.max(0.05 * mean, mean * (1 + relativeSd * drawNormal(random)));
  const variance = Math.log(1 + relativeSd ** 2);
  if (kind === 1) return () => mean * Math.exp(Math.sqrt(variance) * drawNormal(random) - variance / 2);
  return () => mean * (1 + relativeSd * Math.sqrt(12) * (random() - 0.5));
}

function measureVolume(): Figure[] {
  const random = createSeededRandom(18);
  let [enough, symmetric] = [0, 0];
  for (let job = 0; job < JOBS; job++) {
    const way = COATING_WAYS[Math.floor(3 * random())]!;
    const area = { value: 10 + 190 * random(), relativeSd: 0.03 + 0.25 * random() };
    const solids = Object.values(SOLIDS)[Math.floor(4 * random())]!;
    const plan = {
      ...{ area, way, solids, filmUm: 8 + 30 * random(), coats: 1 + Math.floor(4 * random()) },
      ...{ thinner: 1.5 * random(), fillings: 1 + Math.floor(2 * random()) },
    };
    const { ml, sd, upper90 } = computeVolume(plan);
    const { transfer, lossMl } = COATING[way];
    const draw = (one: { readonly value: number; readonly relativeSd: number }) =>
      createDraw(one.value, one.relativeSd, random);
    const [ofArea, ofSolids, ofTransfer, ofLoss] = [draw(area), draw(solids), draw(transfer), draw(lossMl)];
    const ofFilm = createDraw(plan.filmUm, 0.2, random);
    for (let i = 0; i < DRAWS; i++) {
      const laid = (ofArea() * ofFilm() * plan.coats * 1e-4) / (ofSolids() * ofTransfer());
      const needed = laid + (plan.fillings * ofLoss()) / (1 + plan.thinner);
      if (needed <= upper90) enough++;
      if (needed <= ml + 1.2815515655446 * sd) symmetric++;
    }
  }
  const all = JOBS * DRAWS;
  return [
    {
      ...{
        name: 'film.volumeUpper90',
        value: enough / all,
        unit: '',
        goal: { kind: 'within', least: 0.885, most: 0.915 },
      },
      yardstick: `"pour this" was enough, ${JOBS} jobs x ${DRAWS} draws of normal, log-normal and even factors`,
    },
    {
      name: 'film.volumeSymmetric90',
      value: symmetric / all,
      unit: '',
      goal: null,
      yardstick: 'mean and 1.28 sd instead',
    },
  ];
}

/** A heated workroom: a swing through the day, weather over it, a window that is opened. */
function createRoom(random: RandomSource): (at: number) => number {
  const middle = 16.5 + 3 * random();
  const [swing, weather] = [0.5 + 1.7 * random(), 0.8 * random()];
  const [phase, slow] = [2 * Math.PI * random(), 2 * Math.PI * random()];
  return (at) => {
    const tempC =
      middle +
      swing * Math.sin((2 * Math.PI * at) / DAY + phase) +
      weather * Math.sin((2 * Math.PI * at) / (0.31 * DAY) + slow);
    return Math.min(22, Math.max(14, tempC));
  };
}

/** When so many minutes at 20 degrees have gone by, in steps of half a minute. */
function truthOf(room: (at: number) => number, from: number, sheetMin: number): number {
  const step = MINUTE / 2;
  let [at, dose] = [from, 0];
  while (dose < sheetMin) {
    dose += 0.5 * 2 ** ((room(at + step / 2) - 20) / 10);
    at += step;
  }
  return at;
}

const readRoom = (room: (at: number) => number, until: number): RoomReading[] =>
  Array.from({ length: Math.ceil(until / HOUR) + 1 }, (_, i) => ({
    at: i * HOUR,
    tempC: room(i * HOUR),
    humidity: null,
  }));

const LAW = { refC: 20, minC: 10, isWaterBorne: false };

function measureClock(): Figure[] {
  const random = createSeededRandom(19);
  const [hourly, once]: [number[], number[]] = [[], []];
  for (let coat = 0; coat < 1000; coat++) {
    const room = createRoom(random);
    const [applied, sheetMin] = [random() * DAY, 30 + 2850 * random()];
    const truth = truthOf(room, applied, sheetMin);
    const off = (readings: readonly RoomReading[]) =>
      Math.abs(createDryingClock(readings, LAW, 'least').until(applied, sheetMin)! - truth) / (truth - applied);
    hourly.push(off(readRoom(room, truth)));
    once.push(off([{ at: applied, tempC: room(applied), humidity: null }]));
  }
  return [
    {
      ...{ name: 'film.clockP90', value: percentile(hourly, 0.9), unit: '', goal: { kind: 'at most', value: 0.02 } },
      yardstick:
        '"dry at" off the integral in half minutes, share of the wait; 1,000 coats, 14 to 22 °C, read each hour',
    },
    {
      ...{ name: 'film.clockOneReadingP90', value: percentile(once, 0.9), unit: '', goal: null },
      yardstick: 'the same with the first reading only',
    },
  ];
}

/** Enamels whose true times are off their sheets: of the starts that are allowed, how many lie in the true gap? */
function measureGap(): Figure {
  const random = createSeededRandom(20);
  const margins = computeMargins(learnDrying(1, []));
  let [allowed, wrong] = [0, 0];
  for (let coat = 0; coat < 2000; coat++) {
    const room = createRoom(random);
    const recoatMin = 600 + 1200 * random();
    const sheet = completeSheet({ binder: 'enamel', flashMin: 10 + 15 * random(), recoatMin, cureMin: 10_000 });
    const scale = Math.exp(0.25 * drawNormal(random));
    const applied = random() * DAY;
    const readings = readRoom(room, 8 * DAY);
    const { recoat } = computeSpans({
      ...{ appliedAt: applied, filmShare: 1, sheet, margins },
      clocks: { least: createDryingClock(readings, LAW, 'least'), most: createDryingClock(readings, LAW, 'most') },
    });
    const [wet, dry] = sheet.spans.recoat;
    const [shuts, opens] = [truthOf(room, applied, scale * wet!.toMin!), truthOf(room, applied, scale * dry!.fromMin)];
    for (let start = 0; start < 400; start++) {
      const at = applied + random() * 4 * DAY;
      if (!answerAt(recoat, at).isAllowed) continue;
      allowed++;
      if (at > shuts && at < opens) wrong++;
    }
  }
  return {
    ...{ name: 'film.startsInGap', value: wrong / allowed, unit: '', goal: { kind: 'at most', value: 0.002 } },
    yardstick: `of ${allowed} allowed starts, 2,000 enamels whose times are off their sheets by 25 %`,
  };
}

function measureOrders(): Figure {
  const random = createSeededRandom(22);
  let mismatches = 0;
  for (let i = 0; i < 1000; i++) {
    const part = drawColours(1 + Math.floor(7 * random()), random);
    if (Math.abs(orderColours(part).minutes - findCheapestByTrying(part)) > 1e-6) mismatches++;
  }
  return {
    ...{ name: 'film.orderMismatches', value: mismatches, unit: '', goal: { kind: 'at most', value: 0 } },
    yardstick: 'orders of colours dearer than the cheapest of all permutations, 1,000 random parts of up to 7 colours',
  };
}

/** Drawdowns err by 7 % in all and by 3 % from band to band; no coat is as thick as the one before. */
function measureHiding(): Figure {
  const random = createSeededRandom(23);
  const product = {
    ...{ id: 'p', version: 1 },
    ...completeProduct({
      ...{ line: 'Marlstone', name: 'Cream 2', kind: 'colour', binder: 'enamel', gloss: 'gloss', colourHex: '#e6d9b4' },
    }),
  };
  let missed = 0;
  for (let i = 0; i < 1000; i++) {
    const [paint, ground, um] = [drawPaint(random), drawGround(random), 8 + 20 * random()];
    const read = (values: readonly number[]) => {
      const all = Math.exp(0.07 * drawNormal(random));
      return values.map((value) => value * all * Math.exp(0.03 * drawNormal(random)));
    };
    const optics = { k: read(paint.k), s: read(paint.s), basis: 'drawdowns' as const };
    const captured = Float64Array.from(ground, (one) => one * Math.exp(0.03 * drawNormal(random)));
    const said = countCoats({ ...product, optics }, um, captured).coats ?? Infinity;
    const laid = layUntilHidden(paint, ground, () => (um / 1000) * Math.exp(0.2 * drawNormal(random)));
    const isBeyond = said === Infinity && laid > 11;
    if (!isBeyond && !(Math.abs(said - laid) <= 1)) missed++;
  }
  return {
    ...{ name: 'film.coatsToHideMiss', value: missed / 1000, unit: '', goal: { kind: 'at most', value: 0.05 } },
    yardstick:
      'share of 1,000 simulated films off by more than a coat: fluxes in small steps, drawdowns 7 % off, coats 20 %',
  };
}

/** Somebody touches it now and then, more often when it should be dry. */
function touchCoat(took: number, sheetMin: number, random: RandomSource): TouchedCoat {
  let at = sheetMin * (0.3 + 0.3 * random());
  let notYetMin = 0;
  while (at < took) {
    notYetMin = at;
    at *= 1.08 + 0.12 * random();
    // An evening ends.
    if (random() < 0.02) return { notYetMin, readyMin: null };
  }
  return { notYetMin, readyMin: at };
}

function measureLearning(): Figure[] {
  const random = createSeededRandom(21);
  let [covered, all] = [0, 0];
  const ratios = new Map<number, number[]>([
    [1, []],
    [6, []],
  ]);
  for (let product = 0; product < 6000; product++) {
    const sheetMin = 20 + 1400 * random();
    const middle = sheetMin * Math.exp(0.25 * drawNormal(random));
    const takes = () => middle * Math.exp(0.2 * drawNormal(random));
    const count = product % 7;
    const coats = Array.from({ length: count }, () => touchCoat(takes(), sheetMin, random));
    const learned = learnDrying(sheetMin, coats);
    const next = takes();
    all++;
    if (next <= computeReadyTime(learned, 0.9)) covered++;
    ratios.get(count)?.push(computeReadyTime(learned, 0.95) / next);
  }
  const mean = (values: readonly number[]) => values.reduce((sum, one) => sum + one, 0) / values.length;
  return [
    {
      ...{
        name: 'film.learnCoverage90',
        value: covered / all,
        unit: '',
        goal: { kind: 'within', least: 0.885, most: 0.915 },
      },
      yardstick: `the next coat was dry by the time that is 90 % sure, ${all} products after 0 to 6 touched coats`,
    },
    {
      ...{
        name: 'film.learnedWaitRatio',
        value: mean(ratios.get(1)!),
        unit: '',
        goal: { kind: 'at most', value: 1.8 },
      },
      yardstick: '"95 % sure dry by" over the time it took, after one coat',
    },
    {
      ...{
        name: 'film.learnedWaitRatioSix',
        value: mean(ratios.get(6)!),
        unit: '',
        goal: { kind: 'at most', value: 1.55 },
      },
      yardstick: 'after six coats',
    },
  ];
}

/** Everything that may be done with all areas of a job, worked out anew from the room's log of a month. */
function measureAnswers(): Figure {
  const random = createSeededRandom(24);
  const room = createRoom(random);
  const readings = readRoom(room, 30 * DAY);
  const now = 30 * DAY;
  const binders = ['enamel', 'acrylic', 'lacquer', 'ink'] as const;
  const coatsOf = () => Array.from({ length: 4 }, () => Math.floor(4 * random()));
  const areas = Array.from({ length: 14 * 3 }, coatsOf);
  const answerAll = () => {
    const products = binders.map((binder) => {
      const law = { refC: 20, minC: 10, isWaterBorne: binder === 'acrylic' };
      const clock = (side: 'least' | 'most') => createDryingClock(readings, law, side);
      return {
        sheet: completeSheet({ binder, flashMin: 10, recoatMin: 200, cureMin: 5000 }),
        margins: computeMargins(learnDrying(1, [{ notYetMin: 0.8, readyMin: 1.1 }])),
        clocks: { least: clock('least'), most: clock('most') },
      };
    });
    return areas.map((coats) =>
      answerArea(
        coats.map((product, i) => ({
          layerId: `${i}`,
          spans: computeSpans({ ...products[product]!, filmShare: 1, appliedAt: now - (4 - i) * 2 * HOUR }),
        })),
        now,
      ),
    );
  };
  for (let i = 0; i < 20; i++) answerAll();
  const times = Array.from({ length: 60 }, () => {
    const began = performance.now();
    answerAll();
    return performance.now() - began;
  });
  return {
    ...{ name: 'film.finishAnswerMs', value: median(times), unit: 'ms', goal: { kind: 'at most', value: 16 } },
    yardstick: '14 parts with 3 areas of 4 coats, 4 products, a room read each hour for 30 days; median of 60',
  };
}
