import type { StockKind, StockSizes, StockTraits, Supply } from '@sardonyx/core';

/** A thing of the demo's drawers: how much was bought, and how long ago. */
export interface DemoThing {
  readonly kind: StockKind;
  readonly name: string;
  readonly drawer: string;
  readonly sizes: StockSizes;
  readonly traits: StockTraits;
  readonly amount: number;
  readonly unitPrice: number | null;
  readonly supplier: string | null;
  readonly daysAgo: number;
  readonly reorderAt: number | null;
  readonly isLocked?: boolean;
  readonly note?: string;
}

const AXLE = 'Fennimar Axle';
const SPARES = 'Tern Street Spares';

type Rest = Pick<DemoThing, 'amount' | 'daysAgo'> & Partial<DemoThing>;

const thing = (
  kind: StockKind,
  drawer: string,
  name: string,
  sizes: StockSizes,
  traits: StockTraits,
  rest: Rest,
): DemoThing => ({
  ...{ kind, drawer, name, sizes, traits, unitPrice: null, supplier: null, reorderAt: null },
  ...rest,
});

const axle = (
  drawer: string,
  diameter: number,
  length: number,
  ends: string,
  amount: number,
  more: Partial<Rest> = {},
) =>
  thing(
    'axle',
    drawer,
    `${diameter} × ${length}, ${ends}`,
    { diameter, length, ...(ends === 'both bare' ? {} : { headHeight: 0.5 * diameter }) },
    { ends, finish: 'bright' },
    { amount, daysAgo: 300, unitPrice: 0.22, supplier: AXLE, reorderAt: 4, ...more },
  );

const wheel = (
  drawer: string,
  name: string,
  diameter: number,
  width: number,
  colour: string,
  amount: number,
  more: Partial<Rest> = {},
) =>
  thing(
    'wheel',
    drawer,
    name,
    { diameter, width, bore: 1.3 },
    { pattern: name.split(',')[0]!, colour, material: 'zinc alloy' },
    {
      ...{ amount, daysAgo: 420, unitPrice: 0.35, supplier: SPARES },
      ...more,
    },
  );

const tyre = (
  drawer: string,
  diameter: number,
  bore: number,
  width: number,
  pattern: string,
  amount: number,
  more: Partial<Rest> = {},
) =>
  thing(
    'tyre',
    drawer,
    `${diameter} mm, ${pattern}`,
    { diameter, bore, width },
    { pattern, colour: 'black' },
    {
      ...{ amount, daysAgo: 200, unitPrice: 0.28, supplier: SPARES, reorderAt: 8 },
      ...more,
    },
  );

const screw = (thread: string, length: number, head: string, amount: number) =>
  thing(
    'screw',
    'C1',
    `${thread} × ${length}, ${head}`,
    { length, headDiameter: thread === 'M2' ? 3.8 : 4 },
    { thread, head, colour: 'steel' },
    {
      ...{ amount, daysAgo: 150, unitPrice: 0.05, supplier: SPARES, reorderAt: 10 },
    },
  );

const washer = (diameter: number, bore: number, thickness: number, amount: number) =>
  thing(
    'washer',
    'C2',
    `${diameter} / ${bore}`,
    { diameter, bore, thickness },
    { material: 'brass' },
    {
      ...{ amount, daysAgo: 500, unitPrice: 0.03, supplier: SPARES, reorderAt: 12 },
    },
  );

const rivet = (kind: 'rivet' | 'false head', diameter: number, size: number, amount: number) =>
  kind === 'rivet'
    ? thing(
        kind,
        'C3',
        `Rivet ${diameter} × ${size}`,
        { diameter, length: size, headDiameter: 2 * diameter },
        { material: 'aluminium' },
        { amount, daysAgo: 380, unitPrice: 0.06, supplier: SPARES, reorderAt: 6 },
      )
    : thing(
        kind,
        'C3',
        `False head ${diameter}`,
        { diameter, height: size },
        { material: 'zinc alloy' },
        { amount, daysAgo: 90, unitPrice: null },
      );

const rod = (
  kind: 'wire' | 'tube',
  name: string,
  sizes: StockSizes,
  material: string,
  mm: number,
  serves: Supply = 'pin wire',
) =>
  thing(
    kind,
    'D1',
    name,
    sizes,
    { material, serves },
    { amount: mm, daysAgo: 260, unitPrice: 0.004, supplier: SPARES, reorderAt: 150 },
  );

const part = (
  drawer: string,
  name: string,
  sizes: StockSizes,
  colour: string,
  amount: number,
  more: Partial<Rest> = {},
) => thing('small part', drawer, name, sizes, { colour, material: 'zinc alloy' }, { amount, daysAgo: 120, ...more });

const decal = (name: string, length: number, width: number, wording: string, amount: number, daysAgo: number) =>
  thing(
    'decal',
    'E1',
    name,
    { length, width },
    { wording, colour: 'gold on clear' },
    {
      ...{ amount, daysAgo, unitPrice: 2.4, supplier: 'Tamsel Transfers' },
    },
  );

