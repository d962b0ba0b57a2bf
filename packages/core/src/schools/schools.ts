/** A question on which good restorers disagree, with the house default. */
export interface School {
  readonly key: string;
  readonly question: string;
  readonly options: readonly string[];
  readonly defaultOption: string;
  readonly defaultReason: string;
  /** What each answer gains and costs, in one line. */
  readonly tradeOff: string;
}

const school = (
  key: string,
  question: string,
  defaultOption: string,
  others: readonly string[],
  defaultReason: string,
  tradeOff: string,
): School => ({
  key,
  question,
  options: [defaultOption, ...others],
  defaultOption,
  defaultReason,
  tradeOff,
});

export const SCHOOLS: readonly School[] = [
  school(
    'S1',
    'Parting lines and casting marks',
    'leave as issued',
    ['dress what shows', 'dress all'],
    'They are how the factory left it; metal taken off never comes back.',
    'Left, they show how it was cast; dressed, the surface is even and metal is gone for good.',
  ),
  school(
    'S2',
    'Closing the posts',
    'tapped screw',
    ['glued false rivet', 'one screw and false heads', 're-bent tabs', 'never opened'],
    'It can be opened again without loss.',
    'A screw opens again; a false rivet looks right and must be broken; never opened keeps it whole and the old paint on.',
  ),
  school(
    'S3',
    'Opening a rivet',
    'pilot first',
    ['big bit first', 'deburring cutter'],
    'The pilot finds the centre while the head is whole.',
    'A pilot costs six minutes and keeps the centre; a big bit is quick and wanders; a cutter is slow and sure.',
  ),
  school(
    'S4',
    'Getting axles out',
    'grind one head',
    ['pull', 'cut through', 'lift out', 'leave and mask'],
    'A sound axle is kept.',
    'Grinding keeps the axle; cutting is quick and needs new ones; left on, wheels are masked and paint is never as clean.',
  ),
  school(
    'S5',
    'Forming axle ends',
    'cupped punch in a press',
    ['ground screw in a hand drill', 'hammer on a dimple', 'crimp flat', 'hub hammered on'],
    'A round dome like the factory one, with little shock.',
    'A press is gentle and needs the punch; a hammer is at hand and shocks the casting; crimped ends must be annealed; a hub needs no forming.',
  ),
  school(
    'S6',
    'Putting paint on',
    'airbrush',
    ['spray can', 'powder'],
    'The thinnest coat that still covers.',
    'The airbrush lays the thinnest coat and is cleaned for longer than it sprays; a can is quick and thick; powder is hardest and needs an oven.',
  ),
  school(
    'S7',
    'Brightwork',
    'dull silver',
    ['chrome ink', 'silver by brush'],
    'Closer to the factory than chrome, dries quickly; only where the issue had it.',
    'Chrome ink is bright and soft for days; dull silver is nearer the factory and dry in half an hour; a brush reaches relief.',
  ),
  school(
    'S8',
    'Order of colours',
    'light to dark',
    ['by masking effort', 'by covering power'],
    'Dark hides light, not the other way round.',
    'Light first needs the fewest coats; by masking effort saves tape; by covering power suits a strong pale over a weak dark.',
  ),
  school(
    'S9',
    'Mixing',
    'from the light end',
    ['from the nearest shelf colour', 'correcting with a third hue'],
    'A dark overshoot costs a whole new batch.',
    'From the light end nothing is wasted; from a shelf colour it is quicker; a third hue saves a pot and greys it.',
  ),
  school(
    'S10',
    'What to match',
    'the issue',
    ['the real vehicle', 'nearest stock', 'taste'],
    'The model left the factory in it.',
    'The issue is what the toy was; the real vehicle pleases visitors; nearest stock costs nothing; taste is a custom.',
  ),
  school(
    'S11',
    'Stripping',
    'gel',
    ['dip', 'caustic', 'blast', 'mild slow'],
    'It stays where it is put and works wet.',
    'Gel stays put and works wet; a dip reaches every corner; caustic is cheap and eats zinc; grit is fast and takes lettering; mild takes evenings.',
  ),
  school(
    'S12',
    'Primer',
    'thin light grey',
    ['none under powder', 'thin white', 'grey', 'thicker to smooth'],
    'Relief survives and flaws show.',
    'Thin grey shows flaws and keeps relief; white helps weak yellows; thicker smooths and fills lettering; powder wants none.',
  ),
  school(
    'S13',
    'Clear coat',
    'gloss then seal after a test',
    ['none', 'matt', 'semi-gloss', 'seal decals'],
    'Decals lie flat on gloss.',
    'Gloss then seal keeps decals flat and safe; sealing alone is less work; matt and semi-gloss even the sheen; none leaves the paint as it is.',
  ),
  school(
    'S14',
    'Wheels',
    'best of two sets',
    ['repaint', 'stain', 'polish dip', 'patina'],
    'Original wheels beat repainted ones.',
    'The best of two sets stays original; repainted wheels look new; stain and dip refresh; patina changes nothing.',
  ),
  school(
    'S15',
    'A broken part',
    'donor',
    ['buy', 'print', 'make', 'glue'],
    'Same age, same metal, same wear.',
    'A donor is the same metal and age; bought is quick; printed fits any shape and needs colour; made takes skill; glued is weakest.',
  ),
  school(
    'S16',
    'Cracks and gaps',
    'by load and access',
    ['glue and powder', 'gel', 'filler on primer', 'resin', 'solder'],
    'What must carry is mended differently from what must look right.',
    'By load and access each gets its own; glue and powder files; gel hides; filler smooths; resin fills; solder holds on tin and brass only.',
  ),
  school(
    'S17',
    'Straightening',
    'warm under tension',
    ['cold squeeze'],
    'Cold zinc cracks.',
    'Warm zinc gives; cold it cracks, but nothing needs to be bare.',
  ),
  school(
    'S18',
    'Cleaning plastics',
    'soap',
    ['glycol-ether', 'thinner wipe'],
    'It harms no plastic.',
    'Soap harms nothing and takes no paint; glycol-ether takes paint and needs a test; thinner is for hard plastics only.',
  ),
  school(
    'S19',
    'Drying',
    'air',
    ['low bake'],
    'Nothing can soften.',
    'Air is slow and safe for all; a low bake is hard by the end of the evening and only for metal with nothing in it.',
  ),
  school(
    'S20',
    'Decals',
    'wet pad and two sets',
    ['bare paper slide', 'setting fluid', 'one set'],
    'A folded decal then costs nothing but the second one.',
    'Wet pad and a second set forgive a fold; bare paper is quick; setting fluid hugs relief and may attack paint; one set saves money.',
  ),
  school(
    'S21',
    'Holding the part',
    'hidden spot',
    ['pick through the axle hole'],
    'No mark where anyone looks.',
    'A hidden spot leaves no mark; a pick through the hole turns freely and rubs the bore.',
  ),
  school(
    'S22',
    'End state',
    'as new',
    ['honest wear', 'factory flaws kept'],
    'What most people expect of a restored model.',
    'As new pleases most; honest wear keeps what happened to it; factory flaws kept tells how it was made.',
  ),
  school(
    'S23',
    'Cleaning finished models',
    'gloves, brush on clear parts',
    ['bare hands', 'cloth on clear parts'],
    'Finger marks etch paint; cloth scratches clear parts.',
    'Gloves keep salt off; bare hands feel more; a brush never scratches clear parts, a cloth takes more off.',
  ),
];

/** The option in force: the job's own decision, or the house default. */
export function chooseOption(schoolKey: string, decisions: Readonly<Record<string, string>>): string {
  const found = SCHOOLS.find((candidate) => candidate.key === schoolKey);
  if (!found) throw new Error(`There is no school ${schoolKey}`);
  return decisions[schoolKey] ?? found.defaultOption;
}
