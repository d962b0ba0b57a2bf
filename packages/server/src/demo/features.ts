import { convertHexToLab, type Feature, type FeatureState, type StateColour } from '@sardonyx/core';

/** A state as written here: key, label, years used over the whole range, what it is taken for, colour. */
type StateNote = readonly [
  key: string,
  label: string,
  from?: number | null,
  to?: number | null,
  lookAlikes?: readonly string[],
  colourHex?: string,
];

type FeatureNote = Omit<Feature, 'id' | 'version' | 'rangeId'> & { readonly states: readonly StateNote[] };

const feature = (
  key: string,
  label: string,
  howToLook: string,
  partRole: Feature['partRole'],
  effort: number,
  group: Feature['group'],
  states: readonly StateNote[],
  destroys = '',
): FeatureNote => ({ key, label, howToLook, partRole, effort, destroys, group, states });

const OSTREL_COLOURS: readonly StateNote[] = [
  ['cream', 'Cream', null, null, ['chalk', 'sand'], '#e6d9b4'],
  ['chalk', 'Chalk white', 1958, null, ['cream'], '#e9e7df'],
  ['slate', 'Slate blue', null, 1972, ['harbour'], '#4d6378'],
  ['harbour', 'Harbour blue', 1961, null, ['slate'], '#2f5d86'],
  ['signal', 'Signal red', null, null, ['maroon', 'orange'], '#b0302a'],
  ['maroon', 'Maroon', null, 1965, ['signal'], '#6a2330'],
  ['green', 'Deep green', null, null, ['olive'], '#2f5a3c'],
  ['olive', 'Olive drab', 1955, 1969, ['green'], '#5f6038'],
  ['ochre', 'Works ochre', null, 1968, ['sand', 'orange'], '#c08a2c'],
  ['orange', 'Beacon orange', 1963, null, ['signal', 'ochre'], '#d2622a'],
  ['sand', 'Sand', 1960, null, ['cream', 'ochre'], '#c9b07c'],
  ['grey', 'Dock grey', null, null, ['slate'], '#83888a'],
];

const sheltered = (colours: readonly StateNote[]) =>
  feature(
    'sheltered-colour',
    'Colour in sheltered places',
    'Inside the wheel arches, under the seat, behind the base: use a small torch.',
    'body',
    4,
    'sheltered coat',
    colours,
  );

/** The only look that destroys something: it comes after every harmless one. */
const cutWindow = (colours: readonly StateNote[]) =>
  feature(
    'under-colour',
    'First coat in a cut window',
    'Through all coats with a scalpel, 2 mm wide, at a place that will not show; read the lowest one under a magnifier.',
    'body',
    8,
    'sheltered coat',
    colours,
    'a spot of the paint, 2 mm wide',
  );

const OSTREL: readonly FeatureNote[] = [
  feature(
    'body-colour',
    'Body colour',
    'Compare a clean flat face with daylight from the side.',
    'body',
    1,
    'outer coat',
    OSTREL_COLOURS,
  ),
  sheltered(OSTREL_COLOURS),
  cutWindow(OSTREL_COLOURS),
  feature(
    'wheel-type',
    'Wheels',
    'Look at the face and the tread; a magnifier shows the casting mark of metal wheels.',
    'wheel',
    1,
    'wheels',
    [
      ['metal', 'Cast metal', null, 1961],
      ['grey', 'Grey plastic', 1960.5, 1966.5, ['black']],
      ['black', 'Black plastic', 1965, 1972, ['grey']],
      ['pressed', 'Thin pressed wheel', 1971, null],
    ],
  ),
  feature(
    'axle-ends',
    'Axle ends',
    'Tilt it under the lamp: a dome shines all round, a crimp is flat and rough.',
    'axle',
    2,
    'wheels',
    [
      ['crimped', 'Crimped flat', null, 1962.5],
      ['domed', 'Domed', 1961, 1972, ['pressed']],
      ['pressed', 'Pressed into the hub', 1971, null, ['domed']],
    ],
  ),
  feature(
    'base-text',
    'Lettering on the base',
    'Raking light and a magnifier; count the lines.',
    'base',
    2,
    'base casting',
    [
      ['full', 'Works name in full, two lines', null, 1961, ['frame']],
      ['frame', 'Short name in a frame', 1959, 1970, ['full', 'patent']],
      ['patent', 'Short name and a patent line', 1967, null, ['frame']],
    ],
  ),
  feature(
    'base-finish',
    'Finish of the base',
    'Scratch nothing: look at an edge where it has rubbed.',
    'base',
    1,
    'base coat',
    [
      ['bare', 'Bare metal', null, 1964],
      ['black', 'Painted black', 1957, null],
      ['body', 'Body colour', null, 1960],
    ],
  ),
  feature('glazing-colour', 'Glazing', 'Hold it against white paper.', 'glazing', 1, 'fitted part', [
    ['none', 'No glazing', null, 1963],
    ['clear', 'Clear', 1961, null],
    ['tinted', 'Tinted', 1964, 1971],
  ]),
  feature('grille', 'Grille', 'From the front, against the light.', 'body', 1, 'body casting', [
    ['solid', 'Solid, ribs only', null, 1966],
    ['pierced', 'Pierced', 1962, null],
  ]),
  feature('load-fixing', 'How the loose part is held', 'Look underneath; move it gently.', 'load', 2, 'fitted part', [
    ['cast', 'Cast in one'],
    ['loose', 'Loose, hooked in', null, 1965],
    ['pinned', 'On a pin', 1956, null],
  ]),
  feature('decal', 'Decal', 'Look for an edge in raking light, also where one has been.', 'body', 1, 'decals', [
    ['none', 'None'],
    ['small', 'Small crest', null, 1966, ['large']],
    ['large', 'Large lettering', 1962, null, ['small']],
    ['paper', 'Paper label', 1969, null],
  ]),
];

