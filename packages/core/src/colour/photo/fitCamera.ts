import { InvalidInputError } from '../../model/errors.ts';
import type { ControlPoint, Point } from '../../model/plane.ts';
import { BENCH_CARD } from '../../photo/benchCard.ts';
import { bendPoint, solveLens, straightenControl, type Lens } from '../../photo/lens.ts';
import type { Picture } from '../../photo/picture.ts';
import { mapPoint, solveHomography, type Homography } from '../../photo/solveHomography.ts';
import { leastSquares } from '../../numeric/leastSquares.ts';
import { listNames } from '../../words/names.ts';
import { convertLabToXyz, convertXyzToLab, type Lab, type Xyz } from '../colorimetry.ts';
import { computeDe00 } from '../difference.ts';
import { DESIGNED_CARD, type CardValues } from './cardValues.ts';
import { BORDER_PLACES, CARD_PATCHES } from './colourCard.ts';
import { findUneven } from './findUneven.ts';
import { readField, trimmedMean, type Channels, type Field } from './readField.ts';

/** From what a camera stored to colour, as fitted on one picture's card. */
export interface CameraFit {
  /** Exponent of each channel that makes the card's greys straight. */
  readonly exponents: readonly number[];
  /** Light over the picture: log intensity as a surface of place (shares of half the diagonal from the middle). */
  readonly light: readonly number[];
  /** Rows from the terms to X, Y, Z. */
  readonly rows: readonly (readonly number[])[];
  readonly model: 'matrix' | 'root polynomial';
  /** dE00 of the card's fields, each left out of the fit that judges it. */
  readonly heldOut: { readonly median: number; readonly p95: number; readonly worst: number };
  /** Root mean square of what is left in each of L*, a*, b*, held out. */
  readonly labSd: Lab;
  readonly size: { readonly width: number; readonly height: number };
}

const FOLDS = 7;
/** A card whose fields do not fit better than this is not believed. */
const WORST_FIT = 4;
/** Beyond this it is no colour card at all, however it is lit. */
const FAR_OFF = 12;

/**
 * Fits a camera on the card in a picture: exponents from its greys, uneven light from its white border, then camera values to
 * XYZ by a 3 x 3 matrix or a root polynomial of degree 2, whichever does better on fields that were held out.
 *
 * Throws InvalidInputError where glare or a hard shadow lies on the card, and where the fields are not the card's: covered, or
 * burnt out.
 * Source: Finlayson, Mackiewicz and Hurlbert, IEEE Transactions on Image Processing 2015.
 */
export function fitCamera(
  picture: Picture,
  control: readonly ControlPoint[],
  card: CardValues = DESIGNED_CARD,
): CameraFit {
  const size = { widthPx: picture.width, heightPx: picture.height };
  const lens = solveLens(control, size);
  const toPicture = solveHomography(
    straightenControl(lens, control).map(({ pixel, mm }) => ({ pixel: mm, mm: pixel })),
  );
  const both = [false, true].map((isTurned) => tryFit(picture, lens, toPicture, card, isTurned));
  const { fit: best, uneven } = both.reduce((a, b) => (b.fit.heldOut.median < a.fit.heldOut.median ? b : a));
  if (uneven.length > 0 && best.heldOut.median < FAR_OFF)
    throw new InvalidInputError(
      'uneven-card',
      `Glare or a hard shadow lies on the card (${sayWhere(uneven)}). Turn the lamp or the card, and take the picture again; no colour was read.`,
      'card',
    );
  if (!(best.heldOut.median < WORST_FIT))
    throw new InvalidInputError(
      'no-fit',
      `The fields between the dots do not look like the colour card's (off by ${best.heldOut.median.toFixed(0)} dE00).`,
      'card',
    );
  return best;
}

/** "at its upper left and lower left" */
function sayWhere(places: readonly Point[]): string {
  const corners = places.map(
    ({ x, y }) => `${y < BENCH_CARD.heightMm / 2 ? 'upper' : 'lower'} ${x < BENCH_CARD.widthMm / 2 ? 'left' : 'right'}`,
  );
  return `at its ${listNames([...new Set(corners)])}`;
}

