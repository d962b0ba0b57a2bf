import type { Decisions, SchoolAnswer } from '../model/school.ts';
import type { TaskTag } from '../model/taskTags.ts';
import { chooseOption } from '../schools/schools.ts';

export interface OrderRule {
  readonly id: string;
  readonly before: readonly TaskTag[];
  readonly after: readonly TaskTag[];
  /** Which pairs it binds: tasks on the same part, on the same area of it, on the same joint, or any two of the specimen. */
  readonly scope: 'part' | 'area' | 'joint' | 'specimen';
  readonly because: string;
  /** A safety rule is never replaced by a school. */
  readonly safety?: true;
  /** The rule falls away unless the school has this option. */
  readonly onlyWith?: SchoolAnswer;
  /** The rule falls away when the school has this option. */
  readonly notWith?: SchoolAnswer;
  /** The second comes at most so many minutes after the first, or is looked at again (planning estimate). */
  readonly latestMin?: number;
}

type Row = readonly [
  id: string,
  before: readonly TaskTag[],
  after: readonly TaskTag[],
  scope: OrderRule['scope'],
  because: string,
  extra?: Pick<OrderRule, 'safety' | 'onlyWith' | 'notWith' | 'latestMin'>,
];

const SAFETY = { safety: true } as const;
const CLEARED = { notWith: { key: 'S13', option: 'none' } } as const;
/** Bare zinc takes on grease and oxide again: it is primed the same day. */
const SAME_DAY = { latestMin: 24 * 60 } as const;

