import type { JointKind, PartRole } from '../model/catalogue.ts';
import type { TaskTag } from '../model/work.ts';
import { isSlowInk } from './finishingTasks.ts';
import type { PlanInput, PlanJoint, PlanPart, TaskDraft } from './planTypes.ts';
import { chooseOption } from './schools.ts';
import { selectTappedPosts } from './selectTappedPosts.ts';

/** Parts that are put back one by one, and the tag the order rules know them by. */
const FITTED: Partial<Record<PartRole, TaskTag>> = {
  glazing: 'glazing in',
  interior: 'interior in',
  mechanism: 'mechanism in',
  base: 'base on',
};

interface Closing {
  readonly title: string;
  readonly how: string;
  readonly minutes: number;
  /** Until it may be handled (planning estimate). */
  readonly cureMin?: number;
}

const CLOSING: Readonly<Record<JointKind, Closing>> = {
  'rivet post': {
    title: 'Run the screw home',
    how: 'Screw in by hand, stop when it seats: zinc threads strip.',
    minutes: 4,
  },
  screw: { title: 'Run the screw home', how: 'By hand, stop when it seats.', minutes: 3 },
  'bent tab': {
    title: 'Bend the tabs back',
    how: 'One bend, supported, no further than it was. Each bend costs strength.',
    minutes: 6,
  },
  'formed axle': {
    title: 'Form the axle ends',
    how: 'Running clearance on both sides, then the cupped punch in a press: little by little, look after each.',
    minutes: 12,
  },
  snap: { title: 'Snap it in', how: 'Warm the plastic in the hand, press level.', minutes: 3 },
  glue: {
    title: 'Glue it in',
    how: 'Dry-fit, then the least that holds. Nothing near the glazing that fogs. It carries nothing before it has cured.',
    minutes: 6,
    cureMin: 720,
  },
  solder: { title: 'Solder it back', how: 'Tin both faces, heat-sink beside it.', minutes: 15 },
  'peened pin': {
    title: 'Peen the pin',
    how: 'Light taps, support under the far end. It must still swing.',
    minutes: 8,
  },
  'sprung pin': {
    title: 'Hook the spring, push the pin home',
    how: 'Spring on its lugs first; swing it through its whole travel three times.',
    minutes: 8,
  },
  'push fit': { title: 'Push it home', how: 'Straight, with a rag between finger and part.', minutes: 3 },
};

/** How a decal goes down, by school (S20). */
const SLIDING: Readonly<Record<string, string>> = {
  'wet pad and two sets': 'wet the panel, slide the paper away, roll out with a bud.',
  'bare paper slide': 'slide it from the paper where it belongs, roll out with a bud.',
  'setting fluid':
    'brush setting fluid on the panel, slide it on, softener on the relief. Test both on the paint first.',
};

/** Close: everything back in the construction's own order, then decals and slow ink. */
export function createClosingTasks(input: PlanInput): TaskDraft[] {
  const isFreed = (part: PlanPart) => input.opening.some((joint) => joint.partKeys.includes(part.key));
  const tasks: TaskDraft[] = input.parts.filter(isFreed).flatMap((part) => createFitTasks(part));
  const moving = tasks.filter((task) => task.tags.includes('mechanism in'));
  if (moving.length > 0)
    tasks.push({
      key: 'try-motion',
      station: 'close',
      title: 'Swing what moves, before anything closes over it',
      partKeys: moving.flatMap((task) => task.partKeys),
      tags: ['motion check'],
      handsOnMin: 3,
      how: 'Through its whole travel, three times. It neither catches nor rubs on new paint.',
      because: 'Once the base is on, nobody reaches it.',
    });
  const tapped = selectTappedPosts(input);
  const closing = [...input.opening].reverse().map((joint) => createClosingTask(joint, tapped.has(joint.key)));
  for (const joint of input.opening) if (joint.kind === 'formed axle') tasks.push(createWheelCheck(joint));
  tasks.push(...closing);
  if (closing.length > 0) {
    tasks.push({
      key: 'check-motion',
      station: 'close',
      title: 'Turn, tip and spin',
      partKeys: input.parts
        .filter((part) => part.role === 'mechanism' || part.role === 'wheel')
        .map((part) => part.key),
      tags: ['handling'],
      handsOnMin: 5,
      how: 'Every wheel spins, everything that tips does so freely, nothing rubs on new paint.',
      because: 'The last moment at which it can be put right without opening it again.',
    });
    if (closing.some((task) => task.tags.includes('form axle ends'))) {
      tasks.push({
        key: 'touch-in',
        station: 'close',
        title: 'Touch in what the closing chipped',
        partKeys: [],
        tags: ['touch in', 'handling'],
        handsOnMin: 10,
        passiveMin: 60,
        how: 'Body colour from the tip of a fine brush, only where metal shows.',
        because: 'Axle ends were formed.',
      });
    }
  }
  const placing = chooseOption('S20', input.decisions);
  for (const part of input.parts) {
    for (const coat of part.coats) {
      if (coat.kind === 'decal') {
        tasks.push({
          key: `decal:${part.key}:${coat.areaName}`,
          station: 'close',
          title: `Place the ${coat.name}`,
          partKeys: [part.key],
          tags: ['decal', 'handling', ...(coat.crossesSeam ? (['decal across seam'] as const) : [])],
          handsOnMin: 20,
          passiveMin: 60,
          how: `Cut close, dry-fit, ${SLIDING[placing] ?? SLIDING['wet pad and two sets']!} If it folds: keep it wet, run the end off the edge.`,
          because: `Planned${coat.crossesSeam ? ' across a seam' : ''}; school: ${placing} (S20).`,
        });
      }
      if (isSlowInk(coat)) {
        tasks.push({
          key: `chrome:${part.key}:${coat.areaName}`,
          station: 'close',
          title: `Chrome the ${coat.areaName} last of all`,
          partKeys: [part.key],
          tags: ['slow chrome ink'],
          hazards: ['degreaser'],
          handsOnMin: 10,
          passiveMin: 4320,
          how: 'Pen tip barely touching, one pass. Then nobody handles it until it is hard.',
          because: 'School: chrome ink (S7).',
        });
      }
    }
  }
  return tasks;
}

