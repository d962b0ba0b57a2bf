import { InvalidInputError } from '../model/errors.ts';
import type { SchoolOption } from '../model/school.ts';
import { RINSE_MIN } from './planGunRuns.ts';

/** What a mask's edge lies on. */
export const EDGE_KINDS = ['panel line', 'step', 'open surface'] as const;
export type EdgeKind = (typeof EDGE_KINDS)[number];

/** Minutes and mishaps of a mask's edge (planning estimates). */
const EDGE: Readonly<Record<EdgeKind, { readonly layMinPerCm: number; readonly bleedPerCm: number }>> = {
  'panel line': { layMinPerCm: 0.5, bleedPerCm: 0.003 },
  step: { layMinPerCm: 0.8, bleedPerCm: 0.006 },
  'open surface': { layMinPerCm: 1.2, bleedPerCm: 0.004 },
};
const UNMASK_MIN_PER_CM = 0.15;
/** What is not sprayed is wrapped. */
const WRAP_MIN_PER_CM2 = 0.04;
/** A bleed is rubbed down and touched in. */
const BLEED_MIN = 25;
const COAT_MIN = 5;
/** A light ground of its own under a weak colour. */
const GROUND_COATS = 1;

/** One colour of a part: all of its areas are sprayed together, hidden faces apart from those that are seen. */
export interface ColourField {
  readonly key: string;
  /** The pot: between two fields of one colour the gun stays as it is. */
  readonly colour: string;
  /** Relative luminance, 0 to 1. */
  readonly luminance: number;
  readonly isHidden: boolean;
  readonly areaCm2: number;
  /** Wet coats to hide the primer, or the ground that would be laid for it. */
  readonly coatsOnGround: number;
  /** Wet coats to hide each field of another colour, by key. */
  readonly coatsOn: Readonly<Record<string, number>>;
}

/** Where two colours meet. */
export interface ColourEdge {
  readonly between: readonly [string, string];
  readonly lengthMm: number;
  readonly kind: EdgeKind;
}

export interface ColoursOfPart {
  readonly fields: readonly ColourField[];
  readonly edges: readonly ColourEdge[];
}

/** One colour in its turn, with what it costs. */
export interface ColourStep {
  readonly key: string;
  /** What is masked before it: edges against colours that are on. */
  readonly masks: readonly ColourEdge[];
  readonly coats: number;
  /** It gets a light ground first: that is cheaper than hiding what lies there. */
  readonly hasGround: boolean;
  /** Laying tape, taking it off, wrapping, and what a bleed would cost times its chance. */
  readonly maskMin: number;
  readonly minutes: number;
}

export interface ColourOrder {
  readonly steps: readonly ColourStep[];
  readonly minutes: number;
}

/** More are not weighed against one another. */
export const MOST_COLOURS = 8;

/**
 * The cheapest order of a part's colours, exact: dynamic programming over the colours that are on and the one that came last
 * (M. Held and R. M. Karp, 1962). Hidden faces come before those that are seen. Of two orders of one price the earlier listed
 * colours come first. Throws InvalidInputError for more than MOST_COLOURS.
 *
 * @param begun keys of what is on already, in the order in which it went on
 */
export const orderColours = (part: ColoursOfPart, begun: readonly string[] = []): ColourOrder =>
  findOrder(part, begun, ({ minutes }) => minutes);

function findOrder(part: ColoursOfPart, begun: readonly string[], priceOf: (step: ColourStep) => number): ColourOrder {
  const { fields } = part;
  const n = fields.length;
  if (n > MOST_COLOURS)
    throw new InvalidInputError('too-many-colours', `More than ${MOST_COLOURS} colours are not weighed.`, 'fields', {
      given: n,
    });
  // [set * n + last]
  const cheapest = new Float64Array((1 << n) * n).fill(Infinity);
  const before = new Int8Array((1 << n) * n).fill(-1);
  for (let set = 1; set < 1 << n; set++)
    for (let last = 0; last < n; last++) {
      if (!(set & (1 << last))) continue;
      const rest = set & ~(1 << last);
      const on = fields.filter((_, i) => rest & (1 << i));
      if (!mayFollow(fields[last]!, on, fields, begun)) continue;
      if (rest === 0) {
        cheapest[set * n + last] = priceOf(priceStep(part, [], null, fields[last]!));
        continue;
      }
      for (let previous = 0; previous < n; previous++) {
        if (!(rest & (1 << previous)) || cheapest[rest * n + previous] === Infinity) continue;
        const price = cheapest[rest * n + previous]! + priceOf(priceStep(part, on, fields[previous]!, fields[last]!));
        if (price >= cheapest[set * n + last]! - 1e-9) continue;
        cheapest[set * n + last] = price;
        before[set * n + last] = previous;
      }
    }
  const order: string[] = [];
  let set = (1 << n) - 1;
  let last = fields.reduce((best, _, i) => (cheapest[set * n + i]! < cheapest[set * n + best]! - 1e-9 ? i : best), 0);
  while (set) {
    order.unshift(fields[last]!.key);
    const previous = before[set * n + last]!;
    set &= ~(1 << last);
    last = previous;
  }
  return priceOrder(part, order);
}

