import { groupBy } from '../groupBy.ts';
import type { TaskAct } from '../model/taskActs.ts';
import type { TaskTag } from '../model/taskTags.ts';
import { listBits, type BitSet } from '../numeric/bitSet.ts';
import type { PlanInput, TaskDraft } from './planTypes.ts';
import type { SchoolOption } from '../model/school.ts';
import { chooseOption } from '../schools/schools.ts';

/** A link that needs more than tags: by the places of the tasks. */
export interface OwnLink {
  readonly before: number;
  readonly after: number;
  readonly rule: string;
  readonly because: string;
}

interface Placed {
  readonly task: TaskDraft;
  readonly place: number;
}

/** Access behind joints, masks over what is painted beside, colours made ready and in order, joints closed in turn. */
export function createOwnLinks(
  tasks: readonly TaskDraft[],
  input: PlanInput,
  withTags: (tags: readonly TaskTag[]) => BitSet,
): OwnLink[] {
  const placed = tasks.map((task, place) => ({ task, place }));
  const withTag = (...tags: TaskTag[]) => listBits(withTags(tags)).map((place) => placed[place]!);
  const byJoint = groupBy(placed, ({ task }) => task.of?.jointKey);
  const ofJoint: OfJoint = (act, jointKey) => byJoint.get(jointKey)?.find(({ task }) => task.act === act);
  return [
    ...linkAccess(placed, ofJoint, input),
    ...linkOil(placed),
    ...linkTakingOut(placed),
    ...withTag('mask').flatMap((mask) => linkMask(mask, withTag)),
    ...linkPaint(withTag),
    ...linkCoats(withTag),
    ...linkColours(withTag, input),
    ...linkClosing(placed, withTag, ofJoint, input),
  ];
}

type WithTag = (...tags: TaskTag[]) => readonly Placed[];
type OfJoint = (act: TaskAct, jointKey: string) => Placed | undefined;

const link = (before: Placed, after: Placed, rule: string, because: string): OwnLink => ({
  ...{ before: before.place, after: after.place, rule, because },
});

function linkAccess(placed: readonly Placed[], ofJoint: OfJoint, { opening }: PlanInput): OwnLink[] {
  const labels = new Map(opening.map((joint) => [joint.key, joint.label]));
  const atOpen = placed.filter(({ task }) => task.station === 'open' && task.of?.jointKey !== undefined);
  return opening.flatMap((joint) =>
    joint.way.behindJoints.flatMap((behindKey) => {
      const behind = ofJoint('open', behindKey);
      return behind
        ? atOpen
            .filter(({ task }) => task.of?.jointKey === joint.key)
            .map((after) => link(behind, after, 'access', `it lies behind ${labels.get(behindKey) ?? behindKey}`))
        : [];
    }),
  );
}

/** Nothing is taken out before the joints that hold it are open. */
function linkTakingOut(placed: readonly Placed[]): OwnLink[] {
  return placed
    .filter(({ task }) => task.act === 'meltables-out')
    .flatMap((out) =>
      placed
        .filter(({ task }) => task.act === 'open' && task.partKeys.some((key) => out.task.partKeys.includes(key)))
        .map((open) => link(open, out, 'access', 'it is held by that joint')),
    );
}

/** A seized part is oiled before its joint is touched. */
function linkOil(placed: readonly Placed[]): OwnLink[] {
  return placed
    .filter(({ task }) => task.act === 'free')
    .flatMap((oil) =>
      placed
        .filter(({ task }) => task.act === 'open' && task.partKeys.includes(oil.task.partKeys[0]!))
        .map((after) => link(oil, after, 'O15', 'forced while it is seized, it takes the casting with it')),
    );
}

