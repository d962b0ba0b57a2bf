import type { Versioned } from './catalogue.ts';
import { POURED, SUPPLIES, SUPPLY_NAMES, type Supply } from './supply.ts';
import { THREAD_NAMES } from './thread.ts';

/** How a thing is counted. */
export const STOCK_UNITS = ['pieces', 'mm', 'ml', 'g', 'sheets', 'pairs'] as const;
export type StockUnit = (typeof STOCK_UNITS)[number];

/** Sizes of one piece, millimetres. */
export const STOCK_SIZES = [
  'diameter',
  'length',
  'width',
  'height',
  'thickness',
  'bore',
  'headDiameter',
  'headHeight',
] as const;
export type StockSize = (typeof STOCK_SIZES)[number];

/** What is said of a piece in words. */
export const STOCK_TRAITS = [
  'ends',
  'thread',
  'head',
  'pattern',
  'colour',
  'finish',
  'wording',
  'grit',
  'material',
  'serves',
] as const;
export type StockTrait = (typeof STOCK_TRAITS)[number];

/** How the ends of an axle are; a crimped one is flat. */
const AXLE_STOCK_ENDS = ['both bare', 'one domed', 'both domed', 'one crimped', 'both crimped'] as const;
const SCREW_HEADS = ['pan', 'cheese', 'countersunk', 'raised', 'none'] as const;

/** Of these only so many answers are understood, whatever the kind; everything else is said in free words. */
const TRAIT_OPTIONS: Partial<Record<StockTrait, readonly string[]>> = {
  ...{ ends: AXLE_STOCK_ENDS, thread: THREAD_NAMES, head: SCREW_HEADS },
};

interface StockKindFacts {
  readonly unit: StockUnit;
  readonly sizes: readonly StockSize[];
  readonly traits: readonly StockTrait[];
  /** Days after which it is no longer what it was; null where it keeps (planning estimates, until its sheet says). */
  readonly keepsDays: number | null;
}

const kind = (
  unit: StockUnit,
  sizes: readonly StockSize[],
  traits: readonly StockTrait[],
  keepsDays: number | null = null,
): StockKindFacts => ({ unit, sizes, traits: [...traits, 'serves'], keepsDays });

/** Everything that lies in drawers, each kind with its own measures. */
export const STOCK_KINDS = {
  axle: kind('pieces', ['diameter', 'length', 'headHeight'], ['ends', 'finish']),
  wheel: kind('pieces', ['diameter', 'bore', 'width'], ['pattern', 'colour', 'material']),
  tyre: kind('pieces', ['diameter', 'bore', 'width'], ['pattern', 'colour'], 3650),
  screw: kind('pieces', ['length', 'headDiameter'], ['thread', 'head', 'colour']),
  washer: kind('pieces', ['diameter', 'bore', 'thickness'], ['material']),
  rivet: kind('pieces', ['diameter', 'length', 'headDiameter'], ['material']),
  'false head': kind('pieces', ['diameter', 'height'], ['material']),
  wire: kind('mm', ['diameter'], ['material']),
  tube: kind('mm', ['diameter', 'bore'], ['material']),
  tape: kind('mm', ['width'], ['material']),
  sheet: kind('pieces', ['length', 'width', 'thickness'], ['material']),
  glazing: kind('pieces', ['length', 'width', 'height'], ['colour', 'material']),
  'small part': kind('pieces', ['length', 'width', 'height'], ['colour', 'material']),
  decal: kind('pieces', ['length', 'width'], ['wording', 'colour'], 1095),
  box: kind('pieces', ['length', 'width', 'height'], ['pattern']),
  abrasive: kind('sheets', [], ['grit', 'material']),
  liquid: kind('ml', [], ['material'], 730),
  glue: kind('g', [], ['material'], 365),
  powder: kind('g', [], ['material', 'colour']),
  gloves: kind('pairs', [], ['material']),
} as const satisfies Readonly<Record<string, StockKindFacts>>;
export type StockKind = keyof typeof STOCK_KINDS;
export const STOCK_KIND_NAMES = Object.keys(STOCK_KINDS) as StockKind[];

