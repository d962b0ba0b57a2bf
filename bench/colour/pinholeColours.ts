import { createView, gauss, PRINTED_DOTS } from '../photo/pinhole.ts';

/**
 * A second camera that sees colours, for checking: it shares no code and no table with the one that makes the demo's
 * photographs, nor with what reads them. The colour card is written out here as it is printed, colours are worked out anew.
 */
type Random = () => number;
type Triple = readonly [number, number, number];

/** Seven columns of fields, 8.5 by 8.2 mm, every 9.5 by 9.2 mm from 9.5, 9: greys first, then three rings of hues. */
const PRINTED_FIELDS =
  '353535 505050 6d6d6d 8b8b8b ababab cccccc ebebeb 8b4a5f 855239 63602d 316948 006b73 1a648e 6a5585 cb6873 b27b42 778f44 01987a 0097b7 5088cf ae71b0 ebaca2 d1b98c a4c49a 7bc9c1 81c4e4 b6b8e8 e2acca'
    .split(' ')
    .map((hex, i) => ({ linear: linearOf(hex), x: 9.5 + 9.5 * (i % 7), y: 9 + 9.2 * Math.floor(i / 7) }));
const PRINTED_WHITE = linearOf('f6f6f4');

/** Something on the light: the card's share that lies in a shadow, or a glint of the lamp on its gloss. */
export type Trouble = 'none' | 'hard shadow' | 'glare';

export interface ColourPhoto {
  readonly width: number;
  readonly height: number;
  readonly data: Uint8ClampedArray;
  /** Painted places beside the card: where they are seen, and what they truly are. */
  readonly places: readonly { readonly at: { readonly x: number; readonly y: number }; readonly lab: Triple }[];
}

/** Three painted boards above the card, mm of its plane. */
const BOARDS = [
  { left: 2, top: -34, right: 26, bottom: -6 },
  { left: 30, top: -36, right: 55, bottom: -7 },
  { left: 59, top: -32, right: 83, bottom: -5 },
] as const;
const WIDTH = 900;
const HEIGHT = 760;

export function takeColourPhoto(trouble: Trouble, random: Random): ColourPhoto {
  const between = (low: number, high: number) => low + (high - low) * random();
  const view = createView({
    ...{ width: WIDTH, height: HEIGHT, distanceMm: between(230, 300), fieldDegrees: 42 },
    ...{ tiltDegrees: between(0, 14), towardsDegrees: between(0, 360), turnDegrees: between(-12, 12) },
    bend: between(-0.05, 0.01),
  });
  const boards = BOARDS.map((board) => ({ ...board, linear: drawPaint(random) }));
  const camera = createCamera(random);
  const light = createLight(trouble, random);
  const data = new Uint8ClampedArray(WIDTH * HEIGHT * 4);
  const table = between(0.1, 0.5);
  for (let py = 0; py < HEIGHT; py++)
    for (let px = 0; px < WIDTH; px++) {
      const { x, y } = view.trace(px, py);
      const seen = surface(x, y);
      const { shade, veil } = light(x, y);
      const lit: Triple = [seen[0] * shade + veil, seen[1] * shade + veil, seen[2] * shade + veil];
      const stored = camera(lit, Math.hypot(px - WIDTH / 2, py - HEIGHT / 2) / Math.hypot(WIDTH / 2, HEIGHT / 2));
      const at = 4 * (py * WIDTH + px);
      for (let c = 0; c < 3; c++) data[at + c] = stored[c]! + camera.noise * gauss(random);
      data[at + 3] = 255;
    }
  return {
    ...{ width: WIDTH, height: HEIGHT, data },
    places: boards.map(({ left, right, top, bottom, linear }) => ({
      at: view.project((left + right) / 2, (top + bottom) / 2),
      lab: labOf(linear),
    })),
  };

  function surface(x: number, y: number): Triple {
    const board = boards.find((one) => x > one.left && x < one.right && y > one.top && y < one.bottom);
    if (board) return board.linear;
    if (x < 0 || y < 0 || x > 85 || y > 54) return [table, table * 0.97, table * 0.93];
    for (const [cx, cy] of PRINTED_DOTS) if ((x - cx) ** 2 + (y - cy) ** 2 < 1.5 * 1.5) return [0.008, 0.008, 0.008];
    const field = PRINTED_FIELDS.find((one) => x > one.x && x < one.x + 8.5 && y > one.y && y < one.y + 8.2);
    return field?.linear ?? PRINTED_WHITE;
  }
}