const BRINDLE_COLOURS: readonly StateNote[] = [
  ['crimson', 'Crimson lake', null, null, ['chocolate'], '#7d2230'],
  ['bottle', 'Bottle green', null, null, [], '#23452f'],
  ['chocolate', 'Chocolate', null, 1936, ['crimson'], '#4c3126'],
  ['cream', 'Old cream', 1932, null, [], '#ddcea2'],
  ['marine', 'Marine blue', 1934, null, [], '#28405f'],
];

const BRINDLE: readonly FeatureNote[] = [
  feature(
    'body-colour',
    'Body colour',
    'Compare a clean flat face with daylight from the side.',
    'body',
    1,
    'outer coat',
    BRINDLE_COLOURS,
  ),
  sheltered(BRINDLE_COLOURS),
  feature('wheel-type', 'Wheels', 'Look through the spokes against the light.', 'wheel', 1, 'wheels', [
    ['spoked', 'Open spokes', null, 1934],
    ['disc', 'Tinplate discs', 1933, null],
  ]),
  feature('base-text', 'Lettering on the base', 'Raking light and a magnifier.', 'base', 2, 'base casting', [
    ['script', 'Name in script', null, 1935],
    ['block', 'Name in block letters', 1934, null],
  ]),
  feature('lamp', 'Lamp bracket', 'Look for a line of solder.', 'trim', 2, 'fitted part', [
    ['soldered', 'Soldered on', null, 1938],
    ['cast', 'Cast with the dash', 1937, null],
  ]),
  feature('decal', 'Lining', 'Look for an edge in raking light.', 'body', 1, 'decals', [
    ['none', 'None'],
    ['lined', 'Transfer lining', 1931, null],
  ]),
];

const KESTROVA_COLOURS: readonly StateNote[] = [
  ['mint', 'Mint', null, 1974, ['ice'], '#a3c7b4'],
  ['ice', 'Ice blue', null, 1978, ['mint'], '#a9c3d4'],
  ['coral', 'Coral', null, 1973, ['tomato'], '#d9785c'],
  ['tomato', 'Tomato red', 1970, null, ['coral'], '#b8372b'],
  ['ivory', 'Ivory', null, null, [], '#e6dfc9'],
  ['moss', 'Moss green', 1972, null, [], '#5c6b3b'],
];

const KESTROVA: readonly FeatureNote[] = [
  feature(
    'body-colour',
    'Body colour',
    'Below the waist line, on a flat face.',
    'body',
    1,
    'outer coat',
    KESTROVA_COLOURS,
  ),
  sheltered(KESTROVA_COLOURS),
  feature('base-text', 'Lettering on the base', 'Raking light and a magnifier.', 'base', 2, 'base casting', [
    ['scale', 'Name and scale', null, 1976],
    ['made', 'Name, scale and country', 1974, null],
  ]),
  feature('glazing-colour', 'Glazing', 'Hold it against white paper.', 'glazing', 1, 'fitted part', [
    ['clear', 'Clear'],
    ['smoke', 'Smoke', 1975, null],
  ]),
  feature('trim-plating', 'Bright trim', 'Plating mirrors the lamp, paint scatters it.', 'trim', 1, 'fitted part', [
    ['plated', 'Vacuum plated', null, 1980],
    ['silver', 'Painted silver', 1978, null],
  ]),
  feature('wheel-type', 'Wheels', 'Look at the hub and whether the tyre comes off.', 'wheel', 1, 'wheels', [
    ['spun', 'Turned hub, rubber tyre', null, 1977],
    ['moulded', 'Moulded in one', 1975, null],
  ]),
  feature('decal', 'Number plate', 'Look for an edge in raking light.', 'body', 1, 'decals', [
    ['paper', 'Paper', null, 1975],
    ['printed', 'Printed', 1974, null],
  ]),
];

const NOTES: Readonly<Record<string, readonly FeatureNote[]>> = {
  'hand-span': OSTREL,
  quayside: BRINDLE,
  'k-series': KESTROVA,
};

export interface RangeFeatures {
  readonly features: readonly Feature[];
  readonly states: readonly FeatureState[];
}

/** What is easily taken for another was measured, on a card of the maker's own colours. */
const asDrawnDown = (colourHex: string): StateColour => ({
  ...{ lab: convertHexToLab(colourHex), sd: [0.3, 0.3, 0.3], geometry: 'gloss left out' },
  ...{ specimenId: null, place: 'sheltered' },
});

/** The features of a range with their states, as rows. */
export function createRangeFeatures(rangeId: string): RangeFeatures {
  const notes = NOTES[rangeId] ?? [];
  const features = notes.map(({ states: _, ...note }): Feature => ({
    ...note,
    id: `${rangeId}.${note.key}`,
    version: 1,
    rangeId,
  }));
  const states = notes.flatMap((note) =>
    note.states.map(([key, label, fromYear = null, toYear = null, lookAlikes = [], colourHex = '']): FeatureState => ({
      id: `${rangeId}.${note.key}.${key}`,
      version: 1,
      featureId: `${rangeId}.${note.key}`,
      key,
      label,
      colourHex: colourHex || null,
      colour: lookAlikes.length > 0 && colourHex ? asDrawnDown(colourHex) : null,
      size: null,
      fromYear,
      toYear,
      lookAlikes,
    })),
  );
  return { features, states };
}