/** A mask lies on a part's own finished coats (the first part it names) before anything else near it is painted. */
function linkMask(mask: Placed, withTag: WithTag): OwnLink[] {
  const [covered, ...beside] = mask.task.partKeys;
  const painting = withTag('paint', 'mist coat', 'gloss coat', 'powder');
  const own = painting.filter(({ task }) => task.partKeys.includes(covered!));
  const judged = withTag('judge fill').filter(({ task }) => task.partKeys[0] === covered);
  return [
    ...own.map((before) => link(before, mask, 'O23', 'tape holds on a dry coat only')),
    ...judged.map((before) => link(before, mask, 'O23', 'tape pulls off a primer that does not hold')),
    ...painting
      // Primer goes on everything that is painted, whatever its colour.
      .filter(
        ({ task }) =>
          task.partKeys.some((key) => beside.includes(key)) && (own.length === 0 || !task.tags.includes('prime')),
      )
      .map((after) => link(mask, after, 'O23', 'paint reaches what is not covered')),
  ];
}

/** One wet coat after the other. */
const linkCoats = (withTag: WithTag): OwnLink[] =>
  withTag('colour').flatMap((after) =>
    withTag('colour')
      .filter(
        ({ task: { act, of, partKeys } }) =>
          act === 'colour' && of?.area === after.task.of?.area && partKeys[0] === after.task.partKeys[0],
      )
      .filter(({ task }) => (task.of?.nth ?? 1) < (after.task.of?.nth ?? 1))
      .map((before) => link(before, after, 'O22', 'a coat lies on the coat below')),
  );

/** Paint is ready before it goes on, and out of the gun when all that wears it has it. */
function linkPaint(withTag: WithTag): OwnLink[] {
  const using = (name: string, tasks: readonly Placed[]) => tasks.filter(({ task }) => task.colours?.includes(name));
  const [wet, sprayed] = [withTag('colour', 'mist coat'), withTag('spray')];
  return [
    ...withTag('mix paint').flatMap((mix) =>
      using(mix.task.of!.colour!, wet).map((after) =>
        link(mix, after, 'O35', 'paint is ready before the part is in the hand'),
      ),
    ),
    ...withTag('gun rinsed').flatMap((rinse) =>
      using(rinse.task.of!.colour!, sprayed)
        .filter(({ task }) => task.partKeys.some((key) => rinse.task.partKeys.includes(key)))
        .map((before) => link(before, rinse, 'O35', 'it is rinsed when all that wears this paint has it')),
    ),
  ];
}

const ORDER_BECAUSE: Readonly<Record<SchoolOption<'S8'>, string>> = {
  'light to dark': 'dark covers light, not the other way round',
  'by masking effort': 'in that order least is masked',
  'by covering power': 'what covers worst goes on while the ground is light',
  'the cheapest': 'in that order tape, coats and gun take the fewest minutes',
};

/** O21, or what S8 has instead of it: the colours of a part one after the other, then what is touched in. */
const linkColours = (withTag: WithTag, { parts, decisions }: PlanInput): OwnLink[] => {
  const school = chooseOption('S8', decisions);
  return [...linkFields(withTag, parts, ORDER_BECAUSE[school]), ...linkTrim(withTag, school, parts)];
};

function linkFields(withTag: WithTag, parts: PlanInput['parts'], because: string): OwnLink[] {
  const coats = withTag('colour', 'mist coat');
  return parts.flatMap((part) => {
    const on = (name: string | undefined) =>
      coats.filter(({ task: { of, partKeys } }) => of?.area === name && partKeys[0] === part.key);
    // Hidden faces come first by O24; what is not sprayed has no turn.
    const seen = part.colourOrder.filter((name) => {
      const kind = part.coats.find(({ areaName }) => areaName === name)?.areaKind;
      return (kind === 'outside' || kind === 'mask') && on(name).length > 0;
    });
    return seen.slice(1).flatMap((name, i) =>
      on(seen[i])
        .filter(({ task }) => task.act === 'colour')
        .flatMap((before) => on(name).map((after) => link(before, after, 'O21', because))),
    );
  });
}

/**
 * Of two small colours over the others the light one first, or where S8 goes by the masking the one that is on more places, so that
 * one masking serves them all. By covering power they go on in the order in which they are planned.
 */