function tryFit(
  picture: Picture,
  lens: Lens | null,
  toPicture: Homography,
  card: CardValues,
  isTurned: boolean,
): { readonly fit: CameraFit; readonly uneven: readonly Point[] } {
  const place = ({ x, y }: Point): Point => {
    const on = isTurned ? { x: BENCH_CARD.widthMm - x, y: BENCH_CARD.heightMm - y } : { x, y };
    const straight = mapPoint(toPicture, on);
    return lens ? bendPoint(lens, straight) : straight;
  };
  const patches = CARD_PATCHES.map(({ middle }) => readField(picture, place, middle));
  const border = BORDER_PLACES.map((at) => readField(picture, place, at, 0.8));
  // Light and exponents hang on each other: two rounds settle them.
  let exponents: number[] = [1, 1, 1];
  let light: number[] = [0, 0, 0, 0, 0];
  for (let round = 0; round < 3; round++) {
    light = fitLight(border, exponents, picture);
    exponents = fitExponents(patches, card, light, exponents, picture);
  }
  const truths = card;
  const fields = [...patches, averageFields(border, exponents, light, picture)];
  const values = fields.map((field, i) =>
    i === fields.length - 1 ? (field.rgb as Channels) : correct(field, exponents, light, picture),
  );
  const models = (['matrix', 'root polynomial'] as const).map((model) => judgeModel(values, truths, model));
  const best = models.reduce((a, b) => (b.heldOut.median < a.heldOut.median ? b : a));
  const { off, ...fit } = best;
  const uneven = findUneven(
    CARD_PATCHES.map(({ middle }, i) => ({ middle, field: patches[i]!, heldOut: off[i]! })),
    border.map(({ rgb, at }, i) => ({
      middle: BORDER_PLACES[i]!,
      off: logOf(rgb, exponents) - dot(light, lightTerms(at, picture)),
    })),
  );
  return { fit: { exponents, light, ...fit, size: { width: picture.width, height: picture.height } }, uneven };
}

/** Natural logarithm of the brightness of stored channels, made straight. */
const logOf = (rgb: Channels, exponents: readonly number[]): number =>
  rgb.reduce((sum, one, c) => sum + (exponents[c]! * Math.log(Math.max(one, 1e-4))) / 3, 0);

/** Terms of the light: constant, across, down, and falling off both ways. */
function lightTerms({ x, y }: Point, { width, height }: { readonly width: number; readonly height: number }): number[] {
  const half = Math.hypot(width, height) / 2;
  const [u, v] = [(x - width / 2) / half, (y - height / 2) / half];
  return [1, u, v, u * u, v * v];
}

function fitLight(border: readonly Field[], exponents: readonly number[], picture: Picture): number[] {
  const rows = border.map(({ at }) => lightTerms(at, picture));
  const logs = border.map(({ rgb }) => logOf(rgb, exponents));
  const first = leastSquares(rows, logs, []) ?? [0, 0, 0, 0, 0];
  // A shadow or a glint on the border counts less.
  const off = rows.map((row, i) => Math.abs(logs[i]! - dot(first, row)));
  const scale = 1.5 * [...off].sort((a, b) => a - b)[Math.floor(off.length / 2)]! + 1e-4;
  const weights = off.map((one) => 1 / (1 + (one / scale) ** 2));
  return leastSquares(rows, logs, weights) ?? first;
}

/** Exponent of each channel over the greys: log true luminance against log value. */
function fitExponents(
  patches: readonly Field[],
  card: CardValues,
  light: readonly number[],
  before: readonly number[],
  picture: Picture,
): number[] {
  const greys = CARD_PATCHES.flatMap(({ isGrey }, i) => (isGrey ? [{ field: patches[i]!, lab: card[i]! }] : []));
  return before.map((exponent, c) => {
    const rows: number[][] = [];
    const logs: number[] = [];
    for (const { field, lab } of greys) {
      const value = field.rgb[c]!;
      if (value <= 1e-4 || value > 0.98) continue;
      // Light is of the linear scale: taken off through the exponent of the round before.
      const shade = dot(light, lightTerms(field.at, picture)) / exponent;
      rows.push([1, Math.log(value) - shade]);
      logs.push(Math.log(convertLabToXyz(lab)[1] / 100));
    }
    const found = rows.length >= 3 ? leastSquares(rows, logs, []) : null;
    return found && found[1]! > 0.4 && found[1]! < 2.5 ? found[1]! : exponent;
  });
}

