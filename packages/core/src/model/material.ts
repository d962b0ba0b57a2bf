/** Soft or brittle when warm, and each stands other liquids. "Hard plastic" is styrene or ABS, nobody knows which. */
export const PLASTICS = [
  'vacuum-plated plastic',
  'clear styrene',
  'hard plastic',
  'ABS',
  'PVC',
  'polyethylene',
  'nylon',
  'acrylic',
  'polycarbonate',
  'acetate or celluloid',
  'unknown plastic',
] as const;

export const MATERIALS = [
  'zinc alloy',
  'pest-suspect zinc',
  'lead alloy',
  'tinplate',
  'steel',
  'plated or unknown wire',
  'aluminium',
  'brass',
  ...PLASTICS,
  'rubber',
  'resin print',
  'paper',
] as const;
export type Material = (typeof MATERIALS)[number];

const METALS: ReadonlySet<Material> = new Set<Material>([
  'zinc alloy',
  'pest-suspect zinc',
  'lead alloy',
  'tinplate',
  'steel',
  'plated or unknown wire',
  'aluminium',
  'brass',
]);

/** Metals carry the casting's own paint; everything else must be out of the way before stripper or heat. */
export function isMetal(material: Material): boolean {
  return METALS.has(material);
}
