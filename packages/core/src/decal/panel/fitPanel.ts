import type { Reading } from '../../fit/reading.ts';
import type { Point } from '../../model/plane.ts';
import { normalCdf } from '../../numeric/normal.ts';

/** How far off its middle a decal comes to lie, one direction, mm (planning estimate for a steady hand). */
const USUAL_PLACING_SD = 0.25;
/** Paint that should be seen round it, mm (planning estimate). */
const USUAL_MARGIN = 0.5;
/** A size that holds its margins so often is called sure. */
const SURE = 0.95;
/** Below this it does not fit: more often than not a margin is lost. */
const HARDLY = 0.5;

export interface Size {
  readonly widthMm: number;
  readonly heightMm: number;
}

export interface Panel {
  readonly width: Reading;
  readonly height: Reading;
}

/** How a decal is placed: how much of the panel must show round it, and how well it is centred. */
export interface Placing {
  readonly marginMm: number;
  readonly sd: number;
}

export const USUAL_PLACING: Placing = { marginMm: USUAL_MARGIN, sd: USUAL_PLACING_SD };

export interface Margins {
  readonly left: Reading;
  readonly right: Reading;
  readonly above: Reading;
  readonly below: Reading;
}

export interface PanelFit {
  readonly verdict: 'fits' | 'tight' | 'does not fit';
  /** That all four margins hold. */
  readonly chance: number;
  /** Paint that shows on each side, with the spread of measuring and placing. */
  readonly margins: Margins;
  /** Bigger than the room within the margins, mm; 0 where it is not. */
  readonly tooWide: number;
  readonly tooHigh: number;
  /** Of its present size, so that the margins hold for sure; null where none does, the panel is too small or not known well enough. */
  readonly largestScale: number | null;
}

/** Whether a decal fits a panel when its middle is laid so far right of and below the panel's, mm. */
export function fitPanel(
  size: Size,
  panel: Panel,
  placing: Placing = USUAL_PLACING,
  off: Point = { x: 0, y: 0 },
): PanelFit {
  const chanceAt = (scale: number) =>
    chanceOfBoth(panel.width, scale * size.widthMm, placing, off.x) *
    chanceOfBoth(panel.height, scale * size.heightMm, placing, off.y);
  const chance = chanceAt(1);
  const marginOf = ({ mm, sd }: Reading, own: number, nearer: number): Reading => ({
    mm: (mm - own) / 2 + nearer,
    sd: Math.hypot(sd / 2, placing.sd),
  });
  const over = ({ mm }: Reading, own: number) => Math.max(0, own - (mm - 2 * placing.marginMm));
  return {
    verdict: chance >= SURE ? 'fits' : chance >= HARDLY ? 'tight' : 'does not fit',
    chance,
    margins: {
      left: marginOf(panel.width, size.widthMm, off.x),
      right: marginOf(panel.width, size.widthMm, -off.x),
      above: marginOf(panel.height, size.heightMm, off.y),
      below: marginOf(panel.height, size.heightMm, -off.y),
    },
    tooWide: over(panel.width, size.widthMm),
    tooHigh: over(panel.height, size.heightMm),
    largestScale: findLargest(chanceAt),
  };
}

/** As high or as wide as its panel within this, mm: most likely it is meant to fill it. */
const FILLS_MM = 0.3;

/** Whether a decal is as high, or as wide, as its panel: a band that it fills shows no paint there, and its margin is none. */
export const fillsPanel = ({ widthMm, heightMm }: Size, { width, height }: Panel): boolean =>
  Math.abs(width.mm - widthMm) <= FILLS_MM || Math.abs(height.mm - heightMm) <= FILLS_MM;

/** Halvings until a scale is known to a hundred-thousandth. */
const HALVINGS = 30;

function findLargest(chanceAt: (scale: number) => number): number | null {
  let [least, most] = [0, 1];
  while (chanceAt(most) >= SURE && most < 1e3) [least, most] = [most, 2 * most];
  for (let i = 0; i < HALVINGS; i++) {
    const middle = (least + most) / 2;
    if (chanceAt(middle) >= SURE) least = middle;
    else most = middle;
  }
  return least > 1e-3 ? least : null;
}

const LINES = 240;
const REACH = 6;

/**
 * That both margins of one direction hold: half of what is spare is normal by the panel, the place by the hand, and the hand may err so
 * far to either side. Integrated over the panel (midpoints); asking each side alone would call 95 % what holds 90.
 */
function chanceOfBoth({ mm, sd }: Reading, own: number, placing: Placing, off: number): number {
  const [middle, spread] = [(mm - own) / 2 - placing.marginMm, sd / 2];
  const held = (spare: number) =>
    spare < 0
      ? 0
      : placing.sd > 0
        ? normalCdf((spare - off) / placing.sd) - normalCdf((-spare - off) / placing.sd)
        : Number(Math.abs(off) <= spare);
  if (spread === 0) return held(middle);
  let sum = 0;
  let weights = 0;
  for (let i = 0; i < LINES; i++) {
    const z = -REACH + ((i + 0.5) * 2 * REACH) / LINES;
    const weight = Math.exp((-z * z) / 2);
    sum += weight * held(middle + z * spread);
    weights += weight;
  }
  return sum / weights;
}
