import {
  BODY_TYPES,
  createSeededRandom,
  drawCasting,
  fitPartMap,
  PART_SHAPES,
  pickOne,
  type PartShape,
} from '@sardonyx/core';
import type { Topic } from './figure.ts';

const CASTINGS = 1000;
const MOST_PARTS = 14;
/** As the page draws it on a window of 1280 by 800: the sheet, the letters of a name, the room; a high map takes more of it. */
const SHEET_MM = 132;
const LETTER_MM = 2.1;
const ROOM_PX = { width: 514, height: 496 };
const HIGH_PX_PER_MM = 3.6;
/** Smallest target that WCAG 2.2 lets stand (2.5.8). */
const TARGET_PX = 24;

type Box = readonly [number, number, number, number];

/** The box of an SVG path of M, L, Q, A and Z with absolute coordinates, read from its text. */
function boxOfPath(d: string): Box {
  const xs: number[] = [];
  const ys: number[] = [];
  for (const [, letter, rest] of d.matchAll(/([MLQAZ])([^MLQAZ]*)/g)) {
    const numbers = (rest!.match(/-?\d+(?:\.\d+)?/g) ?? []).map(Number);
    // Of an arc only its ends count; two half arcs make a circle, whose ends are its width.
    const step = letter === 'A' ? 7 : 2;
    for (let i = step - 2; i < numbers.length; i += step) {
      xs.push(numbers[i]!);
      ys.push(numbers[i + 1]!);
    }
  }
  return [Math.min(...xs), Math.min(...ys), Math.max(...xs), Math.max(...ys)];
}

const overlap = (a: Box, b: Box) =>
  Math.min(a[2], b[2]) - Math.max(a[0], b[0]) > 0.01 && Math.min(a[3], b[3]) - Math.max(a[1], b[1]) > 0.01;

/** Parts that cannot be seen, told apart, named or pressed on a map: each counts once. */
function countFaults(map: ReturnType<typeof fitPartMap>, names: ReadonlyMap<string, string>): number {
  const pxPerMm = Math.min(ROOM_PX.width / map.widthMm, Math.max(ROOM_PX.height / map.heightMm, HIGH_PX_PER_MM));
  let faults = 0;
  const seen = map.parts.map(({ partKey, shapes, dx, dy, label, box: pressed }) => {
    const own = shapes
      .map(({ d }) => boxOfPath(d))
      .map((box): Box => {
        const at = (v: number, by: number) => v * map.scale + by;
        return [at(box[0], dx), at(box[1], dy), at(box[2], dx), at(box[3], dy)];
      });
    const shape = own.reduce((a, b): Box => [
      ...([Math.min(a[0], b[0]), Math.min(a[1], b[1]), Math.max(a[2], b[2]), Math.max(a[3], b[3])] as const),
    ]);
    const half = (names.get(partKey)!.length * LETTER_MM) / 2;
    const name: Box = [label.x - half, label.y - 3, label.x + half, label.y + 1];
    return { partKey, shape, name, pressed };
  });
  for (const { partKey, shape, name, pressed } of seen) {
    const others = seen.filter((one) => one.partKey !== partKey);
    const isHidden = others.some((one) => overlap(shape, one.shape));
    const isUnread = others.some((one) => overlap(name, one.shape) || overlap(name, one.name)) || overlap(name, shape);
    const isOff = [shape, name].some(
      (b) => b[0] < -1 || b[1] < -1 || b[2] > map.widthMm + 1 || b[3] > map.heightMm + 1,
    );
    // What is pressed is the field of the part, its name in it, and no other's.
    const isSmall = Math.min(pressed[2] - pressed[0], pressed[3] - pressed[1]) * pxPerMm < TARGET_PX;
    const isElsewhere = !overlap(pressed, name) || others.some((one) => overlap(pressed, one.pressed));
    if (isHidden || isUnread || isOff || isSmall || isElsewhere) faults++;
  }
  return faults;
}

function tryCasting(seed: number): number {
  const random = createSeededRandom(seed);
  const count = 2 + Math.floor(random() * (MOST_PARTS - 1));
  const parts = Array.from({ length: count }, (_, i) => {
    const shape: PartShape = pickOne(PART_SHAPES, random);
    const name = ['Hook', 'Front bumper and grille', 'Left rear door', 'Bed', 'Steering wheel'][i % 5]!;
    return { key: `part-${i}`, shape, name: `${name} ${i}` };
  });
  // Joined at random, some not at all, some to several, some in rings.
  const joints = Array.from({ length: Math.floor(random() * count * 1.3) }, () => ({
    partKeys: [pickOne(parts, random).key, pickOne(parts, random).key, pickOne(parts, random).key],
  }));
  const lengthMm = 30 + random() * 200;
  const size = { bodyType: pickOne(BODY_TYPES, random), lengthMm, wheelbaseMm: lengthMm * (0.3 + 0.4 * random()) };
  const side = drawCasting(size, parts).views.find(({ view }) => view === 'side')!;
  const names = new Map(parts.map(({ key, name }) => [key, name]));
  const map = fitPartMap(side, joints, SHEET_MM, (key) => names.get(key)!.length * LETTER_MM + 8);
  return parts.length - map.parts.length + countFaults(map, names);
}

export const drawingTopic: Topic = {
  names: ['drawing.mapOverlaps'],
  measure: () =>
    Promise.resolve([
      {
        name: 'drawing.mapOverlaps',
        value: Array.from({ length: CASTINGS }, (_, seed) => tryCasting(seed)).reduce((sum, one) => sum + one, 0),
        unit: 'parts',
        goal: { kind: 'at most', value: 0 },
        yardstick: `${CASTINGS} random own castings of 2 to ${MOST_PARTS} parts: hidden, unread, off the map or smaller than ${TARGET_PX} px with their name`,
      },
    ]),
};
