import { RINSE_MIN } from '../../film/planGunRuns.ts';
import { uses } from '../../model/supply.ts';
import type { PlanContext } from '../planContext.ts';
import type { TaskDraft } from '../planTypes.ts';
import { selectGlossed } from './clearRules.ts';
import { listColourTasks, primerOf, selectPainted, selectPrimed } from './paintRules.ts';
import type { PlanRule } from './planRule.ts';

/** The gun: complete before paint is in it, rinsed between two paints, stripped and cleaned at the end. */
export const GUN_RULES: readonly PlanRule[] = [
  {
    id: 'gun-ready',
    when: 'something is sprayed',
    serves: ['O35', 'S6', 'N19'],
    create: (context) => {
      if (!selectPainted(context).some((part) => part.coats.some((coat) => coat.kind !== 'brightwork'))) return [];
      const method = context.option('S6');
      return [
        {
          act: 'gun-ready',
          station: 'finish',
          partKeys: [],
          method,
          tags: ['gun ready'],
          handsOnMin: 5,
          uses: method === 'spray can' ? uses(['spray booth']) : uses(['airbrush'], ['spray booth']),
        },
      ];
    },
  },
  {
    id: 'rinse-gun',
    when: 'another paint goes into the gun after this one',
    serves: ['O35', 'N19'],
    create: (context) => {
      if (context.option('S6') === 'spray can') return [];
      const runs = listRuns(context);
      return runs.slice(0, -1).map(({ paint, partKeys }, i): TaskDraft => {
        const nth = runs.slice(0, i + 1).filter((run) => run.paint === paint).length;
        return {
          act: 'rinse-gun',
          station: 'finish',
          partKeys,
          of: { colour: paint, ...(nth > 1 ? { nth } : {}) },
          tags: ['gun rinsed', 'vapour'],
          hazards: ['degreaser'],
          handsOnMin: RINSE_MIN,
          uses: uses(['thinner', 8]),
        };
      });
    },
  },
  {
    id: 'clean-gun',
    when: 'something was sprayed',
    serves: ['O35', 'N40'],
    create: (context) => {
      const names = new Set(listRuns(context).map(({ paint }) => paint));
      if (names.size === 0 || context.option('S6') === 'spray can') return [];
      return [
        {
          act: 'clean-gun',
          station: 'finish',
          partKeys: [],
          tags: ['gun cleaned', 'vapour'],
          hazards: ['degreaser'],
          handsOnMin: 12,
          uses: uses(['thinner', 15]),
          detail: { colourCount: names.size },
        },
      ];
    },
  },
];

interface Run {
  readonly paint: string;
  readonly partKeys: readonly string[];
}

/** What goes through the gun without a rinse between: primers, then colours and clear coats in the order they are sprayed in. */
function listRuns(context: PlanContext): Run[] {
  const sprayed = [
    ...selectPrimed(context).map((part) => ({ part: part.key, paint: primerOf(part).name })),
    ...listColourTasks(context)
      .filter((task) => task.act === 'colour')
      .flatMap((task) => (task.colours ?? []).map((paint) => ({ part: task.partKeys[0]!, paint }))),
    ...selectGlossed(context).map((part) => ({ part: part.key, paint: 'clear coat' })),
    ...selectPainted(context).flatMap((part) =>
      part.coats.filter((coat) => coat.kind === 'clear').map((coat) => ({ part: part.key, paint: coat.name })),
    ),
  ];
  const runs: { paint: string; partKeys: string[] }[] = [];
  for (const { part, paint } of sprayed) {
    const last = runs.at(-1);
    if (last?.paint !== paint) runs.push({ paint, partKeys: [part] });
    else if (!last.partKeys.includes(part)) last.partKeys.push(part);
  }
  return runs;
}
