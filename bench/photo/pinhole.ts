/**
 * A second camera, for checking: it follows the ray of every pixel into the plane of the card. It shares no code and no
 * table with the one that makes the demo's photographs, nor with what reads them: the card is written out here as it is
 * printed.
 */
type Random = () => number;
type Vec = readonly [number, number, number];

/** Twelve dots of 3 mm, 5 mm from the edges of a card of 85 by 54 mm: five along each long side, one amid each short one. */
export const PRINTED_DOTS: readonly (readonly [number, number])[] = [
  ...[5, 23.75, 42.5, 61.25, 80].map((x) => [x, 5] as const),
  ...[5, 23.75, 42.5, 61.25, 80].map((x) => [x, 49] as const),
  [5, 27],
  [80, 27],
];

export const BACKGROUNDS = ['white paper', 'black felt', 'planks', 'speckled stone'] as const;
export type Background = (typeof BACKGROUNDS)[number];

export interface Shot {
  readonly width: number;
  readonly height: number;
  /** How far the lens is, mm, and how wide it sees, degrees. */
  readonly distanceMm: number;
  readonly fieldDegrees: number;
  /** The lens is this far from straight above, degrees, towards this side; the card is turned under it by the last. */
  readonly tiltDegrees: number;
  readonly towardsDegrees: number;
  readonly turnDegrees: number;
  /** Radial distortion: r becomes r (1 + k r²), r in half diagonals. */
  readonly bend: number;
  readonly background: Background;
  /** Which of the dots lie under something. */
  readonly covered: readonly number[];
  /** Standard deviation of the blur, px, and of the noise, of 255. */
  readonly blurPx: number;
  readonly noise: number;
}

export interface PinholePhoto {
  readonly width: number;
  readonly height: number;
  readonly data: Uint8ClampedArray;
  /** Where a point of the card's plane, mm from the card's upper left corner, is seen. */
  readonly project: (x: number, y: number) => { readonly x: number; readonly y: number };
}

const RAYS = 3;
/** Colour of the lamp: a little warm. */
const LAMP = [1, 0.97, 0.93] as const;
const radians = (degrees: number) => (degrees * Math.PI) / 180;

/** A place of the card's plane: on the card, mm from its upper left corner, and on the table it lies on. */
export interface PlanePlace {
  readonly x: number;
  readonly y: number;
  readonly tableX: number;
  readonly tableY: number;
}

export type View = Pick<Shot, 'width' | 'height' | 'distanceMm' | 'fieldDegrees' | 'tiltDegrees'> &
  Pick<Shot, 'towardsDegrees' | 'turnDegrees' | 'bend'>;

/** Where the ray of a place of the picture meets the plane, and where a place of the card is seen. */
export function createView(view: View) {
  const { width, height } = view;
  const focal = width / 2 / Math.tan(radians(view.fieldDegrees / 2));
  const half = Math.hypot(width, height) / 2;
  const eye = place(view);
  const [right, down, ahead] = lookAt(eye);
  // The card's middle lies in the origin; it is turned about it.
  const [cos, sin] = [Math.cos(radians(view.turnDegrees)), Math.sin(radians(view.turnDegrees))];
  const trace = (px: number, py: number): PlanePlace => {
    const [u, v] = unbend([px - (width - 1) / 2, py - (height - 1) / 2], view.bend, half);
    const dz = ahead[2] * focal + right[2] * u + down[2] * v;
    const t = -eye[2] / dz;
    const tableX = eye[0] + t * (ahead[0] * focal + right[0] * u + down[0] * v);
    const tableY = eye[1] + t * (ahead[1] * focal + right[1] * u + down[1] * v);
    return { x: cos * tableX + sin * tableY + 42.5, y: -sin * tableX + cos * tableY + 27, tableX, tableY };
  };
  const project = (cardX: number, cardY: number) => {
    const [ox, oy] = [cardX - 42.5, cardY - 27];
    const point: Vec = [cos * ox - sin * oy, sin * ox + cos * oy, 0];
    const from = [0, 1, 2].map((i) => point[i]! - eye[i]!) as unknown as Vec;
    const depth = dot(from, ahead);
    const [u, v] = [(focal * dot(from, right)) / depth, (focal * dot(from, down)) / depth];
    const r = Math.hypot(u, v) / half;
    const stretch = 1 + view.bend * r * r;
    return { x: u * stretch + (width - 1) / 2, y: v * stretch + (height - 1) / 2 };
  };
  return { trace, project };
}

