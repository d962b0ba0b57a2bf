import type { BodyType, JointKind } from '../model/catalogue.ts';
import type { Material } from '../model/material.ts';
import { ROLE_OF_SHAPE, type PartShape } from '../model/partShape.ts';

/** A part as a construction has it; the restorer changes what differs. */
export interface PlannedPart {
  readonly key: string;
  readonly name: string;
  readonly shape: PartShape;
  readonly role: (typeof ROLE_OF_SHAPE)[PartShape];
  readonly material: Material;
  readonly count: number;
}

export interface PlannedJoint {
  readonly key: string;
  readonly label: string;
  readonly kind: JointKind;
  readonly partKeys: readonly string[];
  /** Joints that must be open before it, where the roles of its parts do not tell. */
  readonly behind: readonly string[] | null;
}

/** A common way to put such a toy together. */
export interface Construction {
  readonly key: string;
  readonly name: string;
  readonly about: string;
  readonly bodyType: BodyType;
  readonly parts: readonly PlannedPart[];
  readonly joints: readonly PlannedJoint[];
  /** Where its number is found most often, the likeliest place first. */
  readonly numbers: readonly string[];
  /** Where its fastenings are, also those that are not seen at once. */
  readonly fastenings: readonly string[];
}

const part = (key: string, name: string, shape: PartShape, material: Material, count = 1): PlannedPart => ({
  ...{ key, name, shape, role: ROLE_OF_SHAPE[shape], material, count },
});
const joint = (key: string, label: string, kind: JointKind, ...partKeys: readonly string[]): PlannedJoint => ({
  ...{ key, label, kind, partKeys, behind: null },
});
const behind = (one: PlannedJoint, ...keys: readonly string[]): PlannedJoint => ({ ...one, behind: keys });

const BODY = part('body', 'Body', 'shell', 'zinc alloy');
const ZINC_BASE = part('base', 'Base', 'plate', 'zinc alloy');
const TIN_BASE = part('base', 'Base', 'plate', 'tinplate');
const GLAZING = part('glazing', 'Glazing', 'windows', 'clear styrene');
const INTERIOR = part('interior', 'Interior', 'seats', 'hard plastic');
const WHEELS = part('wheels', 'Wheels', 'wheel', 'hard plastic', 4);
const CAST_WHEELS = part('wheels', 'Wheels', 'wheel', 'zinc alloy', 4);
const TYRES = part('tyres', 'Tyres', 'tyre', 'rubber', 4);
const AXLES = part('axles', 'Axles', 'axle', 'steel', 2);

const axleEnds = (...held: readonly string[]) => joint('axle-ends', 'axle ends', 'formed axle', ...held);
const AXLES_IN_BASE = axleEnds('base', 'axles', 'wheels');
const POSTS = [
  joint('front-post', 'front post', 'rivet post', 'body', 'base'),
  joint('rear-post', 'rear post', 'rivet post', 'body', 'base'),
];
const BOTH_POSTS = POSTS.map(({ key }) => key);
const INTERIOR_IN = joint('interior', 'interior in the body', 'push fit', 'body', 'interior');
const TYRES_ON = joint('tyres', 'tyres on their wheels', 'push fit', 'wheels', 'tyres');
const GLAZING_IN = joint('glazing', 'glazing in the body', 'push fit', 'body', 'glazing');
const BETWEEN_AXLES = 'on the base between the axles';
const INSIDE_ROOF = 'inside the roof, seen through a window';

