/**
 * How a damage is mended: the answers to the school of cracks and gaps, and two that belong to "by load and access": a splint
 * bridges a break, a new piece (found, printed or made) is set in where something is gone.
 */
export const MEND_METHODS = [
  'glue and powder',
  'gel',
  'filler on primer',
  'resin',
  'solder',
  'splint',
  'new piece',
] as const;
export type MendMethod = (typeof MEND_METHODS)[number];