/** What an order costs; colours by key. */
export function priceOrder(part: ColoursOfPart, order: readonly string[]): ColourOrder {
  const fields = order.map((key) => part.fields.find((field) => field.key === key)!);
  const steps = fields.map((field, i) => priceStep(part, fields.slice(0, i), fields[i - 1] ?? null, field));
  return { steps, minutes: steps.reduce((sum, step) => sum + step.minutes, 0) };
}

function mayFollow(
  field: ColourField,
  on: readonly ColourField[],
  all: readonly ColourField[],
  begun: readonly string[],
): boolean {
  const turn = begun.indexOf(field.key);
  if (turn >= 0) return on.length === turn && on.every(({ key }) => begun.indexOf(key) < turn && begun.includes(key));
  if (!begun.every((key) => on.some((other) => other.key === key))) return false;
  return field.isHidden
    ? on.every((other) => other.isHidden || begun.includes(other.key))
    : all.every((other) => !other.isHidden || other === field || on.includes(other));
}

/** What is not on yet is not masked: it takes the colour before its own as its ground. */
function priceStep(
  { edges }: ColoursOfPart,
  on: readonly ColourField[],
  previous: ColourField | null,
  field: ColourField,
): ColourStep {
  const isOn = (key: string) => on.some((other) => other.key === key);
  const masks = edges.filter(({ between: [a, b] }) => (a === field.key && isOn(b)) || (b === field.key && isOn(a)));
  const edgeMin = masks.reduce((sum, { lengthMm, kind }) => {
    const { layMinPerCm, bleedPerCm } = EDGE[kind];
    return sum + (lengthMm / 10) * (layMinPerCm + UNMASK_MIN_PER_CM + bleedPerCm * BLEED_MIN);
  }, 0);
  const wrapMin = masks.length ? WRAP_MIN_PER_CM2 * on.reduce((sum, other) => sum + other.areaCm2, 0) : 0;
  const isOther = previous !== null && previous.colour !== field.colour;
  const over = isOther ? (field.coatsOn[previous.key] ?? field.coatsOnGround) : field.coatsOnGround;
  const hasGround = over * COAT_MIN > (field.coatsOnGround + GROUND_COATS) * COAT_MIN + RINSE_MIN;
  const coats = hasGround ? field.coatsOnGround : over;
  const changes = (isOther ? 1 : 0) + (hasGround ? 1 : 0);
  const maskMin = edgeMin + wrapMin;
  const minutes = maskMin + (coats + (hasGround ? GROUND_COATS : 0)) * COAT_MIN + changes * RINSE_MIN;
  return { key: field.key, masks, coats, hasGround, maskMin, minutes };
}

/**
 * The order of a school (S8): the lightest first; whatever is least to mask; what covers worst first, while the ground is still
 * light; or the cheapest of all. Hidden faces come first in any, and what is on already before everything.
 */
export function orderBySchool(
  part: ColoursOfPart,
  school: SchoolOption<'S8'>,
  begun: readonly string[] = [],
): ColourOrder {
  if (school === 'the cheapest') return orderColours(part, begun);
  if (school === 'by masking effort') return findOrder(part, begun, ({ maskMin }) => maskMin);
  const rank = school === 'light to dark' ? sortByLightness : sortByCover;
  const left = part.fields
    .filter(({ key }) => !begun.includes(key))
    .sort((a, b) => Number(b.isHidden) - Number(a.isHidden) || rank(a, b));
  return priceOrder(part, [...begun, ...left.map(({ key }) => key)]);
}

const sortByLightness = (a: ColourField, b: ColourField) => b.luminance - a.luminance;
const sortByCover = (a: ColourField, b: ColourField) => b.coatsOnGround - a.coatsOnGround;
