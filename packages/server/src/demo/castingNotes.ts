import type { BodyType, Drawing, JointKind, JointTool, Material, PartRole } from '@sardonyx/core';
import * as ostrel from './drawings/ostrelDrawings.ts';
import { drawCoastalSaloon, drawHarbourTram } from './drawings/otherDrawings.ts';

export type PartNote = readonly [
  key: string,
  name: string,
  role: PartRole,
  material: Material,
  count?: number,
  dependentBits?: string,
];

export interface JointNote {
  readonly key: string;
  readonly label: string;
  readonly kind: JointKind;
  readonly parts: readonly string[];
  readonly ways: readonly WayNote[];
}

export type WayNote = readonly [
  label: string,
  tool: JointTool,
  minutes: number,
  risk: number,
  destroys?: string,
  behind?: readonly string[],
];

/** States are written as "feature:state" words; "feature:a/b" means either, evenly. */
export interface VariantNote {
  readonly name: string;
  readonly years: readonly [number, number];
  readonly states: string;
  readonly rarity?: number;
  readonly evidence?: string;
}

export interface CastingNote {
  readonly id: string;
  readonly rangeId: string;
  readonly number: string;
  readonly name: string;
  readonly bodyType: BodyType;
  readonly lengthMm: number;
  readonly wheelbaseMm: number;
  readonly construction: string;
  readonly drawing: Drawing;
  readonly parts: readonly PartNote[];
  readonly joints: readonly JointNote[];
  readonly variants: readonly VariantNote[];
  readonly sources?: readonly (readonly [
    statement: string,
    from: number | null,
    to: number | null,
    origin: string,
    certainty: 'certain' | 'likely' | 'doubtful',
  ])[];
}

const BODY: PartNote = ['body', 'Body', 'body', 'zinc alloy'];
const BASE: PartNote = ['base', 'Base', 'base', 'tinplate'];
const CAST_BASE: PartNote = ['base', 'Base', 'base', 'zinc alloy'];
const AXLES: PartNote = ['axles', 'Axles', 'axle', 'steel', 2];
const WHEELS: PartNote = ['wheels', 'Wheels', 'wheel', 'hard plastic', 4];
const METAL_WHEELS: PartNote = ['wheels', 'Wheels', 'wheel', 'zinc alloy', 4];
const TYRES: PartNote = ['tyres', 'Tyres', 'tyre', 'rubber', 4];
const GLAZING: PartNote = ['glazing', 'Glazing', 'glazing', 'clear styrene'];

/** A rivet post may be drilled (little risk) or ground off (quicker, but sparks and a marked base). */
const post = (key: string, label: string): JointNote => ({
  key,
  label,
  kind: 'rivet post',
  parts: ['body', 'base'],
  ways: [
    ['Drill the head off', 'drill', 10, 0.05, 'the rivet head'],
    ['Grind the head off', 'rotary', 7, 0.18, 'the rivet head, and the base beside it is marked'],
  ],
});

const axles = (behind: readonly string[] = []): JointNote => ({
  key: 'axle-ends',
  label: 'axle ends',
  kind: 'formed axle',
  parts: ['axles', 'wheels'],
  ways: [
    ['Grind one head off each axle', 'rotary', 14, 0.05, 'one head of each axle', behind],
    ['Cut the axles through', 'rotary', 6, 0.1, 'both axles', behind],
  ],
});

const inside = (key: string, label: string, behind: readonly string[], kind: JointKind = 'push fit'): JointNote => ({
  key,
  label,
  kind,
  parts: ['body', key],
  ways: [
    [
      kind === 'glue' ? 'Part the glue' : 'Lift it out',
      'hand',
      kind === 'glue' ? 15 : 3,
      kind === 'glue' ? 0.25 : 0.05,
      '',
      behind,
    ],
  ],
});

const POSTS = [post('front-post', 'front post'), post('rear-post', 'rear post')];
const BEHIND_POSTS = ['front-post', 'rear-post'];

const size = (drawing: Drawing) => ({ drawing, lengthMm: drawing.views[0]!.widthMm });