function createFitTasks(part: PlanPart): TaskDraft[] {
  const tag = FITTED[part.role];
  if (!tag) return [];
  const name = part.name.toLowerCase();
  return [
    {
      key: `clean:${part.key}`,
      station: 'close',
      title: `Clean the ${name} for fitting`,
      partKeys: [part.key],
      tags: ['clean part'],
      handsOnMin: 4,
      how:
        part.role === 'glazing'
          ? 'Soft brush and a breath, no cloth; look through it at the lamp.'
          : 'Dust out of every corner, no finger marks.',
      because: 'Once it is in, nobody reaches it.',
    },
    {
      key: `fit:${part.key}`,
      station: 'close',
      title: `Fit the ${name}`,
      partKeys: [part.key],
      tags: ['fit part', tag, 'handling'],
      handsOnMin: 6,
      how:
        part.role === 'mechanism'
          ? 'On its lugs first, spring in place, swing it once.'
          : 'As the opening photos show it; never force it.',
      because: 'It came out at Open.',
    },
  ];
}

const FALSE_RIVET: Closing = {
  title: 'Glue the false rivet on',
  how: 'The shaved head over its hole with the least adhesive that holds. It cannot be opened again without breaking it.',
  minutes: 6,
  cureMin: 720,
};

/** Once formed, an axle end cannot be formed again (O27). */
function createWheelCheck(joint: PlanJoint): TaskDraft {
  return {
    key: `check:${joint.key}`,
    station: 'close',
    title: `Look before the ${joint.label} are formed: wheels, ride height`,
    partKeys: joint.partKeys,
    jointKey: joint.key,
    tags: ['wheel check'],
    handsOnMin: 4,
    how: 'Every wheel the right way round, all four on the ground, level front and rear, tyres clear of the arches, each wheel spins.',
    because: 'The last two that fit are often the last two there are.',
  };
}

function createClosingTask(joint: PlanJoint, isTapped: boolean): TaskDraft {
  const isFalseRivet = joint.kind === 'rivet post' && !isTapped;
  const closing = isFalseRivet ? FALSE_RIVET : CLOSING[joint.kind];
  const isAxle = joint.kind === 'formed axle';
  return {
    key: `close:${joint.key}`,
    station: 'close',
    title: `${closing.title}: ${joint.label}`,
    partKeys: joint.partKeys,
    jointKey: joint.key,
    tags: [
      'close joint',
      'handling',
      ...(isAxle ? (['form axle ends'] as const) : []),
      ...(joint.kind === 'solder' ? (['spark', 'heat'] as const) : []),
    ],
    hazards:
      joint.kind === 'solder' ? ['soldering-iron'] : joint.kind === 'glue' || isFalseRivet ? ['cyanoacrylate'] : [],
    ...(isAxle ? { cannotBeUndone: 'a formed axle end cannot be formed again' } : {}),
    handsOnMin: closing.minutes,
    ...(closing.cureMin ? { passiveMin: closing.cureMin } : {}),
    how: closing.how,
    because: `Opened before: ${joint.label}.`,
  };
}
