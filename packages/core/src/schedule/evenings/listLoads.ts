import type { EveningsInput } from './eveningsInput.ts';
import type { EveningRun } from './listRuns.ts';

/** Hands, or a place that takes only so much at a time. */
export type LoadOf =
  | { readonly kind: 'restorer'; readonly restorerId: string }
  | { readonly kind: 'gun' | 'booth' | 'oven' }
  | { readonly kind: 'bath'; readonly bath: string };

/** How much of an evening is taken up. */
export interface EveningLoad {
  /** Local day. */
  readonly on: string;
  /** Hands at it, cleaning the gun included; of a place, minutes for which something is in it, one after the other or side by side. */
  readonly minutes: number;
  /** Of so many; of a place, as long as somebody is there. */
  readonly ofMin: number;
  /** Steps; of the gun, colours. */
  readonly count: number;
}

export interface Load {
  readonly of: LoadOf;
  /** Evenings on which there is something; of a restorer, all of theirs. */
  readonly evenings: readonly EveningLoad[];
  readonly minutes: number;
}

const MINUTE_MS = 60_000;

/** What each pair of hands and each place has to bear, by evening; places that nothing needs are left out. */
export function listLoads({ restorers, tasks }: EveningsInput, runs: readonly EveningRun[]): Load[] {
  const taskOf = new Map(tasks.map((task) => [task.id, task]));
  const baths = [...new Set(tasks.flatMap(({ bath }) => bath ?? []))].sort();
  const places: (readonly [LoadOf, (task: EveningsInput['tasks'][number]) => boolean])[] = [
    [{ kind: 'gun' }, ({ gun }) => gun !== null],
    [{ kind: 'booth' }, ({ inBooth }) => inBooth],
    [{ kind: 'oven' }, ({ inOven }) => inOven],
    ...baths.map(
      (bath) => [{ kind: 'bath', bath }, (task: EveningsInput['tasks'][number]) => task.bath === bath] as const,
    ),
  ];
  const ofRestorers = restorers.map(({ id }): Load => {
    const evenings = runs.flatMap((run): EveningLoad[] => {
      const own = run.sessions.filter(({ restorerId }) => restorerId === id);
      if (own.length === 0) return [];
      const steps = run.steps.filter(({ restorerId }) => restorerId === id);
      const ofMin = own.reduce((sum, { from, to }) => sum + (to - from) / MINUTE_MS, 0);
      return [{ on: run.on, minutes: sumMinutes(steps, ({ handsUntil }) => handsUntil), ofMin, count: steps.length }];
    });
    return total({ kind: 'restorer', restorerId: id }, evenings);
  });
  const ofPlaces = places.map(([of, isIn]): Load => {
    const evenings = runs.flatMap((run): EveningLoad[] => {
      const steps = run.steps.filter(({ taskId }) => {
        const task = taskOf.get(taskId);
        return task !== undefined && isIn(task);
      });
      if (steps.length === 0) return [];
      const isGun = of.kind === 'gun';
      const colours = new Set(steps.map(({ taskId }) => taskOf.get(taskId)!.gun));
      return [
        {
          on: run.on,
          // What soaks over night is not of this evening.
          minutes: sumMinutes(
            steps,
            ({ handsUntil, watchedUntil }) => (isGun ? handsUntil : (watchedUntil ?? handsUntil)),
            isGun,
          ),
          ofMin: (run.to - run.from) / MINUTE_MS,
          count: isGun ? colours.size : steps.length,
        },
      ];
    });
    return total(of, evenings);
  });
  return [...ofRestorers, ...ofPlaces.filter(({ evenings }) => evenings.length > 0)];
}

const sumMinutes = (
  steps: EveningRun['steps'],
  until: (step: EveningRun['steps'][number]) => number,
  withCleaning = true,
): number =>
  steps.reduce(
    (sum, step) => sum + (until(step) - step.startsAt) / MINUTE_MS + (withCleaning ? step.cleaningMin : 0),
    0,
  );

const total = (of: LoadOf, evenings: readonly EveningLoad[]): Load => ({
  ...{ of, evenings },
  minutes: evenings.reduce((sum, { minutes }) => sum + minutes, 0),
});
