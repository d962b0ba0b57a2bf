import type { PaintProduct } from './work.ts';
import type { ToolKind } from './workshop.ts';

/** What a task takes. */
export interface Use {
  readonly what: Supply;
  /** In the supply's own unit; 1 for a tool. */
  readonly amount: number;
}

interface SupplyFacts {
  readonly kind: 'material' | 'tool';
  /** The kind of tool of the workshop that it is; null where that knows none. */
  readonly toolKind: ToolKind | null;
  readonly unit: string;
  /** Days by post when it is not in the house (planning estimate). */
  readonly leadDays: number;
}

const material = (unit: string, leadDays = 3): SupplyFacts => ({ kind: 'material', toolKind: null, unit, leadDays });
const tool = (toolKind: ToolKind | null = null, leadDays = 5): SupplyFacts => ({
  ...{ kind: 'tool', toolKind, unit: '', leadDays },
});

/** Everything the plans ask for by name; amounts in the plans are planning estimates. */
export const SUPPLIES = {
  'gel stripper': material('ml'),
  'dip stripper': material('ml'),
  'pure sodium hydroxide': material('g'),
  'citric acid': material('g'),
  'glycol-ether fluid': material('ml'),
  thinner: material('ml'),
  'degreasing solvent': material('ml'),
  'mild blasting grit': material('g', 5),
  'penetrating oil': material('ml'),
  'cutting oil': material('ml'),
  'gel adhesive': material('g'),
  'thin cyanoacrylate': material('g'),
  'powder filler': material('g'),
  'fine filler': material('g'),
  'two-part resin': material('g'),
  'clear-drying white glue': material('g'),
  'half-round wire': material('mm'),
  'brass tube or rod': material('mm', 5),
  'printing resin': material('ml', 5),
  'resin-wash alcohol': material('ml'),
  'brass sheet or wire': material('pieces', 5),
  'solder and flux': material('g'),
  'copper tab': material('pieces'),
  'wet abrasive paper': material('sheets'),
  'plastic polish': material('ml'),
  'fine steel wool': material('g'),
  primer: material('ml'),
  'body colour': material('ml'),
  'clear coat': material('ml'),
  'brightwork ink': material('ml'),
  powder: material('g', 9),
  'masking tape': material('mm'),
  'decal set': material('sets', 14),
  'setting fluid': material('ml'),
  'closing screw': material('pieces', 5),
  'axle wire': material('pieces', 5),
  'pin wire': material('mm', 5),
  'floor polish': material('ml'),
  'dark wash': material('ml'),
  gloves: material('pairs'),
  'bench drill': tool('drill'),
  'deburring cutter': tool(),
  'tap and its drill': tool('tap'),
  'rotary tool': tool('rotary tool'),
  'contact probe': tool(),
  'hot-air gun': tool(),
  oven: tool('oven', 9),
  airbrush: tool('airbrush', 9),
  'spray booth': tool(null, 9),
  'powder gun': tool('powder gun', 9),
  'press with a cupped punch': tool('press', 9),
  'smooth-jawed locking pliers': tool(),
  'small hammer and dimple punch': tool(),
  'caustic vessel with a resting lid': tool(),
  'soldering iron': tool(),
  'padded jaws': tool(),
  'fine square file': tool(),
  'soft brush': tool(),
  torch: tool(),
} as const satisfies Readonly<Record<string, SupplyFacts>>;
export type Supply = keyof typeof SUPPLIES;
/** Whether a supply is used up or stays. */
export const SUPPLY_KINDS = Object.fromEntries(
  Object.entries(SUPPLIES).map(([what, { kind }]) => [what, kind]),
) as Readonly<Record<Supply, SupplyFacts['kind']>>;
export const SUPPLY_NAMES = Object.keys(SUPPLIES) as Supply[];

/** Poured out of a pot of the shelf: no drawer has it. */
export const POURED: Partial<Record<Supply, PaintProduct['kind']>> = {
  ...{
    primer: 'primer',
    'body colour': 'colour',
    'clear coat': 'clear',
    'brightwork ink': 'brightwork',
    powder: 'powder',
  },
};

/** Reads as a list at the end of a task: uses(['gel stripper', 20], ['gloves', 1]). */
export const uses = (...list: readonly (readonly [what: Supply, amount?: number])[]): readonly Use[] =>
  list.map(([what, amount = 1]) => ({ what, amount }));
