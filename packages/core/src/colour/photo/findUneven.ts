import type { Point } from '../../model/plane.ts';
import type { Field } from './readField.ts';

/**
 * Drawn and rendered cards without any trouble stay within 0.01 on the border and 1.4 times the usual range; a glint that
 * moves a colour by 2 dE00 goes well beyond (bench/colour/tryColours.ts).
 *
 * Brightness of the white border may stray from a smooth light by this share before it is a shadow's edge or a glint.
 */
const BORDER_SHARE = 0.03;
/** So many places of the border that stray are no speck of dirt. */
const BORDER_PLACES_OFF = 3;
/** Brightness inside one field may range over so many times what it does in the others, and over this much more, of 255. */
const FIELD_RANGE = { times: 1.7, more: 4 } as const;
/** A field this far from the card's own value by the fit of the others, dE00, and so many times as far as they are. */
const FIELD_OFF = { de: 5, times: 4 } as const;

export interface LitField {
  readonly field: Field;
  readonly middle: Point;
  /** dE00 from its value by a fit that left it out. */
  readonly heldOut: number;
}

export interface LitBorder {
  readonly middle: Point;
  /** Natural logarithm of its brightness, less that of the smooth light there. */
  readonly off: number;
}

/**
 * Places of the card, mm, that something lies on which is not the lamp's even fall-off: the edge of a hard shadow, a glint on
 * its gloss, a hand. Empty where the card is evenly lit.
 */
export function findUneven(fields: readonly LitField[], border: readonly LitBorder[]): Point[] {
  const ranges = fields.map(({ field }) => field.range).sort((a, b) => a - b);
  const usualRange = ranges[Math.floor(ranges.length / 2)]!;
  const errors = fields.map(({ heldOut }) => heldOut).sort((a, b) => a - b);
  const usualError = errors[Math.floor(errors.length / 2)]!;
  const strange = fields.filter(
    ({ field, heldOut }) =>
      field.range > FIELD_RANGE.times * usualRange + FIELD_RANGE.more ||
      heldOut > Math.max(FIELD_OFF.de, FIELD_OFF.times * usualError),
  );
  const edges = border.filter(({ off }) => Math.abs(off) > BORDER_SHARE);
  return [
    ...strange.map(({ middle }) => middle),
    ...(edges.length >= BORDER_PLACES_OFF ? edges.map(({ middle }) => middle) : []),
  ];
}