const used = (
  kind: 'abrasive' | 'liquid' | 'glue' | 'powder' | 'gloves',
  drawer: string,
  name: string,
  traits: StockTraits,
  amount: number,
  daysAgo: number,
  reorderAt: number,
  unitPrice: number,
) => thing(kind, drawer, name, {}, traits, { amount, daysAgo, reorderAt, unitPrice, supplier: SPARES });

/** What lies in the drawers of the demo's workshop, of use to its ten jobs. */
export const DEMO_THINGS: readonly DemoThing[] = [
  ...[22, 24, 26, 28, 30, 32].map((length, i) => axle('A1', 1.2, length, 'both bare', 14 - 2 * i)),
  ...[21, 23.5, 25.2, 27, 29.4].map((length, i) => axle('A2', 1.2, length, 'one domed', 9 - i)),
  ...[24, 27.5, 31].map((length, i) => axle('A3', 1.6, length, 'both bare', 6 - i)),
  ...[20.5, 22.8, 26.1].map((length, i) => axle('A3', 1.6, length, 'one crimped', 3 + i)),
  axle('A4', 1.2, 33.6, 'one domed', 2, { isLocked: true, reorderAt: null, note: 'The last two for the low loader.' }),
  axle('A4', 1, 18.4, 'both bare', 5),
  axle('A4', 1, 20.2, 'one domed', 1),
  ...[9.5, 10.5, 11, 12].map((diameter, i) =>
    wheel('B1', `Plain hub, ${diameter}`, diameter, 3.6 + 0.2 * i, 'bare', 8 + 2 * i),
  ),
  ...[9.5, 11, 12].map((diameter) => wheel('B1', `Five-stud hub, ${diameter}`, diameter, 4, 'silver', 8)),
  ...[8.6, 10].map((diameter) => wheel('B2', `Turned hub, ${diameter}`, diameter, 3.2, 'bare', 4, { isLocked: true })),
  ...['cream', 'red', 'green'].map((colour) => wheel('B2', `Pressed disc, ${colour}`, 11.5, 3.8, colour, 4)),
  ...[10, 11, 12, 13, 14].map((diameter) =>
    tyre('B3', diameter, diameter - 3.4, 3, 'block tread', diameter === 12 ? 3 : 16),
  ),
  ...[11, 12, 14].map((diameter) => tyre('B3', diameter, diameter - 3, 2.6, 'smooth', 12)),
  ...[15, 17].map((diameter) => tyre('B4', diameter, diameter - 4.6, 4, 'tractor lugs', 6)),
  tyre('B4', 9, 6.2, 2.2, 'ribbed', 20),
  tyre('B4', 12.5, 8.8, 3, 'white wall', 4, { daysAgo: 3800 }),
  ...(['M1.6', 'M2', 'M2.5', '2-56'] as const).flatMap((thread) =>
    [3, 5, 6, 8].map((length) => screw(thread, length, 'pan', 24)),
  ),
  ...[4, 6].map((length) => screw('M2', length, 'countersunk', 12)),
  washer(3, 1.3, 0.3, 40),
  washer(3.5, 1.3, 0.5, 25),
  washer(4, 1.7, 0.3, 9),
  washer(4, 2.2, 0.5, 30),
  ...[4, 6, 8].map((length) => rivet('rivet', 2, length, 15)),
  rivet('false head', 3.8, 0.8, 11),
  rivet('false head', 4.5, 1, 4),
  ...[0.5, 0.8, 1, 1.2].map((diameter) => rod('wire', `Brass wire ${diameter}`, { diameter }, 'brass', 900)),
  ...[0.8, 1.2].map((diameter) => rod('wire', `Steel wire ${diameter}`, { diameter }, 'steel', 600)),
  rod('wire', 'Half-round wire 1.5', { diameter: 1.5 }, 'brass', 120, 'half-round wire'),
  rod('tube', 'Tube 2.0 / 1.4', { diameter: 2, bore: 1.4 }, 'brass', 300, 'brass tube or rod'),
  rod('tube', 'Tube 3.0 / 2.2', { diameter: 3, bore: 2.2 }, 'brass', 280, 'brass tube or rod'),
  ...[0.25, 0.5].map((thickness) =>
    thing(
      'sheet',
      'D2',
      `Brass sheet ${thickness}`,
      { length: 100, width: 60, thickness },
      { material: 'brass', serves: 'brass sheet or wire' },
      { amount: 2, daysAgo: 310, unitPrice: 3.2, supplier: SPARES },
    ),
  ),
  ...['clear', 'green tint'].map((colour) =>
    thing(
      'glazing',
      'D2',
      `Acetate, ${colour}`,
      { length: 80, width: 50, height: 0.4 },
      { colour, material: 'acetate' },
      { amount: 3, daysAgo: 220, unitPrice: 1.1, supplier: SPARES },
    ),
  ),
  part('D3', 'Steering wheel, three spokes', { length: 7, width: 7, height: 1.4 }, 'black', 6, {
    unitPrice: 0.4,
    supplier: SPARES,
  }),
  part('D3', 'Towing hook, cast', { length: 6, width: 2.4, height: 3 }, 'bare', 5, {
    unitPrice: 0.5,
    supplier: SPARES,
  }),
  part('D3', 'Spare wheel, cast', { length: 9.5, width: 9.5, height: 3 }, 'bare', 2),
  part('D3', 'Pulley, turned', { length: 5, width: 5, height: 1.6 }, 'brass', 4, { unitPrice: 0.6, supplier: SPARES }),
  part('D3', 'Headlamp, plated', { length: 3.2, width: 3.2, height: 2 }, 'chrome', 10, {
    unitPrice: 0.2,
    supplier: SPARES,
  }),
  part('D3', 'Driver, seated', { length: 9, width: 6, height: 14 }, 'to be painted', 3, {
    unitPrice: 1.2,
    supplier: SPARES,
  }),
  part('D3', 'Rear step, printed', { length: 8.4, width: 4, height: 2 }, 'grey resin', 1, {
    note: 'A spare of SG-03’s.',
  }),
  part('D3', 'Searchlight lens', { length: 4, width: 4, height: 1.2 }, 'clear', 8, {
    unitPrice: 0.15,
    supplier: SPARES,
  }),
  decal('Waistband, library', 58, 6, 'BOROUGH LIBRARY', 2, 70),
  decal('Dairy panel', 22, 9, 'SALTGATE DAIRY', 3, 45),
  decal('Chevrons', 26, 5, 'chevrons', 1, 130),
  decal('Fleet number', 8, 5, '31', 4, 1200),
  ...[60, 40].map((length, i) =>
    thing(
      'box',
      'F1',
      `Plain box ${length} mm`,
      { length, width: 30, height: 28 + 4 * i },
      { pattern: 'plain' },
      { amount: 5, daysAgo: 90, unitPrice: 0.8, supplier: SPARES },
    ),
  ),
  ...['400', '800', '1500', '3000'].map((grit) =>
    used('abrasive', 'F2', `Wet paper ${grit}`, { grit, material: 'silicon carbide' }, 10, 160, 4, 0.6),
  ),
  used('liquid', 'G1', 'Enamel thinner', { material: 'white spirit', serves: 'thinner' }, 480, 130, 100, 0.012),
  used('liquid', 'G1', 'Degreaser', { material: 'isopropanol', serves: 'degreasing solvent' }, 240, 60, 100, 0.01),
  used('liquid', 'G1', 'Cutting oil', { material: 'mineral oil', serves: 'cutting oil' }, 45, 400, 20, 0.05),
  used('liquid', 'G1', 'Floor polish', { material: 'acrylic', serves: 'floor polish' }, 150, 200, 30, 0.02),
  used('liquid', 'G1', 'Setting fluid', { material: 'acetic', serves: 'setting fluid' }, 12, 820, 10, 0.2),
  used('liquid', 'G1', 'Gel stripper', { material: 'benzyl alcohol', serves: 'gel stripper' }, 250, 40, 150, 0.03),
  used('liquid', 'G1', 'Penetrating oil', { material: 'mineral oil', serves: 'penetrating oil' }, 90, 500, 20, 0.03),
  used(
    'powder',
    'G3',
    'Caustic flakes',
    { material: 'sodium hydroxide', serves: 'pure sodium hydroxide' },
    600,
    150,
    200,
    0.01,
  ),
  thing(
    'tape',
    'F2',
    'Fine-line tape 2 mm',
    { width: 2 },
    { material: 'vinyl' },
    { amount: 12_000, daysAgo: 80, unitPrice: 0.0004, supplier: SPARES, reorderAt: 2000 },
  ),
  thing(
    'tape',
    'F2',
    'Masking tape 6 mm',
    { width: 6 },
    { material: 'crepe paper' },
    { amount: 15_000, daysAgo: 80, unitPrice: 0.0001, supplier: SPARES, reorderAt: 3000 },
  ),
  used('glue', 'G2', 'Gel adhesive', { material: 'cyanoacrylate', serves: 'gel adhesive' }, 14, 330, 5, 0.4),
  used('glue', 'G2', 'Thin cyanoacrylate', { material: 'cyanoacrylate', serves: 'thin cyanoacrylate' }, 8, 345, 3, 0.5),
  used('glue', 'G2', 'Two-part resin', { material: 'epoxy', serves: 'two-part resin' }, 32, 420, 10, 0.25),
  used(
    'glue',
    'G2',
    'Clear-drying white glue',
    { material: 'PVA', serves: 'clear-drying white glue' },
    60,
    90,
    20,
    0.04,
  ),
  used(
    'powder',
    'G2',
    'Powder filler',
    { material: 'acrylic', colour: 'white', serves: 'powder filler' },
    40,
    500,
    15,
    0.08,
  ),
  used('gloves', 'G3', 'Nitrile, medium', { material: 'nitrile' }, 14, 50, 10, 0.18),
  used('gloves', 'G3', 'Nitrile, large', { material: 'nitrile' }, 21, 50, 10, 0.18),
];
