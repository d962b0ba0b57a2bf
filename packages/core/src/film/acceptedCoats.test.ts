import { expect } from 'chai';
import type { DryingSheet } from '../model/drying.ts';
import type { PaintProduct } from '../model/work.ts';
import type { Area, CoatingLayer } from '../model/workpiece.ts';
import { createSeededRandom, pickOne, type RandomSource } from '../numeric/seededRandom.ts';
import { checkCoat } from './checkCoat.ts';
import { meetCoats } from './meetCoats.ts';
import { describeStandingCoats } from './standingCoats.ts';

const MIN = 60_000;
const START = Date.parse('2026-03-14T12:00:00Z');
const open = (fromMin: number) => [{ fromMin, toMin: null }];

type Windows = readonly { readonly fromMin: number; readonly toMin: number | null }[];

/** Sheets of its own: at 20 °C in a room of 20 °C a minute of the sheet is a minute of the clock. */
const sheet = (recoat: Windows, mask: number, wear: number): DryingSheet => ({
  refC: 20,
  spans: {
    ...{ touch: open(20), handle: open(60), mask: open(mask), unmask: open(10), recoat },
    ...{ decal: open(mask), bake: open(60), wear: open(wear) },
  },
});
const WINDOWS = {
  enamel: [
    { fromMin: 60, toMin: 300 },
    { fromMin: 2880, toMin: null },
  ],
  lacquer: [{ fromMin: 60, toMin: 1440 }],
  acrylic: [{ fromMin: 30, toMin: null }],
} as const satisfies Record<string, Windows>;
const MASK = { enamel: 2880, lacquer: 240, acrylic: 720 } as const;
const WEAR = { enamel: 10_080, lacquer: 1440, acrylic: 2880 } as const;
type Binder = keyof typeof WINDOWS;
const BINDERS = ['enamel', 'lacquer', 'acrylic'] as const;

const pot = (binder: Binder, kind: 'primer' | 'colour'): PaintProduct => ({
  ...{ id: `${binder} ${kind}`, version: 1, line: 'Own', name: binder, kind, binder, gloss: 'gloss' },
  ...{ colourHex: '#556677', dryFilmUm: 20, flashMin: 10, recoatMin: 60, cureMin: WEAR[binder], minC: 5, maxC: 35 },
  ...{ optics: null, densityGPerMl: 1, dropMl: 0.05, pricePerMl: 0.1, recipe: null },
  drying: sheet(WINDOWS[binder], MASK[binder], WEAR[binder]),
});
const POTS = BINDERS.flatMap((binder) => [pot(binder, 'primer'), pot(binder, 'colour')]);

const area = (id: string, kind: Area['kind']) => ({ id, kind, specimenPartId: 'body' });
const AREAS = [area('outside', 'outside'), area('field', 'mask')];

interface World {
  readonly layers: readonly CoatingLayer[];
  readonly on: (typeof AREAS)[number];
  readonly product: PaintProduct;
  /** Minutes after the first coat. */
  readonly at: number;
  readonly reliefUm: number | null;
}

const coat = (
  areaId: string,
  product: PaintProduct,
  minutes: number,
  seq: number,
  thicknessUm: number,
): CoatingLayer => ({
  ...{
    id: `${areaId} ${seq}`,
    version: 1,
    areaId,
    stage: 'applied',
    seq,
    kind: product.kind as 'colour',
    name: product.name,
  },
  ...{ colourHex: '#556677', thicknessUm, thicknessOrigin: 'product sheet', productId: product.id, whose: 'restorer' },
  ...{ tempC: 20, appliedAt: new Date(START + minutes * MIN).toISOString(), appliedBy: 'x', note: '', rejection: null },
  ...{ removedAt: null, keyedAt: null, coats: null, isMist: false, how: null, decalMm: null },
});

