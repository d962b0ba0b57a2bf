/**
 * Questions on which good restorers disagree, with every answer; the first is the usual one. The keys are those of the
 * needs list; nobody but a developer sees them. What the answers mean stands in schools/schools.ts.
 */
export const SCHOOL_OPTIONS = {
  S1: ['leave as issued', 'dress what shows', 'dress all'],
  S2: ['tapped screw', 'glued false rivet', 'one screw and false heads', 're-bent tabs', 'never opened'],
  S3: ['pilot first', 'big bit first', 'deburring cutter'],
  S4: ['grind one head', 'pull', 'cut through', 'lift out', 'leave and mask'],
  S5: [
    'cupped punch in a press',
    'ground screw in a hand drill',
    'hammer on a dimple',
    'crimp flat',
    'hub hammered on',
    'none, it fits tight',
  ],
  S6: ['airbrush', 'spray can', 'powder'],
  S7: ['dull silver', 'chrome ink', 'silver by brush'],
  S8: ['light to dark', 'by masking effort', 'by covering power', 'the cheapest'],
  S9: ['from the light end', 'from the nearest shelf colour', 'correcting with a third hue'],
  S10: ['the issue', 'the real vehicle', 'nearest stock', 'taste'],
  S11: ['gel', 'dip', 'caustic', 'blast', 'mild slow'],
  S12: ['thin light grey', 'none under powder', 'thin white', 'grey', 'thicker to smooth'],
  S13: ['gloss then seal after a test', 'none', 'matt', 'semi-gloss', 'seal decals'],
  S14: ['best of two sets', 'repaint', 'stain', 'polish dip', 'patina'],
  S15: ['donor', 'buy', 'print', 'make', 'glue'],
  S16: ['by load and access', 'glue and powder', 'gel', 'filler on primer', 'resin', 'solder'],
  S17: ['warm under tension', 'cold squeeze'],
  S18: ['soap', 'glycol-ether', 'thinner wipe'],
  S19: ['air', 'low bake'],
  S20: ['wet pad and two sets', 'bare paper slide', 'setting fluid', 'one set'],
  S21: ['hidden spot', 'pick through the axle hole'],
  S22: ['as new', 'honest wear', 'factory flaws kept'],
  S23: ['gloves, brush on clear parts', 'bare hands', 'cloth on clear parts'],
  S24: ['trim first', 'decals first'],
} as const;

export type SchoolKey = keyof typeof SCHOOL_OPTIONS;
export type SchoolOption<Key extends SchoolKey = SchoolKey> = (typeof SCHOOL_OPTIONS)[Key][number];

/** What the house or a job has answered; what is left out has the usual answer. */
export type Decisions = { readonly [Key in SchoolKey]?: SchoolOption<Key> };

/** A school with one of its own options: a misspelt one does not compile. */
export type SchoolAnswer = {
  readonly [Key in SchoolKey]: { readonly key: Key; readonly option: SchoolOption<Key> };
}[SchoolKey];

export const SCHOOL_KEYS = Object.keys(SCHOOL_OPTIONS) as readonly SchoolKey[];

/** Whether this school has such an answer; what comes from a file or a request is asked before it is believed. */
export function isSchoolOption<Key extends SchoolKey>(key: Key, option: string): option is SchoolOption<Key> {
  return (SCHOOL_OPTIONS[key] as readonly string[] | undefined)?.includes(option) ?? false;
}