/** The castings of the demo's jobs, written by hand. */
export const CASTING_NOTES: readonly CastingNote[] = [
  {
    id: 'milk-float',
    rangeId: 'hand-span',
    number: '4/2',
    name: 'Milk Float',
    bodyType: 'lorry',
    wheelbaseMm: 36,
    ...size(ostrel.drawMilkFloat()),
    construction: 'Two posts between the axles; the canopy is held by two bent tabs; the crate rack hooks in.',
    parts: [
      BODY,
      ['canopy', 'Canopy', 'trim', 'tinplate'],
      BASE,
      ['load', 'Crate rack', 'load', 'zinc alloy', 1, 'two hooks'],
      GLAZING,
      WHEELS,
      AXLES,
    ],
    joints: [
      ...POSTS,
      axles(),
      inside('glazing', 'glazing', BEHIND_POSTS),
      {
        key: 'canopy-tabs',
        label: 'canopy tabs',
        kind: 'bent tab',
        parts: ['body', 'canopy'],
        ways: [['Lift the tabs', 'hand', 6, 0.12]],
      },
      {
        key: 'rack-hooks',
        label: 'rack hooks',
        kind: 'snap',
        parts: ['body', 'load'],
        ways: [['Unhook the rack', 'hand', 2, 0.05, '', ['canopy-tabs']]],
      },
    ],
    variants: [
      {
        name: 'First issue, cream',
        years: [1958, 1960],
        states:
          'body-colour:cream sheltered-colour:cream wheel-type:metal axle-ends:crimped base-text:full base-finish:bare glazing-colour:none grille:solid load-fixing:loose decal:none',
        rarity: 4,
        evidence: 'Order book: 3,000 pieces; five known to the museum.',
      },
      {
        name: 'Second issue, cream with crest',
        years: [1960.5, 1963],
        states:
          'body-colour:cream sheltered-colour:cream wheel-type:grey axle-ends:crimped/domed base-text:frame base-finish:black glazing-colour:clear grille:solid load-fixing:loose decal:small',
        rarity: 2,
      },
      {
        name: 'Third issue, harbour blue',
        years: [1963, 1966],
        states:
          'body-colour:harbour sheltered-colour:harbour wheel-type:grey/black axle-ends:domed base-text:frame base-finish:black glazing-colour:clear grille:pierced load-fixing:pinned decal:large',
        rarity: 2,
      },
      {
        name: 'Export, signal red',
        years: [1962, 1964],
        states:
          'body-colour:signal sheltered-colour:signal wheel-type:grey axle-ends:domed base-text:frame base-finish:black glazing-colour:clear grille:solid load-fixing:loose decal:none',
        rarity: 6,
        evidence: 'One trade list of spring 1962; two known.',
      },
    ],
    sources: [
      ['Cream float with crest shown', 1960, 1960, 'Works trade list, autumn 1960', 'certain'],
      [
        '"New wheels all round" for the float',
        1962,
        1962,
        'Letter of a shopkeeper, undated, quoted from memory',
        'doubtful',
      ],
    ],
  },
  {
    id: 'road-sweeper',
    rangeId: 'hand-span',
    number: '11/1',
    name: 'Road Sweeper',
    bodyType: 'tanker',
    wheelbaseMm: 38,
    ...size(ostrel.drawRoadSweeper()),
    construction: 'Two posts; hopper on a peened hinge pin; the tank is cast in halves and glued at the works.',
    parts: [
      BODY,
      CAST_BASE,
      ['hopper', 'Hopper', 'mechanism', 'zinc alloy', 1, 'hinge pin'],
      ['tank', 'Water tank', 'load', 'zinc alloy'],
      ['brush', 'Brush drum', 'mechanism', 'hard plastic'],
      ['hose', 'Hose', 'trim', 'rubber'],
      GLAZING,
      WHEELS,
      TYRES,
      AXLES,
    ],
    joints: [
      ...POSTS,
      axles(),
      inside('glazing', 'glazing', BEHIND_POSTS),
      {
        key: 'hopper-pin',
        label: 'hopper hinge',
        kind: 'peened pin',
        parts: ['body', 'hopper'],
        ways: [['Drill the pin', 'drill', 12, 0.12, 'the hinge pin']],
      },
      {
        key: 'tank-seat',
        label: 'tank seat',
        kind: 'push fit',
        parts: ['body', 'tank'],
        ways: [['Lift the tank out', 'hand', 3, 0.08, '', BEHIND_POSTS]],
      },
      {
        key: 'brush-axle',
        label: 'brush bearings',
        kind: 'snap',
        parts: ['base', 'brush'],
        ways: [['Ease the drum out', 'hand', 4, 0.15]],
      },
      {
        key: 'hose-end',
        label: 'hose end',
        kind: 'push fit',
        parts: ['tank', 'hose'],
        ways: [['Pull the hose off', 'hand', 2, 0.2]],
      },
    ],
    variants: [
      {
        name: 'Short hose, works ochre',
        years: [1961, 1961.5],
        states:
          'body-colour:ochre sheltered-colour:ochre wheel-type:grey axle-ends:domed base-text:frame base-finish:bare glazing-colour:none grille:solid load-fixing:pinned decal:none',
        rarity: 8,
        evidence: 'The first tool ran four months; three known, one of them repainted.',
      },
      {
        name: 'Long hose, works ochre',
        years: [1961.75, 1965],
        states:
          'body-colour:ochre sheltered-colour:ochre wheel-type:grey axle-ends:domed base-text:frame base-finish:black glazing-colour:clear grille:solid load-fixing:pinned decal:small',
        rarity: 1,
      },
      {
        name: 'Long hose, beacon orange',
        years: [1965, 1969],
        states:
          'body-colour:orange sheltered-colour:orange wheel-type:black axle-ends:domed base-text:frame/patent base-finish:black glazing-colour:clear/tinted grille:pierced load-fixing:pinned decal:large',
        rarity: 1,
      },
    ],
  },
  {
    id: 'mobile-library',
    rangeId: 'hand-span',
    number: '15/3',
    name: 'Mobile Library',
    bodyType: 'bus',
    wheelbaseMm: 43,
    ...size(ostrel.drawMobileLibrary()),
    construction:
      'Two posts; shelves and glazing drop in from below; the flap hangs on two lugs caught by the glazing.',
    parts: [
      BODY,
      BASE,
      ['flap', 'Drop-flap', 'mechanism', 'zinc alloy', 1, 'two lugs'],
      GLAZING,
      ['interior', 'Shelves', 'interior', 'hard plastic'],
      ['step', 'Rear step', 'trim', 'zinc alloy'],
      WHEELS,
      TYRES,
      AXLES,
    ],
    joints: [
      ...POSTS,
      axles(),
      inside('glazing', 'glazing', [...BEHIND_POSTS, 'interior']),
      inside('interior', 'shelves', BEHIND_POSTS),
      {
        key: 'flap-lugs',
        label: 'flap lugs',
        kind: 'snap',
        parts: ['body', 'flap'],
        ways: [['Swing the flap out', 'hand', 3, 0.1, '', ['glazing']]],
      },
    ],
    variants: [
      {
        name: 'Slate blue, waistband',
        years: [1964, 1967],
        states:
          'body-colour:slate sheltered-colour:slate wheel-type:grey/black axle-ends:domed base-text:frame base-finish:black glazing-colour:clear grille:pierced load-fixing:pinned decal:large',
        rarity: 3,
      },
      {
        name: 'Deep green, waistband',
        years: [1966, 1969],
        states:
          'body-colour:green sheltered-colour:green wheel-type:black axle-ends:domed base-text:frame base-finish:black glazing-colour:clear grille:pierced load-fixing:pinned decal:large',
        rarity: 2,
      },
      {
        name: 'Cream, paper labels',
        years: [1969, 1972],
        states:
          'body-colour:cream sheltered-colour:cream wheel-type:black/pressed axle-ends:domed/pressed base-text:patent base-finish:black glazing-colour:tinted grille:pierced load-fixing:pinned decal:paper',
        rarity: 1,
      },
    ],
  },
  {
    id: 'clay-dumper',
    rangeId: 'hand-span',
    number: '19/1',
    name: 'Clay-pit Dumper',
    bodyType: 'tractor',
    wheelbaseMm: 30,
    ...size(ostrel.drawClayPitDumper()),
    construction:
      'One post under the seat, one at the rear; the skip tips on a sprung pin; cleated tyres on metal wheels.',
    parts: [
      BODY,
      CAST_BASE,
      ['skip', 'Tipping skip', 'mechanism', 'zinc alloy'],
      ['pin', 'Tipping pin', 'trim', 'steel', 1, 'spring'],
      ['spring', 'Spring', 'trim', 'steel'],
      ['seat', 'Seat', 'interior', 'hard plastic'],
      ['steering', 'Steering wheel', 'trim', 'brass'],
      METAL_WHEELS,
      TYRES,
      AXLES,
    ],
    joints: [
      ...POSTS,
      axles(),
      {
        key: 'skip-pin',
        label: 'skip pin',
        kind: 'sprung pin',
        parts: ['base', 'skip', 'pin'],
        ways: [['Hold the spring, push the pin out', 'hand', 6, 0.08]],
      },
      {
        key: 'seat-peg',
        label: 'seat peg',
        kind: 'push fit',
        parts: ['body', 'seat'],
        ways: [['Push the seat up from below', 'hand', 3, 0.15, '', BEHIND_POSTS]],
      },
      {
        key: 'tyres',
        label: 'tyres',
        kind: 'push fit',
        parts: ['wheels', 'tyres'],
        ways: [['Roll the tyres off', 'hand', 4, 0.1]],
      },
    ],
    variants: [
      {
        name: 'Works ochre, plain skip',
        years: [1957, 1960],
        states:
          'body-colour:ochre sheltered-colour:ochre wheel-type:metal axle-ends:crimped base-text:full base-finish:body grille:solid load-fixing:pinned decal:none',
        rarity: 3,
        evidence: 'Order book: 4,200 pieces.',
      },
      {
        name: 'Works ochre, ribbed skip',
        years: [1959.5, 1962],
        states:
          'body-colour:ochre sheltered-colour:ochre wheel-type:metal axle-ends:crimped/domed base-text:frame base-finish:black grille:solid load-fixing:pinned decal:small',
        rarity: 2,
      },
      {
        name: 'Beacon orange',
        years: [1963, 1967],
        states:
          'body-colour:orange sheltered-colour:orange wheel-type:grey/black axle-ends:domed base-text:frame base-finish:black grille:pierced load-fixing:pinned decal:small',
        rarity: 2,
      },
      {
        name: 'Dock grey, contractor',
        years: [1960, 1961],
        states:
          'body-colour:grey sheltered-colour:grey wheel-type:metal axle-ends:domed base-text:frame base-finish:bare grille:solid load-fixing:pinned decal:large',
        rarity: 7,
        evidence: 'A promotional order of 500; two known.',
      },
    ],
    sources: [['Dumper listed as new', 1957, 1957, 'Works trade list, spring 1957', 'certain']],
  },
  {
    id: 'horse-box',
    rangeId: 'hand-span',
    number: '22/2',
    name: 'Horse Box',
    bodyType: 'van',
    wheelbaseMm: 40,
    ...size(ostrel.drawHorseBox()),
    construction: 'Two posts; the ramp swings on a peened pin through the body.',
    parts: [BODY, BASE, ['ramp', 'Ramp', 'mechanism', 'zinc alloy', 1, 'hinge pin'], GLAZING, WHEELS, TYRES, AXLES],
    joints: [
      ...POSTS,
      axles(),
      inside('glazing', 'glazing', BEHIND_POSTS),
      {
        key: 'ramp-pin',
        label: 'ramp pin',
        kind: 'peened pin',
        parts: ['body', 'ramp'],
        ways: [
          ['Drill the pin', 'drill', 12, 0.12, 'the ramp pin'],
          ['File the peened end and push', 'hand', 20, 0.06, 'one end of the pin'],
        ],
      },
    ],
    variants: [
      {
        name: 'Maroon',
        years: [1960, 1963],
        states:
          'body-colour:maroon sheltered-colour:maroon wheel-type:grey axle-ends:crimped/domed base-text:frame base-finish:black glazing-colour:clear grille:solid load-fixing:pinned decal:none',
        rarity: 2,
      },
      {
        name: 'Deep green',
        years: [1962.5, 1966],
        states:
          'body-colour:green sheltered-colour:green wheel-type:grey/black axle-ends:domed base-text:frame base-finish:black glazing-colour:clear grille:pierced load-fixing:pinned decal:small',
        rarity: 1,
      },
      {
        name: 'Sand, stud crest',
        years: [1966, 1970],
        states:
          'body-colour:sand sheltered-colour:sand wheel-type:black axle-ends:domed base-text:patent base-finish:black glazing-colour:tinted grille:pierced load-fixing:pinned decal:large',
        rarity: 2,
      },
    ],
  },
  {
    id: 'snowplough',
    rangeId: 'hand-span',
    number: '27/1',
    name: 'Snowplough',
    bodyType: 'lorry',
    wheelbaseMm: 36,
    ...size(ostrel.drawSnowplough()),
    construction: 'No rivet: four tabs of the base fold over lugs; the blade hangs on two bent ears.',
    parts: [
      BODY,
      BASE,
      ['blade', 'Blade', 'mechanism', 'zinc alloy'],
      ['load', 'Grit body', 'load', 'zinc alloy'],
      GLAZING,
      WHEELS,
      TYRES,
      AXLES,
    ],
    joints: [
      axles(),
      {
        key: 'front-tabs',
        label: 'front tabs',
        kind: 'bent tab',
        parts: ['body', 'base'],
        ways: [['Lift the tabs', 'hand', 6, 0.1]],
      },
      {
        key: 'rear-tabs',
        label: 'rear tabs',
        kind: 'bent tab',
        parts: ['body', 'base'],
        ways: [['Lift the tabs', 'hand', 6, 0.1]],
      },
      {
        key: 'blade-ears',
        label: 'blade ears',
        kind: 'bent tab',
        parts: ['base', 'blade'],
        ways: [['Flex the ears', 'hand', 5, 0.12]],
      },
      {
        key: 'load',
        label: 'grit body',
        kind: 'push fit',
        parts: ['body', 'load'],
        ways: [['Push the grit body up', 'hand', 3, 0.05, '', ['front-tabs', 'rear-tabs']]],
      },
      inside('glazing', 'glazing', ['front-tabs', 'rear-tabs']),
    ],
    variants: [
      {
        name: 'Ochre and black chevrons',
        years: [1962, 1966],
        states:
          'body-colour:ochre sheltered-colour:ochre wheel-type:grey axle-ends:domed base-text:frame base-finish:black glazing-colour:clear grille:solid load-fixing:loose decal:none',
        rarity: 2,
      },
      {
        name: 'Orange and white chevrons',
        years: [1965, 1971],
        states:
          'body-colour:orange sheltered-colour:orange wheel-type:black axle-ends:domed base-text:frame/patent base-finish:black glazing-colour:clear/tinted grille:pierced load-fixing:pinned decal:none',
        rarity: 1,
      },
    ],
  },
  {
    id: 'baggage-tug',
    rangeId: 'hand-span',
    number: '31/1',
    name: 'Baggage Tug',
    bodyType: 'tractor',
    wheelbaseMm: 26,
    ...size(ostrel.drawBaggageTug()),
    construction: 'One post under the seat.',
    parts: [
      BODY,
      CAST_BASE,
      ['seat', 'Seat', 'interior', 'hard plastic'],
      ['steering', 'Steering wheel', 'trim', 'brass'],
      METAL_WHEELS,
      AXLES,
    ],
    joints: [
      post('seat-post', 'post under the seat'),
      axles(),
      {
        key: 'seat-peg',
        label: 'seat peg',
        kind: 'push fit',
        parts: ['body', 'seat'],
        ways: [['Push the seat up from below', 'hand', 3, 0.15, '', ['seat-post']]],
      },
    ],
    variants: [
      {
        name: 'Chalk white',
        years: [1959, 1963],
        states:
          'body-colour:chalk sheltered-colour:chalk wheel-type:metal/grey axle-ends:crimped/domed base-text:full/frame base-finish:body grille:solid decal:small',
        rarity: 2,
      },
      {
        name: 'Harbour blue',
        years: [1963, 1968],
        states:
          'body-colour:harbour sheltered-colour:harbour wheel-type:grey/black axle-ends:domed base-text:frame base-finish:black grille:solid decal:large',
        rarity: 1,
      },
    ],
  },
  {
    id: 'baggage-trolley',
    rangeId: 'hand-span',
    number: '31/1 T',
    name: 'Baggage Trolley',
    bodyType: 'trailer',
    wheelbaseMm: 23,
    ...size(ostrel.drawBaggageTrolley()),
    construction: 'One post in the middle; the cases stand on pegs.',
    parts: [BODY, BASE, ['load', 'Suitcases', 'load', 'hard plastic'], METAL_WHEELS, AXLES],
    joints: [
      post('middle-post', 'middle post'),
      axles(),
      {
        key: 'load',
        label: 'suitcase pegs',
        kind: 'push fit',
        parts: ['body', 'load'],
        ways: [['Push the cases up', 'hand', 2, 0.1, '', ['middle-post']]],
      },
    ],
    variants: [
      {
        name: 'Chalk white',
        years: [1959, 1963],
        states:
          'body-colour:chalk sheltered-colour:chalk wheel-type:metal axle-ends:crimped base-text:full base-finish:bare load-fixing:pinned decal:none',
        rarity: 1,
      },
      {
        name: 'Harbour blue',
        years: [1963, 1968],
        states:
          'body-colour:harbour sheltered-colour:harbour wheel-type:grey/black axle-ends:domed base-text:frame base-finish:black load-fixing:pinned decal:none',
        rarity: 1,
      },
    ],
  },
  {
    id: 'harbour-tram',
    rangeId: 'quayside',
    number: '3',
    name: 'Harbour Tram',
    bodyType: 'bus',
    wheelbaseMm: 26,
    ...size(drawHarbourTram()),
    construction:
      'Roof and trim of tinplate on bent tabs; the lamp bracket is soldered to the dash; figures of lead alloy.',
    parts: [
      ['body', 'Body', 'body', 'lead alloy'],
      ['base', 'Base', 'base', 'tinplate'],
      ['roof', 'Roof', 'trim', 'tinplate'],
      ['trim', 'Tinplate trim', 'trim', 'tinplate'],
      ['lamp', 'Lamp bracket', 'trim', 'brass'],
      ['figures', 'Figures', 'load', 'lead alloy', 2],
      ['wheels', 'Wheels', 'wheel', 'lead alloy', 4],
      AXLES,
    ],
    joints: [
      {
        key: 'roof-tabs',
        label: 'roof tabs',
        kind: 'bent tab',
        parts: ['body', 'roof'],
        ways: [['Lift the tabs', 'hand', 8, 0.15]],
      },
      {
        key: 'base-tabs',
        label: 'base tabs',
        kind: 'bent tab',
        parts: ['body', 'base'],
        ways: [['Lift the tabs', 'hand', 8, 0.15]],
      },
      {
        key: 'axle-ends',
        label: 'axle ends',
        kind: 'formed axle',
        parts: ['axles', 'wheels'],
        ways: [['Lift the axles out of their slots', 'hand', 6, 0.1, '', ['base-tabs']]],
      },
    ],
    variants: [
      {
        name: 'Crimson lake, spoked wheels',
        years: [1930, 1934],
        states:
          'body-colour:crimson sheltered-colour:crimson wheel-type:spoked base-text:script lamp:soldered decal:none/lined',
        rarity: 5,
        evidence: 'Eleven known.',
      },
      {
        name: 'Bottle green, disc wheels',
        years: [1934, 1938],
        states: 'body-colour:bottle sheltered-colour:bottle wheel-type:disc base-text:block lamp:soldered decal:lined',
        rarity: 4,
      },
      {
        name: 'Marine blue',
        years: [1937, 1940],
        states: 'body-colour:marine sheltered-colour:marine wheel-type:disc base-text:block lamp:cast decal:lined',
        rarity: 6,
        evidence: 'Seen in one catalogue only.',
      },
    ],
  },
  {
    id: 'coastal-saloon',
    rangeId: 'k-series',
    number: 'K-31',
    name: 'Coastal Saloon',
    bodyType: 'saloon',
    wheelbaseMm: 56,
    ...size(drawCoastalSaloon()),
    construction: 'Two screws; glazing glued to the roof; bumpers and strips clip into the base.',
    parts: [
      BODY,
      ['base', 'Base', 'base', 'hard plastic'],
      ['doors', 'Doors', 'mechanism', 'zinc alloy', 2],
      ['trim', 'Bumpers and strips', 'trim', 'vacuum-plated plastic'],
      GLAZING,
      ['interior', 'Interior', 'interior', 'hard plastic'],
      WHEELS,
      TYRES,
      AXLES,
    ],
    joints: [
      {
        key: 'front-screw',
        label: 'front screw',
        kind: 'screw',
        parts: ['body', 'base'],
        ways: [['Undo the screw', 'hand', 2, 0.01]],
      },
      {
        key: 'rear-screw',
        label: 'rear screw',
        kind: 'screw',
        parts: ['body', 'base'],
        ways: [['Undo the screw', 'hand', 2, 0.01]],
      },
      {
        key: 'trim-clips',
        label: 'trim clips',
        kind: 'snap',
        parts: ['base', 'trim'],
        ways: [['Ease the clips', 'hand', 5, 0.2, '', ['front-screw', 'rear-screw']]],
      },
      inside('interior', 'interior', ['front-screw', 'rear-screw']),
      inside('glazing', 'glazing', ['interior'], 'glue'),
      {
        key: 'axle-clips',
        label: 'axle clips',
        kind: 'snap',
        parts: ['base', 'axles'],
        ways: [['Press the axles out', 'hand', 3, 0.08, '', ['front-screw', 'rear-screw']]],
      },
      {
        key: 'door-hinges',
        label: 'door hinges',
        kind: 'push fit',
        parts: ['body', 'doors'],
        ways: [['Swing the doors out', 'hand', 3, 0.08, '', ['interior']]],
      },
    ],
    variants: [
      {
        name: 'Ice blue and ivory',
        years: [1968, 1973],
        states:
          'body-colour:ice sheltered-colour:ice base-text:scale glazing-colour:clear trim-plating:plated wheel-type:spun decal:paper',
        rarity: 2,
      },
      {
        name: 'Coral and ivory',
        years: [1970, 1973],
        states:
          'body-colour:coral sheltered-colour:coral base-text:scale glazing-colour:clear trim-plating:plated wheel-type:spun decal:paper',
        rarity: 3,
      },
      {
        name: 'Moss green',
        years: [1974, 1980],
        states:
          'body-colour:moss sheltered-colour:moss base-text:made glazing-colour:smoke trim-plating:plated/silver wheel-type:moulded decal:printed',
        rarity: 1,
      },
    ],
  },
  {
    id: 'lifeboat-carrier',
    rangeId: 'hand-span',
    number: '8/1',
    name: 'Lifeboat Carrier',
    bodyType: 'trailer',
    wheelbaseMm: 62,
    ...size(ostrel.drawLifeboatCarrier()),
    construction: 'Two posts; the boat rests loose in a tinplate cradle held by tabs.',
    parts: [
      BODY,
      CAST_BASE,
      ['load', 'Lifeboat', 'load', 'zinc alloy'],
      ['cradle', 'Cradle', 'trim', 'tinplate'],
      GLAZING,
      METAL_WHEELS,
      TYRES,
      ['axles', 'Axles', 'axle', 'steel', 3],
    ],
    joints: [
      ...POSTS,
      axles(),
      inside('glazing', 'glazing', BEHIND_POSTS),
      {
        key: 'cradle-tabs',
        label: 'cradle tabs',
        kind: 'bent tab',
        parts: ['base', 'cradle'],
        ways: [['Lift the tabs', 'hand', 6, 0.12]],
      },
    ],
    variants: [
      {
        name: 'Slate blue tractor, white and orange boat',
        years: [1956, 1959],
        states:
          'body-colour:slate sheltered-colour:slate wheel-type:metal axle-ends:crimped base-text:full base-finish:body glazing-colour:none grille:solid load-fixing:loose decal:none',
        rarity: 5,
        evidence: 'Six known, two of them untouched.',
      },
      {
        name: 'Harbour blue tractor',
        years: [1961, 1966],
        states:
          'body-colour:harbour sheltered-colour:harbour wheel-type:grey axle-ends:domed base-text:frame base-finish:black glazing-colour:clear grille:solid/pierced load-fixing:pinned decal:small',
        rarity: 2,
      },
    ],
  },
  {
    id: 'coal-cart',
    rangeId: 'hand-span',
    number: '2/1',
    name: 'Coal Cart',
    bodyType: 'lorry',
    wheelbaseMm: 34,
    ...size(ostrel.drawCoalCart()),
    construction: 'Two posts; the heap of coal is cast with the body.',
    parts: [BODY, BASE, METAL_WHEELS, AXLES],
    joints: [...POSTS, axles()],
    variants: [
      {
        name: 'Deep green',
        years: [1952, 1956],
        states:
          'body-colour:green sheltered-colour:green wheel-type:metal axle-ends:crimped base-text:full base-finish:bare glazing-colour:none grille:solid load-fixing:cast decal:none',
        rarity: 2,
      },
      {
        name: 'Maroon',
        years: [1955, 1959],
        states:
          'body-colour:maroon sheltered-colour:maroon wheel-type:metal axle-ends:crimped base-text:full base-finish:bare/body glazing-colour:none grille:solid load-fixing:cast decal:small',
        rarity: 2,
      },
    ],
  },
];