/** Takes the photograph. */
export function takePinholePhoto(shot: Shot, random: Random): PinholePhoto {
  const { width, height } = shot;
  const half = Math.hypot(width, height) / 2;
  const { trace, project } = createView(shot);
  const seen = createSurface(shot, random);
  const light = { x: 0.6 * (random() - 0.5), y: 0.6 * (random() - 0.5), of: 0.75 + 0.2 * random() };
  const lit = new Float64Array(width * height);
  for (let py = 0; py < height; py++)
    for (let px = 0; px < width; px++) {
      // One ray is enough but for the edges of the dots.
      const first = trace(px, py);
      const isEdge = isAtEdge(first);
      let tone = 0;
      for (let ray = 0; ray < (isEdge ? RAYS * RAYS : 1); ray++) {
        const at = isEdge
          ? trace(px + ((ray % RAYS) + 0.5) / RAYS - 0.5, py + (Math.floor(ray / RAYS) + 0.5) / RAYS - 0.5)
          : first;
        tone += seen(at) / (isEdge ? RAYS * RAYS : 1);
      }
      lit[py * width + px] = tone * light.of * (1 + (light.x * (px - width / 2) + light.y * (py - height / 2)) / half);
    }
  const soft = shot.blurPx > 0 ? blur(blur(lit, width, height, shot.blurPx, 1), width, height, shot.blurPx, 0) : lit;
  const data = new Uint8ClampedArray(width * height * 4);
  for (let i = 0; i < width * height; i++) {
    const noise = shot.noise * gauss(random);
    for (let c = 0; c < 3; c++) data[4 * i + c] = LAMP[c]! * soft[i]! + noise;
    data[4 * i + 3] = 255;
  }
  return { width, height, data, project };
}

/** The lens over the card: x to the right, y down the card, z up. */
function place({ distanceMm, tiltDegrees, towardsDegrees }: View): Vec {
  const [tilt, towards] = [radians(tiltDegrees), radians(towardsDegrees)];
  return [
    distanceMm * Math.sin(tilt) * Math.cos(towards),
    distanceMm * Math.sin(tilt) * Math.sin(towards),
    distanceMm * Math.cos(tilt),
  ];
}

/** Axes of the picture: to the right, down, and from the lens to the origin. */
function lookAt(eye: Vec): readonly [Vec, Vec, Vec] {
  const length = Math.hypot(...eye);
  const ahead: Vec = [-eye[0] / length, -eye[1] / length, -eye[2] / length];
  const side: Vec = [1, 0, 0];
  const along = dot(side, ahead);
  const raw: Vec = [side[0] - along * ahead[0], side[1] - along * ahead[1], side[2] - along * ahead[2]];
  const size = Math.hypot(...raw);
  const right: Vec = [raw[0] / size, raw[1] / size, raw[2] / size];
  // y runs down the card while z comes up to the lens, so this is right x ahead.
  const down: Vec = [
    right[1] * ahead[2] - right[2] * ahead[1],
    right[2] * ahead[0] - right[0] * ahead[2],
    right[0] * ahead[1] - right[1] * ahead[0],
  ];
  return [right, down, ahead];
}

const dot = (a: Vec, b: Vec) => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];

/** Where the ray would leave without the lens's distortion: fixed-point steps. */
function unbend([u, v]: readonly [number, number], k: number, half: number): readonly [number, number] {
  let [x, y] = [u, v];
  for (let i = 0; i < 4; i++) {
    const r = Math.hypot(x, y) / half;
    const stretch = 1 + k * r * r;
    [x, y] = [u / stretch, v / stretch];
  }
  return [x, y];
}

/** Within half a millimetre of the rim of a dot. */
const isAtEdge = ({ x, y }: PlanePlace): boolean =>
  x > 0 &&
  y > 0 &&
  x < 85 &&
  y < 54 &&
  PRINTED_DOTS.some(([cx, cy]) => Math.abs(Math.hypot(x - cx, y - cy) - 1.5) < 0.5);

