import { groupBy } from '../groupBy.ts';
import type { CoatTouch } from '../model/coatTouch.ts';
import type { DryingSheet } from '../model/drying.ts';
import type { PaintProduct } from '../model/work.ts';
import type { CoatingLayer } from '../model/workpiece.ts';
import type { StandingCoat } from './answerArea.ts';
import { computeMargins, computeSpans, type Margins } from './computeSpans.ts';
import { createDryingClock, type DryingClock, type RoomReading } from './dryingClock.ts';
import { completeSheet } from './dryingSheet.ts';
import { learnDrying, type TouchedCoat } from './learnDrying.ts';

/** A coat of a product that somebody put on. */
export type LaidCoat = Pick<
  CoatingLayer,
  'id' | 'areaId' | 'seq' | 'productId' | 'appliedAt' | 'tempC' | 'thicknessUm' | 'keyedAt' | 'isMist'
>;

/** What is known of the coats of a bench, and of the room they dry in. */
export interface DryingRows {
  readonly products: readonly Pick<
    PaintProduct,
    'id' | 'binder' | 'dryFilmUm' | 'flashMin' | 'recoatMin' | 'cureMin' | 'minC' | 'drying'
  >[];
  /** Every touch of the bench, with the coats that were touched: other jobs teach, too. */
  readonly touches: readonly CoatTouch[];
  readonly touched: readonly LaidCoat[];
  readonly readings: readonly RoomReading[];
}

type Product = DryingRows['products'][number];

interface DryingProduct {
  readonly product: Product;
  readonly sheet: DryingSheet;
  readonly clocks: { readonly least: DryingClock; readonly most: DryingClock };
  /** Its touched coats by id, over the times of the sheet. */
  readonly coats: ReadonlyMap<string, TouchedCoat>;
}

/** When a coat bears what: of each coat that stands on an area, was put on at a known time and comes out of a known pot. */
export function describeStandingCoats(standing: readonly LaidCoat[], rows: DryingRows): StandingCoat[] {
  const readings = [...rows.readings, ...readRooms(standing), ...readRooms(rows.touched)];
  if (readings.length === 0) return [];
  const clockOf = createClocks(readings);
  const known = new Map<string, DryingProduct>();
  const describe = (id: string): DryingProduct | null => {
    const product = rows.products.find((one) => one.id === id);
    if (!product) return null;
    const own = known.get(id) ?? describeProduct(product, rows, clockOf);
    known.set(id, own);
    return own;
  };
  const usual = new Map<string, Margins>();
  const marginsOf = ({ product, coats }: DryingProduct, layerId: string): Margins => {
    const own = coats.get(layerId);
    const others = () =>
      learnDrying(
        1,
        [...coats].flatMap(([id, coat]) => (id === layerId ? [] : [coat])),
      );
    if (own) return computeMargins(others(), own);
    const margins = usual.get(product.id) ?? (coats.size === 0 ? untaughtMargins() : computeMargins(others()));
    usual.set(product.id, margins);
    return margins;
  };
  return standing.flatMap((layer) => {
    const paint = layer.productId === null ? null : describe(layer.productId);
    if (!paint || layer.appliedAt === null) return [];
    const above = standing.filter(({ areaId, seq }) => areaId === layer.areaId && seq > layer.seq);
    const covered = above.flatMap(({ appliedAt }) => (appliedAt === null ? [] : [Date.parse(appliedAt)]));
    const spans = computeSpans({
      appliedAt: Date.parse(layer.appliedAt),
      coveredAt: covered.length ? Math.min(...covered) : null,
      // A mist coat is as thin as it should be.
      filmShare: layer.isMist ? 1 : layer.thicknessUm / paint.product.dryFilmUm,
      sheet: layer.isMist ? sheetOfMist(paint) : paint.sheet,
      margins: marginsOf(paint, layer.id),
      keyedAt: layer.keyedAt === null ? null : Date.parse(layer.keyedAt),
      clocks: paint.clocks,
    });
    return [{ layerId: layer.id, spans }];
  });
}

/** Of a paint that nobody touched: the same for all of them, and asked at every read of the bench. */
function untaughtMargins(): Margins {
  untaught ??= computeMargins(learnDrying(1, []));
  return untaught;
}
let untaught: Margins | undefined;

/** The wet coat follows a mist as soon as it no longer looks wet. */
function sheetOfMist({ product, sheet }: DryingProduct): DryingSheet {
  const [first, ...later] = sheet.spans.recoat;
  const flashed = { fromMin: Math.min(product.flashMin, first!.fromMin), toMin: first!.toMin };
  return { ...sheet, spans: { ...sheet.spans, recoat: [flashed, ...later] } };
}

/** Whoever logged a coat read the room. */
const readRooms = (coats: readonly LaidCoat[]): RoomReading[] =>
  coats.flatMap(({ appliedAt, tempC }) =>
    appliedAt === null || tempC === null ? [] : [{ at: Date.parse(appliedAt), tempC, humidity: null }],
  );

/** Products of one law share their clocks. */
function createClocks(readings: readonly RoomReading[]) {
  const clocks = new Map<string, DryingProduct['clocks']>();
  return ({ binder, minC }: Product, { refC }: DryingSheet): DryingProduct['clocks'] => {
    const law = { refC, minC, isWaterBorne: binder === 'acrylic' };
    const name = JSON.stringify(law);
    const own = clocks.get(name) ?? {
      least: createDryingClock(readings, law, 'least'),
      most: createDryingClock(readings, law, 'most'),
    };
    clocks.set(name, own);
    return own;
  };
}

function describeProduct(
  product: Product,
  { touches, touched }: DryingRows,
  clocksOf: ReturnType<typeof createClocks>,
): DryingProduct {
  const sheet = product.drying ?? completeSheet(product);
  const clocks = clocksOf(product, sheet);
  const own = touched.filter((coat) => coat.productId === product.id && coat.appliedAt !== null);
  const byCoat = groupBy(touches, ({ layerId }) => layerId);
  return {
    ...{ product, sheet, clocks },
    coats: new Map(
      own.map((coat) => [coat.id, readTouches(Date.parse(coat.appliedAt!), byCoat.get(coat.id) ?? [], sheet, clocks)]),
    ),
  };
}

/** The careful side of both: what was not ready had dried at the least, what was ready at the most. */
function readTouches(
  appliedAt: number,
  touches: readonly CoatTouch[],
  sheet: DryingSheet,
  { least, most }: DryingProduct['clocks'],
): TouchedCoat {
  const shareOf = (touch: CoatTouch, clock: DryingClock) => {
    // A second window is the one in which the film is dry.
    const usual = sheet.spans[touch.test].at(-1)!.fromMin;
    return usual > 0 ? clock.dried(appliedAt, Date.parse(touch.at)) / usual : 0;
  };
  const notYet = touches.filter(({ isReady }) => !isReady).map((touch) => shareOf(touch, least));
  const ready = touches.filter(({ isReady }) => isReady).map((touch) => shareOf(touch, most));
  return { notYetMin: Math.max(0, ...notYet), readyMin: ready.length ? Math.min(...ready) : null };
}
