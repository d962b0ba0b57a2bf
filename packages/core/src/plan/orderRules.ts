import type { TaskTag } from '../model/work.ts';

export interface OrderRule {
  readonly id: string;
  readonly before: readonly TaskTag[];
  readonly after: readonly TaskTag[];
  /** Which pairs it binds: tasks on the same part, on the same joint, or any two of the specimen. */
  readonly scope: 'part' | 'joint' | 'specimen';
  readonly because: string;
  /** A safety rule is never replaced by a school. */
  readonly safety?: true;
  /** The rule falls away unless the school has this option. */
  readonly onlyWith?: { readonly school: string; readonly option: string };
  /** The rule falls away when the school has this option. */
  readonly notWith?: { readonly school: string; readonly option: string };
}

/** The order rules exist here and nowhere else. O37 is about what shares the room at one time: see checkRoom. */
export const ORDER_RULES: readonly OrderRule[] = [
  {
    id: 'O1',
    before: ['identify', 'photograph'],
    after: ['dismantle', 'strip'],
    scope: 'specimen',
    because: 'opening and stripping destroy the evidence',
  },
  {
    id: 'O3',
    before: ['capture colour'],
    after: ['strip'],
    scope: 'specimen',
    because: 'the old colour is gone once stripped',
  },
  {
    id: 'O4',
    before: ['know material'],
    after: ['chemical', 'heat'],
    scope: 'specimen',
    because: 'what one material shrugs off destroys another',
    safety: true,
  },
  {
    id: 'O5',
    before: ['pilot hole'],
    after: ['rivet head off'],
    scope: 'joint',
    because: 'the centre is found while the head is whole',
    onlyWith: { school: 'S3', option: 'pilot first' },
  },
  {
    id: 'O7',
    before: ['open joint'],
    after: ['separate'],
    scope: 'specimen',
    because: 'halves forced apart at a closed joint break',
  },
  {
    id: 'O8',
    before: ['wheels off'],
    after: ['strip', 'paint'],
    scope: 'specimen',
    because: 'stripper and paint reach wheels and axles that stay on',
    notWith: { school: 'S4', option: 'leave and mask' },
  },
  {
    id: 'O9',
    before: ['meltables out'],
    after: ['strip', 'heat'],
    scope: 'specimen',
    because: 'plastic, glazing and rubber do not survive stripper or heat',
    safety: true,
  },
  {
    id: 'O12',
    before: ['pest check'],
    after: ['chemical', 'heat', 'wash', 'bath', 'drill and tap', 'pilot hole', 'rivet head off'],
    scope: 'specimen',
    because: 'zinc with pest breaks in a wash, a bath, the heat or under a drill',
    safety: true,
  },
  { id: 'O13', before: ['strip'], after: ['straighten hot'], scope: 'part', because: 'heated paint gives off fumes' },
  {
    id: 'O13',
    before: ['straighten hot'],
    after: ['fill'],
    scope: 'part',
    because: 'filler and glue do not stand the heat of straightening',
  },
  {
    id: 'O14',
    before: ['strip', 'wash'],
    after: ['inspect'],
    scope: 'part',
    because: 'cracks and pits show on clean bare metal only',
  },
  { id: 'O15', before: ['wash'], after: ['degrease'], scope: 'part', because: 'residue under paint lifts it' },
  { id: 'O15', before: ['degrease'], after: ['prime'], scope: 'part', because: 'primer holds on clean metal only' },
  {
    id: 'O16',
    before: ['drill and tap'],
    after: ['degrease', 'prime'],
    scope: 'part',
    because: 'cutting oil and swarf spoil the coat, and a drill chips it',
  },
  {
    id: 'O17',
    before: ['drill and tap', 'repair', 'fill', 'trial fit'],
    after: ['dry fit'],
    scope: 'specimen',
    because: 'what is bent, missing or without its thread cannot be tried yet',
  },
  {
    id: 'O17',
    before: ['trial fit', 'dry fit'],
    after: ['paint'],
    scope: 'specimen',
    because: 'filing a part to fit after painting means painting again',
  },
  {
    id: 'O18',
    before: ['repair', 'fill'],
    after: ['prime'],
    scope: 'part',
    because: 'a repair is judged under primer',
  },
  { id: 'O18', before: ['prime'], after: ['judge fill'], scope: 'part', because: 'flaws show in the primer first' },
  {
    id: 'O18',
    before: ['judge fill'],
    after: ['colour'],
    scope: 'part',
    because: 'colour hides nothing: a flaw is refilled and primed again first',
  },
  {
    id: 'O23',
    before: ['degrease'],
    after: ['mask'],
    scope: 'part',
    because: 'tape holds on clean surfaces only',
  },
  {
    id: 'O24',
    before: ['hidden faces'],
    after: ['outside faces'],
    scope: 'part',
    because: 'overspray from the inside lands on the outside',
  },
  {
    id: 'O25',
    before: ['body colour'],
    after: ['trim colour'],
    scope: 'part',
    because: 'trim is touched in over the body colour when that is dry',
  },
  {
    id: 'O26',
    before: ['clean part'],
    after: ['fit part'],
    scope: 'part',
    because: 'dust and grease cannot be reached once it is fitted',
  },
  {
    id: 'O27',
    before: ['wheel check'],
    after: ['form axle ends'],
    scope: 'joint',
    because: 'an axle end cannot be formed twice',
  },
  {
    id: 'O29',
    before: ['form axle ends'],
    after: ['touch in'],
    scope: 'specimen',
    because: 'forming axle ends chips paint',
  },
  {
    id: 'O30',
    before: ['mechanism in', 'close joint'],
    after: ['decal across seam'],
    scope: 'specimen',
    because: 'opening the seam again tears the decal',
  },
  {
    id: 'O31',
    before: ['glazing in'],
    after: ['interior in', 'base on'],
    scope: 'specimen',
    because: 'the interior covers the glazing',
  },
  {
    id: 'O31',
    before: ['interior in', 'mechanism in'],
    after: ['base on'],
    scope: 'specimen',
    because: 'the base closes over the interior and the mechanism',
  },
  {
    id: 'O31',
    before: ['mechanism in'],
    after: ['motion check'],
    scope: 'specimen',
    because: 'it is tried when all that moves is in',
  },
  {
    id: 'O31',
    before: ['motion check'],
    after: ['base on'],
    scope: 'specimen',
    because: 'what catches is put right while it can be reached',
  },
  {
    id: 'O34',
    before: ['handling'],
    after: ['slow chrome ink'],
    scope: 'specimen',
    because: 'the ink stays soft for days and takes every finger mark',
  },
  {
    id: 'O38',
    before: ['wet paint removal'],
    after: ['dry abrade', 'straighten hot'],
    scope: 'part',
    because: 'old paint may hold lead: no dust or fumes from it',
    safety: true,
  },
];