/** What a thing is to plans unless somebody says otherwise. */
const USUAL_SERVICE: Partial<Record<StockKind, Supply>> = {
  ...{
    axle: 'axle wire',
    screw: 'closing screw',
    gloves: 'gloves',
    abrasive: 'wet abrasive paper',
    tape: 'masking tape',
  },
};

/** Kinds of which every thing is something to plans. */
export const SERVING_KINDS = Object.keys(USUAL_SERVICE) as StockKind[];

/** What plans ask for by name and such a thing can be: counted in the same unit. */
const listServices = (thing: StockKind): Supply[] =>
  SUPPLY_NAMES.filter(
    (what) =>
      SUPPLIES[what].kind === 'material' && !(what in POURED) && SUPPLIES[what].unit === STOCK_KINDS[thing].unit,
  );

/** The answers that are understood of things of a kind; undefined where it is said in free words. */
export const listTraitOptions = (thing: StockKind, trait: StockTrait): readonly string[] | undefined =>
  trait === 'serves' ? listServices(thing) : TRAIT_OPTIONS[trait];

/** What a thing is to plans; null where they know nothing of its kind. */
export const serviceOf = ({ kind: thing, traits }: Pick<StockThing, 'kind' | 'traits'>): Supply | null =>
  (traits.serves as Supply | undefined) ?? USUAL_SERVICE[thing] ?? null;

export type StockSizes = Readonly<Partial<Record<StockSize, number>>>;
export type StockTraits = Readonly<Partial<Record<StockTrait, string>>>;

/** Something that lies in a drawer; how much of it follows from its log. */
export interface StockThing extends Versioned {
  readonly kind: StockKind;
  readonly name: string;
  readonly drawer: string;
  readonly sizes: StockSizes;
  readonly traits: StockTraits;
  /** Fewer free than this, and it is to be ordered; null where nobody said. */
  readonly reorderAt: number | null;
  /** Days until it has gone off; null: as long as its kind does. */
  readonly keepsDays: number | null;
  /** One of few: given to no job until the restorer lets it go. */
  readonly isLocked: boolean;
  readonly supplierId: string | null;
  readonly note: string;
  /** SHA-256 of its picture; null where it has none. */
  readonly pictureHash: string | null;
}

export interface Supplier extends Versioned {
  readonly name: string;
  /** What the supplier says it takes, days. */
  readonly promisedDays: number;
  readonly note: string;
}

/** Units of which there is no half. */
export const WHOLE_UNITS: ReadonlySet<StockUnit> = new Set(['pieces', 'sheets', 'pairs']);

export const MOVES = [
  'bought',
  'made',
  'from a donor',
  'counted',
  'reserved',
  'released',
  'taken',
  'put back',
  'wasted',
] as const;
export type Move = (typeof MOVES)[number];

/** One line of a log: written once, never changed. */
export interface LogLine {
  readonly id: string;
  /** When it was written down, ISO 8601. */
  readonly at: string;
  readonly move: Move;
  /** In the thing's own unit, never negative; of a count: as much as is there. */
  readonly amount: number;
  /** For which job, or by which; null where for none. */
  readonly jobId: string | null;
  /** The step that took it; null where it was written by hand. */
  readonly taskId: string | null;
  /** What all of it cost, in the house's money; null where nobody said. */
  readonly price: number | null;
  readonly batch: string;
  readonly who: string;
  readonly note: string;
}

/** A line of what lies in a drawer. */
export interface Movement extends LogLine {
  readonly thingId: string;
}

/** What can happen to a pot: it is put by for nobody, any job may have of it. */
export const POT_MOVES = [
  'bought',
  'made',
  'counted',
  'taken',
  'put back',
  'wasted',
] as const satisfies readonly Move[];

/** A line of a pot of paint, in ml. */
export interface PotMovement extends LogLine {
  readonly potId: string;
  readonly move: (typeof POT_MOVES)[number];
  /** What was logged when it was moved: a coat, a step of a mix, the mix itself, a line of an order; null where it was written by hand. */
  readonly actId: string | null;
}