function linkTrim(withTag: WithTag, school: SchoolOption<'S8'>, parts: PlanInput['parts']): OwnLink[] {
  if (school === 'by covering power') return [];
  const byMasking = school === 'by masking effort';
  const orders = new Map(parts.map(({ key, colourOrder }) => [key, colourOrder]));
  const trims = withTag('trim colour')
    .filter(({ task }) => task.luminance !== undefined)
    .filter(({ task }) => !orders.get(task.partKeys[0]!)?.includes(task.of?.area ?? ''));
  const places = groupBy(trims, ({ task }) => task.colours?.[0]);
  const rank = ({ task }: Placed): number => (byMasking ? places.get(task.colours?.[0])!.length : task.luminance!);
  const because = byMasking ? 'one masking serves all its places' : ORDER_BECAUSE['light to dark'];
  return trims.flatMap((first) =>
    trims
      .filter((after) => first.task.partKeys[0] === after.task.partKeys[0] && rank(first) > rank(after))
      .map((after) => link(first, after, 'O21', because)),
  );
}

/** What was opened first is closed last; a joint closes when the parts that go inside it are in. */
function linkClosing(placed: readonly Placed[], withTag: WithTag, ofJoint: OfJoint, { opening }: PlanInput): OwnLink[] {
  const fits = withTag('fit part');
  const closings = opening.flatMap((joint) => {
    const closing = ofJoint('close', joint.key);
    if (!closing) return [];
    return [
      ...fits
        // Where closing the joint is the fitting, the part stands first.
        .filter(({ task }) => task.of?.jointKey !== joint.key && joint.partKeys.includes(task.partKeys[0]!))
        .filter(({ task }) => !(task.tags.includes('base on') && isOnLid(joint, task.partKeys[0]!, opening)))
        .map((fit) => link(fit, closing, 'access', 'the part is held by this joint')),
      ...joint.way.behindJoints.flatMap((behindKey) => {
        const outer = ofJoint('close', behindKey);
        if (!outer) return [];
        // The base goes on when what it shuts in is closed: after the glazing is glued, and with what is fastened to it.
        const lids = fits.filter(
          ({ task: { tags, partKeys } }) =>
            tags.includes('base on') &&
            outer.task.partKeys.includes(partKeys[0]!) &&
            listInside(joint.key, opening).every(
              (inner) => !inner.partKeys.includes(partKeys[0]!) || isOnLid(inner, partKeys[0]!, opening),
            ),
        );
        return [
          link(closing, outer, 'access', `${joint.label} cannot be reached once that is closed`),
          ...lids.map((lid) => link(closing, lid, 'access', `${joint.label} cannot be reached once that is on`)),
        ];
      }),
    ];
  });
  const check = placed.find(({ task }) => task.act === 'check-motion');
  const shut = withTag('close joint');
  return [
    ...closings,
    ...(check ? shut.map((one) => link(one, check, 'bench', 'motion is tried when everything is closed')) : []),
  ];
}

/**
 * Something is fastened to the base alone, and cannot be reached once the base is closed over it: it is closed while the base
 * lies on the bench.
 */
const isOnLid = ({ partKeys, way }: Joint, lid: string, opening: PlanInput['opening']): boolean =>
  partKeys.includes(lid) &&
  way.behindJoints.some((key) => {
    const outer = opening.find((one) => one.key === key);
    return outer?.partKeys.includes(lid) && outer.partKeys.every((one) => one === lid || !partKeys.includes(one));
  });

type Joint = PlanInput['opening'][number];

/** A joint and all that lie behind it, near and far. */
function listInside(
  key: string,
  opening: PlanInput['opening'],
  seen = new Set<string>(),
): PlanInput['opening'][number][] {
  if (seen.has(key)) return [];
  seen.add(key);
  return opening.flatMap((joint) => {
    if (joint.key === key) return [joint];
    return joint.way.behindJoints.includes(key) ? listInside(joint.key, opening, seen) : [];
  });
}
