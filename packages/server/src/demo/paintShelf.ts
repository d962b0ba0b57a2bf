import { isOutsideModel, type PaintPot, type PaintProduct, type PotMovement } from '@sardonyx/core';
import { measurePaint, WHITE_HEX } from './measuredPaint.ts';

type Note = readonly [name: string, colourHex: string, gloss?: PaintProduct['gloss']];

interface LineNote {
  readonly line: string;
  readonly kind: PaintProduct['kind'];
  readonly binder: PaintProduct['binder'];
  readonly dryFilmUm: number;
  readonly flashMin: number;
  readonly recoatMin: number;
  readonly cureMin: number;
  readonly minC: number;
  readonly maxC: number;
  /** What its sheet says of its coats; left out where they dry as their binder usually does. */
  readonly drying?: PaintProduct['drying'];
  readonly pots: readonly Note[];
}

const from = (fromMin: number) => [{ fromMin, toMin: null }];

/** Wet in wet within three hours, then not before it is dry through: in between the skin lifts. */
const TWO_WINDOWS: PaintProduct['drying'] = {
  refC: 20,
  spans: {
    touch: from(240),
    handle: from(1440),
    mask: from(2160),
    unmask: [{ fromMin: 20, toMin: 2160 }],
    recoat: [{ fromMin: 20, toMin: 180 }, ...from(1440)],
    decal: from(2880),
    bake: from(360),
    wear: from(10080),
  },
};

/** The shelf of the demo, line by line. Films and times stand for what a product sheet would say. */
const LINES: readonly LineNote[] = [
  {
    line: 'Marlstone',
    kind: 'colour',
    binder: 'enamel',
    dryFilmUm: 22,
    flashMin: 20,
    recoatMin: 1440,
    cureMin: 10080,
    minC: 12,
    maxC: 28,
    drying: TWO_WINDOWS,
    pots: [
      ['Cream 2', '#e6d9b4'],
      ['Slate blue', '#566b76'],
      ['Harbour blue', '#2f5d86'],
      ['Signal red', '#b0302a'],
      ['Maroon', '#6a2330'],
      ['Deep green', '#2f5a3c'],
      ['Works ochre', '#c08a2c'],
      ['Beacon orange', '#d2622a'],
      ['Sand', '#c9b07c'],
      ['Dock grey', '#83888a'],
      ['Olive drab', '#5f6038', 'matt'],
      ['Black', '#1c1b1a'],
      ['Bright white', WHITE_HEX],
      ['Lemon', '#e2c73c'],
      ['Ultramarine', '#2a3d86'],
    ],
  },
  {
    line: 'Quay',
    kind: 'colour',
    binder: 'acrylic',
    dryFilmUm: 16,
    flashMin: 5,
    recoatMin: 30,
    cureMin: 2880,
    minC: 10,
    maxC: 30,
    pots: [
      ['Chalk white', '#e9e7df', 'satin'],
      ['Ivory', '#e6dfc9', 'satin'],
      ['Ice blue', '#a9c3d4', 'satin'],
      ['Coral', '#d9785c', 'satin'],
      ['Moss', '#5c6b3b', 'satin'],
      ['Leather brown', '#6d4a33', 'matt'],
      ['Tyre black', '#2a2a2b', 'matt'],
      ['Flesh', '#d8a488', 'matt'],
      ['Oxide red', '#7a3b2c', 'matt'],
      ['Pearl white', '#e4e2dd', 'pearl'],
      ['Signal orange', '#f0612a', 'fluorescent'],
      ['Chrome yellow, lead-free', '#e0b52a', 'satin'],
    ],
  },
  {
    line: 'Pike & Sable',
    kind: 'colour',
    binder: 'lacquer',
    dryFilmUm: 12,
    flashMin: 5,
    recoatMin: 20,
    cureMin: 1440,
    minC: 15,
    maxC: 28,
    pots: [
      ['Crimson lake', '#7d2230'],
      ['Bottle green', '#23452f'],
      ['Marine blue', '#28405f'],
      ['Gunmetal', '#565b60', 'metallic'],
      ['Dull silver', '#a8aaab', 'metallic'],
    ],
  },
  {
    line: 'Lanthorn',
    kind: 'primer',
    binder: 'lacquer',
    dryFilmUm: 14,
    flashMin: 5,
    recoatMin: 30,
    cureMin: 240,
    minC: 12,
    maxC: 28,
    pots: [
      ['Light grey primer', '#b4b6b5', 'matt'],
      ['White primer', '#ecebe7', 'matt'],
      ['Grey primer', '#8b8d8d', 'matt'],
      ['Oxide primer', '#7d4334', 'matt'],
    ],
  },
  {
    line: 'Lanthorn',
    kind: 'clear',
    binder: 'acrylic',
    dryFilmUm: 15,
    flashMin: 5,
    recoatMin: 45,
    cureMin: 2880,
    minC: 12,
    maxC: 28,
    pots: [
      ['Clear gloss', '#f4f3ee'],
      ['Clear satin', '#efeee9', 'satin'],
      ['Clear matt', '#eae9e4', 'matt'],
    ],
  },
  {
    line: 'Vesperine',
    kind: 'brightwork',
    binder: 'ink',
    dryFilmUm: 4,
    flashMin: 10,
    recoatMin: 60,
    cureMin: 4320,
    minC: 15,
    maxC: 28,
    pots: [
      ['Chrome ink', '#d5d7d8', 'metallic'],
      ['Dull silver ink', '#b3b5b5', 'metallic'],
    ],
  },
  {
    line: 'Lanthorn',
    kind: 'powder',
    binder: 'powder',
    dryFilmUm: 65,
    flashMin: 0,
    recoatMin: 30,
    cureMin: 60,
    minC: 10,
    maxC: 30,
    pots: [
      ['Green powder', '#2f5a3c'],
      ['Black powder', '#1d1d1d', 'satin'],
      ['Grey powder', '#85898a', 'satin'],
      ['Red powder', '#a93029'],
    ],
  },
];

