/** What a part does on a model. */
export const PART_ROLES = [
  'body',
  'base',
  'cab',
  'mechanism',
  'glazing',
  'interior',
  'wheel',
  'tyre',
  'axle',
  'trim',
  'load',
] as const;
export type PartRole = (typeof PART_ROLES)[number];
