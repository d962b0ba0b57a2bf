import type { PlanCoat, PlanInput, PlanPart, TaskDraft } from './planTypes.ts';
import { isPestSuspect } from './chooseTreatment.ts';
import { describePieces, type Pieces } from './describePieces.ts';
import { listNames } from './openingTasks.ts';

/** Finish: degrease, prime, judge, hidden faces, outside, trim. One task per part and area. */
export function createFinishingTasks(
  input: PlanInput,
  pieces: Pieces = describePieces(input.parts, input.closed),
): TaskDraft[] {
  const painted = input.parts.filter(
    (part) => paintedCoats(part).length > 0 && !isPestSuspect(part) && !pieces.isLeftAlone(part.key),
  );
  const masks = pieces.masked.flatMap(({ part, against }): TaskDraft[] => {
    const neighbours = against.filter((other) => painted.includes(other));
    return neighbours.length ? [createMaskingTask(part, neighbours)] : [];
  });
  return [...masks, ...painted.flatMap(createPartTasks)];
}

function createMaskingTask(part: PlanPart, neighbours: readonly PlanPart[]): TaskDraft {
  const name = part.name.toLowerCase();
  return {
    key: `mask:${part.key}`,
    station: 'finish',
    title: `Mask the ${name}`,
    // It names what is painted beside it: the mask is on before that is.
    partKeys: [part.key, ...neighbours.map((other) => other.key)],
    tags: ['mask'],
    handsOnMin: 12,
    how: 'Tape pressed down along the edge with a wooden pick, the rest wrapped. Off again before the coat is fully hard.',
    because: `It stays joined to the ${listNames(neighbours.map((other) => other.name.toLowerCase()))}, which gets another coat.`,
  };
}

/** Coats that are sprayed or brushed at Finish; decals and slow chrome ink wait for Close. */
function paintedCoats(part: PlanPart): PlanCoat[] {
  return part.coats.filter(
    (coat) => coat.kind === 'primer' || coat.kind === 'colour' || coat.kind === 'clear' || coat.kind === 'brightwork',
  );
}

function createPartTasks(part: PlanPart): TaskDraft[] {
  const name = part.name.toLowerCase();
  const coats = paintedCoats(part);
  const tasks: TaskDraft[] = [
    {
      key: `degrease:${part.key}`,
      station: 'finish',
      title: `Degrease the ${name}`,
      partKeys: [part.key],
      tags: ['degrease', 'vapour'],
      hazards: ['degreaser'],
      handsOnMin: 5,
      how: 'Clean wipe, fresh gloves, held by a place nobody sees. From now on no bare finger touches it.',
      because: 'It is about to be painted.',
    },
  ];
  if (coats.some((coat) => coat.kind === 'primer')) {
    tasks.push(
      {
        key: `prime:${part.key}`,
        station: 'finish',
        title: `Prime the ${name}`,
        partKeys: [part.key],
        tags: ['prime', 'paint', 'vapour', 'handling'],
        hazards: ['spraying'],
        handsOnMin: 12,
        passiveMin: 60,
        how: 'One thin coat so that lettering survives. Bare zinc is primed the same day. Log the coat below.',
        because: `Planned: ${coats.find((coat) => coat.kind === 'primer')!.name}; school: thin light grey (S12).`,
      },
      {
        key: `judge:${part.key}`,
        station: 'finish',
        title: `Judge the ${name} in primer`,
        partKeys: [part.key],
        tags: ['judge fill'],
        handsOnMin: 5,
        how: 'Raking light. A flaw is filled and primed again; then judge again.',
        because: 'Primer shows what bare metal hides.',
      },
    );
  }
  const groups = groupByArea(coats.filter((coat) => coat.kind === 'colour' || coat.kind === 'clear'));
  for (const [area, group] of groups) {
    const hidden = group[0]!.areaKind === 'inside' || group[0]!.areaKind === 'underside';
    const trim = group[0]!.areaKind === 'mask';
    tasks.push({
      key: `colour:${part.key}:${area}`,
      station: 'finish',
      title: `Paint the ${name}, ${area}: ${group.map((coat) => coat.name).join(', then ')}`,
      partKeys: [part.key],
      tags: [
        'colour',
        'paint',
        'vapour',
        'handling',
        ...(hidden
          ? (['hidden faces'] as const)
          : trim
            ? (['trim colour'] as const)
            : (['outside faces', 'body colour'] as const)),
      ],
      hazards: ['spraying'],
      handsOnMin: 15,
      passiveMin: 240,
      how: trim
        ? 'Mask pressed down on dry paint; tape off before the coat is fully hard.'
        : 'Mist coat, flash about 5 min, then wet coats. Log each coat below.',
      because: `Planned for this area: ${group.map((coat) => coat.name).join(', ')}.`,
    });
  }
  for (const coat of coats.filter((candidate) => candidate.kind === 'brightwork' && !isSlowInk(candidate))) {
    tasks.push({
      key: `bright:${part.key}:${coat.areaName}`,
      station: 'finish',
      title: `Silver the ${coat.areaName} of the ${name}`,
      partKeys: [part.key],
      tags: ['trim colour', 'paint', 'handling'],
      hazards: ['degreaser'],
      handsOnMin: 10,
      passiveMin: 30,
      how: `${coat.name}, brushed from a decanted drop so that it flows in the relief. Overruns touched in with body colour when dry.`,
      because: 'The issue had it; school: dull silver (S7).',
    });
  }
  return tasks;
}

export function isSlowInk(coat: PlanCoat): boolean {
  return coat.kind === 'brightwork' && /chrome/i.test(coat.name);
}

function groupByArea(coats: readonly PlanCoat[]): Map<string, PlanCoat[]> {
  const groups = new Map<string, PlanCoat[]>();
  for (const coat of coats) {
    const area = coat.areaName || coat.areaKind;
    groups.set(area, [...(groups.get(area) ?? []), coat]);
  }
  return groups;
}