/** A paint that a screen can show, of any lightness from 20 to 85. */
function drawPaint(random: Random): Triple {
  for (;;) {
    const linear: Triple = [random() ** 2, random() ** 2, random() ** 2];
    const [l, a, b] = labOf(linear);
    if (l > 20 && l < 85 && Math.hypot(a, b) < 55) return linear;
  }
}

/** Filters that overlap, a cast, light that strays in the lens, a lens darker at its rim, and a curve with a toe and a shoulder. */
function createCamera(random: Random) {
  const rows = [0, 1, 2].map((own) => {
    const raw = [0, 1, 2].map((c) => (c === own ? 1 : 0.05 + 0.2 * random()));
    const gain = (0.75 + 0.2 * random()) / (raw[0]! + raw[1]! + raw[2]!);
    return raw.map((one) => one * gain);
  });
  const flare = 0.004 * random();
  const rim = 0.12 * random();
  const [gamma, shoulder] = [2 + 0.4 * random(), 0.15 * random()];
  const see = (linear: Triple, off: number): Triple => {
    const dark = 1 - rim * off * off;
    const [r, g, b] = rows.map((row) => {
      const value = Math.max(0, dark * (row[0]! * linear[0] + row[1]! * linear[1] + row[2]! * linear[2]) + flare);
      const curved = (value * (1 + shoulder)) / (1 + shoulder * value);
      return 255 * Math.min(1, curved) ** (1 / gamma);
    });
    return [r!, g!, b!];
  };
  return Object.assign(see, { noise: 1 + 2 * random() });
}

/** A lamp aside; and what lies on the card of its trouble. */
function createLight(trouble: Trouble, random: Random) {
  const lamp = { x: -60 + 200 * random(), y: -120 + 80 * random(), z: 250 + 250 * random() };
  const full = 1 / (lamp.z * lamp.z);
  const edge = {
    angle: 2 * Math.PI * random(),
    x: 20 + 45 * random(),
    y: 14 + 26 * random(),
    depth: 0.35 + 0.4 * random(),
  };
  const glint = { x: 15 + 55 * random(), y: 12 + 30 * random(), size: 4 + 6 * random(), of: 0.15 + 0.5 * random() };
  return (x: number, y: number) => {
    const away = (x - lamp.x) ** 2 + (y - lamp.y) ** 2 + lamp.z * lamp.z;
    const shade = Math.min(1.3, 1 / away / full) * (lamp.z / Math.sqrt(away));
    const behind = (x - edge.x) * Math.cos(edge.angle) + (y - edge.y) * Math.sin(edge.angle);
    const isShaded = trouble === 'hard shadow' && behind > 0;
    const veil =
      trouble === 'glare' ? glint.of * Math.exp(-((x - glint.x) ** 2 + (y - glint.y) ** 2) / (2 * glint.size ** 2)) : 0;
    return { shade: isShaded ? shade * (1 - edge.depth) : shade, veil };
  };
}

function linearOf(hex: string): Triple {
  const [r, g, b] = [0, 2, 4].map((at) => {
    const v = parseInt(hex.slice(at, at + 2), 16) / 255;
    return v > 0.04045 ? Math.pow((v + 0.055) / 1.055, 2.4) : v / 12.92;
  });
  return [r!, g!, b!];
}

/** CIE 1976 L*a*b* of linear sRGB, D65, against its own white. */
function labOf([r, g, b]: Triple): Triple {
  const f = (t: number) => (t > 216 / 24389 ? Math.cbrt(t) : (24389 / 27) * (t / 116) + 16 / 116);
  const fx = f((0.4124564 * r + 0.3575761 * g + 0.1804375 * b) / 0.95047);
  const fy = f(0.2126729 * r + 0.7151522 * g + 0.072175 * b);
  const fz = f((0.0193339 * r + 0.119192 * g + 0.9503041 * b) / 1.08883);
  return [116 * fy - 16, 500 * (fx - fy), 200 * (fy - fz)];
}