// prettier-ignore
const ROWS: readonly Row[] = [
  ['O1', ['identify', 'photograph'], ['dismantle', 'strip', 'dusting', 'repair'], 'specimen', 'opening, stripping, filing and cleaning destroy the evidence'],
  ['O2', ['list wants'], ['order'], 'specimen', 'a forgotten small part is a second parcel'],
  ['O2', ['order'], ['strip', 'receive'], 'specimen', 'the post runs while paint comes off'],
  ['O2', ['draw'], ['made here'], 'part', 'it is made to measure'],
  ['O2', ['receive', 'made here'], ['trial fit', 'late trial fit', 'fit part', 'decal dry-fit'], 'part', 'it is tried when it lies here'],
  ['O3', ['capture colour'], ['strip'], 'specimen', 'the old colour is gone once stripped'],
  ['O4', ['know material'], ['chemical', 'heat'], 'specimen', 'what one material shrugs off destroys another', SAFETY],
  ['O4', ['soap first'], ['hidden test', 'strip'], 'part', 'what soap takes off needs nothing stronger'],
  ['O4', ['hidden test'], ['strip'], 'part', 'what it stands is tried where nobody looks', SAFETY],
  ['O5', ['pilot hole'], ['rivet head off'], 'joint', 'the centre is found while the head is whole', { onlyWith: { key: 'S3', option: 'pilot first' } }],
  ['O6', ['special tool'], ['force joint'], 'specimen', 'forced with what is at hand, it breaks'],
  ['O7', ['open joint'], ['separate'], 'specimen', 'halves forced apart at a closed joint break'],
  ['O8', ['wheels off'], ['strip', 'paint'], 'specimen', 'stripper and paint reach wheels and axles that stay on', { notWith: { key: 'S4', option: 'leave and mask' } }],
  ['O9', ['meltables out'], ['strip', 'heat'], 'specimen', 'plastic, glazing and rubber do not survive stripper or heat', SAFETY],
  ['O10', ['wheels off', 'meltables out'], ['anneal'], 'specimen', 'the flame reaches casting and wheel', SAFETY],
  ['O11', ['axle in hand'], ['axle cut'], 'joint', 'cut first, it may be too short to form again'],
  ['O12', ['pest check'], ['chemical', 'heat', 'wash', 'soap first', 'bath', 'clamp', 'blast', 'drill and tap', 'pilot hole', 'rivet head off', 'drill', 'repair', 'dusting'], 'specimen', 'zinc with pest breaks in a wash, a bath, the heat, a clamp or under a drill', SAFETY],
  ['O13', ['strip'], ['straighten hot'], 'part', 'heated paint gives off fumes'],
  ['O13', ['straighten hot'], ['fill'], 'part', 'filler and glue do not stand the heat of straightening'],
  ['O13', ['crack held'], ['straighten'], 'part', 'bent, a crack runs on'],
  ['O13', ['drill and tap'], ['straighten pair'], 'part', 'a twist is judged and bent out with the halves screwed together'],
  ['O14', ['strip', 'wash', 'blast'], ['inspect'], 'part', 'cracks and pits show on clean bare metal only'],
  ['O14', ['inspect'], ['repair', 'fill', 'solder', 'crack held'], 'part', 'what is mended, filed or dressed is bare and looked over first'],
  ['O15', ['strip'], ['wash'], 'part', 'it is rinsed when it has done its work'],
  ['O15', ['wash', 'oil'], ['degrease'], 'part', 'residue under paint lifts it'],
  ['O15', ['degrease'], ['prime', 'empty bake'], 'part', 'a coat holds on clean metal only', SAME_DAY],
  ['O15', ['degrease'], ['mist coat', 'colour', 'powder'], 'part', 'a coat holds on a clean ground only'],
  ['O15', ['take coat off'], ['degrease'], 'part', 'what comes off leaves residue under the next coat'],
  ['O16', ['recover post'], ['drill and tap'], 'part', 'the thread is cut where the hole belongs'],
  ['O16', ['drill and tap'], ['degrease', 'prime'], 'part', 'cutting oil and swarf spoil the coat, and a drill chips it'],
  ['O17', ['receive', 'made here', 'trial fit', 'late trial fit'], ['set in'], 'part', 'a piece is set in when it lies here and fits'],
  ['O17', ['drill and tap', 'repair', 'fill', 'trial fit'], ['dry fit'], 'specimen', 'what is bent, missing or without its thread cannot be tried yet'],
  ['O17', ['trial fit', 'late trial fit'], ['paint', 'mist coat', 'powder'], 'part', 'filing a part to fit after painting means painting again'],
  ['O17', ['dry fit'], ['paint', 'mist coat', 'powder'], 'specimen', 'filing a part to fit after painting means painting again'],
  ['O18', ['repair', 'fill'], ['prime', 'powder'], 'part', 'a repair is judged under the first coat'],
  ['O18', ['prime'], ['judge fill'], 'part', 'flaws show in the primer first'],
  ['O18', ['judge fill'], ['refill'], 'part', 'what is filled is seen in the primer first'],
  ['O18', ['refill'], ['reprime'], 'part', 'filler drinks colour and shows through'],
  ['O18', ['judge fill', 'reprime'], ['mist coat', 'colour', 'trim colour'], 'part', 'colour hides nothing: a flaw is refilled and primed again first'],
  ['O19', ['empty bake'], ['wipe again', 'powder'], 'part', 'gas from the casting blisters the powder'],
  ['O19', ['wipe again'], ['powder'], 'part', 'what the heat drove out lies on it as a film'],
  ['O19', ['powder'], ['clear relief'], 'part', 'powder lies in the relief'],
  ['O19', ['clear relief'], ['cure'], 'part', 'cured powder cannot be brushed out'],
  ['O19', ['cure'], ['cured look'], 'part', 'powder flows when it cures, and fills what it fills then'],
  ['O19', ['cured look'], ['trim colour', 'gloss coat', 'mask'], 'part', 'what is filled is stripped and powdered anew, not painted over'],
  ['O20', ['bake'], ['glue', 'fill', 'solder'], 'part', 'what is glued, filled, soldered or of plastic does not stand the oven', SAFETY],
  ['O20', ['paint', 'mist coat', 'colour', 'trim colour', 'reprime'], ['low bake'], 'part', 'it is baked when all its coats are on and dry'],
  ['O22', ['mist coat'], ['colour'], 'area', 'the wet coat holds on the mist'],
  ['O23', ['degrease'], ['mask'], 'part', 'tape holds on clean surfaces only'],
  ['O24', ['hidden faces'], ['outside faces'], 'part', 'overspray from the inside lands on the outside'],
  ['O25', ['body colour', 'cure'], ['trim colour'], 'part', 'trim is touched in over the body colour when that is dry'],
  ['O25', ['body colour', 'cured look', 'decal', 'seal'], ['silver after decals'], 'part', 'the silver meets the edge of what lies already'],
  ['O26', ['clean part', 'wash', 'degrease'], ['fit part'], 'part', 'dust and grease cannot be reached once it is fitted'],
  ['O27', ['wheel check'], ['form axle ends'], 'joint', 'an axle end cannot be formed twice'],
  ['O28', ['anneal'], ['form axle ends'], 'specimen', 'hard steel cracks in the crimp', { onlyWith: { key: 'S5', option: 'crimp flat' } }],
  ['O29', ['chip paint'], ['touch in'], 'specimen', 'forming axle ends, bending tabs and peening pins chip paint'],
  ['O30', ['mechanism in', 'close joint'], ['decal across seam'], 'specimen', 'opening the seam again tears the decal'],
  ['O31', ['glazing in'], ['interior in', 'base on'], 'specimen', 'the interior covers the glazing'],
  ['O31', ['interior in', 'mechanism in'], ['base on'], 'specimen', 'the base closes over the interior and the mechanism'],
  ['O31', ['mechanism in'], ['motion check'], 'specimen', 'it is tried when all that moves is in'],
  ['O31', ['motion check'], ['base on'], 'specimen', 'what catches is put right while it can be reached'],
  ['O32', ['body colour', 'trim colour', 'cure', 'cured look'], ['clear over'], 'part', 'clear goes over the colours'],
  ['O32', ['body colour', 'trim colour', 'cure'], ['gloss coat'], 'part', 'clear goes over the colours', CLEARED],
  ['O32', ['gloss coat'], ['decal'], 'part', 'a decal lies flat on gloss only', CLEARED],
  ['O32', ['decal'], ['seal'], 'part', 'it is sealed when it lies', CLEARED],
  ['O33', ['decal dry-fit'], ['decal'], 'area', 'wet, it cannot be measured'],
  ['O34', ['handling'], ['slow chrome ink'], 'specimen', 'the ink stays soft for days and takes every finger mark'],
  ['O35', ['gun ready'], ['mix paint', 'spray'], 'specimen', 'a gun that spits is found out with water, not with paint'],
  ['O35', ['spray', 'gun rinsed'], ['gun cleaned'], 'specimen', 'paint dries in the nozzle'],
  ['O36', ['clean brush'], ['dusting'], 'specimen', 'grit of the last model scratches this one'],
  ['O36', ['dusting'], ['wash once'], 'specimen', 'wet dust is mud and scratches'],
  ['O36', ['dusting', 'wash once'], ['after dusting'], 'specimen', 'dust hides what raking light shows'],
  ['O38', ['wet paint removal'], ['dry abrade', 'blast', 'straighten hot', 'anneal'], 'part', 'old paint may hold lead: no dust or fumes from it', SAFETY],
];

/**
 * The order rules exist here and nowhere else, but for two: O21 (colours of one part, by their lightness) needs more than tags
 * and stands in ownLinks; O37 is about what shares the room at one time and stands in checkStart.
 */
export const ORDER_RULES: readonly OrderRule[] = ROWS.map(([id, before, after, scope, because, extra]) => ({
  ...{ id, before, after, scope, because },
  ...extra,
}));

/** Whether the answers leave a rule in force; safety rules always are. */
export function isInForce({ safety, onlyWith, notWith }: OrderRule, decisions: Decisions): boolean {
  if (safety) return true;
  if (onlyWith && chooseOption(onlyWith.key, decisions) !== onlyWith.option) return false;
  return !(notWith && chooseOption(notWith.key, decisions) === notWith.option);
}
