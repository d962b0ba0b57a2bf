/** A question on which good restorers disagree, with the house default. */
export interface School {
  readonly key: string;
  readonly question: string;
  readonly options: readonly string[];
  readonly defaultOption: string;
  readonly defaultReason: string;
}

const school = (
  key: string,
  question: string,
  defaultOption: string,
  others: readonly string[],
  defaultReason: string,
): School => ({
  key,
  question,
  options: [defaultOption, ...others],
  defaultOption,
  defaultReason,
});

export const SCHOOLS: readonly School[] = [
  school(
    'S1',
    'Parting lines and casting marks',
    'leave as issued',
    ['dress what shows', 'dress all'],
    'They are how the factory left it; metal taken off never comes back.',
  ),
  school(
    'S2',
    'Closing the posts',
    'tapped screw',
    ['glued false rivet', 'one screw and false heads', 're-bent tabs', 'never opened'],
    'It can be opened again without loss.',
  ),
  school(
    'S3',
    'Opening a rivet',
    'pilot first',
    ['big bit first', 'deburring cutter'],
    'The pilot finds the centre while the head is whole.',
  ),
  school(
    'S4',
    'Getting axles out',
    'grind one head',
    ['pull', 'cut through', 'lift out', 'leave and mask'],
    'A sound axle is kept.',
  ),
  school(
    'S5',
    'Forming axle ends',
    'cupped punch in a press',
    ['ground screw in a hand drill', 'hammer on a dimple', 'crimp flat', 'hub hammered on'],
    'A round dome like the factory one, with little shock.',
  ),
  school('S6', 'Putting paint on', 'airbrush', ['spray can', 'powder'], 'The thinnest coat that still covers.'),
  school(
    'S7',
    'Brightwork',
    'dull silver',
    ['chrome ink', 'silver by brush'],
    'Closer to the factory than chrome, dries quickly; only where the issue had it.',
  ),
  school(
    'S8',
    'Order of colours',
    'light to dark',
    ['by masking effort', 'by covering power'],
    'Dark hides light, not the other way round.',
  ),
  school(
    'S9',
    'Mixing',
    'from the light end',
    ['from the nearest shelf colour', 'correcting with a third hue'],
    'A dark overshoot costs a whole new batch.',
  ),
  school(
    'S10',
    'What to match',
    'the issue',
    ['the real vehicle', 'nearest stock', 'taste'],
    'The model left the factory in it.',
  ),
  school(
    'S11',
    'Stripping',
    'gel',
    ['dip', 'caustic', 'blast', 'mild slow'],
    'It stays where it is put and works wet.',
  ),
  school(
    'S12',
    'Primer',
    'thin light grey',
    ['none under powder', 'thin white', 'grey', 'thicker to smooth'],
    'Relief survives and flaws show.',
  ),
  school(
    'S13',
    'Clear coat',
    'gloss then seal after a test',
    ['none', 'matt', 'semi-gloss', 'seal decals'],
    'Decals lie flat on gloss.',
  ),
  school(
    'S14',
    'Wheels',
    'best of two sets',
    ['repaint', 'stain', 'polish dip', 'patina'],
    'Original wheels beat repainted ones.',
  ),
  school('S15', 'A broken part', 'donor', ['buy', 'print', 'make', 'glue'], 'Same age, same metal, same wear.'),
  school(
    'S16',
    'Cracks and gaps',
    'by load and access',
    ['glue and powder', 'gel', 'filler on primer', 'resin', 'solder'],
    'What must carry is mended differently from what must look right.',
  ),
  school('S17', 'Straightening', 'warm under tension', ['cold squeeze'], 'Cold zinc cracks.'),
  school('S18', 'Cleaning plastics', 'soap', ['glycol-ether', 'thinner wipe'], 'It harms no plastic.'),
  school('S19', 'Drying', 'air', ['low bake'], 'Nothing can soften.'),
  school(
    'S20',
    'Decals',
    'wet pad and two sets',
    ['bare paper slide', 'setting fluid', 'one set'],
    'A folded decal then costs nothing but the second one.',
  ),
  school('S21', 'Holding the part', 'hidden spot', ['pick through the axle hole'], 'No mark where anyone looks.'),
  school(
    'S22',
    'End state',
    'as new',
    ['honest wear', 'factory flaws kept'],
    'What most people expect of a restored model.',
  ),
  school(
    'S23',
    'Cleaning finished models',
    'gloves, brush on clear parts',
    ['bare hands', 'cloth on clear parts'],
    'Finger marks etch paint; cloth scratches clear parts.',
  ),
];

/** The option in force: the job's own decision, or the house default. */
export function chooseOption(schoolKey: string, decisions: Readonly<Record<string, string>>): string {
  const found = SCHOOLS.find((candidate) => candidate.key === schoolKey);
  if (!found) throw new Error(`There is no school ${schoolKey}`);
  return decisions[schoolKey] ?? found.defaultOption;
}
