import {
  bendPoint,
  createLens,
  createSeededRandom,
  decodeSrgb,
  type Lens,
  type PictureSize,
  type Point,
  type RandomSource,
} from '@sardonyx/core';
import sharp from 'sharp';

/** A drawing that stands parallel to the card's plane, so much nearer to the lens (farther: negative). */
export interface SceneLayer {
  /** The inside of an SVG, in millimetres of the plane. */
  readonly svg: string;
  readonly nearerMm: number;
}

/** What is drawn, mm of the card's plane. */
export interface Scene {
  readonly left: number;
  readonly top: number;
  readonly widthMm: number;
  readonly heightMm: number;
  /** Farthest first. */
  readonly layers: readonly SceneLayer[];
}

type Vector = readonly [number, number, number];

/** A lens over the plane: x to the right, y downwards, z towards the lens. */
export interface SceneCamera {
  readonly at: Vector;
  readonly forward: Vector;
  readonly right: Vector;
  readonly down: Vector;
  readonly focalPx: number;
  readonly size: PictureSize;
  readonly lens: Lens;
}

interface CameraOptions {
  readonly size: PictureSize;
  /** What stands in the middle of the picture, mm. */
  readonly target: Point;
  /** From where the lens looks, mm beside the target. */
  readonly aside: Point;
  readonly distanceMm: number;
  /** So much of the plane fills the width of the picture. */
  readonly widthMm: number;
  readonly rollDegrees: number;
  readonly bend: number;
}

export function createSceneCamera(options: CameraOptions): SceneCamera {
  const { size, target, aside, distanceMm, widthMm, rollDegrees, bend } = options;
  const at: Vector = [target.x + aside.x, target.y + aside.y, distanceMm];
  const forward = normalise([-aside.x, -aside.y, -distanceMm]);
  const level = normalise(subtract([1, 0, 0], scale(forward, forward[0])));
  const down = cross(level, forward);
  const [cos, sin] = [Math.cos((rollDegrees * Math.PI) / 180), Math.sin((rollDegrees * Math.PI) / 180)];
  return {
    ...{ at, forward, size },
    right: add(scale(level, cos), scale(down, sin)),
    down: subtract(scale(down, cos), scale(level, sin)),
    focalPx: (size.widthPx * Math.hypot(distanceMm, aside.x, aside.y)) / widthMm,
    lens: createLens(bend, size),
  };
}

/** Where a point of the bench lands in the picture, lens and all. */
export function projectPoint(camera: SceneCamera, x: number, y: number, nearerMm = 0): Point {
  const from = subtract([x, y, nearerMm], camera.at);
  const depth = dot(from, camera.forward);
  const straight = {
    x: camera.size.widthPx / 2 + (camera.focalPx * dot(from, camera.right)) / depth,
    y: camera.size.heightPx / 2 + (camera.focalPx * dot(from, camera.down)) / depth,
  };
  return bendPoint(camera.lens, straight);
}

/** Spread of the sensor's noise, of 255. */
const NOISE = 2.2;
const GRAINS = 100_003;
/** Grain out of a table, from a new place in every row: drawing each grain takes longer than all the rest. */
const GRAIN = (() => {
  const random = createSeededRandom(7);
  return Float32Array.from(
    { length: GRAINS },
    () => NOISE * Math.sqrt(3) * (random() + random() + random() + random() - 2),
  );
})();
/** How a camera sees: not as the screen shows. Values from the crosstalk of its filters, its white balance and its own curve. */
export interface Sensor {
  /** Linear camera channels from linear sRGB, row by row. */
  readonly rows: readonly (readonly number[])[];
  /** What is stored is the linear value to the power of one over this. */
  readonly gamma: number;
}