/** Of these only the colour is known: nobody has drawn them down yet. */
const COLOUR_ONLY: ReadonlySet<string> = new Set(['Coral', 'Moss', 'Flesh', 'Leather brown', 'Sand']);
const BY_BINDER = {
  enamel: { densityGPerMl: 1.12, dropMl: 0.025, pricePerMl: 0.28 },
  acrylic: { densityGPerMl: 1.2, dropMl: 0.05, pricePerMl: 0.21 },
  lacquer: { densityGPerMl: 0.98, dropMl: 0.025, pricePerMl: 0.34 },
  ink: { densityGPerMl: 1.05, dropMl: 0.04, pricePerMl: 1.1 },
  powder: { densityGPerMl: 1.5, dropMl: 0.05, pricePerMl: 0.06 },
} as const;

interface DemoShelf {
  readonly products: PaintProduct[];
  readonly pots: PaintPot[];
  readonly movements: readonly (PotMovement & { readonly seq: number })[];
}

export function createPaintShelf(now: Date): DemoShelf {
  const products: PaintProduct[] = [];
  const pots: PaintPot[] = [];
  for (const { line, pots: notes, ...common } of LINES) {
    notes.forEach(([name, colourHex, gloss = 'gloss'], i) => {
      const id = `paint.${line}.${name}`.toLowerCase().replace(/[^a-z0-9]+/g, '-');
      const isMixed = common.kind === 'colour' && !isOutsideModel(gloss) && !COLOUR_ONLY.has(name);
      const optics = isMixed ? measurePaint(colourHex, products.length + 1) : null;
      const usual = BY_BINDER[common.binder];
      const pricePerMl = Math.round(100 * usual.pricePerMl * (0.7 + 0.15 * (i % 5))) / 100;
      const known = { ...usual, pricePerMl, optics, drying: null, recipe: null };
      products.push({ id, version: 1, line, name, gloss, colourHex, ...known, ...common });
      pots.push({
        id: `${id}.pot`,
        version: 1,
        productId: id,
        leftMl: 4 + ((i * 7) % 18),
        // Every fourth pot has never been opened.
        openedOn: pots.length % 4 === 3 ? null : dayBefore(now, 40 + ((pots.length * 97) % 1100)),
        place: common.binder === 'powder' ? 'Cupboard' : `Shelf ${1 + (i % 3)}`,
      });
    });
  }
  const movements = pots.map(({ id, leftMl, openedOn }) => ({
    ...{ id: `${id}.counted`, potId: id, seq: 1, move: 'counted' as const, amount: leftMl },
    at: `${openedOn ?? dayBefore(now, 60)}T19:00:00.000Z`,
    ...{ jobId: null, taskId: null, actId: null, price: null, batch: '', who: 'Imke Varga', note: '' },
  }));
  return { products, pots, movements };
}

const dayBefore = (now: Date, days: number) => new Date(now.getTime() - days * 86_400_000).toISOString().slice(0, 10);