/** The common ones, simplest first. Names and places are bench practice; nobody's casting is bound by them. */
export const CONSTRUCTIONS: readonly Construction[] = [
  {
    key: 'one-casting',
    name: 'Body on axles',
    about: 'One casting without a base; the axles go through it and hold the wheels.',
    bodyType: 'sports',
    parts: [BODY, CAST_WHEELS, AXLES],
    joints: [axleEnds('body', 'axles', 'wheels')],
    numbers: ['under the roof or the bonnet', 'inside one flank', 'nowhere: it was on the box only'],
    fastenings: ['only the ends of the axles'],
  },
  {
    key: 'post',
    name: 'Two shells and a post',
    about: 'Body and base held by one rivet post that goes through the interior; the axles lie between them.',
    bodyType: 'saloon',
    parts: [BODY, ZINC_BASE, GLAZING, INTERIOR, WHEELS, AXLES],
    joints: [joint('post', 'post', 'rivet post', 'body', 'interior', 'base'), GLAZING_IN, AXLES_IN_BASE],
    numbers: [BETWEEN_AXLES, INSIDE_ROOF],
    fastenings: ['one rivet head in the base', 'a lug of the body in a slot at the other end'],
  },
  {
    key: 'two-posts',
    name: 'Two posts',
    about: 'Body and base held by a rivet post at each end; glazing and interior lie loose between them.',
    bodyType: 'saloon',
    parts: [BODY, ZINC_BASE, GLAZING, INTERIOR, WHEELS, TYRES, AXLES],
    joints: [...POSTS, GLAZING_IN, INTERIOR_IN, AXLES_IN_BASE, TYRES_ON],
    numbers: [BETWEEN_AXLES, INSIDE_ROOF],
    fastenings: ['two rivet heads in the base, one often under a tow hook or a spare wheel'],
  },
  {
    key: 'tabs',
    name: 'Tin base with tabs',
    about: 'A pressed base whose tabs, or those of the body, are bent over.',
    bodyType: 'van',
    parts: [BODY, TIN_BASE, GLAZING, WHEELS, AXLES],
    joints: [joint('tabs', 'tabs of the base', 'bent tab', 'body', 'base'), GLAZING_IN, AXLES_IN_BASE],
    numbers: [BETWEEN_AXLES, 'under the body, where the base hides it'],
    fastenings: ['tabs at both ends, some under paint', 'tabs along the sills'],
  },
  {
    key: 'ears',
    name: 'Ears and a tapered pin',
    about: 'The base hooks in at one end; a tapered pin through two ears holds the other.',
    bodyType: 'van',
    parts: [BODY, ZINC_BASE, CAST_WHEELS, AXLES, part('pin', 'Tapered pin', 'pin', 'steel')],
    joints: [joint('pin', 'tapered pin through the ears', 'tapered pin', 'body', 'base', 'pin'), AXLES_IN_BASE],
    numbers: ['inside the body', BETWEEN_AXLES],
    fastenings: ['a pin across the ears, flush and often painted over', 'a hook or lip at the other end'],
  },
  {
    key: 'screws',
    name: 'Screws',
    about: 'Body and base held by screws.',
    bodyType: 'saloon',
    parts: [BODY, ZINC_BASE, GLAZING, INTERIOR, WHEELS, TYRES, AXLES],
    joints: [
      joint('front-screw', 'front screw', 'screw', 'body', 'base'),
      joint('rear-screw', 'rear screw', 'screw', 'body', 'base'),
      GLAZING_IN,
      joint('interior', 'interior on the base', 'push fit', 'base', 'interior'),
      AXLES_IN_BASE,
      TYRES_ON,
    ],
    numbers: [BETWEEN_AXLES],
    fastenings: ['screw heads in the base, some under a label or a spare wheel'],
  },
  {
    key: 'cab-and-load',
    name: 'Cab, load and chassis',
    about: 'Cab and load bed sit on a chassis, each held for itself.',
    bodyType: 'lorry',
    parts: [
      part('cab', 'Cab', 'cab', 'zinc alloy'),
      part('bed', 'Load bed', 'bed', 'zinc alloy'),
      part('chassis', 'Chassis', 'chassis', 'zinc alloy'),
      GLAZING,
      WHEELS,
      TYRES,
      AXLES,
    ],
    joints: [
      joint('cab-post', 'cab post', 'rivet post', 'cab', 'chassis'),
      joint('bed-post', 'post of the load bed', 'rivet post', 'bed', 'chassis'),
      joint('glazing', 'glazing in the cab', 'push fit', 'cab', 'glazing'),
      axleEnds('chassis', 'axles', 'wheels'),
      TYRES_ON,
    ],
    numbers: ['under the cab', 'under the load bed', 'on the chassis between the axles'],
    fastenings: ['a rivet head under the cab', 'a rivet head or two tabs under the bed'],
  },
  {
    key: 'trailer',
    name: 'Trailer',
    about: 'A body on an axle and a drawbar, without a base of its own or with a pressed one.',
    bodyType: 'trailer',
    parts: [
      BODY,
      TIN_BASE,
      part('wheels', 'Wheels', 'wheel', 'hard plastic', 2),
      part('axles', 'Axle', 'axle', 'steel', 1),
      part('drawbar', 'Drawbar', 'drawbar', 'steel'),
    ],
    joints: [
      joint('tabs', 'tabs of the base', 'bent tab', 'body', 'base'),
      joint('drawbar', 'drawbar pin', 'peened pin', 'base', 'drawbar'),
      AXLES_IN_BASE,
    ],
    numbers: ['on the base', 'inside the body', 'nowhere: it shares its vehicle’s'],
    fastenings: ['tabs at both ends', 'a peened pin at the drawbar'],
  },
  {
    key: 'opening-parts',
    name: 'Opening doors and bonnet',
    about: 'Two posts; doors and bonnet turn on lugs that the base or the interior holds in place, with a spring.',
    bodyType: 'saloon',
    parts: [
      BODY,
      ZINC_BASE,
      part('left-door', 'Left door', 'door', 'zinc alloy'),
      part('right-door', 'Right door', 'door', 'zinc alloy'),
      part('bonnet', 'Bonnet', 'bonnet', 'zinc alloy'),
      part('door-spring', 'Door spring', 'spring', 'steel'),
      GLAZING,
      INTERIOR,
      WHEELS,
      TYRES,
      AXLES,
    ],
    joints: [
      ...POSTS,
      joint('doors', 'doors on their lugs', 'push fit', 'body', 'left-door', 'right-door', 'door-spring'),
      behind(joint('bonnet', 'bonnet on its lugs', 'push fit', 'body', 'bonnet'), ...BOTH_POSTS),
      GLAZING_IN,
      INTERIOR_IN,
      AXLES_IN_BASE,
      TYRES_ON,
    ],
    numbers: [BETWEEN_AXLES, 'under the bonnet'],
    fastenings: ['two rivet heads in the base', 'hinge lugs under the interior: it comes out first'],
  },
  {
    key: 'plated-trim',
    name: 'Plated trim, glued glazing',
    about: 'Two posts; bumpers and grille are plated plastic with pegs, the glazing is glued in.',
    bodyType: 'saloon',
    parts: [
      BODY,
      ZINC_BASE,
      part('front-bumper', 'Front bumper and grille', 'bumper', 'vacuum-plated plastic'),
      part('rear-bumper', 'Rear bumper', 'bumper', 'vacuum-plated plastic'),
      GLAZING,
      INTERIOR,
      WHEELS,
      TYRES,
      AXLES,
    ],
    joints: [
      ...POSTS,
      behind(joint('front-bumper', 'pegs of the front bumper', 'push fit', 'body', 'front-bumper'), ...BOTH_POSTS),
      behind(joint('rear-bumper', 'pegs of the rear bumper', 'push fit', 'body', 'rear-bumper'), ...BOTH_POSTS),
      joint('glazing', 'glazing glued in', 'glue', 'body', 'glazing'),
      INTERIOR_IN,
      AXLES_IN_BASE,
      TYRES_ON,
    ],
    numbers: [BETWEEN_AXLES],
    fastenings: ['two rivet heads in the base', 'pegs of the trim, melted or glued on the inside'],
  },
  {
    key: 'tinplate',
    name: 'Tinplate',
    about: 'Pressed and printed sheet, held by tabs; a spring motor inside, or none.',
    bodyType: 'bus',
    parts: [
      part('body', 'Body', 'shell', 'tinplate'),
      TIN_BASE,
      part('motor', 'Spring motor', 'mechanism', 'steel'),
      part('wheels', 'Wheels', 'wheel', 'tinplate', 4),
      part('axles', 'Axles', 'axle', 'steel', 2),
    ],
    joints: [
      joint('tabs', 'tabs of the body', 'bent tab', 'body', 'base'),
      joint('motor', 'tabs of the motor', 'bent tab', 'base', 'motor'),
      AXLES_IN_BASE,
    ],
    numbers: ['printed on the base or the rear', 'nowhere'],
    fastenings: ['tabs along the lower edge; each bend costs strength'],
  },
  {
    key: 'resin',
    name: 'Resin with small parts',
    about: 'A cast resin body on a screwed base, with small white-metal parts glued on.',
    bodyType: 'van',
    parts: [
      part('body', 'Body', 'shell', 'resin print'),
      part('base', 'Base', 'plate', 'resin print'),
      part('lamps', 'Lamps', 'lamp', 'lead alloy', 2),
      part('grille', 'Grille', 'grille', 'lead alloy'),
      GLAZING,
      CAST_WHEELS,
      TYRES,
      AXLES,
    ],
    joints: [
      joint('screws', 'screws of the base', 'screw', 'body', 'base'),
      joint('lamps', 'lamps glued on', 'glue', 'body', 'lamps'),
      joint('grille', 'grille glued on', 'glue', 'body', 'grille'),
      joint('glazing', 'glazing glued in', 'glue', 'body', 'glazing'),
      joint('axles', 'wheels on their axles', 'push fit', 'base', 'axles', 'wheels'),
      TYRES_ON,
    ],
    numbers: ['on the base', 'on a label'],
    fastenings: ['screws in the base', 'glue everywhere else'],
  },
];
