import type {
  AreaKind,
  Certainty,
  FindingKind,
  Job,
  LayerKind,
  Material,
  Origin,
  PartState,
  Station,
  WantState,
} from '@sardonyx/core';

export type FoundLayer = readonly [
  kind: LayerKind,
  name: string,
  colourHex: string,
  thicknessUm: number,
  factory?: boolean,
];

export interface CoatNote {
  readonly part: string;
  /** Kind of area, or the name of a mask. */
  readonly area: AreaKind | string;
  readonly found?: readonly FoundLayer[];
  /** Ids of paints on the shelf (or [kind, name, colour] for decals), from the metal outwards. */
  readonly planned?: readonly (string | readonly ['decal', string, string])[];
  readonly crossesSeam?: true;
}

export interface SpecimenNote {
  readonly id: string;
  readonly castingId: string;
  readonly name: string;
  readonly note?: string;
  /** How far along it is: every task of the stations before is done, and `further` of this one. */
  readonly station: Station;
  readonly further?: number;
  readonly looks?: readonly (readonly [feature: string, state: string | null, certainty?: Certainty])[];
  readonly partStates?: Readonly<
    Record<
      string,
      { readonly state?: PartState; readonly material?: Material; readonly origin?: Origin; readonly note?: string }
    >
  >;
  readonly findings?: readonly (readonly [part: string, kind: FindingKind, severity: 1 | 2 | 3, note: string])[];
  readonly wants?: readonly (readonly [
    part: string,
    what: string,
    state: WantState,
    text: string,
    bits?: string,
    dueInDays?: number,
  ])[];
  readonly coats?: readonly CoatNote[];
}

export interface JobNote {
  readonly number: string;
  readonly title: string;
  readonly scope: Job['scope'];
  readonly why: string;
  readonly cameInDaysAgo: number;
  readonly dueInDays: number | null;
  readonly decisions?: readonly (readonly [school: string, option: string, reason: string])[];
  readonly specimens: readonly SpecimenNote[];
  readonly photographed: boolean;
  readonly signedOff?: string;
}

const GREY = 'paint-lanthorn-light-grey-primer';
const enamel = (name: string) => `paint-marlstone-${name}`;
const FACTORY_WEEK = 49;

const bodyAndBase = (found: FoundLayer, planned: string, parts: readonly string[]): CoatNote[] =>
  parts.map((part) => ({ part, area: 'outside', found: [found], planned: [GREY, planned] }));