/** A camera value as it would be under even light, straight. */
function correct(
  { rgb, at }: Pick<Field, 'rgb' | 'at'>,
  exponents: readonly number[],
  light: readonly number[],
  size: { readonly width: number; readonly height: number },
): Channels {
  const shade = Math.exp(dot(light, lightTerms(at, size)));
  const [r, g, b] = rgb.map((one, c) => Math.max(one, 1e-6) ** exponents[c]! / shade);
  return [r!, g!, b!];
}

function averageFields(border: readonly Field[], exponents: number[], light: number[], picture: Picture): Field {
  const all = border.map((field) => correct(field, exponents, light, picture));
  const [r, g, b] = [0, 1, 2].map((c) => trimmedMean(all.map((one) => one[c]!)));
  return { rgb: [r!, g!, b!], at: { x: 0, y: 0 }, range: 0 };
}

const termsOf = ([r, g, b]: Channels, model: CameraFit['model']): number[] =>
  model === 'matrix' ? [r, g, b] : [r, g, b, Math.sqrt(r * g), Math.sqrt(g * b), Math.sqrt(b * r)];

function fitRows(values: readonly Channels[], truths: readonly Lab[], model: CameraFit['model']): number[][] {
  const terms = values.map((one) => termsOf(one, model));
  const xyz = truths.map((lab) => convertLabToXyz(lab));
  // An error in X, Y or Z weighs as it does in the cube root of Lab.
  return [0, 1, 2].map((c) => {
    const weights = xyz.map((one) => (one[c]! + 1) ** (-4 / 3));
    return leastSquares(
      terms,
      xyz.map((one) => one[c]!),
      weights,
    )!;
  });
}

const convertTerms = (rows: readonly (readonly number[])[], terms: readonly number[]): Lab => {
  const [x, y, z] = rows.map((row) => Math.max(0, dot(row, terms)));
  return convertXyzToLab([x!, y!, z!] as Xyz);
};

function judgeModel(values: readonly Channels[], truths: readonly Lab[], model: CameraFit['model']) {
  /** By field: dE00 from its value by a fit that left it out. */
  const off = values.map(() => 0);
  const squares = [0, 0, 0];
  for (let fold = 0; fold < FOLDS; fold++) {
    // Every seventh field in a shuffled order, so that no fold is all greys.
    const isOut = (i: number) => (i * 4 + Math.floor(i / FOLDS)) % FOLDS === fold;
    const kept = values.map((_, i) => i).filter((i) => !isOut(i));
    const rows = fitRows(
      kept.map((i) => values[i]!),
      kept.map((i) => truths[i]!),
      model,
    );
    values.forEach((value, i) => {
      if (!isOut(i)) return;
      const lab = convertTerms(rows, termsOf(value, model));
      off[i] = computeDe00(truths[i]!, lab);
      lab.forEach((one, c) => (squares[c]! += (one - truths[i]![c]!) ** 2));
    });
  }
  const sorted = [...off].sort((a, b) => a - b);
  const at = (share: number) => sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))]!;
  const labSd = squares.map((one) => Math.sqrt(one / off.length)) as unknown as Lab;
  return {
    ...{ model, off },
    rows: fitRows(values, truths, model),
    heldOut: { median: at(0.5), p95: at(0.95), worst: sorted.at(-1)! },
    labSd,
  };
}

/** Colour of a linear camera value at a place of the picture. */
export function convertCameraToLab(fit: CameraFit, rgb: readonly number[], at: Point): Lab {
  const value = correct({ rgb: rgb as Channels, at }, fit.exponents, fit.light, fit.size);
  return convertTerms(fit.rows, termsOf(value, fit.model));
}

const dot = (a: readonly number[], b: readonly number[]) => a.reduce((sum, one, i) => sum + one * b[i]!, 0);