/** A camera of which the same seed gives the same: filters that overlap, a cast, a curve of its own. */
export function createSensor(random: RandomSource): Sensor {
  const rows = [0, 1, 2].map((r) => {
    const gain = 0.82 + 0.16 * random();
    const others = [0, 1, 2].map((c) => (c === r ? 0 : 0.02 + 0.12 * random()));
    const sum = others.reduce((all, one) => all + one, 0);
    return others.map((one, c) => gain * (c === r ? 1 - sum : one));
  });
  return { rows, gamma: 1.9 + 0.5 * random() };
}

/** Lightness of the neutral paper behind everything. */
const PAPER = 192;

/**
 * A stand-in for a bench photograph: the layers seen through the lens, perspective and distortion, under uneven light, with
 * noise. The same seed gives the same picture.
 */
export async function renderPhoto(
  scene: Scene,
  camera: SceneCamera,
  seed: number,
  pixelsPerMm: number,
  sensor: Sensor | null = null,
): Promise<Buffer> {
  const random = createSeededRandom(seed);
  const layers = await Promise.all(
    scene.layers.map(async ({ svg, nearerMm }) => ({ nearerMm, ...(await drawLayer(scene, svg, pixelsPerMm)) })),
  );
  const { widthPx, heightPx } = camera.size;
  const pixels = exposePixels(scene, camera, layers, pixelsPerMm, random, sensor);
  return sharp(pixels, { raw: { width: widthPx, height: heightPx, channels: 3 } })
    .jpeg({ quality: 92 })
    .toBuffer();
}

type Layer = Texture & { readonly nearerMm: number };

/** Every pixel's ray through the layers, nearest first. */
function exposePixels(
  scene: Scene,
  camera: SceneCamera,
  layers: readonly Layer[],
  pixelsPerMm: number,
  random: RandomSource,
  sensor: Sensor | null,
): Buffer {
  const { widthPx, heightPx } = camera.size;
  const pixels = Buffer.alloc(widthPx * heightPx * 3);
  const lamp = { x: 0.25 + 0.4 * random(), y: 0.1 + 0.3 * random() };
  const nearestFirst = [...layers].reverse();
  for (let row = 0; row < heightPx; row++)
    exposeRow(row, scene, camera, nearestFirst, pixelsPerMm, lamp, Math.floor(random() * GRAINS), pixels, sensor);
  return pixels;
}

/** Numbers only, no points or vectors: this runs for every pixel of every picture. */
function exposeRow(
  row: number,
  scene: Scene,
  { at: from, forward, right, down, focalPx, lens, size }: SceneCamera,
  layers: readonly Layer[],
  pixelsPerMm: number,
  lamp: Point,
  grain: number,
  pixels: Buffer,
  sensor: Sensor | null,
): void {
  const bend = lens.k / (lens.radius * lens.radius);
  const bentY = row - lens.middle.y;
  const offY = row / size.heightPx - lamp.y;
  let at = row * size.widthPx * 3;
  for (let column = 0; column < size.widthPx; column++) {
    const bentX = column - lens.middle.x;
    const stretch = 1 / (1 + bend * (bentX * bentX + bentY * bentY)) / focalPx;
    const u = bentX * stretch;
    const v = bentY * stretch;
    const rayX = forward[0] + u * right[0] + v * down[0];
    const rayY = forward[1] + u * right[1] + v * down[1];
    const rayZ = forward[2] + u * right[2] + v * down[2];
    COLOUR.fill(0);
    let left = 1.0;
    for (const layer of layers) {
      const reach = (layer.nearerMm - from[2]) / rayZ;
      const x = (from[0] + reach * rayX - scene.left) * pixelsPerMm - 0.5;
      const y = (from[1] + reach * rayY - scene.top) * pixelsPerMm - 0.5;
      left *= 1 - addSample(layer, x, y, left);
    }
    const offX = column / size.widthPx - lamp.x;
    const light = 1.04 - 0.28 * (offX * offX + offY * offY);
    for (let channel = 0; channel < 3; channel++) COLOUR[channel]! += left * PAPER;
    if (sensor) seeThrough(sensor, light);
    else for (let channel = 0; channel < 3; channel++) COLOUR[channel]! *= light;
    for (let channel = 0; channel < 3; channel++) {
      grain = grain + 1 === GRAINS ? 0 : grain + 1;
      pixels[at++] = clamp(COLOUR[channel]! + GRAIN[grain]!);
    }
  }
}

