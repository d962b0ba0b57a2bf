import { isMetal } from '../model/material.ts';
import type { PlanInput, PlanPart, TaskDraft } from './planTypes.ts';
import { chooseOption } from './schools.ts';
import { selectTappedPosts } from './selectTappedPosts.ts';

/** Strip & mend: paint off wet, wash, inspect, straighten, mend, drill, trial fit. */
export function createStrippingTasks(input: PlanInput): TaskDraft[] {
  const tasks: TaskDraft[] = [];
  for (const part of input.parts.filter((candidate) => candidate.state !== 'missing')) {
    if (isStrippable(part)) tasks.push(...createStripTasks(part));
    else if (part.painted === false && !isMetal(part.material)) tasks.push(createSoapTask(part));
    if (isPestSuspect(part)) continue;
    tasks.push(...mergeByKey(createRepairTasks(part)));
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
  return tasks;
}

/** Painted metal that is sound enough to be stripped. */
export function isStrippable(part: PlanPart): boolean {
  return part.painted && isMetal(part.material) && !isPestSuspect(part) && part.state !== 'missing';
}

export function isPestSuspect(part: PlanPart): boolean {
  return part.material === 'pest-suspect zinc' || part.findings.some((finding) => finding.kind === 'pest');
}

function createStripTasks(part: PlanPart): TaskDraft[] {
  const name = part.name.toLowerCase();
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
      how: 'Thick coat, cover loosely, look every ten minutes. Lift the softened paint wet with a wooden pick; a second pass for the second layer.',
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
      how: 'As the product sheet says, then plenty of water and a toothbrush into every corner. Dry warm.',
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

function createRepairTasks(part: PlanPart): TaskDraft[] {
  const name = part.name.toLowerCase();
  return part.findings.flatMap((finding): TaskDraft[] => {
    const because = `Finding: ${finding.kind}${finding.note ? `, ${finding.note}` : ''}.`;
    if (finding.kind === 'bent' && part.material === 'zinc alloy') {
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
