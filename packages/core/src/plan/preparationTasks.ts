import { isMetal } from '../model/material.ts';
import { listNames } from './openingTasks.ts';
import type { PlanInput, TaskDraft } from './planTypes.ts';

/** Identify and Survey: what must be known before anything is touched. */
export function createPreparationTasks(input: PlanInput): TaskDraft[] {
  const tasks: TaskDraft[] = [
    {
      key: 'identify',
      station: 'identify',
      title: 'Settle which issue it is',
      partKeys: [],
      tags: ['identify'],
      handsOnMin: 15,
      how: 'Answer the look-points until one variant leads clearly, or say that it cannot be told.',
      because: 'Everything later (colours, wheels, decals) follows from the issue.',
    },
    {
      key: 'photograph',
      station: 'survey',
      title: 'Photograph every side',
      partKeys: [],
      tags: ['photograph'],
      handsOnMin: 10,
      how: 'Left, right, front, rear, top and base, on neutral grey with the rule in the picture.',
      because: 'It is the only record of how it came in.',
    },
  ];
  if (input.scope === 'clean only') {
    return [
      ...tasks,
      {
        key: 'dust',
        station: 'strip',
        title: 'Dust it with a soft brush',
        partKeys: input.parts.map((part) => part.key),
        tags: ['clean part', 'handling'],
        handsOnMin: 20,
        how: 'Gloves on. Soft dry brush along the relief, soft cloth in two passes, brush only on clear parts. No water, no polish.',
        because: 'Clean only: a sound survivor is worth more as it is.',
      },
    ];
  }
  const unsure = input.parts.filter((part) => part.materialCertainty === 'unsure');
  tasks.push({
    key: 'know-materials',
    station: 'survey',
    title: 'Write down what each part is made of',
    partKeys: [],
    tags: ['know material'],
    handsOnMin: 10,
    how: 'Weight, magnet, ring and look; a part nobody is sure of is "unknown plastic" or "plated or unknown wire".',
    because: `${input.parts.length} parts, ${input.parts.filter((part) => !isMetal(part.material)).length} of them not metal${unsure.length ? `; nobody is sure of the ${listNames(unsure.map((part) => part.name.toLowerCase()))}` : ''}.`,
  });
  if (input.parts.some((part) => part.material === 'zinc alloy' || part.material === 'pest-suspect zinc')) {
    tasks.push({
      key: 'pest-check',
      station: 'survey',
      title: 'Look every zinc casting over for pest',
      partKeys: [],
      tags: ['pest check'],
      handsOnMin: 8,
      how: 'Magnifier and raking light: fine crazing, swollen or bowed faces, cracks at corners and posts, flakes that lift the paint from below. Weigh it. Zinc of any age, most before about 1950. Found any? Write the finding "pest" on that part: it is then left dry and cold.',
      because: 'Pest-suspect zinc stands no wash, bath, heat, clamp, blasting or drilling.',
    });
  }
  if (input.parts.some((part) => part.painted)) {
    tasks.push({
      key: 'capture-colour',
      station: 'survey',
      title: 'Capture the old colour, sheltered and exposed',
      partKeys: [],
      tags: ['capture colour'],
      handsOnMin: 15,
      how: 'One photo or reading from a sheltered place (inside, under the base), one from an exposed face. Keep flakes in a labelled bag.',
      because: 'Painted parts will be stripped.',
    });
  }
  for (const part of input.parts) {
    for (const want of part.wants.filter((candidate) => candidate.state !== 'waived')) {
      tasks.push({
        key: `get:${want.id}`,
        station: 'survey',
        title: `Get ${want.what}`,
        partKeys: [part.key],
        tags: [],
        handsOnMin: 10,
        how: 'Order, make, print or take it from a donor; mark the want solved when it lies on the bench.',
        because: `Want: ${want.what}.`,
      });
    }
  }
  return tasks;
}