/** How bright the plane is at a place of the card, of 255. */
function createSurface(shot: Shot, random: Random): (at: PlanePlace) => number {
  const table = createTable(shot.background, random);
  const covers = shot.covered.map((index) => {
    const [x, y] = PRINTED_DOTS[index]!;
    // A hand, a putty, a wheel: something rounded that lies over the dot.
    return {
      ...{ x: x + 2 * (random() - 0.5), y: y + 2 * (random() - 0.5) },
      ...{ a: 4 + 3 * random(), b: 3.5 + 2 * random(), turn: Math.PI * random(), tone: 40 + 150 * random() },
    };
  });
  return ({ x, y, tableX, tableY }) => {
    for (const { x: cx, y: cy, a, b, turn, tone } of covers) {
      const [dx, dy] = [x - cx, y - cy];
      const [p, q] = [dx * Math.cos(turn) + dy * Math.sin(turn), -dx * Math.sin(turn) + dy * Math.cos(turn)];
      if ((p / a) ** 2 + (q / b) ** 2 < 1) return tone;
    }
    if (x < 0 || y < 0 || x > 85 || y > 54) return table(tableX, tableY);
    for (const [cx, cy] of PRINTED_DOTS) if ((x - cx) ** 2 + (y - cy) ** 2 < 1.5 * 1.5) return 23;
    // The rule: a tick every millimetre from 12.5 to 72.5 mm, longer ones at five and ten.
    const tick = Math.round(x - 12.5);
    const long = tick % 10 === 0 ? 4 : tick % 5 === 0 ? 3 : 1.8;
    if (tick >= 0 && tick <= 60 && y >= 34 && y <= 34 + long && Math.abs(x - 12.5 - tick) < 0.075) return 25;
    return 246;
  };
}

function createTable(background: Background, random: Random): (x: number, y: number) => number {
  const waves = Array.from({ length: 3 }, () => ({ x: random(), y: random(), at: 7 * random() }));
  const wave = (x: number, y: number, size: number) =>
    waves.reduce(
      (sum, one, i) => sum + Math.sin(((one.x - 0.5) * x + (one.y - 0.5) * y) / (size * (i + 1)) + one.at),
      0,
    ) / 3;
  if (background === 'white paper') return (x, y) => 240 + 4 * wave(x, y, 9);
  if (background === 'black felt') return (x, y) => 34 + 8 * wave(x, y, 0.6);
  if (background === 'planks') return (x, y) => (Math.abs(y % 38) < 0.8 ? 50 : 150 + 22 * wave(0.1 * x, 3 * y, 2));
  // Round dark grains of all sizes, about as large as the dots too.
  const grains = Array.from({ length: 160 }, () => ({
    ...{ x: 320 * (random() - 0.5), y: 320 * (random() - 0.5) },
    ...{ r: 0.4 + 2.2 * random() ** 2, tone: 40 + 90 * random() },
  }));
  // By squares of 8 mm, so that a ray asks only what is near.
  const near = new Map<string, typeof grains>();
  for (const grain of grains)
    for (const dx of [-1, 0, 1])
      for (const dy of [-1, 0, 1]) {
        const key = `${Math.floor(grain.x / 8) + dx} ${Math.floor(grain.y / 8) + dy}`;
        near.set(key, [...(near.get(key) ?? []), grain]);
      }
  return (x, y) => {
    for (const grain of near.get(`${Math.floor(x / 8)} ${Math.floor(y / 8)}`) ?? [])
      if ((x - grain.x) ** 2 + (y - grain.y) ** 2 < grain.r * grain.r) return grain.tone;
    return 178 + 10 * wave(x, y, 3);
  };
}

/** Gaussian blur along one direction: 0 across, 1 down. */
function blur(from: Float64Array, width: number, height: number, sd: number, down: number): Float64Array {
  const reach = Math.ceil(3 * sd);
  const weights = Array.from({ length: 2 * reach + 1 }, (_, i) => Math.exp(-((i - reach) ** 2) / (2 * sd * sd)));
  const total = weights.reduce((sum, one) => sum + one, 0);
  const to = new Float64Array(from.length);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      let sum = 0;
      for (let i = -reach; i <= reach; i++) {
        const px = down ? x : Math.min(width - 1, Math.max(0, x + i));
        const py = down ? Math.min(height - 1, Math.max(0, y + i)) : y;
        sum += weights[i + reach]! * from[py * width + px]!;
      }
      to[y * width + x] = sum / total;
    }
  return to;
}

/** Standard normal (Box and Muller). */
export const gauss = (random: Random): number =>
  Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
