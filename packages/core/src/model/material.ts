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
  'copper',
  ...PLASTICS,
  'rubber',
  'resin print',
  'paper',
  'cloth',
  'fibre board',
] as const;
export type Material = (typeof MATERIALS)[number];

/** What matters of a material at the bench, besides what each process does to it (process/processTable.ts). */
export interface MaterialTraits {
  /** Metals carry the casting's own paint; everything else must be out of the way before stripper or heat. */
  readonly isMetal: boolean;
  /** Cast in zinc: it may have pest, wears parting lines, and is primed the day it lies bare. */
  readonly isZinc: boolean;
  /** Its dust or bloom is poison: it is not filed, sanded or blown on. */
  readonly hasPoisonDust: boolean;
  /** Lead: bloom, melts early, gloves. */
  readonly isLead: boolean;
  /** Takes soft solder so that it bears something. */
  readonly takesSolder: boolean;
  /** How it is straightened; null where it is replaced. */
  readonly bends: 'warm' | 'cold' | null;
  /** How its rust is taken off by rubbing; null where it does not rust or nothing is rubbed. */
  readonly rustsOff: 'in a chuck' | 'thin, by hand' | null;
  /** Bare, it may be made red and let cool, so that its ends crimp without cracking. */
  readonly isAnnealed: boolean;
  /** Wears a metal film that caustic takes off. */
  readonly isPlated: boolean;
  /** Old, it breaks when it is flexed. */
  readonly isBrittle: boolean;
  /** Swells or dissolves in water. */
  readonly isKeptDry: boolean;
}

const PLAIN: MaterialTraits = {
  isMetal: false,
  isZinc: false,
  hasPoisonDust: false,
  isLead: false,
  takesSolder: false,
  bends: null,
  rustsOff: null,
  isAnnealed: false,
  isPlated: false,
  isBrittle: false,
  isKeptDry: false,
};
const metal = (traits: Partial<MaterialTraits> = {}): MaterialTraits => ({ ...PLAIN, isMetal: true, ...traits });
const brittle = (traits: Partial<MaterialTraits> = {}): MaterialTraits => ({ ...PLAIN, isBrittle: true, ...traits });

const TRAITS: Readonly<Record<Material, MaterialTraits>> = {
  'zinc alloy': metal({ isZinc: true, bends: 'warm' }),
  'pest-suspect zinc': metal({ isZinc: true }),
  'lead alloy': metal({ isLead: true, hasPoisonDust: true, bends: 'cold' }),
  tinplate: metal({ takesSolder: true, bends: 'cold', rustsOff: 'thin, by hand' }),
  steel: metal({ takesSolder: true, rustsOff: 'in a chuck', isAnnealed: true }),
  'plated or unknown wire': metal({ hasPoisonDust: true }),
  aluminium: metal({ bends: 'cold' }),
  brass: metal({ takesSolder: true, bends: 'cold' }),
  copper: metal({ takesSolder: true, bends: 'cold' }),
  'vacuum-plated plastic': brittle({ isPlated: true }),
  'clear styrene': brittle(),
  'hard plastic': brittle(),
  ABS: brittle(),
  PVC: brittle(),
  polyethylene: brittle(),
  nylon: brittle(),
  acrylic: brittle(),
  polycarbonate: brittle(),
  'acetate or celluloid': brittle(),
  'unknown plastic': brittle(),
  rubber: brittle(),
  'resin print': PLAIN,
  paper: { ...PLAIN, isKeptDry: true },
  cloth: { ...PLAIN, isKeptDry: true },
  'fibre board': { ...PLAIN, isKeptDry: true },
};

export const traitsOf = (material: Material): MaterialTraits => TRAITS[material];

export const isMetal = (material: Material): boolean => TRAITS[material].isMetal;