/** The jobs of the demo, each in the stage the story wants it in. */
export const JOB_NOTES: readonly JobNote[] = [
  {
    number: 'SG-00',
    title: 'Coal Cart',
    scope: 'full',
    why: 'Trial piece for Factory Week.',
    cameInDaysAgo: 92,
    dueInDays: null,
    photographed: true,
    signedOff: 'Osric Bell',
    specimens: [
      {
        id: 'sg-00-1',
        castingId: 'coal-cart',
        name: 'Coal Cart',
        station: 'sign-off',
        looks: [
          ['body-colour', 'green'],
          ['sheltered-colour', 'green'],
          ['wheel-type', 'metal'],
          ['axle-ends', 'crimped', 'likely'],
          ['base-text', 'full'],
          ['base-finish', 'bare'],
          ['grille', 'solid'],
        ],
        partStates: {
          body: { origin: 'original' },
          base: { origin: 'original' },
          wheels: { origin: 'donor', note: 'Two of four from a scrap 2/1 of the museum.' },
          axles: { origin: 'made', note: 'Mild steel wire, 1.2 mm.' },
        },
        findings: [
          ['body', 'chips', 1, 'Edges worn through.'],
          ['axles', 'seized', 2, 'Rusted into the wheels.'],
        ],
        wants: [['wheels', 'two cast wheels', 'solved', 'From a donor in the museum drawer']],
        coats: [
          {
            part: 'body',
            area: 'outside',
            found: [['colour', 'Factory green', '#2f5a3c', 24, true]],
            planned: [GREY, enamel('deep-green')],
          },
          { part: 'body', area: 'side board', found: [['colour', 'Factory green', '#2f5a3c', 24, true]] },
          { part: 'wheels', area: 'outside', found: [['colour', 'Silver', '#a8aaab', 12, true]] },
        ],
      },
    ],
  },
  {
    number: 'SG-01',
    title: 'Milk Float',
    scope: 'full',
    why: 'Opens the Factory Week cabinet.',
    cameInDaysAgo: 9,
    dueInDays: FACTORY_WEEK,
    photographed: false,
    specimens: [
      {
        id: 'sg-01-1',
        castingId: 'milk-float',
        name: 'Milk Float',
        station: 'identify',
        note: 'Overpainted twice; which of three issues?',
        looks: [
          ['body-colour', 'signal', 'likely'],
          ['wheel-type', 'grey', 'sure'],
          ['base-text', 'frame', 'likely'],
        ],
        partStates: { load: { state: 'missing' }, body: { state: 'worn' } },
        findings: [
          ['body', 'overpaint', 2, 'Two coats by hand over the factory paint.'],
          ['load', 'missing', 2, 'Crate rack gone.'],
        ],
        wants: [['load', 'a crate rack', 'open', '', 'two hooks']],
        coats: [
          {
            part: 'body',
            area: 'outside',
            found: [
              ['colour', 'Cream, in the arches', '#e6d9b4', 22, true],
              ['colour', 'Blue household paint', '#38618a', 60],
              ['colour', 'Red household paint', '#b0302a', 70],
            ],
          },
          {
            part: 'canopy',
            area: 'outside',
            found: [
              ['colour', 'Cream', '#e6d9b4', 20, true],
              ['colour', 'Red household paint', '#a5322c', 65],
            ],
          },
          { part: 'base', area: 'outside', found: [['colour', 'Black', '#222222', 18, true]] },
        ],
      },
    ],
  },
  {
    number: 'SG-02',
    title: 'Road Sweeper',
    scope: 'full',
    why: 'A short-hose tool in original paint: should it be touched at all?',
    cameInDaysAgo: 6,
    dueInDays: FACTORY_WEEK,
    photographed: false,
    specimens: [
      {
        id: 'sg-02-1',
        castingId: 'road-sweeper',
        name: 'Road Sweeper',
        station: 'identify',
        note: 'Sagging hopper hinge, split water tank.',
        looks: [
          ['body-colour', 'ochre', 'sure'],
          ['base-finish', 'bare', 'likely'],
          ['glazing-colour', 'none', 'sure'],
        ],
        partStates: { tank: { state: 'damaged' }, hopper: { state: 'worn' }, hose: { state: 'worn' } },
        findings: [
          ['tank', 'cracked', 2, 'Split along the glued seam, 9 mm.'],
          ['hopper', 'bent', 2, 'Hinge sags by about 4 degrees.'],
        ],
        coats: [
          { part: 'body', area: 'outside', found: [['colour', 'Works ochre', '#c08a2c', 24, true]] },
          { part: 'hopper', area: 'outside', found: [['colour', 'Works ochre', '#c08a2c', 24, true]] },
          { part: 'tank', area: 'outside', found: [['colour', 'Dock grey', '#83888a', 22, true]] },
        ],
      },
    ],
  },
  {
    number: 'SG-03',
    title: 'Mobile Library',
    scope: 'full',
    why: 'Centre of the town shelf.',
    cameInDaysAgo: 20,
    dueInDays: FACTORY_WEEK,
    photographed: true,
    decisions: [['S20', 'setting fluid', 'The waistband runs over the drop-flap; the paper alone lifts at the edge.']],
    specimens: [
      {
        id: 'sg-03-1',
        castingId: 'mobile-library',
        name: 'Mobile Library',
        station: 'survey',
        further: 1,
        note: 'Waistband decal over the drop-flap, rear step snapped off.',
        looks: [
          ['body-colour', 'slate'],
          ['sheltered-colour', 'slate'],
          ['wheel-type', 'grey'],
          ['axle-ends', 'domed'],
          ['base-text', 'frame'],
          ['decal', 'large', 'likely'],
        ],
        partStates: { step: { state: 'missing' } },
        findings: [
          ['body', 'chips', 1, 'Corners and arches.'],
          ['step', 'broken', 2, 'Snapped off at the root.'],
          ['glazing', 'scuffed', 1, 'Left side.'],
          ['flap', 'fade', 1, 'Paler than the body.'],
        ],
        wants: [
          ['step', 'a rear step', 'ordered', 'Tern Street Spares', '', 12],
          ['body', 'a waistband decal, two sets', 'ordered', 'Tamsel Transfers', '', 9],
        ],
        coats: [
          {
            part: 'body',
            area: 'outside',
            found: [['colour', 'Slate blue', '#4d6378', 24, true]],
            planned: [GREY, enamel('slate-blue')],
          },
          {
            part: 'body',
            area: 'roof',
            found: [['colour', 'Cream', '#e2d6b4', 22, true]],
            planned: [enamel('cream-2')],
          },
          {
            part: 'body',
            area: 'waistband',
            found: [['decal', 'Waistband', '#e8dfc4', 18, true]],
            planned: [['decal', 'Waistband decal', '#e8dfc4']],
            crossesSeam: true,
          },
          {
            part: 'flap',
            area: 'outside',
            found: [['colour', 'Slate blue', '#5a6f83', 24, true]],
            planned: [GREY, enamel('slate-blue')],
          },
          {
            part: 'base',
            area: 'outside',
            found: [['colour', 'Black', '#222222', 18, true]],
            planned: [GREY, enamel('black')],
          },
        ],
      },
    ],
  },
  {
    number: 'SG-04',
    title: 'Clay-pit Dumper',
    scope: 'full',
    why: 'The clay pit was the first customer of the works.',
    cameInDaysAgo: 1,
    dueInDays: FACTORY_WEEK,
    photographed: false,
    specimens: [
      {
        id: 'sg-04-1',
        castingId: 'clay-dumper',
        name: 'Clay-pit Dumper',
        station: 'identify',
        note: 'Tipping body on a sprung pin, seized axles, cleated tyres gone.',
        partStates: { tyres: { state: 'missing' } },
        coats: [
          { part: 'body', area: 'outside', found: [['colour', 'Ochre', '#b98a35', 26, true]] },
          { part: 'skip', area: 'outside', found: [['colour', 'Ochre', '#bd9040', 26, true]] },
        ],
      },
    ],
  },
  {
    number: 'SG-05',
    title: 'Horse Box',
    scope: 'full',
    why: 'Shows how parts wander: body of one tool, base of another.',
    cameInDaysAgo: 15,
    dueInDays: FACTORY_WEEK,
    photographed: true,
    specimens: [
      {
        id: 'sg-05-1',
        castingId: 'horse-box',
        name: 'Horse Box',
        station: 'survey',
        further: 2,
        note: 'Rear ramp on a peened pin.',
        looks: [
          ['body-colour', 'maroon'],
          ['sheltered-colour', 'maroon'],
          ['grille', 'solid'],
          ['base-text', 'patent'],
          ['wheel-type', 'black'],
          ['glazing-colour', 'clear', 'likely'],
        ],
        partStates: { base: { origin: 'donor', note: 'Not of this body: patent line.' }, ramp: { state: 'worn' } },
        findings: [
          ['ramp', 'bent', 2, 'Does not shut flat.'],
          ['base', 'earlier repair', 1, 'Posts glued by an earlier owner.'],
          ['axles', 'rust', 1, 'Light.'],
        ],
        wants: [['base', 'a base with the framed name', 'open', '', '']],
        coats: [
          ...bodyAndBase(['colour', 'Maroon', '#6a2330', 25, true], enamel('maroon'), ['body', 'ramp']),
          {
            part: 'body',
            area: 'roof',
            found: [['colour', 'Cream', '#dccfa8', 22, true]],
            planned: [enamel('cream-2')],
          },
          {
            part: 'base',
            area: 'outside',
            found: [['colour', 'Black', '#1f1f1f', 20]],
            planned: [GREY, enamel('black')],
          },
        ],
      },
    ],
  },
  {
    number: 'SG-06',
    title: 'Snowplough',
    scope: 'full',
    why: 'Three colours and masked chevrons for the winter shelf.',
    cameInDaysAgo: 31,
    dueInDays: FACTORY_WEEK - 7,
    photographed: true,
    specimens: [
      {
        id: 'sg-06-1',
        castingId: 'snowplough',
        name: 'Snowplough',
        station: 'open',
        further: 2,
        looks: [
          ['body-colour', 'ochre'],
          ['sheltered-colour', 'ochre'],
          ['wheel-type', 'grey'],
          ['axle-ends', 'domed'],
          ['base-text', 'frame'],
          ['grille', 'solid'],
        ],
        partStates: { body: { origin: 'original' }, blade: { origin: 'original', state: 'worn' } },
        findings: [
          ['blade', 'chips', 1, 'Chevrons half gone.'],
          ['load', 'bent', 2, 'Rear edge pushed in 1.5 mm.'],
        ],
        coats: [
          {
            part: 'body',
            area: 'outside',
            found: [['colour', 'Works ochre', '#c08a2c', 24, true]],
            planned: [GREY, enamel('works-ochre')],
          },
          {
            part: 'blade',
            area: 'outside',
            found: [['colour', 'Works ochre', '#c08a2c', 24, true]],
            planned: [GREY, enamel('works-ochre')],
          },
          {
            part: 'blade',
            area: 'chevrons',
            found: [['colour', 'Black', '#26241f', 16, true]],
            planned: [enamel('black')],
          },
          {
            part: 'load',
            area: 'outside',
            found: [['colour', 'Dock grey', '#83888a', 23, true]],
            planned: [GREY, enamel('dock-grey')],
          },
          {
            part: 'base',
            area: 'outside',
            found: [['colour', 'Black', '#222222', 18, true]],
            planned: [GREY, enamel('black')],
          },
        ],
      },
    ],
  },
  {
    number: 'SG-07',
    title: 'Baggage Tug and two trolleys',
    scope: 'full',
    why: 'A set; three pieces at three stations.',
    cameInDaysAgo: 44,
    dueInDays: FACTORY_WEEK - 14,
    photographed: true,
    specimens: [
      {
        id: 'sg-07-1',
        castingId: 'baggage-tug',
        name: 'Tug',
        station: 'open',
        further: 1,
        looks: [
          ['body-colour', 'chalk'],
          ['sheltered-colour', 'chalk'],
          ['wheel-type', 'metal'],
          ['base-text', 'full', 'likely'],
        ],
        findings: [['axles', 'rust', 2, 'Front axle pitted.']],
        coats: bodyAndBase(['colour', 'Chalk white', '#e4e1d6', 24, true], 'paint-quay-chalk-white', ['body', 'base']),
      },
      {
        id: 'sg-07-2',
        castingId: 'baggage-trolley',
        name: 'Trolley with the bent rail',
        station: 'finish',
        further: 3,
        looks: [
          ['body-colour', 'chalk'],
          ['wheel-type', 'metal'],
          ['base-text', 'full'],
        ],
        findings: [['body', 'bent', 2, 'Rear rail leant in; straightened.']],
        coats: bodyAndBase(['colour', 'Chalk white', '#e4e1d6', 24, true], 'paint-quay-chalk-white', ['body', 'base']),
      },
      {
        id: 'sg-07-3',
        castingId: 'baggage-trolley',
        name: 'Sound trolley',
        station: 'close',
        further: 2,
        looks: [
          ['body-colour', 'chalk'],
          ['wheel-type', 'metal'],
          ['base-text', 'full'],
        ],
        coats: bodyAndBase(['colour', 'Chalk white', '#e4e1d6', 24, true], 'paint-quay-chalk-white', ['body', 'base']),
      },
    ],
  },
  {
    number: 'SG-08',
    title: 'Harbour Tram',
    scope: 'full',
    why: 'Lent by a family of the town; lead alloy, never bake.',
    cameInDaysAgo: 38,
    dueInDays: FACTORY_WEEK,
    photographed: true,
    decisions: [['S22', 'honest wear', 'The family wants to see that it was played with.']],
    specimens: [
      {
        id: 'sg-08-1',
        castingId: 'harbour-tram',
        name: 'Harbour Tram',
        station: 'strip',
        further: 2,
        looks: [
          ['body-colour', 'crimson'],
          ['sheltered-colour', 'crimson'],
          ['wheel-type', 'spoked'],
          ['base-text', 'script'],
          ['lamp', 'soldered'],
        ],
        partStates: { lamp: { state: 'damaged' }, body: { origin: 'original' }, figures: { origin: 'original' } },
        findings: [
          ['lamp', 'broken', 2, 'Soldered bracket adrift.'],
          ['trim', 'rust', 1, 'Lower edge.'],
          ['figures', 'chips', 1, 'Faces worn.'],
        ],
        coats: [
          {
            part: 'body',
            area: 'outside',
            found: [['colour', 'Crimson lake', '#7d2230', 28, true]],
            planned: [GREY, 'paint-pike-sable-crimson-lake'],
          },
          {
            part: 'roof',
            area: 'outside',
            found: [['colour', 'Old cream', '#d9cb9e', 24, true]],
            planned: [GREY, enamel('cream-2')],
          },
          {
            part: 'trim',
            area: 'outside',
            found: [['colour', 'Old cream', '#d9cb9e', 22, true]],
            planned: [GREY, enamel('cream-2')],
          },
          {
            part: 'base',
            area: 'outside',
            found: [['colour', 'Black', '#242321', 20, true]],
            planned: [GREY, enamel('black')],
          },
          { part: 'figures', area: 'outside', found: [['colour', 'Navy', '#2b3447', 20, true]] },
          { part: 'figures', area: 'face', found: [['colour', 'Flesh', '#c99a80', 18, true]] },
        ],
      },
    ],
  },
  {
    number: 'SG-09',
    title: 'Coastal Saloon',
    scope: 'full',
    why: 'Two-tone for the seaside shelf; smells of mothballs.',
    cameInDaysAgo: 27,
    dueInDays: FACTORY_WEEK,
    photographed: true,
    specimens: [
      {
        id: 'sg-09-1',
        castingId: 'coastal-saloon',
        name: 'Coastal Saloon',
        station: 'strip',
        further: 3,
        looks: [
          ['body-colour', 'ice'],
          ['sheltered-colour', 'ice'],
          ['base-text', 'scale'],
          ['trim-plating', 'plated'],
          ['wheel-type', 'spun'],
          ['decal', 'paper', 'likely'],
        ],
        partStates: { glazing: { state: 'damaged' }, trim: { state: 'worn' } },
        findings: [
          ['glazing', 'scuffed', 2, 'A tyre has softened into the rear window.'],
          ['interior', 'smell', 1, 'Mothballs.'],
          ['trim', 'scuffed', 1, 'Plating worn off the front bumper.'],
        ],
        wants: [['glazing', 'a glazing unit', 'ordered', 'Tern Street Spares', '', 16]],
        coats: [
          {
            part: 'body',
            area: 'outside',
            found: [['colour', 'Ice blue', '#a3bccd', 24, true]],
            planned: [GREY, 'paint-quay-ice-blue'],
          },
          {
            part: 'body',
            area: 'roof',
            found: [['colour', 'Ivory', '#e2dac2', 22, true]],
            planned: ['paint-quay-ivory'],
          },
          {
            part: 'doors',
            area: 'outside',
            found: [['colour', 'Ice blue', '#a3bccd', 24, true]],
            planned: [GREY, 'paint-quay-ice-blue'],
          },
        ],
      },
    ],
  },
  {
    number: 'SG-10',
    title: 'Lifeboat Carrier',
    scope: 'clean only',
    why: 'Untouched survivor: clean it, change nothing.',
    cameInDaysAgo: 4,
    dueInDays: FACTORY_WEEK,
    photographed: false,
    specimens: [
      {
        id: 'sg-10-1',
        castingId: 'lifeboat-carrier',
        name: 'Lifeboat Carrier',
        station: 'identify',
        looks: [
          ['body-colour', 'slate'],
          ['wheel-type', 'metal'],
          ['base-finish', 'body'],
        ],
        partStates: { body: { origin: 'original' }, load: { origin: 'original' }, cradle: { origin: 'original' } },
        coats: [
          { part: 'body', area: 'outside', found: [['colour', 'Slate blue', '#4d6378', 24, true]] },
          { part: 'load', area: 'outside', found: [['colour', 'White', '#e9e5d8', 24, true]] },
          { part: 'load', area: 'rubbing band', found: [['colour', 'Orange', '#cf6a2c', 18, true]] },
          { part: 'base', area: 'outside', found: [['colour', 'Slate blue', '#4d6378', 24, true]] },
          { part: 'cradle', area: 'outside', found: [['colour', 'Slate blue', '#566c80', 20, true]] },
        ],
      },
    ],
  },
];
