import { SCHOOL_KEYS, SCHOOL_OPTIONS, type Decisions, type SchoolKey, type SchoolOption } from '../model/school.ts';

/** A question on which good restorers disagree, with the usual answer. */
export interface School<Key extends SchoolKey = SchoolKey> {
  readonly key: Key;
  readonly question: string;
  readonly options: readonly SchoolOption<Key>[];
  readonly defaultOption: SchoolOption<Key>;
  readonly defaultReason: string;
  /** What each answer gains and costs, in one line. */
  readonly tradeOff: string;
}

type SchoolTexts = Pick<School, 'question' | 'defaultReason' | 'tradeOff'>;

const TEXTS: Readonly<Record<SchoolKey, SchoolTexts>> = {
  S1: {
    question: 'Parting lines and casting marks',
    defaultReason: 'They are how the factory left it; metal taken off never comes back.',
    tradeOff: 'Left, they show how it was cast; dressed, the surface is even and metal is gone for good.',
  },
  S2: {
    question: 'Closing the posts',
    defaultReason: 'It can be opened again without loss.',
    tradeOff:
      'A screw opens again; a false rivet looks right and must be broken; never opened keeps it whole and the old paint on.',
  },
  S3: {
    question: 'Opening a rivet',
    defaultReason: 'The pilot finds the centre while the head is whole.',
    tradeOff:
      'A pilot costs six minutes and keeps the centre; a big bit is quick and wanders; a cutter is slow and sure.',
  },
  S4: {
    question: 'Getting axles out',
    defaultReason: 'A sound axle is kept.',
    tradeOff:
      'Grinding keeps the axle; cutting is quick and needs new ones; left on, wheels are masked and paint is never as clean.',
  },
  S5: {
    question: 'Forming axle ends',
    defaultReason: 'A round dome like the factory one, with little shock.',
    tradeOff:
      'A press is gentle and needs the punch; a hammer is at hand and shocks the casting; crimped ends must be annealed; a hub needs no forming, nor does an axle that fits tight.',
  },
  S6: {
    question: 'Putting paint on',
    defaultReason: 'The thinnest coat that still covers.',
    tradeOff:
      'The airbrush lays the thinnest coat and is cleaned for longer than it sprays; a can is quick and thick; powder is hardest and needs an oven.',
  },
  S7: {
    question: 'Brightwork',
    defaultReason: 'Closer to the factory than chrome, dries quickly; only where the issue had it.',
    tradeOff:
      'Chrome ink is bright and soft for days; dull silver is nearer the factory and dry in half an hour; a brush reaches relief.',
  },
  S8: {
    question: 'Order of colours',
    defaultReason: 'Dark hides light, not the other way round.',
    tradeOff:
      'Light first needs the fewest coats; by masking effort saves tape; by covering power suits a strong pale over a weak dark; the cheapest weighs tape, coats and gun against each other, part by part.',
  },
  S9: {
    question: 'Mixing',
    defaultReason: 'A dark overshoot costs a whole new batch.',
    tradeOff:
      'From the light end nothing is wasted; from a shelf colour it is quicker; a third hue saves a pot and greys it.',
  },
  S10: {
    question: 'What to match',
    defaultReason: 'The model left the factory in it.',
    tradeOff:
      'The issue is what the toy was; the real vehicle pleases visitors; nearest stock costs nothing; taste is a custom.',
  },
  S11: {
    question: 'Stripping',
    defaultReason: 'It stays where it is put and works wet.',
    tradeOff:
      'Gel stays put and works wet; a dip reaches every corner; caustic is cheap and eats zinc; grit is fast and takes lettering; mild takes evenings.',
  },
  S12: {
    question: 'Primer',
    defaultReason: 'Relief survives and flaws show.',
    tradeOff:
      'Thin grey shows flaws and keeps relief; white helps weak yellows; thicker smooths and fills lettering; powder wants none.',
  },
  S13: {
    question: 'Clear coat',
    defaultReason: 'Decals lie flat on gloss.',
    tradeOff:
      'Gloss then seal keeps decals flat and safe; sealing alone is less work; matt and semi-gloss even the sheen; none leaves the paint as it is.',
  },
  S14: {
    question: 'Wheels',
    defaultReason: 'Original wheels beat repainted ones.',
    tradeOff:
      'The best of two sets stays original; repainted wheels look new; stain and dip refresh; patina changes nothing.',
  },
  S15: {
    question: 'A broken part',
    defaultReason: 'Same age, same metal, same wear.',
    tradeOff:
      'A donor is the same metal and age; bought is quick; printed fits any shape and needs colour; made takes skill; glued is weakest.',
  },
  S16: {
    question: 'Cracks and gaps',
    defaultReason: 'What must carry is mended differently from what must look right.',
    tradeOff:
      'By load and access each gets its own; glue and powder files; gel hides; filler smooths; resin fills; solder holds on tin and brass only.',
  },
  S17: {
    question: 'Straightening',
    defaultReason: 'Cold zinc cracks.',
    tradeOff: 'Warm zinc gives; cold it cracks, but nothing needs to be bare.',
  },
  S18: {
    question: 'Cleaning plastics',
    defaultReason: 'It harms no plastic.',
    tradeOff:
      'Soap harms nothing and takes no paint; glycol-ether takes paint and needs a test; thinner is for hard plastics only.',
  },
  S19: {
    question: 'Drying',
    defaultReason: 'Nothing can soften.',
    tradeOff:
      'Air is slow and safe for all; a low bake is hard by the end of the evening and only for metal with nothing in it.',
  },
  S20: {
    question: 'Decals',
    defaultReason: 'A folded decal then costs nothing but the second one.',
    tradeOff:
      'Wet pad and a second set forgive a fold; bare paper is quick; setting fluid hugs relief and may attack paint; one set saves money.',
  },
  S21: {
    question: 'Holding the part',
    defaultReason: 'No mark where anyone looks.',
    tradeOff: 'A hidden spot leaves no mark; a pick through the hole turns freely and rubs the bore.',
  },
  S22: {
    question: 'End state',
    defaultReason: 'What most people expect of a restored model.',
    tradeOff: 'As new pleases most; honest wear keeps what happened to it; factory flaws kept tells how it was made.',
  },
  S23: {
    question: 'Cleaning finished models',
    defaultReason: 'Finger marks etch paint; cloth scratches clear parts.',
    tradeOff:
      'Gloves keep salt off; bare hands feel more; a brush never scratches clear parts, a cloth takes more off.',
  },
  S24: {
    question: 'Silver trim and decals',
    defaultReason: 'A slip of the brush wipes off the paint, and would take the decal with it.',
    tradeOff:
      'Trim first, a slip costs nothing; decals first, the silver meets their edge cleanly, and nothing may slip.',
  },
};

export const SCHOOLS: readonly School[] = SCHOOL_KEYS.map((key) => ({
  key,
  ...TEXTS[key],
  options: SCHOOL_OPTIONS[key],
  defaultOption: SCHOOL_OPTIONS[key][0],
}));

const BY_KEY = Object.fromEntries(SCHOOLS.map((school) => [school.key, school])) as Readonly<Record<SchoolKey, School>>;

export const getSchool = (key: SchoolKey): School => BY_KEY[key];

/** The option in force: what was decided, else the usual one. */
export function chooseOption<Key extends SchoolKey>(key: Key, decisions: Decisions): SchoolOption<Key> {
  return (decisions[key] as SchoolOption<Key> | undefined) ?? SCHOOL_OPTIONS[key][0];
}