/** Coats that somebody laid whenever they liked, and one more that is asked for. */
function draw(random: RandomSource): World {
  const spread = () => pickOne([5, 90, 200, 400, 2000, 4000, 20_000], random) * (0.5 + random());
  const primer = pickOne(
    POTS.filter(({ kind }) => kind === 'primer'),
    random,
  );
  const colours = POTS.filter(({ kind }) => kind === 'colour');
  const layers = [coat('outside', primer, 0, 0, 15)];
  let clock = 0;
  for (let i = 0; i < Math.floor(4 * random()); i++) {
    clock += spread();
    layers.push(
      coat(random() < 0.75 ? 'outside' : 'field', pickOne(colours, random), clock, i + 1, 10 + 30 * random()),
    );
  }
  const at = clock + spread();
  if (random() < 0.3) {
    const top = layers.pop()!;
    layers.push({ ...top, keyedAt: new Date(START + (clock + (at - clock) * random()) * MIN).toISOString() });
  }
  return {
    ...{ layers, at, on: pickOne(AREAS, random), product: pickOne(POTS, random) },
    reliefUm: random() < 0.5 ? null : 40 + 200 * random(),
  };
}

const isAccepted = ({ layers, on, product, at, reliefUm }: World): boolean =>
  checkCoat({
    ...{ partKey: 'body', partName: 'Body', material: 'zinc alloy', product, tempC: 20, tasks: [], products: POTS },
    ...{ isMist: false, overBecause: '', reliefUm, appliedAt: new Date(START + at * MIN) },
    ...meetCoats(on, AREAS, layers, product.kind as 'colour'),
    standing: describeStandingCoats(layers, { products: POTS, touches: [], touched: [], readings: [] }),
  }).length === 0;

/** What is wrong with it by the sheets, in minutes of the clock; shares no code with what refuses. */
function findWrong({ layers, on, product, at, reliefUm }: World): string[] {
  const minutesOf = (layer: CoatingLayer) => (Date.parse(layer.appliedAt!) - START) / MIN;
  const binderOf = (layer: CoatingLayer) => layer.productId!.split(' ')[0] as Binder;
  const own = layers.filter(({ areaId }) => areaId === on.id);
  const outside = layers.filter(({ areaId }) => areaId === 'outside');
  // A field lies on what was on before it.
  const below = on.id === 'outside' ? own : own.length ? own : outside;
  const top = below.at(-1)!;
  const since = at - minutesOf(top);
  const windows: Windows = WINDOWS[binderOf(top)];
  const isIn = windows.some(({ fromMin, toMin }) => since >= fromMin && (toMin === null || since <= toMin));
  const end = windows.at(-1)!.toMin;
  const keyed = top.keyedAt === null ? null : (Date.parse(top.keyedAt) - START) / MIN;
  // A window shuts sooner than its sheet says, never later: whoever keyed it then may have found it shut.
  const isKeyed = end !== null && keyed !== null && keyed <= at && since > 0;
  const isTaped = own.length === 0 && on.id === 'field' && outside.some(({ kind }) => kind === 'colour');
  const um = own.reduce((sum, { thicknessUm }) => sum + thicknessUm, product.dryFilmUm);
  return [
    ...(isIn || isKeyed ? [] : [`${since} min after ${binderOf(top)}`]),
    ...(product.binder === 'lacquer' && binderOf(top) === 'enamel' ? ['lacquer over enamel'] : []),
    ...(isTaped && outside.some((layer) => at - minutesOf(layer) < MASK[binderOf(layer)])
      ? ['tape on a soft coat']
      : []),
    ...(um > 0.8 * (reliefUm ?? 150) ? ['over the relief'] : []),
  ];
}

describe('no log accepts a coat', () => {
  it('in a gap, on what is not ready or has shut unkeyed, over what does not bear it, over soft tape, over the relief', () => {
    const random = createSeededRandom(1818);
    let accepted = 0;
    const refused = new Set<string>();
    for (let i = 0; i < 4000; i++) {
      const world = draw(random);
      const wrong = findWrong(world);
      if (isAccepted(world)) {
        accepted++;
        expect(wrong, `world ${i}`).deep.equal([]);
      } else for (const one of wrong) refused.add(one.replace(/^[\d.]+ min/, 'too early or late'));
    }
    // Enough of both kinds came up to mean something.
    expect(accepted).greaterThan(300);
    expect(refused.size).greaterThan(4);
  });
});