const LINEAR = new Float64Array(3);

/** COLOUR as a camera stores it: light falls on what is there, filters overlap, the curve bends. */
function seeThrough({ rows, gamma }: Sensor, light: number): void {
  for (let c = 0; c < 3; c++) LINEAR[c] = decodeSrgb(COLOUR[c]! / 255) * light * light;
  for (let c = 0; c < 3; c++) {
    const row = rows[c]!;
    const value = row[0]! * LINEAR[0]! + row[1]! * LINEAR[1]! + row[2]! * LINEAR[2]!;
    COLOUR[c] = 255 * Math.min(1, value) ** (1 / gamma);
  }
}

/** What a ray has gathered so far. */
const COLOUR = new Float64Array(3);

interface Texture {
  readonly width: number;
  readonly height: number;
  readonly data: Buffer;
}

async function drawLayer(scene: Scene, svg: string, pixelsPerMm: number): Promise<Texture> {
  const { left, top, widthMm, heightMm } = scene;
  const [width, height] = [Math.round(widthMm * pixelsPerMm), Math.round(heightMm * pixelsPerMm)];
  const text = `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}" viewBox="${left} ${top} ${widthMm} ${heightMm}" preserveAspectRatio="none">${svg}</svg>`;
  const { data, info } = await sharp(Buffer.from(text)).ensureAlpha().raw().toBuffer({ resolveWithObject: true });
  return { width: info.width, height: info.height, data };
}

/** Adds what a layer shows there, bilinearly, to COLOUR, weighed with what the nearer layers let through; returns its opacity. */
function addSample({ width, height, data }: Texture, x: number, y: number, left: number): number {
  const x0 = Math.floor(x);
  const y0 = Math.floor(y);
  if (!(x0 >= 0 && y0 >= 0 && x0 < width - 1 && y0 < height - 1)) return 0;
  const fx = x - x0;
  const fy = y - y0;
  const above = (y0 * width + x0) * 4;
  const below = above + width * 4;
  const w00 = (1 - fx) * (1 - fy) * data[above + 3]!;
  const w10 = fx * (1 - fy) * data[above + 7]!;
  const w01 = (1 - fx) * fy * data[below + 3]!;
  const w11 = fx * fy * data[below + 7]!;
  const opacity = (w00 + w10 + w01 + w11) / 255;
  if (opacity === 0) return 0;
  const share = left / 255;
  for (let channel = 0; channel < 3; channel++)
    COLOUR[channel]! +=
      share *
      (w00 * data[above + channel]! +
        w10 * data[above + 4 + channel]! +
        w01 * data[below + channel]! +
        w11 * data[below + 4 + channel]!);
  return opacity;
}

const clamp = (value: number) => Math.max(0, Math.min(255, Math.round(value)));
const dot = (a: Vector, b: Vector) => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
const add = (a: Vector, b: Vector): Vector => [a[0] + b[0], a[1] + b[1], a[2] + b[2]];
const subtract = (a: Vector, b: Vector): Vector => [a[0] - b[0], a[1] - b[1], a[2] - b[2]];
const scale = (a: Vector, by: number): Vector => [a[0] * by, a[1] * by, a[2] * by];
const cross = (a: Vector, b: Vector): Vector => [
  a[1] * b[2] - a[2] * b[1],
  a[2] * b[0] - a[0] * b[2],
  a[0] * b[1] - a[1] * b[0],
];
const normalise = (a: Vector): Vector => scale(a, 1 / Math.hypot(...a));
