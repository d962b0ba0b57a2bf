import { isMetal } from '../model/material.ts';
import type { PlanInput, PlanPart, TaskDraft } from './planTypes.ts';
import { isPestSuspect } from './chooseTreatment.ts';
import { describePieces, type Pieces } from './describePieces.ts';
import { listNames } from './openingTasks.ts';
import { chooseOption } from './schools.ts';
import { selectTappedPosts } from './selectTappedPosts.ts';

/** Strip & mend: paint off wet, wash, inspect, straighten, mend, drill, trial fit. */
export function createStrippingTasks(
  input: PlanInput,
  pieces: Pieces = describePieces(input.parts, input.closed),
): TaskDraft[] {
  const tasks: TaskDraft[] = [];
  for (const part of input.parts.filter((candidate) => candidate.state !== 'missing')) {
    if (pieces.isLeftAlone(part.key)) continue;
    if (isStrippable(part)) {
      const plastic = pieces.findShelteredPlastic(part.key);
      tasks.push(...(plastic ? [createKeyingTask(part, plastic)] : createStripTasks(part, pieces)));
    } else if (part.painted === false && !isMetal(part.material)) tasks.push(createSoapTask(part));
    tasks.push(...mergeByKey(createRepairTasks(part, pieces)));
  }
  const tapped = selectTappedPosts(input);
  for (const joint of input.opening.filter((candidate) => tapped.has(candidate.key))) {
    tasks.push({
      key: `tap:${joint.key}`,
      station: 'strip',
      title: `Drill and tap the post: ${joint.label}`,
      partKeys: joint.partKeys.slice(0, 1),
      jointKey: joint.key,
      tags: ['drill and tap'],
      hazards: ['drilling'],
      cannotBeUndone: 'the thread stays in the post',
      handsOnMin: 20,
      how: 'Depth stop set, cutting oil, half a turn on and a quarter back. Clear the swarf, run the screw in once.',
      because: `School: ${chooseOption('S2', input.decisions)} (S2). A screw can be opened again.`,
    });
  }
  const wanted = input.parts.filter((part) => part.wants.some((want) => want.state !== 'waived'));
  for (const part of wanted) {
    tasks.push({
      key: `trial-fit:${part.key}`,
      station: 'strip',
      title: `Trial-fit the ${part.name.toLowerCase()}`,
      partKeys: [part.key],
      tags: ['trial fit'],
      handsOnMin: 10,
      how: 'Dry, in bare metal, with its neighbours in place. File now, not after paint.',
      because: `The part is new to this model: ${part.wants.map((want) => want.what).join(', ')}.`,
    });
  }
  if (input.opening.length > 0)
    tasks.push({
      key: 'dry-fit',
      station: 'strip',
      title: 'Put it together dry, all of it',
      partKeys: [],
      tags: ['dry fit'],
      handsOnMin: 15,
      how: 'Screws, axles, glazing, moving parts, nothing glued or formed. Does it pull straight? Do all four wheels touch, does everything turn and tip? File and shim now.',
      because: 'The last look before paint: what does not fit now is filed through the new coat later.',
    });
  return tasks;
}

/** Painted metal that is sound enough to be stripped. */
export function isStrippable(part: PlanPart): boolean {
  return part.painted && isMetal(part.material) && !isPestSuspect(part) && part.state !== 'missing';
}

/** Bent, but still in one piece with others: heat would reach them and the joint. */
export function isBentInCompany(part: PlanPart, pieces: Pieces): boolean {
  const isBent = part.findings.some((finding) => finding.kind === 'bent') && part.material === 'zinc alloy';
  return isBent && pieces.neighboursOf(part.key).length > 0;
}

function createKeyingTask(part: PlanPart, plastic: PlanPart): TaskDraft {
  const name = part.name.toLowerCase();
  const inside = plastic.name.toLowerCase();
  return {
    key: `key:${part.key}`,
    station: 'strip',
    title: `Key the old paint of the ${name}, wet`,
    partKeys: [part.key],
    tags: ['wash'],
    hazards: ['old-paint'],
    handsOnMin: 25,
    passiveMin: 20,
    how: `Cover the ${inside}. Fine wet abrasive sponge until the gloss is gone, kept wet all the time, wiped up, never dry. Relief is filled by every coat that stays on.`,
    because: `The ${inside} stays inside a closed joint: no stripper, no bath, no heat (O9).`,
  };
}

