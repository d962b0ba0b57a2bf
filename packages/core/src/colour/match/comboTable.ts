import { encodeLab } from '../labCurve.ts';
import { BANDS } from '../cieTables.ts';
import { WEIGHTS } from '../colorimetry.ts';
import type { Surface } from '../kubelkaMunk.ts';
import { mayMix, type Shelf } from './shelfOptics.ts';

/** Steps of the table, in logarithms of tinting strength: how much more one paint acts than another. */
const LEVELS = [-4.2, -2.8, -1.4, 0, 1.4, 2.8, 4.2] as const;
export const LEVEL_COUNT = LEVELS.length;
const PAIR_POINTS = LEVELS.length;
const TRIPLE_POINTS = LEVELS.length ** 2;

/** Every pair and triple of a shelf that may be mixed, with its colour at shares even in log tinting strength. */
export interface ComboTable {
  readonly shelf: Shelf;
  readonly surface: Surface;
  /** Paints of each combo, three numbers; the third is -1 for a pair. */
  readonly paints: Int16Array;
  /** Where the points of each combo begin; one number more than there are combos. */
  readonly starts: Uint32Array;
  /** Lab under D65, three numbers a point. */
  readonly labs: Float32Array;
}

/**
 * Builds the table, once a shelf: about a million colours for sixty pots. `onProgress` hears shares of 1; when it says false
 * the building stops and null is returned.
 */
export function buildComboTable(
  shelf: Shelf,
  surface: Surface,
  onProgress: (share: number) => boolean = () => true,
): ComboTable | null {
  const combos = listCombos(shelf);
  const starts = new Uint32Array(combos.length / 3 + 1);
  for (let c = 0; c < combos.length / 3; c++)
    starts[c + 1] = starts[c]! + (combos[3 * c + 2]! < 0 ? PAIR_POINTS : TRIPLE_POINTS);
  const labs = new Float32Array(3 * starts[combos.length / 3]!);
  for (let c = 0; c < combos.length / 3; c++) {
    if (c % 1024 === 0 && !onProgress((3 * c) / combos.length)) return null;
    fillCombo(shelf, surface, combos, c, starts[c]!, labs);
  }
  return { shelf, surface, paints: combos, starts, labs };
}

/** Places on the shelf of the two or three paints of a combo. */
export const idsOf = ({ paints }: ComboTable, combo: number): number[] =>
  [...paints.subarray(3 * combo, 3 * combo + 3)].filter((id) => id >= 0);

/** Shares of a combo at one of its points, summing to 1. */
export function readShares(table: ComboTable, combo: number, point: number): number[] {
  const { shelf } = table;
  const ids = idsOf(table, combo);
  const logs =
    ids.length === 2
      ? [LEVELS[point]!, 0]
      : [LEVELS[Math.floor(point / LEVELS.length)]!, LEVELS[point % LEVELS.length]!, 0];
  const raw = ids.map((id, i) => Math.exp(logs[i]!) / shelf.strength[id]!);
  const sum = raw.reduce((total, one) => total + one, 0);
  return raw.map((one) => one / sum);
}

function listCombos(shelf: Shelf): Int16Array {
  const count = shelf.paints.length;
  const found: number[] = [];
  for (let a = 0; a < count; a++)
    for (let b = a + 1; b < count; b++) {
      if (!mayMix(shelf, [a, b])) continue;
      found.push(a, b, -1);
      for (let c = b + 1; c < count; c++) if (mayMix(shelf, [a, b, c])) found.push(a, b, c);
    }
  return Int16Array.from(found);
}

const { x: wx, y: wy, z: wz, white } = WEIGHTS.D65;

function fillCombo(
  shelf: Shelf,
  surface: Surface,
  combos: Int16Array,
  combo: number,
  start: number,
  labs: Float32Array,
) {
  const { k, s, strength } = shelf;
  const [a, b, c] = [combos[3 * combo]!, combos[3 * combo + 1]!, combos[3 * combo + 2]!];
  const [atA, atB, atC] = [a * BANDS, b * BANDS, Math.max(c, 0) * BANDS];
  const points = c < 0 ? PAIR_POINTS : TRIPLE_POINTS;
  const { k1, k2, hasGloss } = surface;
  const gain = (1 - k1) * (1 - k2);
  const base = hasGloss ? k1 : 0;
  for (let point = 0; point < points; point++) {
    const first = c < 0 ? LEVELS[point]! : LEVELS[Math.floor(point / LEVELS.length)]!;
    const second = c < 0 ? 0 : LEVELS[point % LEVELS.length]!;
    const cA = Math.exp(first) / strength[a]!;
    const cB = Math.exp(second) / strength[b]!;
    const cC = c < 0 ? 0 : 1 / strength[c]!;
    let x = 0;
    let y = 0;
    let z = 0;
    for (let i = 0; i < BANDS; i++) {
      const q =
        (cA * k[atA + i]! + cB * k[atB + i]! + cC * k[atC + i]!) /
        (cA * s[atA + i]! + cB * s[atB + i]! + cC * s[atC + i]!);
      const r = 1 / (1 + q + Math.sqrt(q * q + 2 * q));
      const measured = base + (gain * r) / (1 - k2 * r);
      x += wx[i]! * measured;
      y += wy[i]! * measured;
      z += wz[i]! * measured;
    }
    const [fx, fy, fz] = [encodeLab(x / white[0]), encodeLab(y / white[1]), encodeLab(z / white[2])];
    const at = 3 * (start + point);
    labs[at] = 116 * fy - 16;
    labs[at + 1] = 500 * (fx - fy);
    labs[at + 2] = 200 * (fy - fz);
  }
}