function createStripTasks(part: PlanPart, pieces: Pieces): TaskDraft[] {
  const name = part.name.toLowerCase();
  const joined = pieces.neighboursOf(part.key).map((one) => one.name.toLowerCase());
  const seam = joined.length
    ? ` It stays joined to the ${listNames(joined)}: brush on only, no bath; keep the seam as dry as you can.`
    : '';
  return [
    {
      key: `strip:${part.key}`,
      station: 'strip',
      title: `Brush gel stripper on the ${name}`,
      partKeys: [part.key],
      tags: ['strip', 'chemical', 'wet paint removal', 'vapour'],
      hazards: ['gel-stripper', 'old-paint'],
      cannotBeUndone: 'the original paint',
      handsOnMin: 10,
      watchedMin: 25,
      how: `Thick coat, cover loosely, look every ten minutes. Lift the softened paint wet with a wooden pick; a second pass for the second layer.${seam}`,
      because: 'Painted as found; school: gel (S11).',
    },
    {
      key: `wash:${part.key}`,
      station: 'strip',
      title: `Neutralise, rinse and dry the ${name}`,
      partKeys: [part.key],
      tags: ['wash', 'wet paint removal'],
      hazards: ['old-paint'],
      handsOnMin: 10,
      passiveMin: 20,
      how: `As the product sheet says, then plenty of water and a toothbrush into every corner. ${joined.length ? 'Rinse the closed seam for long, shake it out and let it dry by itself.' : 'Dry warm.'}`,
      because: 'Stripper left in a seam lifts the new paint.',
    },
    {
      key: `inspect:${part.key}`,
      station: 'strip',
      title: `Inspect the bare ${name}`,
      partKeys: [part.key],
      tags: ['inspect'],
      handsOnMin: 5,
      how: 'Under the lamp and magnifier: cracks, pits, earlier repairs. Leave cast lettering and cast rivets as they are. Add what you find in Survey.',
      because: 'Bare metal shows what paint hid.',
    },
  ];
}

/** Two findings that ask for the same work make one task with both reasons. */
function mergeByKey(tasks: readonly TaskDraft[]): TaskDraft[] {
  const merged = new Map<string, TaskDraft>();
  for (const task of tasks) {
    const before = merged.get(task.key);
    merged.set(task.key, before ? { ...before, because: `${before.because} ${task.because}` } : task);
  }
  return [...merged.values()];
}

function createRepairTasks(part: PlanPart, pieces: Pieces): TaskDraft[] {
  const name = part.name.toLowerCase();
  return part.findings.flatMap((finding): TaskDraft[] => {
    const because = `Finding: ${finding.kind}${finding.note ? `, ${finding.note.replace(/\.$/, '')}` : ''}.`;
    if (finding.kind === 'bent' && part.material === 'zinc alloy' && !isBentInCompany(part, pieces)) {
      return [
        {
          key: `straighten:${part.key}`,
          station: 'strip',
          title: `Straighten the ${name}, warm`,
          partKeys: [part.key],
          tags: ['straighten hot', 'repair', 'heat', 'flame'],
          hazards: ['hot-air'],
          cannotBeUndone: 'a casting that cracks',
          handsOnMin: 15,
          watchedMin: 15,
          because,
          how: 'Light tension in padded jaws, hot air moving, contact probe on the metal: 100 to 150 °C (planning estimate), never above. Bend little by little, cool under tension, check.',
        },
      ];
    }
    if (finding.kind === 'cracked' || finding.kind === 'broken' || finding.kind === 'pitted') {
      return isMetal(part.material)
        ? [
            {
              key: `mend:${part.key}`,
              station: 'strip',
              title: `Mend the ${name}`,
              partKeys: [part.key],
              tags: ['fill', 'repair'],
              hazards: ['cyanoacrylate'],
              handsOnMin: 20,
              passiveMin: 60,
              because,
              how: 'Gel adhesive pressed in where no file reaches; adhesive with powder filler where it can be filed. Re-cut sharp inner corners.',
            },
          ]
        : [];
    }
    if (finding.kind === 'rust' && part.role === 'axle' && part.material === 'steel') {
      return [
        {
          key: `dress:${part.key}`,
          station: 'strip',
          title: `Clean up the ${name} in a chuck`,
          partKeys: [part.key],
          tags: ['repair', 'dry abrade', 'spark'],
          hazards: ['grinding'],
          handsOnMin: 15,
          because,
          how: 'Emery on a flat stick, coarse first, never wrapped round finger and axle. Then fine steel wool.',
        },
      ];
    }
    return [];
  });
}

function createSoapTask(part: PlanPart): TaskDraft {
  return {
    key: `soap:${part.key}`,
    station: 'strip',
    title: `Wash the ${part.name.toLowerCase()} in soapy water`,
    partKeys: [part.key],
    tags: ['wash'],
    handsOnMin: 8,
    passiveMin: 30,
    how: 'Lukewarm water and a drop of soap, soft brush, rinse, dry on a cloth. Nothing stronger without a test on a hidden spot.',
    because: `${part.material}; school: soap (S18).`,
  };
}
